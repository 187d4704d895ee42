package mardun.app.quote;

import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.goods.HoldsBags;
import mardun.app.id.BatchId;
import org.springframework.stereotype.Component;

/** Bags that are put aside for private orders are for those who ordered them, as long as the order is open. */
@Component
class OrderHold implements HoldsBags {

    private final CustomerOrderRepository orders;

    OrderHold(CustomerOrderRepository orders) {
        this.orders = orders;
    }

    @Override
    public Set<String> heldPlaces() {
        return orders.openIds().stream().map(HandingOver::aside).collect(Collectors.toSet());
    }

    @Override
    public Set<BatchId> promisedBatches() {
        return orders.open().stream().flatMap(order -> order.batchId().stream()).collect(Collectors.toSet());
    }
}
