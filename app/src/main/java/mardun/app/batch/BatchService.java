package mardun.app.batch;

import java.math.RoundingMode;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mardun.app.batch.BatchViews.BatchForm;
import mardun.app.batch.BatchViews.BatchLine;
import mardun.app.batch.BatchViews.BatchSheet;
import mardun.app.batch.BatchViews.BatchView;
import mardun.app.batch.BatchViews.FinishedGoodsLine;
import mardun.app.batch.BatchViews.OpenBatches;
import mardun.app.batch.BatchViews.ShortLine;
import mardun.app.batch.BatchViews.SlotChoice;
import mardun.app.batch.BatchViews.StageForm;
import mardun.app.batch.BatchViews.StepLine;
import mardun.app.batch.FrozenInputs.FrozenSupply;
import mardun.app.batch.FrozenInputs.FrozenWorkroom;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignService;
import mardun.app.material.MaterialService;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.PageView;
import mardun.app.show.ViewWriter;
import mardun.core.batch.BatchPlan;
import mardun.core.batch.BatchPlan.Need;
import mardun.core.batch.BatchPlanner;
import mardun.core.batch.Supply;
import mardun.core.batch.Workroom;
import mardun.core.design.Design;
import mardun.core.design.Finding;
import mardun.core.design.Licences;
import mardun.core.design.Role;
import mardun.core.making.Stage;
import mardun.core.making.WorkTime;
import mardun.core.material.Amount;
import mardun.core.material.MovementKind;
import mardun.core.pricing.UnitPricing;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Batches from plan to finished bags. */
@Service
public class BatchService {

    static final int MOST_UNITS = 5000;
    private static final Set<BatchStage> OPEN = Set.of(BatchStage.PLANNED, BatchStage.CUT);

    private final BatchRepository batches;
    private final FinishedGoodsRepository finishedGoods;
    private final DesignService designs;
    private final MaterialService materials;
    private final SettingsService settings;
    private final BatchPlanner planner;
    private final OnceOnly onceOnly;
    private final JsonMapper json;
    private final Clock clock;

    BatchService(
            BatchRepository batches,
            FinishedGoodsRepository finishedGoods,
            DesignService designs,
            MaterialService materials,
            SettingsService settings,
            BatchPlanner planner,
            OnceOnly onceOnly,
            JsonMapper json,
            Clock clock) {
        this.batches = batches;
        this.finishedGoods = finishedGoods;
        this.designs = designs;
        this.materials = materials;
        this.settings = settings;
        this.planner = planner;
        this.onceOnly = onceOnly;
        this.json = json;
        this.clock = clock;
    }

    /** A batch's plan with what it was worked out from. */
    private record Planned(
            BatchPlan plan, Design design, DesignDocument document, List<Supply> supplies, Workroom workroom) {}

    public boolean hasAny() {
        return batches.count() > 0;
    }

    @Transactional(readOnly = true)
    public PageView<BatchLine> list(boolean openOnly, int page, int size) {
        PageRequest request = PageRequest.of(page, Math.min(size, PageView.LARGEST));
        Page<Batch> found =
                openOnly ? batches.findByStageInOrderByIdDesc(OPEN, request) : batches.findAllByOrderByIdDesc(request);
        Settings current = settings.current();
        return PageView.of(found, batch -> line(batch, planned(batch, current), current));
    }

    /** The batches that are planned or under way, those due first first, and what they still need together. */
    @Transactional(readOnly = true)
    public OpenBatches open() {
        Settings current = settings.current();
        Map<Batch, Planned> open = planned(current);
        List<BatchLine> lines = open.entrySet().stream()
                .map(entry -> line(entry.getKey(), entry.getValue(), current))
                .sorted(Comparator.comparing(line -> line.dueOn() == null ? LocalDate.MAX : line.dueOn()))
                .toList();
        List<StepLine> stepsOfTheFirst = open.entrySet().stream()
                .filter(entry -> entry.getKey().id() == lines.get(0).id())
                .findFirst()
                .map(entry -> new BatchSheetWriter(current.writer(), current.workroom())
                        .steps(entry.getValue().design().steps(), entry.getKey().units()))
                .orElse(List.of());
        return new OpenBatches(lines, stepsOfTheFirst, shortages(open, current.writer()));
    }

