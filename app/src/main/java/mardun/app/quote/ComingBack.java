package mardun.app.quote;

import java.util.List;
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

/** Bags of a private order that come back from the customer: some or all, for the shelf, for seconds, to be scrapped or mended. */
@Component
class ComingBack {

    private final CustomerOrderRepository orders;
    private final Sales sales;
    private final ReturnedBags returned;
    private final OnceOnly onceOnly;

    ComingBack(CustomerOrderRepository orders, Sales sales, ReturnedBags returned, OnceOnly onceOnly) {
        this.orders = orders;
        this.sales = sales;
        this.returned = returned;
        this.onceOnly = onceOnly;
    }

    /** The bags that the customer has; none while nothing is handed over. */
    @Transactional(readOnly = true)
    public List<BuyersBags> bags(long id) {
        CustomerOrder order = orders.findById(id).orElseThrow(OrderService::none);
        return order.saleId().map(returned::withBuyer).orElse(List.of());
    }

    /** Books it; sent twice, once. */
    void take(long id, CameBackForm form) {
        onceOnly.make(form.requestId(), "bags of order " + id + " came back", form, () -> {
            CustomerOrder order = orders.findForChange(id).orElseThrow(OrderService::none);
            ChangedMeanwhileException.check("This order", form.version(), order.version());
            NewSale sale = order.saleId()
                    .flatMap(sales::find)
                    .orElseThrow(() -> RefusedException.conflict("Nothing of this order is with the customer."));
            ReturnedBags.Kept kept = returned.take(sale, form, "order " + id);
            order.comeBack(kept.sale(), kept.paidMinor(), kept.words());
            orders.saveAndFlush(order);
            return id;
        });
    }
}
