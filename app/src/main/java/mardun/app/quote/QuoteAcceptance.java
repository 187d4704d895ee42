package mardun.app.quote;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mardun.app.batch.BatchEntry;
import mardun.app.batch.BatchViews.BatchForm;
import mardun.app.batch.BatchViews.LineForm;
import mardun.app.id.BatchId;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.quote.GivenPaper.GivenLine;
import mardun.app.quote.GivenPaper.Other;
import mardun.app.quote.QuoteViews.AcceptForm;
import mardun.app.request.OnceOnly;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.core.pricing.QuotedOrder;
import org.joda.money.Money;
import org.springframework.stereotype.Component;

/** A quote that is accepted becomes an order, and a batch that it is made in. */
@Component
public class QuoteAcceptance {

    private static final int LONGEST_FOR_WHAT = 120;

    private final QuoteRepository quotes;
    private final CustomerOrderRepository orders;
    private final QuoteReckoning reckoning;
    private final BatchEntry batches;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final Clock clock;

    QuoteAcceptance(
            QuoteRepository quotes,
            CustomerOrderRepository orders,
            QuoteReckoning reckoning,
            BatchEntry batches,
            SettingsService settings,
            OnceOnly onceOnly,
            Clock clock) {
        this.quotes = quotes;
        this.orders = orders;
        this.reckoning = reckoning;
        this.batches = batches;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    /** The customer takes a version: it becomes an order, and a batch that is planned with the prices that were agreed. Sent twice, one. */
    public void accept(long id, AcceptForm form) {
        onceOnly.make(form.requestId(), "order of quote " + id, form, () -> {
            Settings current = settings.current();
            Quote quote = quotes.findForChange(id).orElseThrow(QuoteService::none);
            ChangedMeanwhileException.check("This quote", form.version(), quote.version());
            GivenPaper paper = quote.version(form.number()).paper();
            List<Other> agreed = agreed(paper, form, current);
            quote.accept(clock.instant());
            Money total = agreed.stream()
                    .map(one -> current.money(one.paysMinor()).multipliedBy(one.units()))
                    .reduce(Money::plus)
                    .orElseThrow();
            CustomerOrder order = orders.saveAndFlush(new CustomerOrder(
                    id,
                    form.number(),
                    paper.form().channelId(),
                    clock.instant(),
                    paper.form().who(),
                    paper.form().reach(),
                    paper.form().by(),
                    total.getAmountMinorLong(),
                    QuotedOrder.deposit(total, paper.depositShare()).getAmountMinorLong(),
                    lines(paper, agreed)));
            order.madeIn(batch(order, paper, agreed, current));
            quotes.saveAndFlush(quote);
            orders.saveAndFlush(order);
            return order.id();
        });
    }

    /** The numbers that were agreed with their prices; only those for which a price was said. */
    private static List<Other> agreed(GivenPaper paper, AcceptForm form, Settings current) {
        FieldReader fields = new FieldReader();
        List<Other> agreed = new ArrayList<>();
        for (int i = 0; i < paper.lines().size(); i++) {
            Map<Integer, Other> prices = paper.lines().get(i).byNumber();
            String typed = i < form.units().size() ? form.units().get(i) : "";
            int units = fields.count("units." + i, typed, 1, BatchEntry.MOST_UNITS);
            Other price = prices.get(units);
            if (price == null) {
                fields.refuse(
                        "units." + i,
                        typed,
                        "This version has no price for " + units + " of “"
                                + paper.lines().get(i).about() + "”. It has prices for "
                                + prices.keySet().stream().map(String::valueOf).collect(Collectors.joining(", "))
                                + "; for another number give a new version.");
            } else {
                agreed.add(price);
            }
        }
        fields.check();
        if (!paper.currency().equals(current.currency().getCode())) {
            throw RefusedException.conflict("This version was given in " + paper.currency() + ", and the workroom uses "
                    + current.currency().getCode() + " now. Give a new version.");
        }
        return agreed;
    }

    private static List<OrderedLine> lines(GivenPaper paper, List<Other> agreed) {
        return IntStream.range(0, agreed.size())
                .mapToObj(i -> {
                    GivenLine line = paper.lines().get(i);
                    return new OrderedLine(
                            agreed.get(i).units(),
                            line.about() + (line.cloth().isEmpty() ? "" : " in " + line.cloth()),
                            line.wish());
                })
                .toList();
    }

    private BatchId batch(CustomerOrder order, GivenPaper paper, List<Other> agreed, Settings current) {
        BatchForm plan =
                reckoning.batch(paper.form(), agreed.stream().map(Other::units).toList());
        List<LineForm> lines = IntStream.range(0, agreed.size())
                .mapToObj(i -> priced(
                        plan.lines().get(i),
                        current.money(agreed.get(i).priceMinor()).getAmount().toPlainString()))
                .toList();
        return batches.create(
                new BatchForm(UUID.randomUUID(), 0, null, lines, paper.form().by(), forWhat(order), List.of()));
    }

    /** What the batch of an order is for, as it is called. */
    static String forWhat(CustomerOrder order) {
        String forWhat = "Order " + order.id() + ", " + order.who();
        return forWhat.substring(0, Math.min(LONGEST_FOR_WHAT, forWhat.length()));
    }

    private static LineForm priced(LineForm line, String price) {
        return new LineForm(
                line.number(),
                line.designId(),
                line.revision(),
                line.sizeName(),
                line.units(),
                line.started(),
                line.materials(),
                price,
                line.brought(),
                line.picks());
    }
}
