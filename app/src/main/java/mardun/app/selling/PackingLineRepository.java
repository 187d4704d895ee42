package mardun.app.selling;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import mardun.app.id.FairId;
import org.springframework.data.jpa.repository.JpaRepository;

interface PackingLineRepository extends JpaRepository<PackingLine, Long> {

    List<PackingLine> findByFairIdOrderById(FairId fairId);

    List<PackingLine> findByFairIdIn(Collection<FairId> fairIds);

    Optional<PackingLine> findByFairIdAndBagKind(FairId fairId, String bagKind);
}