    @Transactional(readOnly = true)
    public BatchView get(long id) {
        Settings current = settings.current();
        Batch batch = find(id);
        return view(batch, current);
    }

    /** What follows from a batch that is being planned, whatever state its form is in. */
    @Transactional(readOnly = true)
    public BatchSheet preview(BatchForm form) {
        Settings current = settings.current();
        FieldReader fields = new FieldReader();
        DesignDocument document = designs.document(form.designId());
        int units = fields.count("units", form.units(), 1, MOST_UNITS);
        Optional<Money> own = ownPrice(form.ownPrice(), fields, current);
        fields.check();
        Planned planned = plan(
                document,
                sizeOf(document, form.sizeName()),
                units,
                supplies(form.materials()),
                current.workroom(),
                own);
        return sheet(planned, current, own.isPresent(), licence(planned, form.designId(), form.batchId()));
    }

    public BatchView create(BatchForm form) {
        return get(onceOnly.make(form.requestId(), () -> {
            Batch batch = new Batch(form.designId(), clock.instant());
            batch.enter(read(form));
            return batches.saveAndFlush(batch).id();
        }));
    }

    /** Changes a planned batch; of one that is cut only its price, its day and what it is for. */
    @Transactional
    public BatchView change(long id, BatchForm form) {
        Batch batch = checkedVersion(id, form.version());
        switch (batch.stage()) {
            case PLANNED -> batch.enter(read(form));
            case CUT -> {
                FieldReader fields = new FieldReader();
                Optional<Money> own = ownPrice(form.ownPrice(), fields, settings.current());
                fields.check();
                batch.rePrice(
                        form.dueOn(),
                        form.forWhat().strip(),
                        own.map(Money::getAmountMinorLong).orElse(null));
            }
            case FINISHED ->
                throw RefusedException.conflict(
                        "This batch is finished; it stays as it is, so that its figures can be trusted.");
        }
        batches.saveAndFlush(batch);
        return view(batch, settings.current());
    }

    /** Gives up a batch that was only planned. */
    @Transactional
    public void remove(long id, long version) {
        Batch batch = checkedVersion(id, version);
        if (batch.stage() != BatchStage.PLANNED) {
            throw RefusedException.conflict("Its cloth is cut, so this batch can't be given up any more.");
        }
        batches.delete(batch);
    }

    /** The cloth is cut: it leaves the stock, and what the plan was worked out from is kept as it is now. */
    @Transactional
    public BatchView cut(long id, StageForm form) {
        Batch batch = inStage(id, form.version(), BatchStage.PLANNED, "cut");
        Settings current = settings.current();
        Planned planned = planned(batch, current);
        if (!planned.plan().isComplete()) {
            throw RefusedException.conflict(firstRefusal(planned, current));
        }
        take(planned.plan(), true, batch, MovementKind.CUT, form.reason());
        batch.cut(
                json.writeValueAsString(new FrozenInputs(
                        planned.document(),
                        planned.supplies().stream().map(FrozenSupply::of).toList(),
                        FrozenWorkroom.of(planned.workroom()))),
                clock.instant());
        batches.saveAndFlush(batch);
        return view(batch, current);
    }

    /** The bags are done: trims and notions leave the stock, and the bags are among the finished goods. */
    @Transactional
    public BatchView finish(long id, StageForm form) {
        Batch batch = inStage(id, form.version(), BatchStage.CUT, "finished");
        Settings current = settings.current();
        FieldReader fields = new FieldReader();
        int good = fields.count("goodUnits", form.goodUnits(), 0, batch.units());
        fields.check();
        Planned planned = planned(batch, current);
        take(planned.plan(), false, batch, MovementKind.USED, form.reason());
        batch.finish(good, clock.instant());
        batches.saveAndFlush(batch);
        if (good > 0) {
            finishedGoods.save(goods(batch, planned, good));
        }
        return view(batch, current);
    }

