package mardun.app.ticket;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.batch.BatchLife;
import mardun.app.batch.BatchLife.NamedLine;
import mardun.app.batch.BatchLife.OpenLine;
import mardun.app.batch.BatchReading;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignService;
import mardun.app.goods.GoodsService;
import mardun.app.goods.GoodsThere;
import mardun.app.goods.Quality;
import mardun.app.id.BatchId;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialService;
import mardun.app.plan.ChosenLine;
import mardun.app.price.PriceBook;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.MoneyView;
import mardun.app.ticket.TicketLine.LineOf;
import mardun.app.ticket.TicketViews.TicketGoods;
import mardun.core.design.Licences;
import mardun.core.design.Source;
import mardun.core.label.Ticketed;
import mardun.core.label.Ticketed.Printed;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * The bags that tickets are printed for: those that are there, and those that are still to be made in batches, each with how many of them
 * have a ticket that holds. Tickets that were printed ahead go onto the bags of their line as these are done.
 */
@Component
class TicketBags {

    private final GoodsService goods;
    private final BatchLife batches;
    private final BatchReading made;
    private final DesignService designs;
    private final MaterialService materials;
    private final TicketRunRepository runs;
    private final PriceBook book;

    TicketBags(
            GoodsService goods,
            BatchLife batches,
            BatchReading made,
            DesignService designs,
            MaterialService materials,
            TicketRunRepository runs,
            PriceBook book) {
        this.goods = goods;
        this.batches = batches;
        this.made = made;
        this.designs = designs;
        this.materials = materials;
        this.runs = runs;
        this.book = book;
    }

    /**
     * Bags of a batch that are still to be made.
     *
     * @param sizeName empty where the design has one size
     * @param units how many
     */
    record Open(
            LineOf line,
            DesignId design,
            String name,
            String sizeKey,
            String sizeName,
            Optional<MaterialId> clothId,
            String clothName,
            int units) {

        TicketTexts.About about(String price) {
            return new TicketTexts.About(
                    name,
                    sizeName,
                    clothName,
                    Quality.GOOD,
                    Optional.of(design),
                    sizeKey,
                    Optional.of(line.batch()),
                    Optional.of(line.line()),
                    price);
        }
    }

    /**
     * A line's bags that are still to be made.
     *
     * @throws RefusedException if nothing of it is to be made any more
     */
    Open open(BatchId batch, int line) {
        return open(batches.openLines().stream()
                        .filter(one -> one.batch().equals(batch) && one.line().number() == line)
                        .toList())
                .stream()
                .findFirst()
                .orElseThrow(() -> RefusedException.conflict(
                        "Of some of these bags none are to be made any more. Open the list anew."));
    }

    private List<Open> open(List<OpenLine> lines) {
        Map<DesignId, Optional<String>> outer = new HashMap<>();
        Function<ChosenLine, Optional<MaterialId>> cloth = line -> outer.computeIfAbsent(
                        line.designId(),
                        id -> designs.design(id, line.revision()).outerSlot())
                .map(line.materials()::get);
        Map<MaterialId, String> names = materials.names(
                lines.stream().flatMap(one -> cloth.apply(one.line()).stream()).collect(Collectors.toSet()));
        List<Open> open = new ArrayList<>();
        for (OpenLine one : lines) {
            ChosenLine line = one.line();
            int units = line.wanted() - line.good() - line.seconds();
            if (units > 0 && line.open() > 0 && line.sizeKey() != null) {
                DesignDocument document = designs.document(line.designId());
                Optional<MaterialId> its = cloth.apply(line);
                open.add(new Open(
                        new LineOf(one.batch(), line.number()),
                        line.designId(),
                        document.name(),
                        line.sizeKey(),
                        document.sizes().size() == 1 ? "" : line.sizeName(),
                        its,
                        its.map(names::get).orElse(""),
                        Math.min(units, line.open())));
            }
        }
        return open;
    }

    /** All of them, those that are there first. */
    List<TicketGoods> all(ChannelId channel, Settings current) {
        List<GoodsThere> there = goods.there();
        List<Open> open = open(batches.openLines());
        Tickets tickets = new Tickets(there, open, new TicketPrices(book, current), channel, current.writer());
        return Stream.concat(there.stream().map(tickets::of), open.stream().map(tickets::of))
                .toList();
    }

    /** What was printed for them. */
    private final class Tickets {

        private final TicketPrices prices;
        private final ChannelId channel;
        private final ViewWriter writer;
        private final Map<Long, List<TicketLine>> forGoods;
        private final Map<LineOf, List<TicketLine>> ahead;
        private final Map<Long, List<Printed>> aheadOnGoods = new HashMap<>();
        private final Map<LineOf, List<Printed>> aheadOnOpen = new HashMap<>();

        Tickets(List<GoodsThere> there, List<Open> open, TicketPrices prices, ChannelId channel, ViewWriter writer) {
            this.prices = prices;
            this.channel = channel;
            this.writer = writer;
            forGoods = there.isEmpty()
                    ? Map.of()
                    : runs.printedFor(there.stream().map(GoodsThere::id).toList()).stream()
                            .collect(Collectors.groupingBy(TicketLine::goodsId));
            Set<BatchId> its = new HashSet<>();
            there.forEach(bags -> bags.batchId().ifPresent(its::add));
            open.forEach(bags -> its.add(bags.line().batch()));
            ahead = its.isEmpty()
                    ? Map.of()
                    : runs.printedAhead(its).stream().collect(Collectors.groupingBy(TicketLine::bags));
            ahead.forEach((line, printed) -> share(line, printed, there, open));
        }

