package mardun.app.shop;

import jakarta.persistence.LockModeType;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface ShopOrderRepository extends JpaRepository<ShopOrder, Long> {

    Optional<ShopOrder> findByNumber(String number);

    List<ShopOrder> findByNumberIn(Collection<String> numbers);

    /** Orders in some states; the oldest first. */
    List<ShopOrder> findByStateInOrderById(Collection<OrderState> states);

    /** Orders that were posted until a day and that no payout has named; the oldest first. */
    @Query("""
            select o from ShopOrder o
            where o.state in (POSTED, ARRIVED) and o.payoutId is null and o.postedOn <= :until order by o.id""")
    List<ShopOrder> unpaid(LocalDate until, Limit most);

    /** Orders of which the shop has to pay something back that it doesn't know of; the oldest first. */
    @Query("select o from ShopOrder o where o.untoldRefunds > 0 order by o.id")
    List<ShopOrder> withUntoldRefunds();

    /** Those that don't wait any more, found by number and buyer; the latest first. */
    @Query("""
            select o from ShopOrder o
            where o.state not in (RESERVED, SHORT)
              and lower(concat(o.number, ' ', o.buyerName)) like :words escape '!'
            order by o.id desc""")
    Page<ShopOrder> answered(String words, Pageable page);

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select o from ShopOrder o where o.id = :id")
    Optional<ShopOrder> findForChange(long id);
}
