package mardun.app.year;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.selling.FairRecords.FairLeft;
import mardun.app.settings.Settings;
import mardun.app.year.YearReading.Lying;
import mardun.app.year.YearReading.Sold;
import mardun.app.year.YearViews.AnswerView;
import mardun.app.year.YearViews.FigureCell;
import mardun.app.year.YearViews.FigureRow;
import mardun.app.year.YearViews.FigureTable;
import mardun.app.year.YearViews.Question;
import mardun.core.working.Figure;
import mardun.core.year.AveragePrice;
import mardun.core.year.Earned;
import mardun.core.year.MoneyFlow;
import mardun.core.year.SoldBags;
import org.joda.money.Money;

/** What sales answer: what earns most, when it came in, where it went, which fairs were worth it, what lies. */
final class SalesCharts {

    private static final String NOTHING_SOLD = "Nothing was sold in these months.";

    private final Settings current;
    private final Cells cells;
    private final YearSpan span;

    SalesCharts(Settings current, YearSpan span) {
        this.current = current;
        this.cells = new Cells(current);
        this.span = span;
    }

    private record Group(String name, Earned earned) {

        Optional<Money> perHour() {
            return earned.perHour().map(Figure::value);
        }
    }

    /** What an hour of making earned, by something that has a name. */
    AnswerView earns(Question question, String what, List<Sold> sold, Function<Sold, String> name) {
        Map<String, List<Sold>> byName = sold.stream().collect(Collectors.groupingBy(name));
        List<Group> groups = byName.entrySet().stream()
                .map(some -> new Group(
                        some.getKey(),
                        Earned.of(some.getValue().stream().map(Sold::bags).toList(), current.currency())))
                .sorted(Comparator.comparing(
                                (Group group) -> group.perHour().orElse(null),
                                Comparator.nullsLast(Comparator.reverseOrder()))
                        .thenComparing(Group::name))
                .toList();
        Money wanted = current.workroom().hourlyRate();
        List<FigureRow> rows = groups.stream()
                .map(group -> new FigureRow(
                        List.of(
                                Cells.text(group.name()),
                                Cells.count(group.earned().bags()),
                                cells.money(group.earned().paid()),
                                cells.money(group.earned().left()),
                                Cells.count(group.earned().timed()),
                                cells.time(group.earned().time()),
                                group.earned().perHour().map(cells::money).orElse(Cells.none())),
                        group.perHour().map(hour -> hour.isLessThan(wanted)).orElse(false)))
                .toList();
        int unknown = groups.stream()
                .mapToInt(group -> group.earned().bags() - group.earned().timed())
                .sum();
        return new AnswerView(
                question,
                "What earns most for an hour, by " + what + "?",
                earnsAnswer(groups, wanted, sold.isEmpty()),
                unknown == 0
                        ? ""
                        : "How long they took isn’t known of " + unknown
                                + " of the bags: they were done before that was"
                                + " kept, or entered from a list. They count in what was paid and left, not for the hour.",
                cells.money(wanted),
                new FigureTable(
                        List.of(
                                Cells.words(what),
                                Cells.figure("bags"),
                                cells.money("paid"),
                                cells.money("left"),
                                Cells.figure("of known time"),
                                Cells.hours("making these"),
                                cells.money("an hour")),
                        rows));
    }

    private String earnsAnswer(List<Group> groups, Money wanted, boolean nothing) {
        if (nothing) {
            return NOTHING_SOLD;
        }
        List<Group> known =
                groups.stream().filter(group -> group.perHour().isPresent()).toList();
        if (known.isEmpty()) {
            return "Of nothing that was sold is known how long it took. Batches that are timed at the bench tell.";
        }
        Group most = known.get(0);
        Group least = known.get(known.size() - 1);
        String wants = least.perHour().orElseThrow().isLessThan(wanted)
                ? " You want " + cells.amount(wanted) + "."
                : " All earn the " + cells.amount(wanted) + " that you want.";
        return known.size() == 1
                ? most.name() + " earned " + cells.amount(most.perHour().orElseThrow()) + " an hour." + wants
                : most.name() + " earned most, " + cells.amount(most.perHour().orElseThrow()) + " an hour; "
                        + least.name() + " least, "
                        + cells.amount(least.perHour().orElseThrow()) + "." + wants;
    }

