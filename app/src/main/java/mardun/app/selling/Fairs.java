package mardun.app.selling;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.id.FairId;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.sale.Sales;
import mardun.app.selling.FairViews.FairForm;
import mardun.app.selling.FairViews.FairRow;
import mardun.app.selling.FairViews.NextThing;
import mardun.app.selling.PinnedFair.Deadline;
import mardun.app.selling.SettledDocument.FairCost;
import mardun.app.selling.SettledDocument.Figures;
import mardun.app.settings.Settings;
import mardun.app.show.ViewWriter;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.core.selling.FairCosts;
import mardun.core.selling.Settlement;
import mardun.core.selling.Settlement.Counted;
import mardun.core.selling.Settlement.Sold;
import mardun.core.selling.Tender;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Reads fairs and what each left, for those who show them. */
@Component
class Fairs {

    private final FairRepository repository;
    private final FairIndex index;
    private final Sales sales;
    private final Clock clock;

    /** The rows of settled fairs, which no sale changes any more; nothing for others. */
    private final Remembered<Shown, Optional<FairRow>> settledRows;

    /** A fair as it is shown under one version of the settings. */
    private record Shown(FairId fair, long settings) {}

    Fairs(FairRepository repository, FairIndex index, Sales sales, Changes changes, Clock clock) {
        this.repository = repository;
        this.index = index;
        this.sales = sales;
        this.settledRows = new Remembered<>(changes, "fair");
        this.clock = clock;
    }

    Fair get(FairId id) {
        return repository.findById(id.value()).orElseThrow(Fairs::missing);
    }

    /** The same, held for the caller's transaction. */
    Fair forChange(FairId id) {
        return repository.findForChange(id.value()).orElseThrow(Fairs::missing);
    }

    private static RefusedException missing() {
        return RefusedException.missing("There is no such fair, or no longer.");
    }

    /** What is known of a fair; what was typed was read before it was stored. */
    static FairFacts facts(Fair fair, Settings current) {
        return FairFacts.read(fair.form(), new FieldReader(), current);
    }

    /** What a fair sold so far, and what it costs, without a count. */
    static Figures figures(List<Sales.Sum> sums, FairCosts costs, long goneMinor) {
        return new Figures(
                (int) sums.stream().mapToLong(Sales.Sum::units).sum(),
                (int) sums.stream().mapToLong(Sales.Sum::sales).sum(),
                sums.stream().mapToLong(Sales.Sum::paidMinor).sum(),
                paid(sums, Tender.CASH),
                paid(sums, Tender.CARD),
                sums.stream().mapToLong(Sales.Sum::taxMinor).sum(),
                sums.stream().mapToLong(Sales.Sum::feesMinor).sum(),
                sums.stream().mapToLong(Sales.Sum::costMinor).sum(),
                sums.stream().mapToLong(Sales.Sum::labourMinor).sum(),
                sums.stream().mapToLong(Sales.Sum::seconds).sum(),
                (int) sums.stream().mapToLong(Sales.Sum::unknownUnits).sum(),
                goneMinor,
                new FairCost(
                        costs.stall().getAmountMinorLong(),
                        costs.travel().getAmountMinorLong(),
                        costs.sleep().getAmountMinorLong(),
                        costs.food().getAmountMinorLong(),
                        costs.helpers().getAmountMinorLong(),
                        costs.other().getAmountMinorLong()));
    }

    private static long paid(List<Sales.Sum> sums, Tender tender) {
        return sums.stream()
                .filter(sum -> sum.tender() == tender)
                .mapToLong(Sales.Sum::paidMinor)
                .sum();
    }

    /** Figures settled: {@code difference} is what was counted more than expected, in cash and by card. */
    static Settlement settlement(Figures figures, long difference, Duration there, Duration way, Settings current) {
        FairCost fair = figures.fair();
        return Settlement.of(
                new Sold(
                        figures.bags(),
                        current.money(figures.paidMinor()),
                        current.money(figures.taxMinor()),
                        current.money(figures.feesMinor()),
                        current.money(figures.costMinor()),
                        current.money(figures.labourMinor()),
                        Duration.ofSeconds(figures.seconds()),
                        figures.unknown()),
                new Counted(current.money(difference), current.money(figures.goneMinor())),
                fair.costs(current.currency()),
                there,
                way);
    }

    /** A settled fair once more, as it was settled. */
    static Settlement settlement(SettledDocument settled, Settings current) {
        return settlement(
                settled.figures(),
                difference(settled),
                Duration.ofSeconds(settled.thereSeconds()),
                Duration.ofSeconds(settled.waySeconds()),
                current);
    }

    private static long difference(SettledDocument settled) {
        Figures figures = settled.figures();
        return settled.cashMinor() - figures.cashSoldMinor() + settled.cardMinor() - figures.cardSoldMinor();
    }

    /**
     * How a fair stands: as it was settled, or else by what was sold and what was typed of its costs and hours.
     *
     * @param there at the stall, setting up and clearing away included
     */
    record Standing(Figures figures, Settlement settlement, Duration there, Duration onTheWay) {}

