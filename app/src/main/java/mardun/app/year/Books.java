package mardun.app.year;

import java.time.Clock;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.channel.Channels;
import mardun.app.channel.KeptChannel;
import mardun.app.goods.GoodsLedger;
import mardun.app.id.ChannelId;
import mardun.app.id.FairId;
import mardun.app.material.ShelfValue;
import mardun.app.problem.Days;
import mardun.app.quote.KeptDeposits.KeptDeposit;
import mardun.app.sale.SalesBook.Entry;
import mardun.app.selling.FairRecords.FairLeft;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.app.year.BookEntries.Entries;
import mardun.app.year.YearViews.Book;
import mardun.app.year.YearViews.BooksView;
import mardun.app.year.YearViews.FigureCell;
import mardun.app.year.YearViews.FigureColumn;
import mardun.app.year.YearViews.FigureRow;
import mardun.app.year.YearViews.FigureTable;
import mardun.core.material.MaterialKind;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Twelve months for whoever keeps the books: what came in, what was paid, what lay there at both ends. Each figure opens to its entries. */
@Service
class Books {

    private final BookEntries entries;
    private final ShelfValue shelf;
    private final GoodsLedger goods;
    private final Channels channels;
    private final SettingsService settings;
    private final Clock clock;
    private final Remembered<Asked, BooksView> known;

    Books(
            BookEntries entries,
            ShelfValue shelf,
            GoodsLedger goods,
            Channels channels,
            SettingsService settings,
            Clock clock,
            Changes changes) {
        this.known = new Remembered<>(changes);
        this.entries = entries;
        this.shelf = shelf;
        this.goods = goods;
        this.channels = channels;
        this.settings = settings;
        this.clock = clock;
    }

    private record Asked(LocalDate first, LocalDate today) {}

    /** Twelve months from the month of a day on. */
    @Transactional(readOnly = true)
    public BooksView books(LocalDate from) {
        YearSpan span = new YearSpan(from);
        return known.get(new Asked(span.first(), LocalDate.now(clock)), asked -> workOut(span));
    }

    private BooksView workOut(YearSpan span) {
        Cells cells = new Cells(settings.current());
        Entries all = entries.between(span.first(), span.until());
        Map<FigureColumn, Function<Entries, FigureCell>> columns = columns(all, cells);
        List<FigureRow> rows = new ArrayList<>();
        for (YearMonth month : span.months()) {
            Entries its = all.on(day -> YearMonth.from(day).equals(month));
            rows.add(new FigureRow(row(Cells.month(month), its, columns), false));
        }
        rows.add(new FigureRow(row(Cells.text("together"), all, columns), true));
        return new BooksView(
                span.first(),
                span.until().minusDays(1),
                span.words(),
                new FigureTable(
                        Stream.concat(Stream.of(Cells.words("month")), columns.keySet().stream())
                                .toList(),
                        rows),
                stock(span, cells),
                notes(span, all));
    }

    /** What is said of each month. Deposits that were kept only where there are any: most makers keep none. */
    private static Map<FigureColumn, Function<Entries, FigureCell>> columns(Entries all, Cells cells) {
        Map<FigureColumn, Function<Entries, FigureCell>> columns = new LinkedHashMap<>();
        columns.put(Cells.figure("sales"), its -> Cells.count(its.sales().size()));
        columns.put(cells.money("paid by buyers"), its -> cells.money(its.paid()));
        if (!all.deposits().isEmpty()) {
            columns.put(cells.money("deposits kept"), its -> cells.money(its.kept()));
        }
        columns.put(cells.money("tax in it"), its -> cells.money(its.tax()));
        columns.put(cells.money("fees of selling"), its -> cells.money(its.fees()));
        columns.put(cells.money("purchases"), its -> cells.money(its.bought()));
        columns.put(cells.money("fairs"), its -> cells.money(its.fairCosts()));
        columns.put(cells.money("travel"), its -> cells.money(its.travel()));
        columns.put(Cells.hours("at the bench"), its -> cells.time(its.benchTime()));
        columns.put(Cells.hours("for fairs"), its -> cells.time(its.fairTime()));
        return columns;
    }

    private static List<FigureCell> row(
            FigureCell name, Entries its, Map<FigureColumn, Function<Entries, FigureCell>> columns) {
        return Stream.concat(Stream.of(name), columns.values().stream().map(column -> column.apply(its)))
                .toList();
    }