    /** What came in month by month, beside the year before. */
    AnswerView months(List<Sold> sold, List<Sold> before, LocalDate today) {
        Map<YearMonth, List<Sold>> byMonth = byMonth(sold);
        Map<YearMonth, List<Sold>> byMonthBefore = byMonth(before);
        List<FigureRow> rows = span.months().stream()
                .map(month -> {
                    List<Sold> its = byMonth.getOrDefault(month, List.of());
                    List<Sold> earlier = byMonthBefore.getOrDefault(month.minusYears(1), List.of());
                    return new FigureRow(
                            List.of(
                                    Cells.month(month),
                                    cells.money(paid(its)),
                                    Cells.count(bags(its)),
                                    cells.money(paid(earlier)),
                                    Cells.count(bags(earlier))),
                            false);
                })
                .toList();
        return new AnswerView(
                Question.MONTHS,
                "When does money come in?",
                monthsAnswer(sold, before, today),
                "",
                null,
                new FigureTable(
                        List.of(
                                Cells.words("month"),
                                cells.money("paid"),
                                Cells.figure("bags"),
                                cells.money("paid a year before"),
                                Cells.figure("bags a year before")),
                        rows));
    }

    /** A year that isn't over is compared with as many days of the year before. */
    private String monthsAnswer(List<Sold> sold, List<Sold> before, LocalDate today) {
        if (sold.isEmpty()) {
            return NOTHING_SOLD;
        }
        boolean isOver = !span.until().isAfter(today);
        LocalDate sameDay = today.minusYears(1);
        long now = paid(sold);
        long then = paid(
                isOver
                        ? before
                        : before.stream()
                                .filter(one -> !one.line().day().isAfter(sameDay))
                                .toList());
        String came = "Buyers paid " + cells.amount(now) + (isOver ? "" : " so far");
        if (then == 0) {
            return came + "; a year before, nothing.";
        }
        return now == then
                ? came + ", just as much as a year before."
                : came + ", " + cells.amount(Math.abs(now - then)) + (now > then ? " more" : " less")
                        + " than a year before" + (isOver ? "." : " until the same day.");
    }

    private static Map<YearMonth, List<Sold>> byMonth(List<Sold> sold) {
        return sold.stream()
                .collect(Collectors.groupingBy(one -> YearMonth.from(one.line().day())));
    }

    private static long paid(List<Sold> sold) {
        return sold.stream().mapToLong(one -> one.bags().paid()).sum();
    }

    private static int bags(List<Sold> sold) {
        return sold.stream().mapToInt(one -> one.bags().bags()).sum();
    }

    /** Where the money went. */
    AnswerView flow(List<Sold> sold, List<FairLeft> fairs) {
        MoneyFlow flow = MoneyFlow.of(
                sold.stream().map(Sold::bags).toList(),
                fairs.stream()
                        .mapToLong(fair -> fair.costs().together().getAmountMinorLong())
                        .sum(),
                fairs.stream().mapToLong(FairLeft::goneMinor).sum(),
                current.currency());
        long sales = flow.sales().getAmountMinorLong();
        List<FigureRow> rows = flow.parts().entrySet().stream()
                .map(part -> new FigureRow(
                        List.of(
                                Cells.text(part.getKey().words()),
                                cells.money(part.getValue()),
                                share(part.getValue().getAmountMinorLong(), sales)),
                        part.getValue().isNegative()))
                .toList();
        return new AnswerView(
                Question.FLOW,
                "Where did the money go?",
                sales == 0 ? NOTHING_SOLD : flowAnswer(flow),
                flow.unknownBags() == 0
                        ? ""
                        : "Of " + flow.unknownBags() + " bags it isn’t known what of their cost was work: all of it is"
                                + " among material.",
                null,
                new FigureTable(
                        List.of(Cells.words("to"), cells.money("amount"), Cells.percent("of what was paid")), rows));
    }

