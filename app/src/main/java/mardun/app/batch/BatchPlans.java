package mardun.app.batch;

import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.batch.BatchViews.SlotChoice;
import mardun.app.batch.FrozenInputs.FrozenSupply;
import mardun.app.cutting.CuttingSheets;
import mardun.app.cutting.CuttingSheets.Sheet;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignService;
import mardun.app.material.StockShelves;
import mardun.app.material.StockShelves.Shelves;
import mardun.app.request.Fingerprint;
import mardun.app.settings.Settings;
import mardun.core.batch.BatchPlan;
import mardun.core.batch.BatchPlanner;
import mardun.core.batch.CuttingSheet;
import mardun.core.batch.Supply;
import mardun.core.batch.Workroom;
import mardun.core.design.Design;
import mardun.core.design.Finding;
import mardun.core.design.Piece;
import mardun.core.material.Amount;
import mardun.core.material.ClothPiece;
import mardun.core.material.Part;
import mardun.core.material.Stock;
import mardun.core.material.UnitPrice;
import mardun.core.material.Worth;
import mardun.core.working.Sentence;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Works out batches' plans: of planned ones from what is stored now, of those that are cut from what was frozen then. */
@Component
class BatchPlans {

    private static final Logger LOG = LoggerFactory.getLogger(BatchPlans.class);

    private final DesignService designs;
    private final StockShelves stock;
    private final BatchPlanner planner;
    private final CuttingSheets layouts;
    private final JsonMapper json;

    BatchPlans(
            DesignService designs, StockShelves stock, BatchPlanner planner, CuttingSheets layouts, JsonMapper json) {
        this.layouts = layouts;
        this.designs = designs;
        this.stock = stock;
        this.planner = planner;
        this.json = json;
    }

