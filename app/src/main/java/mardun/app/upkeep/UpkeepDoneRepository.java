package mardun.app.upkeep;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mardun.core.making.Upkeep;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface UpkeepDoneRepository extends JpaRepository<UpkeepDone, UUID> {

    Optional<UpkeepDone> findFirstByPlaceAndKindOrderByDoneAtDesc(String place, Upkeep.Kind kind);

    List<UpkeepDone> findByDoneAtLessThanOrderByDoneAtDesc(Instant until, Limit most);
}