    /** What something was worth at both ends, in minor units. */
    private record Ends(long first, long last) {}

    /** What lay there in the evening before the first day and on the last one, or today where that isn't yet. */
    private FigureTable stock(YearSpan span, Cells cells) {
        Map<String, Ends> ends = new LinkedHashMap<>();
        for (MaterialKind kind : MaterialKind.values()) {
            ends.put(words(kind), new Ends(0, 0));
        }
        value(first(span), (name, minor) -> ends.merge(name, new Ends(minor, 0), Books::plus));
        value(last(span), (name, minor) -> ends.merge(name, new Ends(0, minor), Books::plus));
        ends.values().removeIf(new Ends(0, 0)::equals);
        Ends all = ends.values().stream().reduce(new Ends(0, 0), Books::plus);
        List<FigureRow> rows = new ArrayList<>();
        ends.forEach((name, its) -> rows.add(stockRow(name, its, false, cells)));
        rows.add(stockRow("together", all, true, cells));
        return new FigureTable(
                List.of(
                        Cells.words("what lay there"),
                        cells.money("on " + Days.words(first(span))),
                        cells.money("on " + Days.words(last(span))),
                        cells.money("more or less")),
                rows);
    }

    private static Ends plus(Ends one, Ends other) {
        return new Ends(one.first() + other.first(), one.last() + other.last());
    }

    private static FigureRow stockRow(String name, Ends its, boolean isAll, Cells cells) {
        return new FigureRow(
                List.of(
                        Cells.text(name),
                        cells.money(its.first()),
                        cells.money(its.last()),
                        cells.money(its.last() - its.first())),
                isAll);
    }

    private static LocalDate first(YearSpan span) {
        return span.first().minusDays(1);
    }

    private LocalDate last(YearSpan span) {
        LocalDate today = LocalDate.now(clock);
        LocalDate last = span.until().minusDays(1);
        return last.isAfter(today) ? today : last;
    }

