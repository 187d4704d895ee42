package mardun.app.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import mardun.app.batch.BatchViews.SlotChoice;
import mardun.app.channel.Channels;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignService;
import mardun.app.id.DesignId;
import mardun.app.quote.QuoteService;
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
    private final DesignService designs;
    private final Channels channels;
    private final TravellingClock clock;

    DemoQuotes(QuoteService quotes, DesignService designs, Channels channels, TravellingClock clock) {
        this.quotes = quotes;
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
                "");
    }
}
