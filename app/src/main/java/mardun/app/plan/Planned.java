package mardun.app.plan;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.design.DesignDocument;
import mardun.app.id.BatchId;
import mardun.app.material.StockShelves.Shelves;
import mardun.app.request.Fingerprint;
import mardun.core.batch.BatchPlan;
import mardun.core.batch.BatchPlan.LinePlan;
import mardun.core.batch.Need;
import mardun.core.batch.Supply;
import mardun.core.batch.UnsewnPieces;
import mardun.core.batch.Workroom;
import mardun.core.design.Design;
import mardun.core.making.Counted;
import mardun.core.making.StillToDo;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;

/**
 * A batch's plan with what it was worked out from.
 *
 * @param plan of the whole batch
 * @param toCome what it will still take: of a batch of which some bags are done, what the others take
 * @param supplies each material once
 * @param chosenPieces the lots of offcuts and precuts that the maker chose
 * @param unsewn while it is planned: what lies there cut and not sewn for its lines
 * @param counted what was counted at the bench
 */
public record Planned(
        ChosenBatch batch,
        BatchPlan plan,
        List<Need> toCome,
        List<PlannedLine> lines,
        List<Supply> supplies,
        Workroom workroom,
        Shelves shelves,
        Set<String> chosenPieces,
        Unsewn unsewn,
        Counted counted) {

    /**
     * Pieces that are cut and not sewn, for the lines of a batch.
     *
     * @param offers what would do, by the line's number
     * @param taken what is taken of it
     */
    public record Unsewn(Map<Integer, List<UnsewnPieces.Offer>> offers, List<UnsewnPieces.Taken> taken) {

        static final Unsewn NOTHING = new Unsewn(Map.of(), List.of());
    }

    /**
     * A line with what it was worked out from.
     *
     * @param document with nothing left open
     * @param picked what was chosen otherwise than usual, as it is read; empty for nothing
     * @param plannedCost what one bag was to cost when the first cloth was about to be cut; empty before that
     */
    public record PlannedLine(
            ChosenLine chosen,
            DesignDocument document,
            Design design,
            String picked,
            LinePlan plan,
            Optional<Money> plannedCost) {

        public int number() {
            return chosen.number();
        }

        /** What one costs: as planned, or as those came out that came out. */
        public Optional<Money> cost() {
            return plan.cost().map(cost -> cost.full().value());
        }

        public String sizeName() {
            return plan.sized().size();
        }

        /** Its size, and what was chosen otherwise than usual: {@code Medium, filling: foam}. */
        public String sizeWords() {
            return picked.isEmpty() ? sizeName() : sizeName() + ", " + picked;
        }
    }

    public @Nullable BatchId batchId() {
        return batch.id();
    }

    /** The first line: the only one of a simple batch. */
    public PlannedLine first() {
        return lines.get(0);
    }

    public PlannedLine line(int number) {
        return lines.stream()
                .filter(line -> line.number() == number)
                .findFirst()
                .orElseThrow();
    }

    /** What fills a slot of a line. */
    public Optional<Supply> supply(PlannedLine line, String slot) {
        return Optional.ofNullable(line.chosen().materials().get(slot))
                .flatMap(id -> supplies.stream()
                        .filter(supply -> supply.key().equals(id.key()))
                        .findFirst());
    }

    /** What is still to be done of it: of a batch some of whose cloth isn't cut the cutting too. */
    public StillToDo stillToDo(boolean isToCut) {
        return StillToDo.of(
                plan.operations(),
                new StillToDo.Progress(
                        lines.stream()
                                .collect(Collectors.toMap(
                                        PlannedLine::number,
                                        line -> line.chosen().open())),
                        isToCut,
                        lines.stream().anyMatch(line -> line.chosen().done() > counted.scrapped(line.number())),
                        counted));
    }

    /** Whether something of it was counted at the bench. */
    public boolean isBegun() {
        return !counted.bags().isEmpty();
    }

    /** Whether something of it goes short, counting what others hold. */
    public boolean isShort() {
        return toCome.stream().anyMatch(Need::isShort);
    }

    /** Tells this state of the plan from another that takes or leaves something else. */
    public String mark() {
        return Fingerprint.of(unsewn.taken() + " "
                + Stream.concat(plan.needs().stream(), toCome.stream())
                        .map(need -> List.of(
                                need.supply().key(),
                                need.part(),
                                need.amount(),
                                need.offcuts(),
                                need.left(),
                                need.takenOfRolls()))
                        .toList()
                        .toString());
    }
}
