package mardun.app.batch;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.id.MaterialId;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.ChosenLine;
import mardun.app.plan.FrozenInputs;
import mardun.app.plan.FrozenReader;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.problem.RefusedException;
import mardun.app.settings.SettingsService;
import mardun.core.batch.CutValue;
import mardun.core.batch.LineCounts;
import mardun.core.batch.PiecesMoved;
import mardun.core.design.SizedPiece;
import org.springframework.stereotype.Component;

/**
 * Bags that are parted off a batch whose cloth is cut: they take their cut pieces along, with what the cloth of these cost and with the time
 * of their cutting. As long as nothing else was done with them they can be put back, and all is as it was.
 */
@Component
class CutParts {

    private final Batches batches;
    private final BatchPlans plans;
    private final FrozenReader frozen;
    private final SettingsService settings;

    CutParts(Batches batches, BatchPlans plans, FrozenReader frozen, SettingsService settings) {
        this.batches = batches;
        this.plans = plans;
        this.frozen = frozen;
        this.settings = settings;
    }

    /**
     * Parts bags off into a new batch.
     *
     * @param bags how many, by the line's number; each no more than are still to be made
     */
    void part(Batch batch, Batch other, Map<Integer, Integer> bags) {
        Planned planned = plans.of(batches.chosen(batch), settings.current());
        FrozenInputs inputs = planned.batch().frozen().orElseThrow();
        other.partOf(batch, frozen.write(inputs.ofLines(bags.keySet())));
        bags.forEach((number, units) -> part(planned, batch.line(number).orElseThrow(), units, other));
        batch.linesChanged();
    }

    private static void part(Planned planned, StoredLine stored, int units, Batch other) {
        PlannedLine line = planned.line(stored.number());
        ChosenLine chosen = line.chosen();
        PiecesMoved stays = chosen.moved();
        PiecesMoved goes = PiecesMoved.NONE;
        Map<String, List<SizedPiece>> cut = CutCloths.of(planned, line);
        for (String cloth : cut.keySet()) {
            long minor = CutValue.ofCloth(planned.plan(), line.number(), cloth, units);
            stays = stays.with(cloth, stays.of(cloth).goes(units, minor));
            goes = goes.with(cloth, goes.of(cloth).comes(units, minor));
        }
        boolean allCut = line.plan().sized().pieces().stream()
                .allMatch(piece -> cut.values().stream().anyMatch(its -> its.contains(piece)));
        if (allCut) {
            Duration cutting = CutValue.cuttingTime(
                    planned.plan(), line.number(), units, planned.workroom().setUps());
            stays = stays.working(units, cutting.negated());
            goes = goes.working(-units, cutting);
        }
        LineCounts counts = chosen.counts();
        LineCounts going = new LineCounts(Math.min(units, counts.wanted()), units);
        other.put(chosen.ofItsOwn(going).moving(goes), stored.position());
        stored.count(new LineCounts(counts.wanted() - going.wanted(), counts.started() - units));
        stored.move(stays);
    }

    /** Puts bags back into the batch that they were parted from; the other one is to be removed then. */
    void putBack(Batch batch, Batch other) {
        refuseIfMore(batch, other);
        for (StoredLine part : other.lines()) {
            ChosenLine its = part.chosen();
            StoredLine stored = batch.line(part.number()).orElseThrow();
            PiecesMoved moved = stored.chosen().moved();
            for (Map.Entry<String, PiecesMoved.OfCloth> cloth :
                    its.moved().cloths().entrySet()) {
                moved = moved.with(
                        cloth.getKey(),
                        moved.of(cloth.getKey())
                                .back(cloth.getValue().came(), cloth.getValue().minor()));
            }
            stored.move(moved.working(its.moved().cutting(), its.moved().time()));
            stored.count(stored.chosen().counts().with(its.counts()));
        }
        batch.linesChanged();
    }

    private void refuseIfMore(Batch batch, Batch other) {
        boolean isPart = other.partedFrom().filter(batch.id()::equals).isPresent();
        if (!isPart) {
            throw RefusedException.conflict("Cloth of batch " + batch.id() + " or of batch " + other.id()
                    + " is cut. Then only what was parted off a batch can be put back into it.");
        }
        if (!batch.stage().isOpen()) {
            throw RefusedException.conflict("Batch " + batch.id() + " is finished; nothing is put back into it.");
        }
        boolean sameCloths = cut(batch).equals(cut(other));
        boolean untouched = other.lines().stream()
                .allMatch(line -> line.chosen().done() == 0
                        && line.chosen().moved().cloths().values().stream().allMatch(cloth -> cloth.went() == 0));
        if (!sameCloths || !untouched) {
            throw RefusedException.conflict("Since batch " + other.id() + " was parted from batch " + batch.id()
                    + ", more was cut or bags were done. They stay apart.");
        }
    }

    private Set<MaterialId> cut(Batch batch) {
        return batch.frozen().map(frozen::read).map(FrozenInputs::cut).orElseThrow().stream()
                .collect(Collectors.toSet());
    }
}
