package mardun.app.quote;

import jakarta.persistence.LockModeType;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import mardun.app.quote.KeptDeposits.KeptDeposit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface CustomerOrderRepository extends JpaRepository<CustomerOrder, Long> {

    Optional<CustomerOrder> findByQuoteId(long quoteId);

    /** Those that are still open, the one that is due first in front; those without a day behind. */
    @Query("""
            select o from CustomerOrder o where o.state = mardun.app.quote.CustomerOrderState.AGREED
            order by case when o.dueOn is null then 1 else 0 end, o.dueOn, o.id""")
    List<CustomerOrder> open();

    /** The numbers of those that are still open. */
    @Query("select o.id from CustomerOrder o where o.state = mardun.app.quote.CustomerOrderState.AGREED")
    List<Long> openIds();

    /** Those of which something has become, found by number and who ordered; the latest first. */
    @Query("""
            select o from CustomerOrder o where o.state <> mardun.app.quote.CustomerOrderState.AGREED
              and lower(concat('order ', cast(o.id as string), ' ', o.who)) like :words escape '!'
            order by o.closedOn desc, o.id desc""")
    Page<CustomerOrder> closed(String words, Pageable page);

    /** The deposits that were kept of orders that were cancelled from a day until before another. */
    @Query("""
            select new mardun.app.quote.KeptDeposits$KeptDeposit(o.id, o.closedOn, o.depositMinor) from CustomerOrder o
            where o.depositKept = true and o.depositMinor > 0 and o.closedOn >= :from and o.closedOn < :until order by o.closedOn, o.id""")
    List<KeptDeposit> keptDeposits(LocalDate from, LocalDate until);

    /** The order, held for this transaction. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select o from CustomerOrder o where o.id = :id")
    Optional<CustomerOrder> findForChange(long id);
}
