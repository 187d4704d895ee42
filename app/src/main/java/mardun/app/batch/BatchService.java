package mardun.app.batch;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import mardun.app.batch.BatchPlans.Choices;
import mardun.app.batch.BatchPlans.Planned;
import mardun.app.batch.BatchViews.BatchForm;
import mardun.app.batch.BatchViews.BatchLine;
import mardun.app.batch.BatchViews.BatchReserved;
import mardun.app.batch.BatchViews.BatchSheet;
import mardun.app.batch.BatchViews.BatchView;
import mardun.app.batch.BatchViews.KeepForm;
import mardun.app.batch.BatchViews.OpenBatches;
import mardun.app.batch.BatchViews.Replacement;
import mardun.app.batch.BatchViews.ShortBatch;
import mardun.app.batch.BatchViews.ShortLine;
import mardun.app.batch.BatchViews.SlotChoice;
import mardun.app.batch.BatchViews.StageForm;
import mardun.app.batch.BatchViews.StepLine;
import mardun.app.batch.FrozenInputs.FrozenSheet;
import mardun.app.batch.FrozenInputs.FrozenSupply;
import mardun.app.batch.FrozenInputs.FrozenWorkroom;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignService;
import mardun.app.goods.GoodsService;
import mardun.app.goods.GoodsViews.NewGoods;
import mardun.app.material.MaterialService;
import mardun.app.material.MaterialView;
import mardun.app.material.ReservationService;
import mardun.app.material.ReservationService.Want;
import mardun.app.material.StockService;
import mardun.app.material.StockService.CutCloth;
import mardun.app.material.StockService.KeptOffcut;
import mardun.app.material.StockShelves;
import mardun.app.material.StockShelves.Shelves;
import mardun.app.material.StockShelves.Spool;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.PageView;
import mardun.app.show.ViewWriter;
import mardun.core.batch.BatchPlan.Need;
import mardun.core.batch.Supply;
import mardun.core.design.Design;
import mardun.core.design.Finding;
import mardun.core.design.Licences;
import mardun.core.design.Role;
import mardun.core.making.Stage;
import mardun.core.making.ThreadUse;
import mardun.core.making.WorkTime;
import mardun.core.material.Amount;
import mardun.core.material.Claims;
import mardun.core.material.Claims.Claim;
import mardun.core.material.MovementKind;
import mardun.core.material.Part;
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
    private final DesignService designs;
    private final BatchPlans plans;
    private final BatchHolds holds;
    private final ReservationService reservations;
    private final StockService stock;
    private final StockShelves shelves;
    private final MaterialService materials;
    private final GoodsService goods;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final JsonMapper json;
    private final Clock clock;

    BatchService(
            BatchRepository batches,
            DesignService designs,
            BatchPlans plans,
            BatchHolds holds,
            ReservationService reservations,
            StockService stock,
            StockShelves shelves,
            MaterialService materials,
            GoodsService goods,
            SettingsService settings,
            OnceOnly onceOnly,
            JsonMapper json,
            Clock clock) {
        this.batches = batches;
        this.designs = designs;
        this.plans = plans;
        this.holds = holds;
        this.reservations = reservations;
        this.stock = stock;
        this.shelves = shelves;
        this.materials = materials;
        this.goods = goods;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.json = json;
        this.clock = clock;
    }

    public boolean hasAny() {
        return batches.count() > 0;
    }

    /** A page of the batches, the newest first: those on the go, those that are finished, or all. */
    @Transactional(readOnly = true)
    public PageView<BatchLine> list(Optional<Boolean> open, int page, int size) {
        PageRequest request = PageRequest.of(page, Math.min(size, PageView.LARGEST));
        Page<Batch> found = open.map(onTheGo ->
                        batches.findByStageInOrderByIdDesc(onTheGo ? OPEN : Set.of(BatchStage.FINISHED), request))
                .orElseGet(() -> batches.findAllByOrderByIdDesc(request));
        Settings current = settings.current();
        Map<Batch, Planned> planned = plans.of(found.getContent(), current);
        return PageView.of(found, batch -> line(batch, planned.get(batch), current));
    }

    /** The batches that are planned or under way, those due first first, and what they still need together. */
    @Transactional(readOnly = true)
    public OpenBatches open() {
        Settings current = settings.current();
        Map<Batch, Planned> open = openByDueDay(current);
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
        checkSize(document, form.sizeName(), fields);
        Optional<Money> own = ownPrice(form.ownPrice(), fields, current);
        fields.check();
        Planned planned = plans.of(document, form.sizeName(), units, choices(form), form.batchId(), own, current);
        return sheet(planned, current, own.isPresent(), licence(planned, form.designId(), form.batchId()));
    }

    /** What else would serve in a slot: allowed by the design, and enough of it free for the whole batch. */
    @Transactional(readOnly = true)
    public List<Replacement> replacements(BatchForm form, String slot) {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        FieldReader fields = new FieldReader();
        DesignDocument document = designs.document(form.designId());
        int units = fields.count("units", form.units(), 1, MOST_UNITS);
        checkSize(document, form.sizeName(), fields);
        fields.check();
        DesignDocument.SlotRow wanted = document.slots().stream()
                .filter(one -> one.key().equals(slot))
                .findFirst()
                .orElseThrow(() -> RefusedException.missing("The design has no such slot."));
        List<Replacement> found = new ArrayList<>();
        Design design = DesignService.stored(document);
        for (MaterialView material : materials.all()) {
            boolean taken = material.putAway() || form.materials().contains(new SlotChoice(slot, material.id()));
            if (taken || material.free().value() <= 0 || !DesignService.serves(design, wanted, material.candidate())) {
                continue;
            }
            List<SlotChoice> choices = Stream.concat(
                            form.materials().stream()
                                    .filter(choice -> !choice.slot().equals(slot)),
                            Stream.of(new SlotChoice(slot, material.id())))
                    .toList();
            Planned planned = plans.of(
                    document,
                    form.sizeName(),
                    units,
                    new Choices(choices, List.of()),
                    form.batchId(),
                    Optional.empty(),
                    current);
            planned.plan().needs().stream()
                    .filter(need -> need.supply().key().equals(Long.toString(material.id())))
                    .filter(need -> !need.isShort())
                    .findFirst()
                    .ifPresent(need -> found.add(new Replacement(
                            material.id(),
                            material.name(),
                            material.colour(),
                            writer.amount(need.amount()),
                            material.free(),
                            planned.plan()
                                    .cost()
                                    .map(cost -> writer.money(cost.full().value()))
                                    .orElse(null))));
        }
        return found;
    }

    public BatchView create(BatchForm form) {
        return get(onceOnly.make(form.requestId(), "batch", form, () -> {
            Batch batch = new Batch(form.designId(), clock.instant());
            batch.enter(read(form));
            return batches.saveAndFlush(batch).id();
        }));
    }

    /** Changes a planned batch; of one that is cut only its price, its day and what it is for. */
    @Transactional
    public BatchView change(long id, BatchForm form) {
        Batch batch = checkedVersion(id, form.version());
        if (form.designId() != batch.designId()) {
            throw RefusedException.conflict("Batch " + id + " is of another design, “"
                    + designs.document(batch.designId()).name() + "”, and stays so. Plan a new batch for this one.");
        }
        switch (batch.stage()) {
            case PLANNED -> {
                batch.enter(read(form));
                batches.saveAndFlush(batch);
                holds.follow(batch);
            }
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
        reservations.release(id);
        batches.delete(batch);
    }

    /** Holds for a batch what it still takes, as far as it is free; says what goes short. */
    @Transactional
    public BatchReserved reserve(long id, long version) {
        Batch batch = open(id, version);
        List<String> missing = holds.hold(batch);
        return new BatchReserved(view(batch, settings.current()), missing);
    }

    /** Gives back what a batch holds. */
    @Transactional
    public BatchView release(long id, long version) {
        Batch batch = open(id, version);
        reservations.release(id);
        return view(batch, settings.current());
    }

    private Batch open(long id, long version) {
        Batch batch = forChange(id);
        if (batch.stage() == BatchStage.FINISHED) {
            throw RefusedException.conflict("Batch " + id + " is finished already; it takes nothing more.");
        }
        ChangedMeanwhileException.check("Batch " + id, version, batch.version());
        return batch;
    }

    /** The cloth is cut: it leaves the stock, and what the plan was worked out from is kept as it is now. */
    @Transactional
    public BatchView cut(long id, StageForm form) {
        Batch batch = inStage(id, form.version(), BatchStage.PLANNED, "cut");
        Settings current = settings.current();
        Planned planned = plans.of(batch, current);
        if (!planned.plan().isComplete()) {
            throw RefusedException.conflict(firstRefusal(planned, current));
        }
        checkMark(form, planned, id);
        List<KeptOffcut> kept = kept(form, planned, current);
        Map<Long, List<Long>> movements = reservations.take(
                id,
                MovementKind.CUT,
                BatchHolds.wants(planned, need -> need.supply().kind().leavesWhenCut()),
                form.reason().strip());
        stock.keep(id, kept, new CutCloth(movements, CuttingJobs.covered(planned)));
        batch.cut(frozen(planned, planned.supplies(), planned.cost()), clock.instant());
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
        Planned planned = plans.of(batch, current);
        checkMark(form, planned, id);
        List<Want> wants =
                BatchHolds.wants(planned, need -> !need.supply().kind().leavesWhenCut());
        List<Spool> spools = shelves.spools();
        reservations.lock(Stream.concat(
                        wants.stream().map(Want::materialId), spools.stream().map(Spool::materialId))
                .toList());
        reservations.take(id, MovementKind.USED, wants, form.reason().strip());
        takeThread(batch, planned, spools);
        reservations.release(id);
        batch.finish(good, frozen(planned, asUsed(batch, planned), planned.plannedCost()), clock.instant());
        batches.saveAndFlush(batch);
        if (good > 0) {
            receiveGoods(batch, plans.of(batch, current), good);
        }
        return view(batch, current);
    }

    /** What is confirmed is what was shown: a layout chosen meanwhile in another tab takes other cloth. */
    private static void checkMark(StageForm form, Planned planned, long id) {
        if (form.mark() != null && !form.mark().equals(planned.mark())) {
            throw RefusedException.conflict("What batch " + id
                    + " takes has changed since this was shown. Nothing was booked; look at it as it is now.");
        }
    }

    private String frozen(Planned planned, List<Supply> supplies, Optional<Money> plannedCost) {
        return json.writeValueAsString(new FrozenInputs(
                planned.document(),
                supplies.stream().map(FrozenSupply::of).toList(),
                FrozenWorkroom.of(planned.workroom()),
                planned.plan().needs().stream()
                        .flatMap(need -> need.sheet().stream()
                                .map(sheet -> FrozenSheet.of(
                                        Long.parseLong(need.supply().key()), sheet)))
                        .toList(),
                plannedCost.map(Money::getAmountMinorLong).orElse(null)));
    }

    /** The materials at what the ledger says that the batch took of them, which stays so whatever school is chosen later. */
    private List<Supply> asUsed(Batch batch, Planned planned) {
        Shelves after = shelves.read(planned.supplies().stream()
                .map(supply -> Long.parseLong(supply.key()))
                .distinct()
                .toList());
        return planned.supplies().stream()
                .map(supply -> after.has(Long.parseLong(supply.key()))
                        ? BatchPlans.used(batch.id(), Long.parseLong(supply.key()), supply, after)
                        : supply)
                .toList();
    }

    /** Thread that a step's set-up names goes off its spool, by the hours at the machine; no more than is there. */
    private void takeThread(Batch batch, Planned planned, List<Spool> spools) {
        for (Spool spool : spools) {
            Duration hours = ThreadUse.time(planned.design().steps(), batch.units(), spool.name());
            Amount used = Amount.of(ThreadUse.length(hours, spool.perHour()));
            Amount there = shelves.read(List.of(spool.materialId())).onHand(spool.materialId(), Part.WHOLE);
            Amount taken = used.compareTo(there) < 0 ? used : there;
            if (taken.isPositive()) {
                reservations.take(
                        batch.id(),
                        MovementKind.USED,
                        List.of(new Want(spool.materialId(), Part.WHOLE, taken, Map.of(), Map.of())),
                        "by the hours at the machine");
            }
        }
    }

    /** The offcuts that are kept when the cloth is cut, as they are typed. */
    private static List<KeptOffcut> kept(StageForm form, Planned planned, Settings current) {
        List<KeptOffcut> kept = new ArrayList<>();
        FieldReader fields = new FieldReader();
        List<KeepForm> typed = form.keep() == null ? List.of() : form.keep();
        for (KeepForm keep : typed) {
            boolean known = planned.supplies().stream()
                    .anyMatch(supply -> supply.key().equals(Long.toString(keep.materialId())));
            if (!known) {
                fields.refuse("keep", Long.toString(keep.materialId()), "This batch isn't cut from that cloth.");
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

    /** What all open batches together still need of each material, by its id; of two-part notions, in sets. */
    @Transactional(readOnly = true)
    public Map<Long, Amount> stillNeeded() {
        Map<Long, Map<Part, Amount>> byPart = new LinkedHashMap<>();
        plans.of(batches.findByStageInOrderByIdAsc(OPEN), settings.current())
                .forEach((batch, planned) -> planned.plan().needs().stream()
                        .filter(BatchHolds.stillToCome(batch))
                        .forEach(need -> byPart.computeIfAbsent(
                                        Long.parseLong(need.supply().key()), id -> new EnumMap<>(Part.class))
                                .merge(need.part(), need.wanted(), Amount::together)));
        Map<Long, Amount> needed = new LinkedHashMap<>();
        byPart.forEach((id, parts) -> needed.put(
                id, parts.values().stream().max(Comparator.naturalOrder()).orElseThrow()));
        return needed;
    }

    /** A part of a material that several batches may want. */
    private record Wanted(long materialId, Part part) {}

    /** The open batches with their plans, those due first first. */
    private Map<Batch, Planned> openByDueDay(Settings current) {
        List<Batch> open = batches.findByStageInOrderByIdAsc(OPEN).stream()
                .sorted(Comparator.comparing(batch -> batch.dueOn().orElse(LocalDate.MAX)))
                .toList();
        return plans.of(open, current);
    }

    private List<ShortLine> shortages(Map<Batch, Planned> open, ViewWriter writer) {
        Map<Wanted, List<Claim>> claims = new LinkedHashMap<>();
        Map<Wanted, Need> first = new LinkedHashMap<>();
        Map<String, String> names = new HashMap<>();
        open.forEach((batch, planned) -> planned.plan().needs().stream()
                .filter(BatchHolds.stillToCome(batch))
                .filter(need ->
                        planned.shelves().has(Long.parseLong(need.supply().key())))
                .forEach(need -> {
                    Wanted wanted = new Wanted(Long.parseLong(need.supply().key()), need.part());
                    String key = Long.toString(batch.id());
                    names.put(
                            key,
                            planned.design().name() + " "
                                    + planned.plan().sized().size());
                    first.putIfAbsent(wanted, need);
                    claims.computeIfAbsent(wanted, w -> new ArrayList<>())
                            .add(new Claim(
                                    key,
                                    need.amount(),
                                    planned.shelves().heldFor(batch.id(), wanted.materialId(), wanted.part())));
                }));
        Map<Long, String> colours = materials.colours(
                claims.keySet().stream().map(Wanted::materialId).toList());
        List<ShortLine> lines = new ArrayList<>();
        claims.forEach((wanted, its) -> {
            Need need = first.get(wanted);
            Amount onHand = need.stock().onHand();
            List<Claims.Share> going = Claims.shares(its, onHand).stream()
                    .filter(share -> share.shortBy().isPositive())
                    .toList();
            if (!going.isEmpty()) {
                Amount needed =
                        its.stream().map(Claim::wanted).reduce(Amount::together).orElseThrow();
                lines.add(new ShortLine(
                        wanted.materialId(),
                        need.supply().name()
                                + (wanted.part() == Part.WHOLE
                                        ? ""
                                        : ", " + wanted.part().words()),
                        need.supply().kind(),
                        colours.getOrDefault(wanted.materialId(), "#9fb0b0"),
                        writer.amount(onHand),
                        writer.amount(needed),
                        writer.amount(needed.minus(onHand)),
                        going.stream()
                                .map(share -> new ShortBatch(
                                        Long.parseLong(share.batch()),
                                        names.get(share.batch()),
                                        writer.amount(share.shortBy())))
                                .toList()));
            }
        });
        return lines;
    }

    private Batch.Entered read(BatchForm form) {
        Settings current = settings.current();
        DesignDocument document = designs.document(form.designId());
        FieldReader fields = new FieldReader();
        int units = fields.count("units", form.units(), 1, MOST_UNITS);
        checkSize(document, form.sizeName(), fields);
        Optional<Money> own = ownPrice(form.ownPrice(), fields, current);
        fields.check();
        Planned planned = plans.of(document, form.sizeName(), units, choices(form), form.batchId(), own, current);
        if (!planned.plan().isComplete()) {
            throw RefusedException.conflict(firstRefusal(planned, current));
        }
        return new Batch.Entered(
                form.sizeName(),
                document.sizeKey(form.sizeName()),
                units,
                Optional.ofNullable(form.dueOn()),
                form.forWhat().strip(),
                own.map(Money::getAmountMinorLong),
                json.writeValueAsString(form.materials()),
                json.writeValueAsString(choices(form).offcuts()));
    }

    private static void checkSize(DesignDocument document, String size, FieldReader fields) {
        if (!document.sizes().contains(size)) {
            fields.refuse(
                    "sizeName",
                    size,
                    "“" + document.name() + "” has no size “" + size + "”; it has "
                            + String.join(", ", document.sizes()) + ".");
        }
    }

    private static Choices choices(BatchForm form) {
        return new Choices(form.materials(), form.offcuts() == null ? List.of() : form.offcuts());
    }

    private static Optional<Money> ownPrice(String typed, FieldReader fields, Settings current) {
        return typed.isBlank()
                ? Optional.empty()
                : Optional.of(current.money(fields.money("ownPrice", typed, current.currency())));
    }

    private static String firstRefusal(Planned planned, Settings current) {
        ViewWriter writer = current.writer();
        return planned.plan().findings().stream()
                .filter(Finding::isRefused)
                .findFirst()
                .map(finding -> writer.sentence(finding.what()) + " " + writer.sentence(finding.remedy()))
                .orElseThrow();
    }

    private void receiveGoods(Batch batch, Planned planned, int good) {
        long unitCost = planned.cost().orElseThrow().getAmountMinorLong();
        goods.receive(new NewGoods(
                batch.id(),
                planned.design().name(),
                planned.plan().sized().size(),
                clothName(planned),
                good,
                unitCost,
                planned.plan().pricing().orElseThrow().price().getAmountMinorLong()));
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

    private Batch forChange(long id) {
        return batches.findForChange(id)
                .orElseThrow(() -> RefusedException.missing("There is no such batch, or no longer."));
    }

    private Batch checkedVersion(long id, long version) {
        Batch batch = forChange(id);
        ChangedMeanwhileException.check("Batch " + id, version, batch.version());
        return batch;
    }

    /** A second click on the same button finds the batch already further, which is said before its version is. */
    private Batch inStage(long id, long version, BatchStage wanted, String done) {
        Batch batch = forChange(id);
        if (batch.stage().compareTo(wanted) > 0) {
            throw RefusedException.conflict("Batch " + id + " is " + done + " already.");
        }
        if (batch.stage() != wanted) {
            throw RefusedException.conflict("Batch " + id + " must be cut first.");
        }
        ChangedMeanwhileException.check("Batch " + id, version, batch.version());
        return batch;
    }

    private BatchSheet sheet(Planned planned, Settings current, boolean ownPrice, Optional<Finding> licence) {
        return new BatchSheetWriter(current.writer(), planned.workroom()).write(planned, ownPrice, licence, current);
    }

    /** What the licence of the pattern says about these units, with those of the design's other batches. */
    private Optional<Finding> licence(Planned planned, long designId, @Nullable Long ownBatch) {
        long made = batches.unitsOfDesign(designId, ownBatch == null ? 0 : ownBatch);
        return Licences.look(planned.design().source(), made, planned.plan().units());
    }

    private BatchView view(Batch batch, Settings current) {
        Planned planned = plans.of(batch, current);
        return new BatchView(
                batch.id(),
                batch.version(),
                batch.designId(),
                planned.design().name(),
                batch.stage(),
                batch.dueOn().orElse(null),
                batch.forWhat(),
                batch.ownPriceMinor()
                        .map(minor -> current.writer().money(minor).amount())
                        .orElse(""),
                plans.choices(batch).materials(),
                plans.choices(batch).offcuts(),
                batch.finishedUnits().orElse(null),
                planned.plannedCost().map(current.writer()::money).orElse(null),
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
                planned.plan().sized().size(),
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