    private static FigureCell share(long minor, long whole) {
        return whole == 0 ? Cells.none() : Cells.percentage(percent(minor, whole));
    }

    private static int percent(long minor, long whole) {
        return BigDecimal.valueOf(minor)
                .movePointRight(2)
                .divide(BigDecimal.valueOf(whole), 0, RoundingMode.HALF_UP)
                .intValueExact();
    }

    private String flowAnswer(MoneyFlow flow) {
        long sales = flow.sales().getAmountMinorLong();
        Money left = flow.parts().get(MoneyFlow.To.LEFT);
        Money labour = flow.parts().get(MoneyFlow.To.LABOUR);
        int material = percent(flow.parts().get(MoneyFlow.To.MATERIAL).getAmountMinorLong(), sales);
        return "Of each 100 that buyers paid, " + material + " were material and "
                + percent(labour.getAmountMinorLong(), sales) + " paid your work"
                + (left.isNegative()
                        ? "; it lacked " + cells.amount(left.abs()) + " to pay all of that."
                        : "; " + percent(left.getAmountMinorLong(), sales) + " are left beyond it.");
    }

    /** The fairs, each with what it left. */
    AnswerView fairs(List<FairLeft> fairs) {
        List<FairLeft> sorted = fairs.stream()
                .sorted(Comparator.comparing(
                                (FairLeft fair) ->
                                        fair.perHourThere().map(Figure::value).orElse(null),
                                Comparator.nullsLast(Comparator.reverseOrder()))
                        .thenComparing(FairLeft::heldOn))
                .toList();
        long open = fairs.stream().filter(fair -> !fair.settled()).count();
        return new AnswerView(
                Question.FAIRS,
                "Which fairs were worth going to?",
                fairsAnswer(sorted),
                open == 0
                        ? ""
                        : open + (open == 1 ? " of them isn’t" : " of them aren’t")
                                + " settled: what it left is calculated, not counted.",
                null,
                new FigureTable(
                        List.of(
                                Cells.words("fair"),
                                Cells.words("day"),
                                Cells.figure("bags"),
                                cells.money("paid"),
                                cells.money("left"),
                                cells.money("an hour there")),
                        sorted.stream()
                                .map(fair -> new FigureRow(
                                        List.of(
                                                Cells.text(fair.name()),
                                                Cells.day(fair.heldOn()),
                                                Cells.count(fair.bags()),
                                                cells.money(fair.paidMinor()),
                                                cells.money(fair.left()),
                                                fair.perHourThere()
                                                        .map(cells::money)
                                                        .orElse(Cells.none())),
                                        fair.left().isNegative()))
                                .toList()));
    }

    private String fairsAnswer(List<FairLeft> sorted) {
        if (sorted.isEmpty()) {
            return "You went to no fair in these months.";
        }
        FairLeft best = sorted.get(0);
        long lost = sorted.stream().filter(fair -> fair.left().isNegative()).count();
        String paid = best.perHourThere()
                .map(hour -> best.name() + " left most for an hour there: " + cells.amount(hour.value()) + ".")
                .orElse(best.name() + " left " + cells.amount(best.left()) + ".");
        return paid
                + (lost == 0
                        ? ""
                        : " " + lost + " of " + sorted.size()
                                + " left less than nothing, your work on the bags being paid.");
    }

