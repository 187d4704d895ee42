package mardun.app.shop;

import java.util.List;
import java.util.Set;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.sale.ReturnViews.BuyersBags;
import mardun.app.sale.ReturnViews.CameBackForm;
import mardun.app.sale.ReturnedBags;
import mardun.app.sale.Sales;
import mardun.app.sale.Sales.NewSale;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Bags of an online order that come back from their buyer, some or all; the shop is asked to pay back what the buyer gets for them. */
@Component
public class ShopReturns {

    private static final Set<OrderState> WITH_BUYER = Set.of(OrderState.POSTED, OrderState.ARRIVED);

    private final ShopOrderRepository orders;
    private final Sales sales;
    private final ReturnedBags returned;
    private final OnceOnly onceOnly;

    ShopReturns(ShopOrderRepository orders, Sales sales, ReturnedBags returned, OnceOnly onceOnly) {
        this.orders = orders;
        this.sales = sales;
        this.returned = returned;
        this.onceOnly = onceOnly;
    }

    /** The bags that the buyer has, or that are on their way; none where nothing was posted. */
    @Transactional(readOnly = true)
    public List<BuyersBags> bags(long id) {
        ShopOrder order = orders.findById(id).orElseThrow(ShopDesk::none);
        return order.saleId().map(returned::withBuyer).orElse(List.of());
    }

    /** Books it; sent twice, once. */
    public void take(long id, CameBackForm form) {
        onceOnly.make(form.requestId(), "bags of online order " + id + " came back", form, () -> {
            ShopOrder order = orders.findForChange(id).orElseThrow(ShopDesk::none);
            ChangedMeanwhileException.check("This order", form.version(), order.version());
            NewSale sale = order.saleId()
                    .filter(its -> WITH_BUYER.contains(order.state()))
                    .flatMap(sales::find)
                    .orElseThrow(() -> RefusedException.conflict("Only what was posted comes back."));
            order.comeBack(returned.take(sale, form, "order " + order.number()));
            orders.saveAndFlush(order);
            return id;
        });
    }
}
