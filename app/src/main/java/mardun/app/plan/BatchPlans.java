package mardun.app.plan;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.channel.PricePlace;
import mardun.app.channel.SetPrices;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignService;
import mardun.app.id.BatchId;
import mardun.app.id.ChannelId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.log.BenchLog;
import mardun.app.log.Estimates;
import mardun.app.material.StockShelves;
import mardun.app.material.StockShelves.Shelves;
import mardun.app.plan.ChosenLayouts.ChosenLayout;
import mardun.app.plan.CuttingJobs.Settled;
import mardun.app.plan.FrozenInputs.FrozenLine;
import mardun.app.plan.FrozenInputs.FrozenSupply;
import mardun.app.plan.KnownPlans.Inputs;
import mardun.app.plan.KnownPlans.Worked;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.plan.Planned.Unsewn;
import mardun.app.settings.Settings;
import mardun.app.unsewn.UnsewnShelf;
import mardun.core.batch.BatchLine;
import mardun.core.batch.BatchPlan;
import mardun.core.batch.BatchPlanner;
import mardun.core.batch.CutList.PieceLine;
import mardun.core.batch.CuttingSheet;
import mardun.core.batch.Need;
import mardun.core.batch.Supply;
import mardun.core.batch.UnsewnPieces;
import mardun.core.batch.Workroom;
import mardun.core.design.Design;
import mardun.core.design.Finding;
import mardun.core.making.Counted;
import mardun.core.working.Sentence;
import mardun.core.working.Value;
import org.joda.money.Money;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Works out what follows from a batch's lines and the shelf: of a planned batch from what is stored now, of one whose cloth is cut
 * from what was frozen then. Whoever needs to know what a batch takes or costs asks here.
 */
@Component
public class BatchPlans {

    private static final Logger LOG = LoggerFactory.getLogger(BatchPlans.class);

    private final DesignService designs;
    private final StockShelves stock;
    private final BatchPlanner planner;
    private final ChosenLayouts layouts;
    private final UnsewnShelf unsewn;
    private final Estimates estimates;
    private final BenchLog log;
    private final SetPrices prices;
    private final KnownPlans known = new KnownPlans();

    /** As long as somebody holds what was frozen, its design is read once. */
    private final Cache<FrozenLine, Design> frozenDesigns =
            Caffeine.newBuilder().weakKeys().build();

    BatchPlans(
            DesignService designs,
            StockShelves stock,
            BatchPlanner planner,
            ChosenLayouts layouts,
            UnsewnShelf unsewn,
            Estimates estimates,
            BenchLog log,
            SetPrices prices) {
        this.designs = designs;
        this.stock = stock;
        this.planner = planner;
        this.layouts = layouts;
        this.unsewn = unsewn;
        this.estimates = estimates;
        this.log = log;
        this.prices = prices;
    }

    /** The plan of one batch, stored or still being typed. */
    public Planned of(ChosenBatch batch, Settings current) {
        return of(List.of(batch), current).get(batch);
    }

    /** The designs of a batch's lines as they are planned with them, by the lines' numbers, without working anything out. */
    public Map<Integer, Design> designs(ChosenBatch batch) {
        Documents documents = new Documents();
        return batch.lines().stream()
                .collect(Collectors.toMap(ChosenLine::number, line -> documents.design(batch, line)));
    }

    /** The same with the times that they were planned with, also of a batch that is done and took others. */
    public Map<Integer, Design> designsAsPlanned(ChosenBatch batch) {
        Documents documents = new Documents();
        return batch.lines().stream()
                .collect(Collectors.toMap(
                        ChosenLine::number,
                        line -> Documents.frozenLine(batch, line)
                                .map(its -> its.planned(DesignService.stored(its.design())))
                                .orElseGet(() -> documents.design(batch, line))));
    }

