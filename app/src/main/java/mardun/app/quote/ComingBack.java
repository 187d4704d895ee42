package mardun.app.quote;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.goods.GoodsLedger;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.quote.CustomerOrderViews.CustomersBags;
import mardun.app.quote.CustomerOrderViews.HandedBags;
import mardun.app.quote.CustomerOrderViews.OrderBackForm;
import mardun.app.request.OnceOnly;
import mardun.app.sale.CameBack;
import mardun.app.sale.ReturnedBags;
import mardun.app.sale.Sales;
import mardun.app.sale.Sales.NewSale;
import mardun.app.sale.Sales.Sold;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Bags of a private order that come back from the customer: some or all, for the shelf, for seconds, to be scrapped or mended. */
@Component
class ComingBack {

    private static final int MOST_UNITS = 5000;

    private final CustomerOrderRepository orders;
    private final GoodsLedger ledger;
    private final Sales sales;
    private final ReturnedBags returned;
    private final SettingsService settings;
    private final OnceOnly onceOnly;

    ComingBack(
            CustomerOrderRepository orders,
            GoodsLedger ledger,
            Sales sales,
            ReturnedBags returned,
            SettingsService settings,
            OnceOnly onceOnly) {
        this.orders = orders;
        this.ledger = ledger;
        this.sales = sales;
        this.returned = returned;
        this.settings = settings;
        this.onceOnly = onceOnly;
    }

    /** The bags that the customer has; none while nothing is handed over. */
    @Transactional(readOnly = true)
    public List<CustomersBags> bags(long id) {
        CustomerOrder order = orders.findById(id).orElseThrow(OrderService::none);
        List<Sold> sold = order.saleId().flatMap(sales::find).map(NewSale::bags).orElse(List.of());
        var lots = ledger.ofKindsLeft(sold.stream().map(Sold::kind).toList());
        return sold.stream()
                .map(bags -> new CustomersBags(
                        bags.kind(), lots.get(bags.kind()).get(0).kind().words(), bags.units()))
                .toList();
    }

    /** Books it; sent twice, once. */
    void take(long id, OrderBackForm form) {
        onceOnly.make(form.requestId(), "bags of order " + id + " came back", form, () -> {
            CustomerOrder order = orders.findForChange(id).orElseThrow(OrderService::none);
            ChangedMeanwhileException.check("This order", form.version(), order.version());
            NewSale sale = order.saleId()
                    .flatMap(sales::find)
                    .orElseThrow(() -> RefusedException.conflict("Nothing of this order is with the customer."));
            FieldReader fields = new FieldReader();
            Map<String, Integer> back = back(form.bags(), sale, fields);
            long stays = sale.paidMinor() - refund(form, sale, back, fields);
            if (form.reason().isBlank()) {
                fields.refuse("reason", "", "Say why it came back, so that the design can learn from it.");
            }
            fields.check();
            UUID kept = form.ended() == CameBack.MENDED
                    ? bookAgain(sale, sale.bags(), stays)
                    : bookAgain(sale, without(sale.bags(), back), stays);
            String why = form.reason().strip();
            returned.putAway(back, sale.place(), form.ended(), "order " + id, why);
            order.comeBack(kept, stays, form.ended().words() + ": " + why);
            orders.saveAndFlush(order);
            return id;
        });
    }

    /** The sale as it is now, in the place of the one that was; absent where the customer keeps no bags. */
    private @Nullable UUID bookAgain(NewSale sale, List<Sold> kept, long paid) {
        if (kept.equals(sale.bags()) && paid == sale.paidMinor()) {
            return sale.id();
        }
        if (kept.isEmpty()) {
            sales.takeBack(sale.id());
            return null;
        }
        UUID id = UUID.randomUUID();
        sales.bookInstead(
                sale.id(),
                new NewSale(
                        id,
                        sale.channelId(),
                        sale.fairId(),
                        sale.place(),
                        sale.at(),
                        sale.tender(),
                        kept,
                        paid,
                        sale.payment(),
                        sale.note()));
        return id;
    }

    private static List<Sold> without(List<Sold> sold, Map<String, Integer> back) {
        return sold.stream()
                .map(bags -> new Sold(bags.kind(), bags.units() - back.getOrDefault(bags.kind(), 0), bags.usualMinor()))
                .filter(bags -> bags.units() > 0)
                .toList();
    }

    private static Map<String, Integer> back(List<HandedBags> typed, NewSale sale, FieldReader fields) {
        Map<String, Integer> back = new LinkedHashMap<>();
        for (int i = 0; i < typed.size(); i++) {
            HandedBags bags = typed.get(i);
            String field = "bags." + i + ".units";
            int units = bags.units().isBlank() ? 0 : fields.count(field, bags.units(), 0, MOST_UNITS);
            int has = sale.bags().stream()
                    .filter(sold -> sold.kind().equals(bags.kind()))
                    .mapToInt(Sold::units)
                    .sum();
            if (back.getOrDefault(bags.kind(), 0) + units > has) {
                fields.refuse(field, bags.units(), "The customer has " + has + " of these bags. Type at most as many.");
            } else if (units > 0) {
                back.merge(bags.kind(), units, Integer::sum);
            }
        }
        if (fields.problems().isEmpty() && back.isEmpty()) {
            fields.refuse("bags", "", "Nothing came back. Type how many of at least one bag.");
        }
        return back;
    }

    private long refund(OrderBackForm form, NewSale sale, Map<String, Integer> back, FieldReader fields) {
        Settings current = settings.current();
        long refund = form.refund().isBlank() ? 0 : fields.money("refund", form.refund(), current.currency());
        boolean isAll = form.ended() != CameBack.MENDED
                && back.values().stream().mapToInt(Integer::intValue).sum() == units(sale);
        String paid = current.writer().money(sale.paidMinor()).amount();
        if (refund > sale.paidMinor()) {
            fields.refuse("refund", form.refund(), "Paid was " + paid + ". Type at most that.");
        } else if (isAll && refund < sale.paidMinor()) {
            fields.refuse(
                    "refund",
                    form.refund(),
                    "All bags came back, so all that was paid goes back: " + paid
                            + ". What you keep of it is no sale; note it at the order.");
        }
        return refund;
    }

    private static int units(NewSale sale) {
        return sale.bags().stream().mapToInt(Sold::units).sum();
    }
}
