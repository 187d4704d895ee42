package mardun.app.selling;

import jakarta.persistence.LockModeType;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface FairRepository extends JpaRepository<Fair, Long> {

    /** Those that aren't over, the next one first. */
    @Query("""
            select f from Fair f where f.endsOn >= :today
            order by f.heldOn, f.id""")
    List<Fair> coming(LocalDate today);

    /** All of them without what else is known of each, the first one first. */
    @Query("""
            select new mardun.app.selling.FairIndex$Entry(f.id, f.name, f.series, f.heldOn, f.endsOn, f.state) from Fair f
            order by f.heldOn, f.id""")
    List<FairIndex.Entry> entries();

    /** Those that began from a day until before another, the first one first. */
    @Query("select f from Fair f where f.heldOn >= :from and f.heldOn < :until order by f.heldOn, f.id")
    List<Fair> between(LocalDate from, LocalDate until);

    /** Those of some series, the first one first. */
    @Query("select f from Fair f where f.series in :series order by f.heldOn, f.id")
    List<Fair> inSeries(Collection<String> series);

    /** Past fairs before a day, the newest first. */
    @Query("select f from Fair f where f.endsOn < :day and f.id <> :but order by f.heldOn desc, f.id desc")
    List<Fair> before(LocalDate day, long but, Pageable most);

    /** Past fairs of a series before a day, the newest first. */
    @Query("""
            select f from Fair f where f.series = :series and f.endsOn < :day and f.id <> :but
            order by f.heldOn desc, f.id desc""")
    List<Fair> beforeInSeries(String series, LocalDate day, long but, Pageable most);

    /** The last fair that was entered. */
    Optional<Fair> findFirstByOrderByIdDesc();

    /** The fair, held for this transaction, so that what two devices tell at once is taken one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select f from Fair f where f.id = :id")
    Optional<Fair> findForChange(long id);
}
