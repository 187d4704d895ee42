package mardun.app.selling;

import java.util.List;
import mardun.app.id.FairId;
import org.springframework.data.jpa.repository.JpaRepository;

interface FairCheckRepository extends JpaRepository<FairCheck, Long> {

    List<FairCheck> findByFairIdOrderById(FairId fairId);
}
