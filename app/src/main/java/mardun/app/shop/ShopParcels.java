package mardun.app.shop;

import java.util.List;
import java.util.Optional;
import mardun.app.goods.BagKind;
import mardun.app.goods.GoodsLedger;
import mardun.app.problem.RefusedException;
import mardun.app.shop.OnlineShop.Buyer;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What goes into the parcels of online orders, for whoever posts them. */
@Component
public class ShopParcels {

    private final ShopOrderRepository orders;
    private final ShopDesk desk;
    private final GoodsLedger ledger;

    ShopParcels(ShopOrderRepository orders, ShopDesk desk, GoodsLedger ledger) {
        this.orders = orders;
        this.desk = desk;
        this.ledger = ledger;
    }

    /**
     * An order to be posted.
     *
     * @param address the buyer's name and address, a line each; empty where they were forgotten
     * @param postageMinor what the buyer paid for postage
     * @param paidMinor what the buyer paid for the bags
     */
    public record ToPost(String number, List<String> address, List<Bags> bags, long postageMinor, long paidMinor) {}

    /** So many bags of a kind; empty for those that the shop calls by a name that nobody knows. */
    public record Bags(Optional<BagKind> kind, int units) {}

    /** @throws RefusedException if there is no such order */
    @Transactional(readOnly = true)
    public ToPost order(long id) {
        ShopOrder order = orders.findById(id).orElseThrow(ShopDesk::none);
        return new ToPost(
                order.number(),
                order.buyer().map(Buyer::address).orElse(List.of()),
                order.lines().stream()
                        .map(line -> new Bags(
                                desk.listing(line).map(ShopListing::bagKind).flatMap(ledger::kind), line.units()))
                        .toList(),
                order.postageMinor(),
                order.paidMinor() - order.postageMinor());
    }
}
