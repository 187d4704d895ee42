package mardun.app.cutter;

import jakarta.persistence.LockModeType;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface SimulatedCutterRepository extends JpaRepository<SimulatedCutter, Integer> {

    /** The machine, held for this transaction: it cuts one mat after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select c from SimulatedCutter c where c.id = :id")
    Optional<SimulatedCutter> findForUse(int id);
}