    private static String words(MaterialKind kind) {
        return kind.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** What lay there at the end of a day: materials by their kinds, cut pieces, finished bags. */
    private void value(LocalDate day, BiConsumer<String, Long> worth) {
        ShelfValue.Worth materials = shelf.worthOn(day);
        materials.kinds().forEach((kind, minor) -> worth.accept(words(kind), minor));
        worth.accept("cut, not sewn", materials.cut());
        worth.accept(
                "finished bags",
                goods.worthAt(day.plusDays(1).atStartOfDay(clock.getZone()).toInstant())
                        .minor());
    }

    private List<String> notes(YearSpan span, Entries all) {
        List<String> notes = new ArrayList<>();
        notes.add("Materials are valued by "
                + settings.current().valuing().school().words() + ", finished bags at what they cost.");
        if (!all.deposits().isEmpty()) {
            notes.add("A deposit that was kept is no sale, and no tax is reckoned in it: ask whether there is.");
        }
        notes.add("Tax and fees are those of each channel’s terms on the day of the sale.");
        if (LocalDate.now(clock).isBefore(span.until())) {
            notes.add("These months aren’t over: the last figures are those of today.");
        }
        long open = all.fairs().stream().filter(fair -> !fair.settled()).count();
        if (open > 0) {
            notes.add(
                    open == 1
                            ? "One fair isn’t settled: its costs and hours are those that were typed before."
                            : open + " fairs aren’t settled: their costs and hours are those that were typed before.");
        }
        notes.add("This adds up what was entered. It is no tax advice: ask someone who may give it.");
        return notes;
    }

    /**
     * What some months' figures rest on.
     *
     * @param from a day of the first month
     * @param months how many, from one to twelve
     */
    @Transactional(readOnly = true)
    public FigureTable entries(Book book, LocalDate from, int months) {
        LocalDate first = new YearSpan(from).first();
        Cells cells = new Cells(settings.current());
        Entries its = entries.between(first, first.plusMonths(months));
        return switch (book) {
            case SALES -> sales(its, cells);
            case PURCHASES -> purchases(its, cells);
            case FAIRS -> fairs(its, cells);
            case HOURS -> hours(its, cells);
        };
    }

    private FigureTable sales(Entries its, Cells cells) {
        Map<ChannelId, String> names =
                channels.all().stream().collect(Collectors.toMap(KeptChannel::id, KeptChannel::name));
        Map<FairId, String> fairs = its.fairs().stream().collect(Collectors.toMap(FairLeft::id, FairLeft::name));
        return new FigureTable(
                List.of(
                        Cells.words("day"),
                        Cells.words("sold"),
                        Cells.words("paid by"),
                        Cells.figure("bags"),
                        cells.money("paid"),
                        cells.money("tax in it"),
                        cells.money("fees"),
                        Cells.words("note")),
                Stream.concat(
                                its.sales().stream().map(sale -> sale(sale, names, fairs, cells)),
                                its.deposits().stream().map(one -> deposit(one, cells)))
                        .sorted(Comparator.comparing(row -> row.cells().get(0).exact()))
                        .toList());
    }

    private static FigureRow sale(Entry sale, Map<ChannelId, String> names, Map<FairId, String> fairs, Cells cells) {
        return new FigureRow(
                List.of(
                        Cells.day(sale.day()),
                        Cells.text(Optional.ofNullable(sale.fair())
                                .map(fairs::get)
                                .orElse(names.getOrDefault(sale.channel(), ""))),
                        Cells.text(sale.tender().name().toLowerCase(Locale.ROOT)),
                        Cells.count(sale.units()),
                        cells.money(sale.paidMinor()),
                        cells.money(sale.taxMinor()),
                        cells.money(sale.feesMinor()),
                        Cells.text(sale.note())),
                false);
    }

    private static FigureRow deposit(KeptDeposit one, Cells cells) {
        return new FigureRow(
                List.of(
                        Cells.day(one.day()),
                        Cells.text("deposit kept"),
                        Cells.text(""),
                        Cells.none(),
                        cells.money(one.minor()),
                        Cells.none(),
                        Cells.none(),
                        Cells.text("order " + one.order() + " was cancelled")),
                false);
    }

    private FigureTable purchases(Entries its, Cells cells) {
        Settings current = settings.current();
        return new FigureTable(
                List.of(
                        Cells.words("day"),
                        Cells.words("material"),
                        Cells.words("how much"),
                        Cells.words("from"),
                        cells.money("paid"),
                        cells.money("postage and duty in it")),
                its.purchases().stream()
                        .map(one -> new FigureRow(
                                List.of(
                                        Cells.day(one.day()),
                                        Cells.text(one.material()),
                                        Cells.text(current.writer()
                                                .amount(one.amount())
                                                .text()),
                                        Cells.text(one.from()),
                                        cells.money(one.paidMinor()),
                                        cells.money(one.extraMinor())),
                                false))
                        .toList());
    }

    private static FigureTable fairs(Entries its, Cells cells) {
        return new FigureTable(
                List.of(
                        Cells.words("day"),
                        Cells.words("fair"),
                        cells.money("stall fee"),
                        cells.money("travel"),
                        cells.money("sleeping"),
                        cells.money("food"),
                        cells.money("helpers"),
                        cells.money("other costs"),
                        Cells.words("settled")),
                its.fairs().stream()
                        .map(fair -> new FigureRow(
                                List.of(
                                        Cells.day(fair.heldOn()),
                                        Cells.text(fair.name()),
                                        cells.money(fair.costs().stall()),
                                        cells.money(fair.costs().travel()),
                                        cells.money(fair.costs().sleep()),
                                        cells.money(fair.costs().food()),
                                        cells.money(fair.costs().helpers()),
                                        cells.money(fair.costs().other()),
                                        Cells.text(fair.settled() ? "yes" : "no")),
                                false))
                        .toList());
    }

    private static FigureTable hours(Entries its, Cells cells) {
        List<FigureRow> rows = new ArrayList<>();
        its.bench()
                .forEach(one -> rows.add(new FigureRow(
                        List.of(Cells.day(one.day()), Cells.text("at the bench"), cells.time(one.time())), false)));
        its.fairs()
                .forEach(fair -> rows.add(new FigureRow(
                        List.of(
                                Cells.day(fair.heldOn()),
                                Cells.text(fair.name() + ", with the way"),
                                cells.time(BookEntries.away(fair))),
                        false)));
        return new FigureTable(List.of(Cells.words("day"), Cells.words("what"), Cells.hours("time")), rows);
    }
}
