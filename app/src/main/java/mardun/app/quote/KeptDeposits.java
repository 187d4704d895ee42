package mardun.app.quote;

import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Deposits of cancelled orders that were kept: money that came in though no bag went for it. */
@Service
public class KeptDeposits {

    private final CustomerOrderRepository orders;

    KeptDeposits(CustomerOrderRepository orders) {
        this.orders = orders;
    }

    /**
     * A deposit that was kept.
     *
     * @param day on which the order was cancelled
     */
    public record KeptDeposit(long order, LocalDate day, long minor) {}

    /** Those of orders that were cancelled from a day until before another, the oldest first. */
    @Transactional(readOnly = true)
    public List<KeptDeposit> between(LocalDate from, LocalDate until) {
        return orders.keptDeposits(from, until);
    }
}
