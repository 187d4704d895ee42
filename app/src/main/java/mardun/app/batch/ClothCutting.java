package mardun.app.batch;

import java.time.Clock;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.batch.BatchViews.CutForm;
import mardun.app.batch.BatchViews.KeepForm;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.material.ReservationService;
import mardun.app.material.StockService;
import mardun.app.material.StockService.CutCloth;
import mardun.app.material.StockService.KeptOffcut;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.CuttingJobs;
import mardun.app.plan.FrozenInputs;
import mardun.app.plan.FrozenReader;
import mardun.app.plan.Planned;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.unsewn.UnsewnShelf;
import mardun.core.batch.Need;
import mardun.core.material.MovementKind;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Cloth that is cut, all at once or one today and the next tomorrow: it leaves the stock. */
@Service
public class ClothCutting {

    private final BatchRepository repository;
    private final Batches batches;
    private final BatchPlans plans;
    private final BatchHolds holds;
    private final ReservationService reservations;
    private final StockService stock;
    private final UnsewnShelf unsewn;
    private final FrozenReader frozen;
    private final SettingsService settings;
    private final Clock clock;

    ClothCutting(
            BatchRepository repository,
            Batches batches,
            BatchPlans plans,
            BatchHolds holds,
            ReservationService reservations,
            StockService stock,
            UnsewnShelf unsewn,
            FrozenReader frozen,
            SettingsService settings,
            Clock clock) {
        this.repository = repository;
        this.batches = batches;
        this.plans = plans;
        this.holds = holds;
        this.reservations = reservations;
        this.stock = stock;
        this.unsewn = unsewn;
        this.frozen = frozen;
        this.settings = settings;
        this.clock = clock;
    }

    /**
     * Some cloths of a batch are cut, or all that weren't yet. With the first of them, what the plan was worked out from is kept as it
     * is now.
     */
    @Transactional
    public void cut(BatchId id, CutForm form) {
        Batch batch = batches.forChange(id);
        if (!batch.stage().isToCut()) {
            throw RefusedException.conflict("Batch " + id + " is cut already.");
        }
        ChangedMeanwhileException.check("Batch " + id, form.version(), batch.version());
        Settings current = settings.current();
        Planned planned = plans.of(batches.chosen(batch), current);
        BatchRefusals.refuseIncomplete(planned, current);
        BatchRefusals.checkMark(form.mark(), planned);
        List<Need> open = planned.toCome().stream()
                .filter(need -> need.supply().kind().leavesWhenCut())
                .toList();
        List<Need> now = asked(form, planned, open);
        Set<MaterialId> cloths = now.stream().map(ClothCutting::material).collect(Collectors.toSet());
        List<KeptOffcut> kept = kept(form, cloths, current);
        boolean held = reservations.holdsAnything(id);
        if (batch.frozen().isEmpty()) {
            bring(batch, planned);
        }
        Map<MaterialId, List<Long>> movements = reservations.take(
                id, MovementKind.CUT, BatchHolds.wants(now), form.reason().strip());
        stock.keep(id, kept, new CutCloth(movements, CuttingJobs.covered(planned, cloths)));
        batch.cut(frozen.write(FrozenInputs.afterCutting(planned, cloths)), now.size() == open.size(), clock.instant());
        repository.saveAndFlush(batch);
        if (held) {
            holds.hold(batch);
        }
    }

    /** With the first cloth, pieces that were cut before leave the shelf for it. */
    private void bring(Batch batch, Planned planned) {
        unsewn.use(batch.id(), planned.unsewn().taken());
        planned.lines()
                .forEach(line -> batch.line(line.number())
                        .orElseThrow()
                        .bring(line.plan().line().moved()));
    }

    private static List<Need> asked(CutForm form, Planned planned, List<Need> open) {
        if (form.cloths() == null || open.isEmpty()) {
            return open;
        }
        Set<MaterialId> asked = new HashSet<>(form.cloths());
        List<Need> now =
                open.stream().filter(need -> asked.contains(material(need))).toList();
        if (now.size() < asked.size() || now.isEmpty()) {
            throw RefusedException.conflict("Batch " + planned.batchId()
                    + " isn't cut from that cloth, or it is cut already. Nothing was booked; look at it as it is now.");
        }
        return now;
    }

    private static MaterialId material(Need need) {
        return MaterialId.valueOf(need.supply().key());
    }

    /** The offcuts that are kept when the cloth is cut, as they are typed. */
    private static List<KeptOffcut> kept(CutForm form, Set<MaterialId> cloths, Settings current) {
        List<KeptOffcut> kept = new ArrayList<>();
        FieldReader fields = new FieldReader();
        List<KeepForm> typed = form.keep() == null ? List.of() : form.keep();
        for (KeepForm keep : typed) {
            if (!cloths.contains(keep.materialId())) {
                fields.refuse("keep", keep.materialId().key(), "This batch isn't cut from that cloth.");
            }
            kept.add(new KeptOffcut(
                    keep.materialId(),
                    StockService.pieceSize(fields, keep.width(), keep.height(), current),
                    fields.count("count", keep.count(), 1, 10_000),
                    keep.place().strip()));
        }
        fields.check();
        return kept;
    }
}
