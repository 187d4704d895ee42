package mardun.app.log;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SlipMovementRepository extends JpaRepository<SlipMovement, SlipMovement.Key> {

    List<SlipMovement> findByKeyEventId(UUID eventId);
}