    /** The plans of many batches; the shelf is read once for all of them. */
    public Map<ChosenBatch, Planned> of(Collection<ChosenBatch> batches, Settings current) {
        Set<MaterialId> ids = new LinkedHashSet<>();
        batches.forEach(batch ->
                batch.lines().forEach(line -> ids.addAll(line.materials().values())));
        Shelves shelves = stock.read(ids);
        Map<BatchId, Map<MaterialId, ChosenLayout>> chosen = layouts.chosenFor(batches.stream()
                .filter(batch -> batch.id() != null && !batch.finished())
                .map(ChosenBatch::id)
                .toList());
        UnsewnShelf.Snapshot cutPieces = unsewn.read(batches.stream()
                .filter(batch -> batch.frozen().isEmpty())
                .flatMap(batch -> batch.lines().stream().map(ChosenLine::designId))
                .collect(Collectors.toSet()));
        Map<BatchId, Counted> counted = log.counted(batches.stream()
                .filter(batch -> batch.id() != null && !batch.finished())
                .map(ChosenBatch::id)
                .toList());
        Asking asking = new Asking(
                current.usualChannel().id(),
                prices.of(
                        batches.stream()
                                .filter(batch -> batch.frozen().isEmpty())
                                .flatMap(batch -> batch.lines().stream().map(ChosenLine::designId))
                                .collect(Collectors.toSet()),
                        current.usualChannel().id()));
        Documents documents = new Documents();
        Map<ChosenBatch, Planned> planned = new LinkedHashMap<>();
        for (ChosenBatch batch : batches) {
            try {
                planned.put(
                        batch,
                        plan(
                                batch,
                                new OnTheShelf(shelves, chosen.getOrDefault(batch.id(), Map.of()), cutPieces),
                                batch.id() == null
                                        ? Counted.NOTHING
                                        : counted.getOrDefault(batch.id(), Counted.NOTHING),
                                asking,
                                current,
                                documents));
            } catch (RuntimeException broken) {
                LOG.error("Batch {} can't be worked out", batch.id(), broken);
                planned.put(batch, broken(batch, shelves, current, documents));
            }
        }
        return planned;
    }

    /**
     * The designs of some batches as they are planned with them, with the times of their steps as they are known now; or as they were, with
     * what was known then, when their first cloth was cut.
     */
    private final class Documents {

        private final Map<Design, Design> timed = new IdentityHashMap<>();

        DesignDocument of(ChosenBatch batch, ChosenLine line) {
            return frozenLine(batch, line)
                    .map(FrozenLine::design)
                    .orElseGet(() -> made(line).document());
        }

        Design design(ChosenBatch batch, ChosenLine line) {
            return frozenLine(batch, line)
                    .map(its -> frozenDesigns.get(its, BatchPlans::asFrozen))
                    .orElseGet(() -> timed.computeIfAbsent(
                            made(line).design(), design -> estimates.timed(line.designId(), design)));
        }

        /** What was chosen for a line otherwise than usual, as it is read. */
        String picked(ChosenLine line) {
            return line.picks().isEmpty() ? "" : made(line).picked();
        }

        private DesignService.MadeDesign made(ChosenLine line) {
            return designs.made(line.designId(), line.revision(), line.picks());
        }

        private static Optional<FrozenLine> frozenLine(ChosenBatch batch, ChosenLine line) {
            return batch.frozen().flatMap(inputs -> inputs.line(line.number()));
        }
    }

    private static Design asFrozen(FrozenLine line) {
        return line.timed(DesignService.stored(line.design()));
    }

    /** The prices that are set in the usual channel, in minor units. */
    private record Asking(ChannelId channel, Map<PricePlace, Long> prices) {

        static final Asking NOTHING = new Asking(new ChannelId(0), Map.of());

        /** What the maker asks for a bag of a line: its own price, or the one that is set, or was when its first cloth was cut. */
        Optional<Money> of(ChosenBatch batch, ChosenLine line, Design design, Workroom workroom) {
            return line.ownPriceMinor()
                    .or(() -> batch.frozen().isPresent()
                            ? Documents.frozenLine(batch, line).map(FrozenLine::setPriceMinor)
                            : setPrice(line, design))
                    .map(minor -> Money.ofMinor(workroom.hourlyRate().getCurrencyUnit(), minor));
        }

