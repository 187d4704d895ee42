package mardun.app.quote;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeSet;
import java.util.UUID;
import mardun.app.batch.BatchEntry;
import mardun.app.batch.BatchReading;
import mardun.app.batch.BatchViews.BatchForm;
import mardun.app.batch.BatchViews.LineForm;
import mardun.app.days.DayPlans;
import mardun.app.days.DayPlans.Promise;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignService;
import mardun.app.design.PictureView;
import mardun.app.design.StandingPhotos;
import mardun.app.design.StandingPhotos.PhotoOf;
import mardun.app.id.DesignId;
import mardun.app.plan.OuterCloth;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.plan.PlannedPicture;
import mardun.app.price.ChannelService;
import mardun.app.problem.FieldReader;
import mardun.app.quote.QuoteViews.QuoteForm;
import mardun.app.quote.QuoteViews.QuoteLineForm;
import mardun.app.settings.Settings;
import mardun.core.batch.Need;
import mardun.core.design.Finding;
import mardun.core.pricing.Channel;
import mardun.core.pricing.PriceChoice;
import mardun.core.pricing.QuotedOrder;
import mardun.core.pricing.QuotedPrice;
import mardun.core.pricing.UnitTakes;
import org.joda.money.Money;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Works out what a quote comes to: as a batch that is planned with what is on the shelf, its set-ups spread over what is ordered. */
@Component
class QuoteReckoning {