    /** How a fair stands, with what was sold there so far. */
    static Standing standing(Fair fair, List<Sales.Sum> sums, Settings current) {
        return fair.settled()
                .map(its -> new Standing(
                        its.figures(),
                        settlement(its, current),
                        Duration.ofSeconds(its.thereSeconds()),
                        Duration.ofSeconds(its.waySeconds())))
                .orElseGet(() -> {
                    FairFacts facts = facts(fair, current);
                    Figures figures = figures(sums, facts.costs(), 0);
                    return new Standing(
                            figures,
                            settlement(figures, 0, facts.there(), facts.onTheWay(), current),
                            facts.there(),
                            facts.onTheWay());
                });
    }

    /** Fairs as they stand among others of their series. */
    List<FairRow> rows(Collection<Fair> some, Settings current) {
        List<FairId> open = some.stream()
                .filter(fair -> fair.settled().isEmpty())
                .map(Fair::id)
                .toList();
        Map<FairId, List<Sales.Sum>> sums = sales.sums(open).stream().collect(Collectors.groupingBy(Sales.Sum::fair));
        return some.stream()
                .map(fair -> row(fair, sums.getOrDefault(fair.id(), List.of()), current))
                .toList();
    }

    /** The same of fairs that were found by their numbers, in the order of these; without those that were removed meanwhile. */
    List<FairRow> rowsOf(List<FairId> ids, Settings current) {
        Map<FairId, FairRow> rows = new HashMap<>();
        settledRows
                .get(
                        ids.stream().map(id -> new Shown(id, current.version())).toList(),
                        asked -> settled(asked, current))
                .forEach((shown, row) -> row.ifPresent(its -> rows.put(shown.fair(), its)));
        List<FairId> others = ids.stream().filter(id -> !rows.containsKey(id)).toList();
        rows(read(others), current).forEach(row -> rows.put(row.id(), row));
        return ids.stream().filter(rows::containsKey).map(rows::get).toList();
    }

    private Map<Shown, Optional<FairRow>> settled(List<Shown> asked, Settings current) {
        Map<FairId, Fair> read = read(asked.stream().map(Shown::fair).toList()).stream()
                .filter(fair -> fair.settled().isPresent())
                .collect(Collectors.toMap(Fair::id, fair -> fair));
        return asked.stream()
                .collect(Collectors.toMap(
                        shown -> shown,
                        shown -> Optional.ofNullable(read.get(shown.fair()))
                                .map(fair -> row(fair, List.of(), current))));
    }

    private List<Fair> read(List<FairId> ids) {
        return ids.isEmpty()
                ? List.of()
                : repository.findAllById(ids.stream().map(FairId::value).toList());
    }

    private FairRow row(Fair fair, List<Sales.Sum> sums, Settings current) {
        ViewWriter writer = current.writer();
        Standing standing = standing(fair, sums, current);
        Figures figures = standing.figures();
        Settlement settled = standing.settlement();
        boolean shown = fair.settled().isPresent() || figures.sales() > 0;
        return new FairRow(
                fair.id(),
                fair.name(),
                fair.heldOn(),
                fair.endsOn(),
                fair.state(),
                fair.form().place(),
                index.turn(fair.id()),
                figures.bags(),
                shown ? writer.money(figures.paidMinor()) : null,
                shown ? writer.money(settled.left().value()) : null,
                shown
                        ? settled.perHourThere()
                                .map(hour -> writer.money(hour.value()))
                                .orElse(null)
                        : null,
                shown
                        ? settled.perHourInAll()
                                .map(hour -> writer.money(hour.value()))
                                .orElse(null)
                        : null,
                fair.settled().isPresent(),
                next(fair).orElse(null));
    }

    /** What has to be done next for a fair, by its state and its days. */
    private Optional<NextThing> next(Fair fair) {
        LocalDate today = LocalDate.now(clock);
        Optional<NextThing> due = deadlines(fair).stream()
                .min(Comparator.comparing(Deadline::day))
                .map(one -> new NextThing(one.what(), one.day(), one.day().isBefore(today)));
        boolean isOver = fair.endsOn().isBefore(today)
                && fair.settled().isEmpty()
                && fair.state() != FairState.NOT_GOING
                && fair.state() != FairState.DONE;
        return isOver ? Optional.of(new NextThing("settle it", fair.endsOn(), false)) : due;
    }

    /** What is still to be done for a fair by a day, by its state. */
    static List<Deadline> deadlines(Fair fair) {
        FairForm form = fair.form();
        Stream<Optional<Deadline>> things = switch (fair.state()) {
            case THINKING -> Stream.of(deadline("apply", form.applyBy()));
            case APPLIED, ACCEPTED ->
                Stream.of(deadline("pay the deposit", form.depositDueOn()), deadline("pay the fee", form.feeDueOn()));
            case PAID, DONE, NOT_GOING -> Stream.empty();
        };
        return things.flatMap(Optional::stream).toList();
    }

    private static Optional<Deadline> deadline(String what, @Nullable LocalDate day) {
        return Optional.ofNullable(day).map(by -> new Deadline(what, by));
    }
}