    /** What lies on the shelf, and for how long. */
    AnswerView shelf(List<Lying> lying) {
        List<Lying> dying = lying.stream().filter(one -> one.weeks().isDying()).toList();
        long worth = dying.stream().mapToLong(Lying::worth).sum();
        return new AnswerView(
                Question.SHELF,
                "What is dying on the shelf?",
                lying.isEmpty()
                        ? "No finished bag lies there."
                        : dying.isEmpty()
                                ? "Nothing: all that lies there goes within a year, or is new."
                                : (dying.size() == 1
                                                ? "One kind of bag hardly goes"
                                                : dying.size() + " kinds of bags hardly go")
                                        + ": they cost " + cells.amount(worth) + ". Longest lies "
                                        + dying.get(0).kind().words() + ".",
                lying.isEmpty() ? "" : "As it is today, by what was sold in the last half year.",
                null,
                new FigureTable(
                        List.of(
                                Cells.words("bags"),
                                Cells.figure("there"),
                                Cells.figure("sold lately"),
                                Cells.figure("weeks looked at"),
                                Cells.figure("weeks it lasts"),
                                cells.money("cost")),
                        lying.stream()
                                .map(one -> new FigureRow(
                                        List.of(
                                                Cells.text(one.kind().words()),
                                                Cells.count(one.weeks().there()),
                                                Cells.count(one.weeks().sold()),
                                                Cells.count(one.weeks().weeks()),
                                                one.weeks()
                                                        .lasts()
                                                        .map(cells::decimal)
                                                        .orElse(Cells.none()),
                                                cells.money(one.worth())),
                                        one.weeks().isDying()))
                                .toList()));
    }

    /** What a bag of each size brought on average, month by month over two years. */
    AnswerView prices(List<Sold> sold, List<Sold> before) {
        Map<String, Map<YearMonth, List<SoldBags>>> bySize = new TreeMap<>();
        Stream.concat(before.stream(), sold.stream())
                .forEach(one -> bySize.computeIfAbsent(one.size(), size -> new TreeMap<>())
                        .computeIfAbsent(YearMonth.from(one.line().day()), month -> new ArrayList<>())
                        .add(one.bags()));
        List<FigureRow> rows = new ArrayList<>();
        bySize.forEach((size, months) -> months.forEach((month, bags) -> {
            AveragePrice average = AveragePrice.of(bags);
            rows.add(new FigureRow(
                    List.of(
                            Cells.text(size),
                            Cells.month(month),
                            Cells.count(average.bags()),
                            cells.money(average.each())),
                    false));
        }));
        return new AnswerView(
                Question.PRICES,
                "How do prices go?",
                pricesAnswer(sold, before),
                "",
                null,
                new FigureTable(
                        List.of(
                                Cells.words("bag"),
                                Cells.words("month"),
                                Cells.figure("bags"),
                                cells.money("brought each")),
                        rows));
    }

    private String pricesAnswer(List<Sold> sold, List<Sold> before) {
        if (sold.isEmpty()) {
            return NOTHING_SOLD;
        }
        Map<String, AveragePrice> now = averages(sold);
        Map<String, AveragePrice> then = averages(before);
        return now.entrySet().stream()
                .filter(one -> then.containsKey(one.getKey()))
                .max(Comparator.comparing(one -> Math.abs(one.getValue().beyond(then.get(one.getKey())))))
                .map(one -> {
                    long by = one.getValue().beyond(then.get(one.getKey()));
                    return by == 0
                            ? "All bags brought what they did a year before."
                            : one.getKey() + " moved most: "
                                    + cells.amount(one.getValue().each())
                                    + " each on average, " + cells.amount(Math.abs(by)) + (by > 0 ? " more" : " less")
                                    + " than in the year before.";
                })
                .orElse("Nothing that was sold was sold in the year before as well.");
    }

    private static Map<String, AveragePrice> averages(List<Sold> sold) {
        return sold.stream()
                .collect(Collectors.groupingBy(
                        Sold::size,
                        Collectors.collectingAndThen(
                                Collectors.mapping(Sold::bags, Collectors.toList()), AveragePrice::of)));
    }
}
