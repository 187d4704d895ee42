package mardun.app.batch;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import mardun.app.batch.BatchViews.CutShortForm;
import mardun.app.batch.BatchViews.TakeUpForm;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.material.ReservationService;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.ChosenLine;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.unsewn.UnsewnShelf;
import mardun.app.unsewn.UnsewnShelf.PutBy;
import mardun.core.batch.CutValue;
import mardun.core.batch.LineCounts;
import mardun.core.batch.PiecesMoved;
import mardun.core.design.SizedPiece;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Bags of a batch whose cloth is cut that aren't made: their pieces go onto the shelf, cut and not sewn, with what their cloth cost, or are
 * thrown away, and then the others bear it. What was put by can be taken up again.
 */
@Service
public class CuttingShort {

    private final BatchRepository repository;
    private final Batches batches;
    private final BatchPlans plans;
    private final BatchHolds holds;
    private final ReservationService reservations;
    private final Closing closing;
    private final UnsewnShelf unsewn;
    private final SettingsService settings;

    CuttingShort(
            BatchRepository repository,
            Batches batches,
            BatchPlans plans,
            BatchHolds holds,
            ReservationService reservations,
            Closing closing,
            UnsewnShelf unsewn,
            SettingsService settings) {
        this.repository = repository;
        this.batches = batches;
        this.plans = plans;
        this.holds = holds;
        this.reservations = reservations;
        this.closing = closing;
        this.unsewn = unsewn;
        this.settings = settings;
    }

    /** So many bags aren't made. A batch of which nothing is to come then is finished, or dropped where nothing was made. */
    @Transactional
    public void cutShort(BatchId id, CutShortForm form) {
        Batch batch = batches.open(id, form.version());
        if (batch.stage() == BatchStage.PLANNED) {
            throw RefusedException.conflict(
                    "Nothing of batch " + id + " is cut yet. Change how many are made, or give it up.");
        }
        Settings current = settings.current();
        Planned planned = plans.of(batches.chosen(batch), current);
        Map<Integer, Integer> going = read(form, batch);
        boolean held = reservations.holdsAnything(id);
        List<PutBy> putBy = new ArrayList<>();
        going.forEach((number, units) -> {
            PlannedLine line = planned.line(number);
            PiecesMoved moved = line.chosen().moved();
            Map<String, List<SizedPiece>> cut = CutCloths.of(planned, line);
            for (Map.Entry<String, List<SizedPiece>> cloth : cut.entrySet()) {
                long minor =
                        form.throwAway() ? 0 : CutValue.ofCloth(planned.plan(), line.number(), cloth.getKey(), units);
                moved = moved.with(cloth.getKey(), moved.of(cloth.getKey()).goes(units, minor));
                if (!form.throwAway()) {
                    putBy.addAll(pieces(line, cloth.getKey(), cloth.getValue(), units, minor));
                }
            }
            StoredLine stored = batch.line(line.number()).orElseThrow();
            stored.move(moved.working(cut.isEmpty() ? 0 : units, Duration.ZERO));
            stored.count(line.chosen().counts().less(units));
        });
        unsewn.putBy(id, putBy, form.reason().strip());
        batch.linesChanged();
        repository.saveAndFlush(batch);
        closing.settle(batch, plans.of(batches.chosen(batch), current), List.of(), held, current);
    }

    private static List<PutBy> pieces(
            PlannedLine line, String cloth, List<SizedPiece> ofOneBag, int units, long minor) {
        List<PutBy> putBy = new ArrayList<>();
        CutValue.byPiece(ofOneBag, minor)
                .forEach((piece, its) -> putBy.add(new PutBy(
                        line.number(),
                        line.chosen().designId(),
                        line.design().name(),
                        line.sizeName(),
                        MaterialId.valueOf(cloth),
                        piece,
                        Math.multiplyExact(piece.count(), (long) units),
                        its)));
        return putBy;
    }

    private static Map<Integer, Integer> read(CutShortForm form, Batch batch) {
        Map<Integer, Integer> going = OpenBags.read(form.lines(), batch);
        if (going.isEmpty()) {
            throw RefusedException.conflict("Nothing is said to go. Type how many bags aren't made.");
        }
        return going;
    }

    /** Bags whose pieces were put by are made after all. */
    @Transactional
    public void takeUp(BatchId id, TakeUpForm form) {
        Batch batch = batches.forChange(id, form.version());
        if (batch.stage() == BatchStage.PLANNED || batch.stage() == BatchStage.FINISHED || batch.isGivenUp()) {
            throw RefusedException.conflict("Batch " + id
                    + " takes nothing more up. Plan a new one: the cut pieces that fit are offered there.");
        }
        boolean held = reservations.holdsAnything(id);
        StoredLine stored = batch.line(form.line()).orElseThrow(() -> OpenBags.noSuchLine(form.line()));
        ChosenLine chosen = stored.chosen();
        FieldReader fields = new FieldReader();
        int most = unsewn.bagsOf(id).getOrDefault(form.line(), 0);
        int units = fields.count("units", form.units(), 1, most);
        fields.check();
        Map<MaterialId, Long> minor = unsewn.takeUp(id, form.line(), units);
        PiecesMoved moved = chosen.moved();
        for (Map.Entry<String, PiecesMoved.OfCloth> cloth : moved.cloths().entrySet()) {
            Long its = minor.get(MaterialId.valueOf(cloth.getKey()));
            if (its == null) {
                continue;
            }
            moved = moved.with(cloth.getKey(), cloth.getValue().back(units, its));
        }
        refuseIfCutSince(batch, chosen, minor);
        stored.move(moved.working(-units, Duration.ZERO));
        stored.count(new LineCounts(chosen.wanted() + units, chosen.started() + units));
        if (batch.stage() == BatchStage.DROPPED) {
            batch.takeUp(true);
            boolean allCut = plans.of(batches.chosen(batch), settings.current()).toCome().stream()
                    .noneMatch(need -> need.supply().kind().leavesWhenCut());
            batch.takeUp(allCut);
        }
        batch.linesChanged();
        repository.saveAndFlush(batch);
        if (held) {
            holds.hold(batch);
        }
    }

    /** A cloth that was cut after the pieces were put by was cut without them. */
    private void refuseIfCutSince(Batch batch, ChosenLine chosen, Map<MaterialId, Long> putBy) {
        Planned planned = plans.of(batches.chosen(batch), settings.current());
        PlannedLine line = planned.line(chosen.number());
        CutCloths.of(planned, line).keySet().stream()
                .filter(cloth -> !putBy.containsKey(MaterialId.valueOf(cloth)))
                .findFirst()
                .ifPresent(cloth -> {
                    throw RefusedException.conflict(
                            "A cloth of batch " + batch.id() + " was cut without these bags since they were put by."
                                    + " Plan them as a new batch: the cut pieces are offered there.");
                });
    }
}