        /** Those that are gone wear the first, those that are there the next, in the order in which they were done. */
        private void share(LineOf line, List<TicketLine> printed, List<GoodsThere> there, List<Open> open) {
            List<GoodsThere> done = there.stream()
                    .filter(bags -> bags.quality() == Quality.GOOD && line.equals(lineOf(bags)))
                    .sorted(Comparator.comparing(GoodsThere::id))
                    .toList();
            int good = batches.lines(List.of(line.batch())).getOrDefault(line.batch(), List.of()).stream()
                    .map(NamedLine::line)
                    .filter(one -> one.number() == line.line())
                    .mapToInt(ChosenLine::good)
                    .sum();
            List<Integer> bags = new ArrayList<>();
            bags.add(
                    Math.max(0, good - done.stream().mapToInt(GoodsThere::units).sum()));
            done.forEach(one -> bags.add(one.units()));
            bags.add(0);
            Optional<Open> toBeMade =
                    open.stream().filter(one -> one.line().equals(line)).findFirst();
            Predicate<TicketLine> holds = toBeMade.<Predicate<TicketLine>>map(
                            one -> ticket -> holds(ticket, its -> prices.of(one, its)))
                    .orElseGet(() -> done.isEmpty()
                            ? ticket -> true
                            : ticket -> holds(ticket, its -> prices.of(done.get(0), its)));
            List<List<Printed>> shared = Ticketed.shared(
                    printed.stream()
                            .map(ticket -> new Printed(ticket.cameOut(), holds.test(ticket)))
                            .toList(),
                    bags);
            for (int i = 0; i < done.size(); i++) {
                aheadOnGoods.put(done.get(i).id(), shared.get(i + 1));
            }
            aheadOnOpen.put(line, shared.get(shared.size() - 1));
        }

        private static @Nullable LineOf lineOf(GoodsThere bags) {
            return bags.batchId()
                    .map(batch -> new LineOf(batch, bags.lineNumber().orElse(1)))
                    .orElse(null);
        }

        /** Whether a ticket says what is asked now, or something that follows no book. */
        private static boolean holds(TicketLine ticket, Function<ChannelId, Optional<Money>> asked) {
            return ticket.isOwnPrice()
                    || ticket.priceMinor().isEmpty()
                    || ticket.run()
                            .channelId()
                            .flatMap(asked)
                            .map(price -> price.getAmountMinorLong()
                                    == ticket.priceMinor().get())
                            .orElse(true);
        }

        TicketGoods of(GoodsThere bags) {
            List<TicketLine> own = forGoods.getOrDefault(bags.id(), List.of());
            LineOf line = lineOf(bags);
            List<TicketLine> others = line == null ? List.of() : ahead.getOrDefault(line, List.of());
            Function<ChannelId, Optional<Money>> asked = its -> prices.of(bags, its);
            List<Printed> worn = Stream.concat(
                            own.stream().map(ticket -> new Printed(ticket.cameOut(), holds(ticket, asked))),
                            aheadOnGoods.getOrDefault(bags.id(), List.of()).stream())
                    .toList();
            Ticketed ticketed = Ticketed.of(bags.units(), worn);
            return new TicketGoods(
                    bags.id(),
                    bags.batchId().orElse(null),
                    bags.lineNumber().orElse(null),
                    bags.designName(),
                    bags.sizeName(),
                    bags.clothName(),
                    bags.quality(),
                    bags.units(),
                    prices.of(bags, channel).map(writer::money).orElse(null),
                    ticketed.right(),
                    ticketed.outOfDate(),
                    ticketed.without(),
                    ticketed.toPrint(),
                    wrongPrice(ticketed, Stream.concat(own.stream(), others.stream()), asked),
                    bags.designId().map(id -> licence(id, bags.units())).orElse(null));
        }

        TicketGoods of(Open bags) {
            Function<ChannelId, Optional<Money>> asked = its -> prices.of(bags, its);
            Ticketed ticketed = Ticketed.of(bags.units(), aheadOnOpen.getOrDefault(bags.line(), List.of()));
            return new TicketGoods(
                    null,
                    bags.line().batch(),
                    bags.line().line(),
                    bags.name(),
                    bags.sizeName(),
                    bags.clothName(),
                    Quality.GOOD,
                    bags.units(),
                    prices.of(bags, channel).map(writer::money).orElse(null),
                    ticketed.right(),
                    ticketed.outOfDate(),
                    ticketed.without(),
                    ticketed.toPrint(),
                    wrongPrice(ticketed, ahead.getOrDefault(bags.line(), List.of()).stream(), asked),
                    licence(bags.design(), bags.units()));
        }

        private @Nullable MoneyView wrongPrice(
                Ticketed ticketed, Stream<TicketLine> printed, Function<ChannelId, Optional<Money>> asked) {
            return ticketed.outOfDate() == 0
                    ? null
                    : printed.filter(ticket -> !holds(ticket, asked))
                            .findFirst()
                            .flatMap(TicketLine::priceMinor)
                            .map(writer::money)
                            .orElse(null);
        }

        private @Nullable String licence(DesignId id, int units) {
            Source source = designs.source(id);
            // All that are made or planned count, those that tickets are printed for among them.
            boolean counts = source.licence().isLimited();
            return Licences.look(source, counts ? made.licensedUnitsOf(id, source) : 0, counts ? 0 : units)
                    .map(finding -> writer.sentence(finding.what()))
                    .orElse(null);
        }
    }
}