    @Transactional(readOnly = true)
    public PageView<FinishedGoodsLine> finishedGoods(int page, int size) {
        ViewWriter writer = settings.current().writer();
        return PageView.of(
                finishedGoods.findAllByOrderByFinishedOnDescIdDesc(
                        PageRequest.of(page, Math.min(size, PageView.LARGEST))),
                goods -> new FinishedGoodsLine(
                        goods.id(),
                        goods.batchId(),
                        goods.designName(),
                        goods.sizeName(),
                        goods.clothName(),
                        goods.units(),
                        writer.money(goods.unitCostMinor()),
                        writer.money(goods.priceMinor()),
                        goods.finishedOn()));
    }

    /** What all open batches together still need of each material, by its id. */
    @Transactional(readOnly = true)
    public Map<Long, Amount> stillNeeded() {
        Map<Long, Amount> needed = new LinkedHashMap<>();
        demands(planned(settings.current())).forEach((key, demand) -> needed.put(Long.parseLong(key), demand.needed()));
        return needed;
    }

    /** What all open batches together still need of a material. */
    private record Demand(Supply supply, Amount needed) {

        Demand plus(Demand other) {
            return new Demand(supply, needed.plus(other.needed));
        }
    }

    private Map<Batch, Planned> planned(Settings current) {
        Map<Batch, Planned> open = new LinkedHashMap<>();
        batches.findByStageInOrderByIdAsc(OPEN).forEach(batch -> open.put(batch, planned(batch, current)));
        return open;
    }

    private static Map<String, Demand> demands(Map<Batch, Planned> open) {
        Map<String, Demand> demands = new LinkedHashMap<>();
        open.forEach((batch, planned) -> {
            for (Need need : planned.plan().needs()) {
                boolean stillToCome = batch.stage() == BatchStage.PLANNED
                        || !need.supply().kind().leavesWhenCut();
                if (stillToCome) {
                    demands.merge(need.supply().key(), new Demand(need.supply(), need.amount()), Demand::plus);
                }
            }
        });
        return demands;
    }

    private static List<ShortLine> shortages(Map<Batch, Planned> open, ViewWriter writer) {
        List<ShortLine> lines = new ArrayList<>();
        demands(open).forEach((key, demand) -> {
            Supply supply = demand.supply();
            Amount missing = demand.needed().minus(supply.onHand());
            if (missing.isPositive()) {
                lines.add(new ShortLine(
                        Long.parseLong(key),
                        supply.name(),
                        supply.kind(),
                        writer.amount(supply.onHand()),
                        writer.amount(demand.needed()),
                        writer.amount(missing)));
            }
        });
        return lines;
    }

    private Batch.Entered read(BatchForm form) {
        Settings current = settings.current();
        DesignDocument document = designs.document(form.designId());
        FieldReader fields = new FieldReader();
        int units = fields.count("units", form.units(), 1, MOST_UNITS);
        if (!document.sizes().contains(form.sizeName())) {
            fields.refuse(
                    "sizeName",
                    form.sizeName(),
                    "“" + document.name() + "” has no size “" + form.sizeName() + "”; it has "
                            + String.join(", ", document.sizes()) + ".");
        }
        Optional<Money> own = ownPrice(form.ownPrice(), fields, current);
        fields.check();
        Planned planned = plan(
                document,
                sizeOf(document, form.sizeName()),
                units,
                supplies(form.materials()),
                current.workroom(),
                own);
        if (!planned.plan().isComplete()) {
            throw RefusedException.conflict(firstRefusal(planned, current));
        }
        return new Batch.Entered(
                form.sizeName(),
                units,
                Optional.ofNullable(form.dueOn()),
                form.forWhat().strip(),
                own.map(Money::getAmountMinorLong),
                json.writeValueAsString(form.materials()));
    }

    private static Optional<Money> ownPrice(String typed, FieldReader fields, Settings current) {
        return typed.isBlank()
                ? Optional.empty()
                : Optional.of(current.money(fields.money("ownPrice", typed, current.currency())));
    }