        /** A price that is set is for bags as they are usually made. */
        private Optional<Long> setPrice(ChosenLine line, Design design) {
            return line.picks().isEmpty() ? place(line, design).of(prices) : Optional.empty();
        }

        private PricePlace place(ChosenLine line, Design design) {
            return new PricePlace(line.designId(), line.sizeKey(), channel)
                    .in(design.outerSlot().map(line.materials()::get));
        }
    }

    /** What a batch finds: materials, the layouts that were chosen for it, and pieces that are cut and not sewn. */
    private record OnTheShelf(
            Shelves materials, Map<MaterialId, ChosenLayout> layouts, UnsewnShelf.Snapshot cutPieces) {}

    private Planned plan(
            ChosenBatch batch,
            OnTheShelf there,
            Counted counted,
            Asking asking,
            Settings current,
            Documents documents) {
        Shelves shelves = there.materials();
        Map<MaterialId, ChosenLayout> layouts = there.layouts();
        Workroom workroom =
                batch.frozen().map(frozen -> frozen.workroom().workroom()).orElseGet(current::workroom);
        Map<MaterialId, Supply> supplies = supplies(batch, shelves, layouts.values());
        List<Finding> gone = new ArrayList<>();
        List<BatchLine> lines = new ArrayList<>();
        for (ChosenLine line : batch.lines()) {
            DesignDocument document = documents.of(batch, line);
            OptionalInt size = document.indexOf(line.sizeKey(), line.sizeName());
            if (size.isEmpty()) {
                gone.add(noSuchSize(line, document));
            }
            Design design = documents.design(batch, line);
            lines.add(line(line, design, size.orElse(0), supplies, asking.of(batch, line, design, workroom)));
        }
        Unsewn found = gone.isEmpty() && batch.frozen().isEmpty()
                ? bring(batch, lines, there.cutPieces().freeFor(batch.id()), workroom)
                : Unsewn.NOTHING;
        Settled settled = Settled.of(current);
        Worked worked = gone.isEmpty()
                ? known.of(
                        new Inputs(batch, lines, workroom, layouts, settled),
                        (inputs, before) -> workOut(inputs, before, supplies))
                : new Worked(BatchPlanner.impossible(lines, gone.get(0)), List.of());
        BatchPlan plan = worked.plan();
        List<PlannedLine> planned = new ArrayList<>();
        for (ChosenLine line : batch.lines()) {
            DesignDocument document = documents.of(batch, line);
            planned.add(new PlannedLine(
                    line,
                    document,
                    documents.design(batch, line),
                    documents.picked(line),
                    plan.line(line.number()),
                    plannedCost(batch, line)));
        }
        return new Planned(
                batch,
                plan,
                worked.toCome(),
                planned,
                List.copyOf(supplies.values()),
                workroom,
                shelves,
                batch.offcuts().stream().map(String::valueOf).collect(Collectors.toSet()),
                found,
                counted);
    }

    private Worked workOut(Inputs from, Optional<BatchPlan> before, Map<MaterialId, Supply> supplies) {
        Function<List<PieceLine>, Map<String, CuttingSheet>> sheets =
                pieces -> sheets(from.batch(), from.layouts(), supplies, pieces, from.settled());
        BatchPlan plan = before.map(last -> planner.planAfter(last, from.lines(), from.workroom(), sheets))
                .orElseGet(() -> planner.plan(from.lines(), from.workroom(), sheets));
        return new Worked(plan, toCome(from.batch(), plan, from.lines(), from.workroom()));
    }

