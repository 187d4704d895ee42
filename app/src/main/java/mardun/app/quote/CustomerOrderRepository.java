package mardun.app.quote;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface CustomerOrderRepository extends JpaRepository<CustomerOrder, Long> {

    Optional<CustomerOrder> findByQuoteId(long quoteId);
}