    private static int sizeOf(DesignDocument document, String sizeName) {
        return Math.max(0, document.sizes().indexOf(sizeName));
    }

    private static String firstRefusal(Planned planned, Settings current) {
        ViewWriter writer = current.writer();
        return planned.plan().findings().stream()
                .filter(Finding::isRefused)
                .findFirst()
                .map(finding -> writer.sentence(finding.what()) + " " + writer.sentence(finding.remedy()))
                .orElseThrow();
    }

    private List<Supply> supplies(List<SlotChoice> choices) {
        Map<String, Long> idBySlot = new LinkedHashMap<>();
        choices.forEach(choice -> idBySlot.put(choice.slot(), choice.materialId()));
        return materials.supplies(idBySlot);
    }

    /** The plan: of a planned batch from what is stored now, of one that is cut from what was frozen then. */
    private Planned planned(Batch batch, Settings current) {
        Optional<FrozenInputs> frozen = batch.frozen().map(text -> json.readValue(text, FrozenInputs.class));
        Workroom workroom = frozen.map(f -> f.workroom().workroom()).orElseGet(current::workroom);
        DesignDocument document = frozen.map(FrozenInputs::design).orElseGet(() -> designs.document(batch.designId()));
        List<Supply> supplies = frozen.map(f -> f.supplies().stream()
                        .map(s -> s.supply(f.workroom().currencyUnit(), onHand(batch, s)))
                        .toList())
                .orElseGet(() -> supplies(choices(batch)));
        Optional<Money> own = batch.ownPriceMinor()
                .map(minor -> Money.ofMinor(workroom.hourlyRate().getCurrencyUnit(), minor));
        return plan(document, sizeOf(document, batch.sizeName()), batch.units(), supplies, workroom, own);
    }

    /** Cloth was on the shelf as it was frozen; what is still to be taken is there as it is now. */
    private Amount onHand(Batch batch, FrozenSupply supply) {
        boolean stillToCome = batch.stage() == BatchStage.CUT && !supply.kind().leavesWhenCut();
        return stillToCome
                ? materials
                        .supply(supply.slot(), supply.materialId())
                        .map(Supply::onHand)
                        .orElseGet(supply::onHand)
                : supply.onHand();
    }

    private Planned plan(
            DesignDocument document,
            int size,
            int units,
            List<Supply> supplies,
            Workroom workroom,
            Optional<Money> own) {
        Design design = DesignService.stored(document);
        return new Planned(
                planner.plan(design, size, units, supplies, workroom, own), design, document, supplies, workroom);
    }

    /** Takes what the plan needs from the shelf, in the order of the materials' ids so that two can't block. */
    private void take(BatchPlan plan, boolean whenCut, Batch batch, MovementKind kind, String reason) {
        plan.needs().stream()
                .filter(need -> need.supply().kind().leavesWhenCut() == whenCut)
                .sorted(Comparator.comparing(
                        need -> Long.parseLong(need.supply().key())))
                .forEach(need -> materials.move(
                        Long.parseLong(need.supply().key()),
                        batch.id(),
                        kind,
                        need.amount().negated(),
                        reason.strip()));
    }

    private FinishedGoods goods(Batch batch, Planned planned, int good) {
        Money full = planned.plan().cost().orElseThrow().full().value();
        long unitCost = full.multipliedBy(batch.units())
                .dividedBy(good, RoundingMode.HALF_UP)
                .getAmountMinorLong();
        return new FinishedGoods(
                batch.id(),
                planned.design().name(),
                batch.sizeName(),
                clothName(planned),
                good,
                unitCost,
                planned.plan().pricing().orElseThrow().price().getAmountMinorLong(),
                LocalDate.now(clock));
    }

    private static String clothName(Planned planned) {
        return planned.design().pieces().stream()
                .filter(piece -> piece.role() == Role.OUTER)
                .findFirst()
                .flatMap(piece -> planned.supplies().stream()
                        .filter(supply -> supply.slot().equals(piece.slot()))
                        .findFirst())
                .map(Supply::name)
                .orElse("");
    }

