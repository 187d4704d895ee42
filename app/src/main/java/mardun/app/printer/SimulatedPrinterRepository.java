package mardun.app.printer;

import jakarta.persistence.LockModeType;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface SimulatedPrinterRepository extends JpaRepository<SimulatedPrinter, Integer> {

    /** The printer, held for this transaction: it prints one label after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select p from SimulatedPrinter p where p.id = :id")
    Optional<SimulatedPrinter> findForUse(int id);
}
