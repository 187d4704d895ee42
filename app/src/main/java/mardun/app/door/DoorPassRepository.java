package mardun.app.door;

import java.time.Instant;
import org.springframework.data.jpa.repository.JpaRepository;

interface DoorPassRepository extends JpaRepository<DoorPass, String> {

    void deleteBySeenAtLessThan(Instant before);

    void deleteByRole(DoorRole role);
}
