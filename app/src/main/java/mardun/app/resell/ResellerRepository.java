package mardun.app.resell;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface ResellerRepository extends JpaRepository<Reseller, Long> {

    List<Reseller> findAllByOrderByNameKey();

    boolean existsByNameKey(String nameKey);

    /** The reseller, held for this transaction. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select r from Reseller r where r.id = :id")
    Optional<Reseller> findForChange(long id);
}