    /** A batch's plan with what it was worked out from. */
    record Planned(
            BatchPlan plan,
            Design design,
            DesignDocument document,
            List<Supply> supplies,
            Workroom workroom,
            Shelves shelves,
            @Nullable Long batchId,
            Set<String> chosenPieces,
            Optional<Money> plannedCost) {

        /** What one costs: as planned, or as those came out that came out well. */
        Optional<Money> cost() {
            return plan.cost().map(cost -> cost.full().value());
        }

        /** Tells this state of the plan from another that takes or leaves something else. */
        String mark() {
            return Fingerprint.of(plan.needs().stream()
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

    /** What a batch is made of: which material in which slot, and which offcuts and precuts it may use. */
    record Choices(List<SlotChoice> materials, List<Long> offcuts) {}

    /** The plan of a batch that is being typed. */
    Planned of(
            DesignDocument document,
            String size,
            int units,
            Choices choices,
            @Nullable Long batchId,
            Optional<Money> own,
            Settings current) {
        Shelves shelves = stock.read(choices.materials().stream()
                .map(SlotChoice::materialId)
                .distinct()
                .toList());
        Map<Long, Sheet> sheets =
                batchId == null ? Map.of() : layouts.chosen(List.of(batchId)).getOrDefault(batchId, Map.of());
        List<Supply> supplies = supplies(choices, shelves, batchId, sheets.values());
        return plan(
                document,
                new SizeOf(null, size),
                units,
                supplies,
                current.workroom(),
                own,
                shelves,
                batchId,
                byKey(sheets, supplies, document, current),
                OptionalInt.empty(),
                choices.offcuts(),
                Optional.empty());
    }

    Planned of(Batch batch, Settings current) {
        return of(List.of(batch), current).get(batch);
    }

    /** The plans of many batches; the shelf is read once for all of them. */
    Map<Batch, Planned> of(Collection<Batch> batches, Settings current) {
        Map<Batch, FrozenInputs> frozen = new HashMap<>();
        Map<Batch, Choices> choices = new HashMap<>();
        Set<Long> ids = new LinkedHashSet<>();
        for (Batch batch : batches) {
            batch.frozen().ifPresent(text -> frozen.put(batch, json.readValue(text, FrozenInputs.class)));
            choices.put(batch, choices(batch));
            choices.get(batch).materials().forEach(choice -> ids.add(choice.materialId()));
        }
        Shelves shelves = stock.read(ids);
        Map<Long, Map<Long, Sheet>> sheets = layouts.chosen(batches.stream()
                .filter(batch -> batch.stage() == BatchStage.PLANNED)
                .map(Batch::id)
                .toList());
        Map<Batch, Planned> planned = new LinkedHashMap<>();
        for (Batch batch : batches) {
            FrozenInputs itsFrozen = frozen.get(batch);
            Map<Long, Sheet> its = sheets.getOrDefault(batch.id(), Map.of());
            try {
                planned.put(
                        batch,
                        itsFrozen != null
                                ? frozen(batch, itsFrozen, shelves)
                                : planned(batch, choices.get(batch), shelves, current, its));
            } catch (RuntimeException broken) {
                LOG.error("Batch {} can't be worked out", batch.id(), broken);
                planned.put(batch, broken(batch, itsFrozen, shelves, current));
            }
        }
        return planned;
    }

    /** One that can't be worked out shows as itself, and not as a page that is dead. */
    private Planned broken(Batch batch, @Nullable FrozenInputs frozen, Shelves shelves, Settings current) {
        DesignDocument document = frozen == null ? designs.document(batch.designId()) : frozen.design();
        Design design = DesignService.stored(document);
        Finding why = Finding.refused(
                "units",
                Sentence.of("Batch " + batch.id() + " can't be worked out as it is stored."),
                Sentence.of("Choose its size, its materials and its number once more, or give it up."));
        return new Planned(
                BatchPlan.impossible(design, batch.sizeName(), batch.units(), why),
                design,
                document,
                List.of(),
                current.workroom(),
                shelves,
                batch.id(),
                Set.of(),
                Optional.empty());
    }

    Choices choices(Batch batch) {
        return new Choices(
                Arrays.stream(json.readValue(batch.materials(), SlotChoice[].class))
                        .filter(Objects::nonNull)
                        .toList(),
                Arrays.stream(json.readValue(batch.offcuts(), Long[].class))
                        .filter(Objects::nonNull)
                        .toList());
    }

    private Planned planned(Batch batch, Choices choices, Shelves shelves, Settings current, Map<Long, Sheet> sheets) {
        Workroom workroom = current.workroom();
        List<Supply> supplies = supplies(choices, shelves, batch.id(), sheets.values());
        DesignDocument document = designs.document(batch.designId());
        return plan(
                document,
                SizeOf.of(batch),
                batch.units(),
                supplies,
                workroom,
                own(batch, workroom),
                shelves,
                batch.id(),
                byKey(sheets, supplies, document, current),
                OptionalInt.empty(),
                choices.offcuts(),
                Optional.empty());
    }

    private Planned frozen(Batch batch, FrozenInputs frozen, Shelves shelves) {
        Workroom workroom = frozen.workroom().workroom();
        List<Supply> supplies = frozen.supplies().stream()
                .map(supply -> batch.stage() == BatchStage.FINISHED
                        ? supply.supply(frozen.workroom().currencyUnit())
                        : underWay(
                                batch, supply, supply.supply(frozen.workroom().currencyUnit()), shelves))
                .toList();
        return plan(
                frozen.design(),
                SizeOf.of(batch),
                batch.units(),
                supplies,
                workroom,
                own(batch, workroom),
                shelves,
                batch.id(),
                frozen.sheetsByKey(),
                batch.finishedUnits().map(OptionalInt::of).orElse(OptionalInt.empty()),
                List.of(),
                Optional.ofNullable(frozen.plannedCostMinor())
                        .map(minor -> Money.ofMinor(frozen.workroom().currencyUnit(), minor)));
    }

    private static Optional<Money> own(Batch batch, Workroom workroom) {
        return batch.ownPriceMinor()
                .map(minor -> Money.ofMinor(workroom.hourlyRate().getCurrencyUnit(), minor));
    }

    /**
     * A material of a batch that is cut: its cloth was on the shelf as it was frozen, and costs what the ledger says by
     * the maker's school; what is still to be taken is there as it is now.
     */
    private static Supply underWay(Batch batch, FrozenSupply frozen, Supply supply, Shelves shelves) {
        if (!shelves.has(frozen.materialId())) {
            return supply;
        }
        if (!supply.kind().leavesWhenCut()) {
            return shelves.supply(frozen.slot(), frozen.materialId(), batch.id(), List.of())
                    .map(now -> supply.stocked(now.stock()).lying(now.lie()))
                    .orElse(supply);
        }
        return used(batch.id(), frozen.materialId(), supply, shelves);
    }

    /** A material at what a batch has really taken of it, by the ledger. */
    static Supply used(long batchId, long materialId, Supply supply, Shelves shelves) {
        Map<Part, Stock> stock = new HashMap<>();
        supply.stock()
                .forEach((part, before) -> stock.put(
                        part,
                        new Stock(
                                before.onHand(),
                                Amount.none(before.onHand().counting()),
                                taken(shelves, batchId, materialId, part, supply.price()))));
        List<ClothPiece> pieces = supply.pieces().stream()
                .map(piece -> new ClothPiece(
                        piece.key(), piece.extent(), piece.count(), each(shelves, batchId, materialId, piece)))
                .toList();
        return supply.stocked(stock).with(pieces);
    }

    private static BigFraction each(Shelves shelves, long batchId, long materialId, ClothPiece piece) {
        long lot = Long.parseLong(piece.key());
        long count = shelves.piecesOfLot(batchId, materialId, lot);
        return count == 0 ? piece.minorEach() : BigFraction.of(shelves.usedOfLot(batchId, materialId, lot), count);
    }

    private static Worth taken(Shelves shelves, long batchId, long materialId, Part part, UnitPrice price) {
        Amount amount = shelves.takenOfRoll(batchId, materialId, part);
        return amount.isPositive()
                ? new Worth(
                        List.of(new Worth.Layer(amount, BigFraction.of(shelves.usedOfRoll(batchId, materialId, part)))),
                        price)
                : Worth.of(price);
    }

    /** The materials, with the offcuts and precuts that were chosen or that a layout lies on. */
    private static List<Supply> supplies(
            Choices choices, Shelves shelves, @Nullable Long batchId, Collection<Sheet> sheets) {
        List<Long> pieces = Stream.concat(
                        choices.offcuts().stream(),
                        sheets.stream()
                                .flatMap(sheet -> sheet.layout().cloths().stream())
                                .filter(cloth -> !cloth.isBolt() && !cloth.isOfAnySheet())
                                .map(cloth -> Long.valueOf(cloth.lot())))
                .distinct()
                .toList();
        return choices.materials().stream()
                .flatMap(choice -> shelves.supply(choice.slot(), choice.materialId(), batchId, pieces).stream())
                .toList();
    }

    /** The layouts as the core takes them, by the key of their supply, with what their offcuts are worth. */
    private static Map<String, CuttingSheet> byKey(
            Map<Long, Sheet> sheets, List<Supply> supplies, DesignDocument document, Settings current) {
        if (sheets.isEmpty()) {
            return Map.of();
        }
        Design design = DesignService.stored(document);
        Map<String, CuttingSheet> byKey = new HashMap<>();
        sheets.forEach((materialId, sheet) -> {
            List<Supply> its = supplies.stream()
                    .filter(supply -> supply.key().equals(Long.toString(materialId)))
                    .toList();
            List<Piece> pieces = design.pieces().stream()
                    .filter(piece ->
                            its.stream().anyMatch(supply -> supply.slot().equals(piece.slot())))
                    .toList();
            if (!its.isEmpty()) {
                byKey.put(its.get(0).key(), CuttingJobs.sheet(sheet, its.get(0), pieces, current));
            }
        });
        return byKey;
    }

    /** A size by what it is known by, or where nobody kept that by its name. */
    private record SizeOf(@Nullable String key, String name) {

        static SizeOf of(Batch batch) {
            return new SizeOf(batch.sizeKey().orElse(null), batch.sizeName());
        }
    }

    private static Finding noSuchSize(DesignDocument document, String size) {
        return Finding.refused(
                "sizeName",
                Sentence.of("“" + document.name() + "” has no size “" + size + "” any more; it has "
                        + String.join(", ", document.sizes()) + "."),
                Sentence.of("Choose the size that this batch is made in."));
    }

    private Planned plan(
            DesignDocument document,
            SizeOf size,
            int units,
            List<Supply> supplies,
            Workroom workroom,
            Optional<Money> own,
            Shelves shelves,
            @Nullable Long batchId,
            Map<String, CuttingSheet> sheets,
            OptionalInt good,
            List<Long> chosen,
            Optional<Money> plannedCost) {
        Set<String> chosenPieces = chosen.stream().map(String::valueOf).collect(Collectors.toSet());
        Design design = DesignService.stored(document);
        OptionalInt index = document.indexOf(size.key(), size.name());
        BatchPlan plan = index.isPresent()
                ? planner.plan(design, index.getAsInt(), units, supplies, workroom, own, sheets, good)
                : BatchPlan.impossible(design, size.name(), units, noSuchSize(document, size.name()));
        return new Planned(plan, design, document, supplies, workroom, shelves, batchId, chosenPieces, plannedCost);
    }
}