    private static final int MOST_NUMBERS = 6;
    private static final BigDecimal MOST_MINUTES = BigDecimal.valueOf(600);
    private static final BigDecimal MILLIS_PER_MINUTE = BigDecimal.valueOf(60_000);
    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);

    private final BatchEntry entry;
    private final DesignService designs;
    private final BatchReading batches;
    private final DayPlans days;
    private final ChannelService channels;
    private final StandingPhotos photos;

    QuoteReckoning(
            BatchEntry entry,
            DesignService designs,
            BatchReading batches,
            DayPlans days,
            ChannelService channels,
            StandingPhotos photos) {
        this.photos = photos;
        this.entry = entry;
        this.designs = designs;
        this.batches = batches;
        this.days = days;
        this.channels = channels;
    }

    /**
     * A quote as it comes out.
     *
     * @param order the lines in the numbers that are asked for
     * @param depositShare what is paid before the work is begun, from 0 to 1
     */
    record Reckoned(List<Line> lines, QuotedOrder order, BigDecimal depositShare, Promise promise, List<String> toBuy) {

        /** What is paid before the work is begun; empty where a line has no price. */
        Optional<Money> deposit() {
            return order.total().map(total -> QuotedOrder.deposit(total, depositShare));
        }
    }

    /**
     * A line of it.
     *
     * @param picture of the bag in its cloths
     * @param photo the address of a photo that stands in its place; empty for none
     * @param problem why it has no price; empty where it has one
     * @param asked for the number that is asked for
     * @param others for the other numbers
     */
    record Line(
            String design,
            String size,
            String cloth,
            Optional<PictureView> picture,
            Optional<String> photo,
            Optional<Finding> problem,
            Asked asked,
            List<Asked> others) {}

    /**
     * What bags cost when so many are ordered.
     *
     * @param takes what one takes; empty while something is missing
     */
    record Asked(Optional<UnitTakes> takes, QuotedOrder.Line line) {

        int units() {
            return line.units();
        }

        Optional<QuotedPrice> quoted() {
            return line.price();
        }
    }

    /** A line as it was typed, read. */
    private record Typed(
            int units, List<Integer> numbers, Duration wishEach, Money wishMaterial, Optional<Money> own) {}

    /** Works it out; what can't be read is refused at its field. */
    Reckoned of(QuoteForm form, Settings current) {
        FieldReader fields = new FieldReader();
        fields.text("who", form.who(), 120);
        BigDecimal deposit = form.deposit().isBlank()
                ? BigDecimal.ZERO
                : fields.decimal("deposit", form.deposit(), BigDecimal.ZERO, HUNDRED)
                        .movePointLeft(2);
        List<Typed> typed = new ArrayList<>();
        for (int i = 0; i < form.lines().size(); i++) {
            typed.add(read(form.lines().get(i), "lines." + i + ".", fields, current));
        }
        fields.check();
        return new Whole(form, typed, deposit, current).reckoned();
    }

    /** The same of one that is stored, in a transaction of its own, so that the caller can go on where it is refused. */
    @Transactional(propagation = Propagation.REQUIRES_NEW, readOnly = true)
    public Reckoned ofStored(QuoteForm form, Settings current) {
        return of(form, current);
    }

    private Typed read(QuoteLineForm line, String place, FieldReader fields, Settings current) {
        if (sizeName(line).isEmpty()) {
            fields.refuse(place + "sizeKey", line.sizeKey(), "The design has this size no longer. Choose another one.");
        }
        int units = fields.count(place + "units", line.units(), 1, BatchEntry.MOST_UNITS);
        BigDecimal minutes = line.wishMinutes().isBlank()
                ? BigDecimal.ZERO
                : fields.decimal(place + "wishMinutes", line.wishMinutes(), BigDecimal.ZERO, MOST_MINUTES);
        return new Typed(
                units,
                numbers(line.numbers(), units, place + "numbers", fields),
                Duration.ofMillis(minutes.multiply(MILLIS_PER_MINUTE)
                        .setScale(0, RoundingMode.HALF_UP)
                        .longValueExact()),
                money(line.wishMaterial(), place + "wishMaterial", fields, current)
                        .orElse(current.money(0)),
                money(line.ownPrice(), place + "ownPrice", fields, current));
    }

    private static Optional<Money> money(String typed, String field, FieldReader fields, Settings current) {
        return typed.isBlank()
                ? Optional.empty()
                : Optional.of(current.money(fields.money(field, typed, current.currency())));
    }

    /** Other numbers than the one that is asked for, each once, the smallest first. */
    private static List<Integer> numbers(String typed, int units, String field, FieldReader fields) {
        TreeSet<Integer> numbers = new TreeSet<>();
        Arrays.stream(typed.strip().split("[,;\\s]+"))
                .filter(one -> !one.isEmpty())
                .forEach(one -> numbers.add(fields.count(field, one, 1, BatchEntry.MOST_UNITS)));
        numbers.remove(units);
        if (numbers.size() > MOST_NUMBERS) {
            fields.refuse(
                    field, typed, "These are " + numbers.size() + " numbers. Price at most " + MOST_NUMBERS + ".");
        }
        return List.copyOf(numbers);
    }

    /** What a line's size is called by now; empty where the design has it no longer. */
    private Optional<String> sizeName(QuoteLineForm line) {
        DesignDocument document = designs.document(line.designId());
        OptionalInt size = document.indexOf(line.sizeKey(), "");
        return size.isEmpty() ? Optional.empty() : Optional.of(document.sizes().get(size.getAsInt()));
    }

    /** The form as a batch, for other units of one of its lines where that is asked. */
    BatchForm batch(QuoteForm form, List<Integer> units) {
        List<LineForm> lines = new ArrayList<>();
        for (int i = 0; i < form.lines().size(); i++) {
            QuoteLineForm line = form.lines().get(i);
            lines.add(new LineForm(
                    null,
                    line.designId(),
                    null,
                    sizeName(line).orElse(""),
                    Integer.toString(units.get(i)),
                    null,
                    line.materials(),
                    "",
                    null,
                    line.picks()));
        }
        return new BatchForm(UUID.randomUUID(), 0, null, lines, form.by(), "", List.of());
    }

    /** A quote as it is worked out. */
    private final class Whole {

        private final QuoteForm form;
        private final List<Typed> typed;
        private final BigDecimal deposit;
        private final Settings current;
        private final Channel channel;
        private final PriceChoice choice;

        Whole(QuoteForm form, List<Typed> typed, BigDecimal deposit, Settings current) {
            this.form = form;
            this.typed = typed;
            this.deposit = deposit;
            this.current = current;
            this.channel =
                    channels.find(form.channelId()).channel(current.workroom().rates());
            this.choice = current.workroom().prices();
        }

        Reckoned reckoned() {
            List<Integer> asked = typed.stream().map(Typed::units).toList();
            Planned planned = entry.preview(batch(form, asked), current);
            List<Line> lines = new ArrayList<>();
            for (int i = 0; i < typed.size(); i++) {
                lines.add(line(i, planned, asked));
            }
            QuotedOrder order = new QuotedOrder(
                    lines.stream().map(line -> line.asked().line()).toList());
            return new Reckoned(
                    lines,
                    order,
                    deposit,
                    days.promise(batches.openWork(), order.time(), Optional.ofNullable(form.by())),
                    planned.toCome().stream()
                            .filter(Need::isShort)
                            .map(need -> need.supply().name())
                            .distinct()
                            .toList());
        }

        private Line line(int i, Planned planned, List<Integer> asked) {
            PlannedLine its = planned.line(i + 1);
            List<Asked> others = new ArrayList<>();
            for (int number : typed.get(i).numbers()) {
                List<Integer> units = new ArrayList<>(asked);
                units.set(i, number);
                Planned other = entry.preview(batch(form, units), current);
                others.add(asked(other.line(i + 1), typed.get(i), false));
            }
            Asked mine = asked(its, typed.get(i), true);
            OuterCloth cloth = OuterCloth.of(planned, its);
            DesignId design = its.chosen().designId();
            return new Line(
                    its.design().name(),
                    its.document().sizes().size() == 1 ? its.picked() : its.sizeWords(),
                    cloth.name(),
                    PlannedPicture.of(planned, its),
                    photos.of(List.of(design)).apply(new PhotoOf(design, cloth.materialId())),
                    mine.takes().isPresent()
                            ? Optional.empty()
                            : planned.plan().findings().stream()
                                    .filter(Finding::isRefused)
                                    .filter(finding -> typed.size() == 1
                                            || finding.place().startsWith("lines." + its.number() + "."))
                                    .findFirst(),
                    mine,
                    others);
        }

        private Asked asked(PlannedLine line, Typed its, boolean withOwn) {
            Optional<UnitTakes> takes = line.plan()
                    .cost()
                    .map(cost -> UnitTakes.of(cost, line.plan().time()).wishing(its.wishEach(), its.wishMaterial()));
            Optional<QuotedPrice> quoted = takes.flatMap(one -> QuotedPrice.of(
                    one,
                    channel,
                    choice.forSort(line.design().sort()),
                    form.favour(),
                    withOwn ? its.own() : Optional.empty()));
            return new Asked(
                    takes,
                    new QuotedOrder.Line(
                            line.plan().units(),
                            takes.map(one -> one.batchTime().dividedBy(one.units()))
                                    .orElse(Duration.ZERO),
                            quoted));
        }
    }
}