    private Batch find(long id) {
        return batches.findById(id)
                .orElseThrow(() -> RefusedException.missing("There is no such batch, or no longer."));
    }

    private Batch checkedVersion(long id, long version) {
        Batch batch = find(id);
        ChangedMeanwhileException.check("Batch " + id, version, batch.version());
        return batch;
    }

    /** A second click on the same button finds the batch already further, which is said before its version is. */
    private Batch inStage(long id, long version, BatchStage wanted, String done) {
        Batch batch = find(id);
        if (batch.stage().compareTo(wanted) > 0) {
            throw RefusedException.conflict("Batch " + id + " is " + done + " already.");
        }
        if (batch.stage() != wanted) {
            throw RefusedException.conflict("Batch " + id + " must be cut first.");
        }
        ChangedMeanwhileException.check("Batch " + id, version, batch.version());
        return batch;
    }

    private List<SlotChoice> choices(Batch batch) {
        return List.of(json.readValue(batch.materials(), SlotChoice[].class));
    }

    private BatchSheet sheet(Planned planned, Settings current, boolean ownPrice, Optional<Finding> licence) {
        return new BatchSheetWriter(current.writer(), planned.workroom())
                .write(planned.plan(), planned.design(), planned.document(), planned.supplies(), ownPrice, licence);
    }

    /** What the licence of the pattern says about these units, with those of the design's other batches. */
    private Optional<Finding> licence(Planned planned, long designId, @Nullable Long ownBatch) {
        long made = batches.unitsOfDesign(designId, ownBatch == null ? 0 : ownBatch);
        return Licences.look(planned.design().source(), made, planned.plan().units());
    }

    private BatchView view(Batch batch, Settings current) {
        Planned planned = planned(batch, current);
        return new BatchView(
                batch.id(),
                batch.version(),
                batch.designId(),
                planned.design().name(),
                batch.stage(),
                batch.dueOn().orElse(null),
                batch.forWhat(),
                batch.ownPriceMinor()
                        .map(minor -> current.money(minor).getAmount().toPlainString())
                        .orElse(""),
                choices(batch),
                batch.finishedUnits().orElse(null),
                sheet(
                        planned,
                        current,
                        batch.ownPriceMinor().isPresent(),
                        batch.stage() == BatchStage.FINISHED
                                ? Optional.empty()
                                : licence(planned, batch.designId(), batch.id())));
    }

    private BatchLine line(Batch batch, Planned planned, Settings current) {
        ViewWriter writer = current.writer();
        boolean isShort = batch.stage() != BatchStage.FINISHED
                && planned.plan().needs().stream()
                        .filter(need -> batch.stage() == BatchStage.PLANNED
                                || !need.supply().kind().leavesWhenCut())
                        .anyMatch(Need::isShort);
        return new BatchLine(
                batch.id(),
                planned.design().name(),
                batch.sizeName(),
                batch.units(),
                batch.stage(),
                batch.dueOn().orElse(null),
                batch.forWhat(),
                clothName(planned),
                batch.finishedUnits().orElse(null),
                batch.finishedAt().orElse(null),
                isShort,
                writer.time(left(batch, planned)),
                planned.plan().cost().map(c -> writer.money(c.full().value())).orElse(null),
                planned.plan().pricing().map(p -> writer.money(p.price())).orElse(null),
                planned.plan()
                        .pricing()
                        .flatMap(UnitPricing::perHour)
                        .map(figure -> writer.money(figure.value()))
                        .orElse(null));
    }

    /** Hands-on time still to come: all of it, or what follows the cutting. */
    private static Duration left(Batch batch, Planned planned) {
        return switch (batch.stage()) {
            case PLANNED -> planned.plan().time().asBatch().value();
            case CUT ->
                WorkTime.of(
                                planned.design().steps().stream()
                                        .filter(step -> step.stage() != Stage.CUT)
                                        .toList(),
                                batch.units())
                        .asBatch()
                        .value();
            case FINISHED -> Duration.ZERO;
        };
    }
}