    /** Pieces that are cut already come to the lines that take them, in the order of the lines. */
    private static Unsewn bring(ChosenBatch batch, List<BatchLine> lines, UnsewnPieces pieces, Workroom workroom) {
        if (pieces.isEmpty()) {
            return Unsewn.NOTHING;
        }
        Map<Integer, List<UnsewnPieces.Offer>> offers = new HashMap<>();
        List<UnsewnPieces.Taken> taken = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            BatchLine line = lines.get(i);
            ChosenLine chosen = batch.lines().get(i);
            String design = chosen.designId().key();
            offers.put(line.number(), pieces.offers(line, design, workroom.thickestSeam()));
            UnsewnPieces.Brought brought = pieces.bring(
                    line,
                    design,
                    workroom.thickestSeam(),
                    chosen.brought().entrySet().stream()
                            .collect(Collectors.toMap(entry -> entry.getKey().key(), Map.Entry::getValue)));
            taken.addAll(brought.taken());
            lines.set(i, line.with(brought.moved()));
        }
        return new Unsewn(offers, taken);
    }

    private static BatchLine line(
            ChosenLine line, Design design, int size, Map<MaterialId, Supply> supplies, Optional<Money> asked) {
        List<Supply> its = line.materials().entrySet().stream()
                .filter(entry -> supplies.containsKey(entry.getValue()))
                .map(entry -> supplies.get(entry.getValue()).forSlot(entry.getKey()))
                .toList();
        return new BatchLine(line.number(), design, size, line.started(), line.carrying(), its, asked, line.moved());
    }

    /** What isn't taken yet: cloth until it is cut, everything else for the bags that aren't done. */
    private List<Need> toCome(ChosenBatch batch, BatchPlan plan, List<BatchLine> lines, Workroom workroom) {
        if (batch.finished()) {
            return List.of();
        }
        List<Need> cloths = plan.needs().stream()
                .filter(need -> need.supply().kind().leavesWhenCut())
                .filter(need -> !batch.isCut(MaterialId.valueOf(need.supply().key())))
                .toList();
        boolean anyDone = batch.lines().stream().anyMatch(line -> line.done() > 0);
        List<Need> others = anyDone ? ofOpenBags(batch, plan, lines, workroom) : plan.needs();
        return Stream.concat(
                        cloths.stream(),
                        others.stream().filter(need -> !need.supply().kind().leavesWhenCut()))
                .toList();
    }

    private List<Need> ofOpenBags(ChosenBatch batch, BatchPlan plan, List<BatchLine> lines, Workroom workroom) {
        Map<Integer, Integer> open =
                batch.lines().stream().collect(Collectors.toMap(ChosenLine::number, ChosenLine::open));
        List<BatchLine> left = lines.stream()
                .filter(line -> open.get(line.number()) > 0)
                .map(line -> line.withUnits(open.get(line.number())))
                .toList();
        return left.isEmpty()
                ? List.of()
                : planner.planAfter(plan, left, workroom, pieces -> Map.of()).needs();
    }

    /** What a number of bags of each line takes beside cloth: trims, notions, fillings. */
    public List<Need> besideCloth(Planned planned, Map<Integer, Integer> bags) {
        List<BatchLine> its = planned.lines().stream()
                .filter(line -> bags.getOrDefault(line.number(), 0) > 0)
                .map(line -> line.plan().line().withUnits(bags.get(line.number())))
                .toList();
        return its.isEmpty()
                ? List.of()
                : planner.planAfter(planned.plan(), its, planned.workroom(), pieces -> Map.of()).needs().stream()
                        .filter(need -> !need.supply().kind().leavesWhenCut())
                        .toList();
    }

    /** One that can't be worked out shows as itself, and not as a page that is dead. */
    private Planned broken(ChosenBatch batch, Shelves shelves, Settings current, Documents documents) {
        Finding why = Finding.refused(
                "lines",
                Sentence.of("Batch " + batch.id() + " can't be worked out as it is stored."),
                Sentence.of("Choose its size, its materials and its number once more, or give it up."));
        List<BatchLine> lines = batch.lines().stream()
                .map(line -> line(
                        line,
                        documents.design(batch, line),
                        0,
                        Map.of(),
                        Asking.NOTHING.of(batch, line, documents.design(batch, line), current.workroom())))
                .toList();
        BatchPlan plan = BatchPlanner.impossible(lines, why);
        return new Planned(
                batch,
                plan,
                List.of(),
                batch.lines().stream()
                        .map(line -> new PlannedLine(
                                line,
                                documents.of(batch, line),
                                documents.design(batch, line),
                                documents.picked(line),
                                plan.line(line.number()),
                                Optional.empty()))
                        .toList(),
                List.of(),
                current.workroom(),
                shelves,
                Set.of(),
                Unsewn.NOTHING,
                Counted.NOTHING);
    }

    private static Optional<Money> plannedCost(ChosenBatch batch, ChosenLine line) {
        return batch.frozen().flatMap(frozen -> frozen.plannedCost(line.number()));
    }

    /** Each material of a batch once, as it is for this batch, with the offcuts that were chosen or that a layout lies on. */
    private static Map<MaterialId, Supply> supplies(
            ChosenBatch batch, Shelves shelves, Collection<ChosenLayout> layouts) {
        List<LotId> pieces = Stream.concat(
                        batch.offcuts().stream(),
                        layouts.stream()
                                .flatMap(one -> one.layout().cloths().stream())
                                .filter(cloth -> !cloth.isBolt() && !cloth.isOfAnySheet())
                                .map(cloth -> LotId.valueOf(cloth.lot())))
                .distinct()
                .toList();
        Map<MaterialId, Supply> supplies = new LinkedHashMap<>();
        for (ChosenLine line : batch.lines()) {
            line.materials().forEach((slot, id) -> {
                if (!supplies.containsKey(id)) {
                    supply(batch, slot, id, shelves, pieces).ifPresent(supply -> supplies.put(id, supply));
                }
            });
        }
        return supplies;
    }

    private static Optional<Supply> supply(
            ChosenBatch batch, String slot, MaterialId id, Shelves shelves, List<LotId> pieces) {
        Optional<FrozenSupply> frozen = batch.frozen().flatMap(inputs -> inputs.supply(id));
        if (frozen.isEmpty()) {
            return shelves.supply(slot, id, batch.id(), pieces);
        }
        Supply was = frozen.get()
                .supply(batch.frozen().get().workroom().currencyUnit())
                .forSlot(slot);
        if (batch.finished() || !shelves.has(id)) {
            return Optional.of(was);
        }
        if (batch.isCut(id)) {
            return Optional.of(UsedMaterial.cut(batch.id(), id, was, shelves));
        }
        return shelves.supply(slot, id, batch.id(), pieces)
                .map(now -> UsedMaterial.inPart(batch.id(), id, was, now, shelves));
    }

    /** The layouts as the core takes them, by the key of their supply, with what their offcuts are worth. */
    private static Map<String, CuttingSheet> sheets(
            ChosenBatch batch,
            Map<MaterialId, ChosenLayout> layouts,
            Map<MaterialId, Supply> supplies,
            List<PieceLine> pieces,
            Settled settled) {
        Map<String, CuttingSheet> byKey = new HashMap<>();
        layouts.forEach((id, layout) -> {
            Supply cloth = supplies.get(id);
            if (cloth != null && !batch.isCut(id)) {
                List<PieceLine> its =
                        pieces.stream().filter(piece -> piece.isFrom(cloth)).toList();
                byKey.put(cloth.key(), CuttingJobs.sheet(layout, cloth, its, settled));
            }
        });
        batch.frozen().ifPresent(frozen -> byKey.putAll(frozen.sheetsByKey()));
        return byKey;
    }

    private static Finding noSuchSize(ChosenLine line, DesignDocument document) {
        return Finding.refused(
                "lines." + line.number() + ".sizeName",
                Sentence.of(
                        "“{0}” has no size “{1}” any more; it has {2}.",
                        Value.of(document.name()),
                        Value.of(line.sizeName()),
                        Value.of(String.join(", ", document.sizes()))),
                Sentence.of("Choose the size that this batch is made in."));
    }
}
