package mardun.app.unsewn;

import java.time.Instant;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface UnsewnMovementRepository extends JpaRepository<UnsewnMovement, Long> {

    /** What all that is there is worth, in minor units. */
    @Query("select coalesce(sum(m.changeMinor), 0) from UnsewnMovement m")
    long worth();

    /** What all that was there at a moment was worth, in minor units. */
    @Query("select coalesce(sum(m.changeMinor), 0) from UnsewnMovement m where m.movedAt < :until")
    long worth(Instant until);

    /** How many pieces were there at a moment. */
    @Query("select coalesce(sum(m.changePieces), 0) from UnsewnMovement m where m.movedAt < :until")
    long pieces(Instant until);
}
