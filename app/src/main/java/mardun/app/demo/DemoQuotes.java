package mardun.app.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import mardun.app.batch.BatchViews.DoneForm;
import mardun.app.batch.BatchViews.SlotChoice;
import mardun.app.channel.Channels;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignService;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.quote.CustomerOrderViews.CustomerOrderView;
import mardun.app.quote.CustomerOrderViews.DepositForm;
import mardun.app.quote.CustomerOrderViews.OrderNoteForm;
import mardun.app.quote.OrderService;
import mardun.app.quote.QuoteAcceptance;
import mardun.app.quote.QuoteService;
import mardun.app.quote.QuoteViews.AcceptForm;
import mardun.app.quote.QuoteViews.DeclineForm;
import mardun.app.quote.QuoteViews.QuoteForm;
import mardun.app.quote.QuoteViews.QuoteLineForm;
import mardun.app.quote.QuoteViews.QuotePaperForm;
import mardun.app.quote.QuoteViews.QuoteStep;
import mardun.core.pricing.Favour;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** What people have asked the invented maker for: one waits for an answer, one found it too late. */
@Component
@ConditionalOnProperty("mardun.demo")
class DemoQuotes {

    private final QuoteService quotes;
    private final QuoteAcceptance acceptance;
    private final OrderService orders;
    private final DemoBatches batches;
    private final DesignService designs;
    private final Channels channels;
    private final TravellingClock clock;

    DemoQuotes(
            QuoteService quotes,
            QuoteAcceptance acceptance,
            OrderService orders,
            DemoBatches batches,
            DesignService designs,
            Channels channels,
            TravellingClock clock) {
        this.quotes = quotes;
        this.acceptance = acceptance;
        this.orders = orders;
        this.batches = batches;
        this.designs = designs;
        this.channels = channels;
        this.clock = clock;
    }

    void enter(LocalDate today) {
        Map<String, DesignId> ids =
                designs.names().stream().collect(Collectors.toMap(one -> one.name(), one -> one.id()));
        quotes.changePaper(new QuotePaperForm(
                quotes.paper().version(),
                "Sandpiper Bags\nLaundry Yard 4\nPort Ebb",
                quotes.paper().terms(),
                "30",
                "21"));
        clock.on(today.minusDays(30), () -> {
            long late = quotes.begin(form(
                    "Marram rowing club",
                    today.minusDays(12),
                    Favour.NONE,
                    "",
                    line(ids.get("Gannet tool roll"), "10", "", "")));
            quotes.give(late, new QuoteStep(quotes.get(late).form().version()));
        });
        clock.on(today.minusDays(26), () -> {
            long late = quotes.list().get(0).id();
            quotes.decline(
                    late,
                    new DeclineForm(quotes.get(late).form().version(), "needed them a week before they’d be done"));
        });
        clock.on(today.minusDays(3), () -> {
            long choir = quotes.begin(form(
                    "Tideway choir",
                    today.plusDays(24),
                    Favour.AT_COST,
                    "For your sale on the third Sunday in Advent.",
                    line(ids.get("Tern tote"), "12", "24", "the choir’s name on the label")));
            quotes.give(choir, new QuoteStep(quotes.get(choir).form().version()));
        });
        orderFobs(today, ids.get("Puffin key fob"));
    }

    /** An order whose bags are made and wait to be fetched. */
    private void orderFobs(LocalDate today, DesignId fob) {
        List<Long> made = new ArrayList<>();
        clock.on(today.minusDays(20), () -> {
            long asked = quotes.begin(form(
                    "Slipway nursery", today.plusDays(4), Favour.NONE, "", line(fob, "6", "", "one for each helper")));
            quotes.give(asked, new QuoteStep(quotes.get(asked).form().version()));
            acceptance.accept(
                    asked,
                    new AcceptForm(UUID.randomUUID(), quotes.get(asked).form().version(), 1, List.of("6")));
            made.add(orderOf(asked).id());
        });
        long order = made.get(0);
        clock.on(today.minusDays(18), () -> {
            orders.payDeposit(order, new DepositForm(orders.get(order).version(), true));
            orders.note(
                    order,
                    new OrderNoteForm(UUID.randomUUID(), "Rang: wants to fetch them after their party on Friday."));
        });
        BatchId batch = orders.get(order).batchId();
        batches.cut(today.minusDays(15), batch);
        batches.finish(today.minusDays(13), batch, new DoneForm(1, "6", "", ""));
    }

    private CustomerOrderView orderOf(long quote) {
        return Objects.requireNonNull(quotes.get(quote).order());
    }

    private QuoteForm form(String who, LocalDate by, Favour favour, String note, QuoteLineForm line) {
        return new QuoteForm(
                UUID.randomUUID(),
                0,
                who,
                "",
                by,
                channels.named("Private order").orElseThrow().id(),
                favour,
                "30",
                null,
                note,
                List.of(line));
    }

    private QuoteLineForm line(DesignId id, String units, String numbers, String wish) {
        DesignDocument document = designs.document(id);
        return new QuoteLineForm(
                id,
                document.sizeKey(document.sizes().get(0)),
                document.slots().stream()
                        .filter(slot -> slot.materialId() != null)
                        .map(slot -> new SlotChoice(slot.key(), slot.materialId()))
                        .toList(),
                units,
                numbers,
                wish,
                wish.isEmpty() ? "" : "4",
                wish.isEmpty() ? "" : "0.30",
                "",
                null);
    }
}
