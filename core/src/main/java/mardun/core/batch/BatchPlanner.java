package mardun.core.batch;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.core.batch.BatchPlan.Need;
import mardun.core.batch.BatchPlan.PieceLine;
import mardun.core.batch.BatchPlan.TrimLine;
import mardun.core.costing.CostLine;
import mardun.core.costing.UnitCost;
import mardun.core.cutting.CannotBeCutException;
import mardun.core.cutting.ClothNeed;
import mardun.core.cutting.ClothPlanner;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.LengthCutting;
import mardun.core.cutting.LengthPiece;
import mardun.core.cutting.LengthPlan;
import mardun.core.cutting.Offcuts;
import mardun.core.cutting.ShelfCloth;
import mardun.core.design.Design;
import mardun.core.design.Finding;
import mardun.core.design.Mark;
import mardun.core.design.MaterialSlot;
import mardun.core.design.Piece;
import mardun.core.design.SizedDesign;
import mardun.core.design.SizedFilling;
import mardun.core.design.SizedNotion;
import mardun.core.design.Sizing;
import mardun.core.design.TrimNeed;
import mardun.core.making.WorkTime;
import mardun.core.material.Amount;
import mardun.core.material.ClosedZip;
import mardun.core.material.ClothKind;
import mardun.core.material.ClothPiece;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import mardun.core.material.Roll;
import mardun.core.material.ShelfLimits;
import mardun.core.material.Ware;
import mardun.core.measure.Bulk;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.pricing.UnitPricing;
import mardun.core.working.Figure;
import mardun.core.working.Sentence;
import mardun.core.working.Value;
import mardun.core.working.Working;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.Money;

/** Turns a design, a size, materials and a number of units into the whole plan of a batch. */
public final class BatchPlanner {

    private final ClothPlanner cloths;

    public BatchPlanner(ClothPlanner cloths) {
        this.cloths = cloths;
    }

    /**
     * The plan for {@code units} bags.
     *
     * @param supplies what fills the design's slots; a slot that nothing fills becomes a finding
     * @param ownPrice the price at the stall, if the maker has set one
     */
    public BatchPlan plan(
            Design design, int size, int units, List<Supply> supplies, Workroom workroom, Optional<Money> ownPrice) {
        return plan(design, size, units, supplies, workroom, ownPrice, Map.of(), OptionalInt.empty());
    }

    /**
     * The same, with cutting sheets for some of its cloths. One that doesn't serve this batch as it is now, because it gives
     * other pieces or lies on another cloth, is left aside.
     *
     * @param sheets by the supply's key
     * @param good how many came out well, once that is known: they carry the cost of all; where none did, nothing is priced
     */
    public BatchPlan plan(
            Design design,
            int size,
            int units,
            List<Supply> supplies,
            Workroom workroom,
            Optional<Money> ownPrice,
            Map<String, CuttingSheet> sheets,
            OptionalInt good) {
        if (units < 1) {
            throw new IllegalArgumentException("a batch has one unit or more: " + units);
        }
        try {
            return worked(design, size, units, supplies, workroom, ownPrice, sheets, good);
        } catch (ArithmeticException beyondAllMeasure) {
            return BatchPlan.impossible(
                    design,
                    design.sizes().get(size),
                    units,
                    Finding.refused(
                            "units",
                            Sentence.of("This batch takes more than can be reckoned with."),
                            Sentence.of("Make fewer at once, or check the measures and the counts of the design.")));
        }
    }

    private BatchPlan worked(
            Design design,
            int size,
            int units,
            List<Supply> supplies,
            Workroom workroom,
            Optional<Money> ownPrice,
            Map<String, CuttingSheet> sheets,
            OptionalInt good) {
        Map<String, ClothKind> cloths = new LinkedHashMap<>();
        supplies.forEach(supply -> supply.cloth().ifPresent(cloth -> cloths.put(supply.slot(), cloth)));
        SizedDesign sized = Sizing.of(design.with(cloths), size, workroom.thickestSeam());
        List<Finding> findings = new ArrayList<>(sized.findings());
        List<PieceLine> pieces = sized.pieces().stream()
                .map(p -> new PieceLine(p, Math.multiplyExact((long) units, p.count())))
                .toList();
        List<TrimLine> trims = sized.trims().stream()
                .map(t -> new TrimLine(t, Math.multiplyExact((long) units, t.count())))
                .toList();
        Slots slots = Slots.of(design, supplies);
        findings.addAll(BatchFindings.unfit(design, supplies));
        List<Need> needs = new ArrayList<>();
        needs.addAll(clothNeeds(pieces, slots, sheets, findings));
        needs.addAll(trimNeeds(trims, slots, workroom, findings));
        needs.addAll(notionNeeds(withoutSliders(sized.notions(), trims, design, slots), units, slots, findings));
        needs.addAll(fillingNeeds(sized.fillings(), units, slots, findings));
        needs.stream()
                .filter(need -> !ShelfLimits.holds(need.amount()))
                .forEach(need -> findings.add(BatchFindings.tooMuch(need)));
        WorkTime time = WorkTime.of(design.steps(), units);
        boolean complete = findings.stream().noneMatch(Finding::isRefused);
        Optional<UnitCost> cost = complete
                ? Optional.of(UnitCost.of(
                        needs.stream().map(BatchPlanner::costLine).toList(),
                        time,
                        workroom.hourlyRate(),
                        workroom.overheadPerHour(),
                        good.orElse(0) > 0 ? good.getAsInt() : units))
                : Optional.empty();
        Optional<UnitPricing> pricing = cost.filter(c -> good.orElse(units) > 0)
                .map(c -> UnitPricing.of(c, time, workroom.stall(), workroom.prices(), ownPrice));
        cost.ifPresent(c -> findings.addAll(BatchFindings.unpriced(needs)));
        pricing.flatMap(BatchFindings::loss).ifPresent(findings::add);
        return new BatchPlan(sized, units, pieces, trims, List.copyOf(needs), time, cost, pricing, findings);
    }

    /** What fills the slots, by their keys, and what the design calls them. */
    private record Slots(Map<String, Supply> filled, Map<String, String> labels) {

        static Slots of(Design design, List<Supply> supplies) {
            Map<String, Supply> filled = new LinkedHashMap<>();
            supplies.forEach(supply -> filled.put(supply.slot(), supply));
            Map<String, String> labels = new LinkedHashMap<>();
            design.slots().forEach(slot -> labels.put(slot.key(), slot.label()));
            return new Slots(filled, labels);
        }

        String label(String slot) {
            return labels.getOrDefault(slot, slot);
        }
    }

    /** What costs something here: packing counts in the channel and thread in the overheads, and neither fills a slot. */
    private static CostLine costLine(Need need) {
        Map<String, ClothPiece> pieces = new LinkedHashMap<>();
        need.supply().pieces().forEach(piece -> pieces.put(piece.key(), piece));
        BigFraction offcuts = need.offcuts().stream()
                .map(use -> pieces.get(use.key()).minorEach().multiply(BigFraction.of(use.count())))
                .reduce(BigFraction.ZERO, BigFraction::add);
        String half = need.part() == Part.WHOLE ? "" : ", " + need.part().words();
        return new CostLine(
                need.supply().slot()
                        + (need.part() == Part.WHOLE ? "" : " " + need.part().words()),
                need.supply().name() + half,
                need.amount(),
                need.stock().worth(),
                offcuts.subtract(need.goesBack()));
    }

    private List<Need> clothNeeds(
            List<PieceLine> pieces, Slots slots, Map<String, CuttingSheet> sheets, List<Finding> findings) {
        List<Need> needs = new ArrayList<>();
        bySupply(pieces, line -> line.piece().piece().slot(), MaterialKind.CLOTH, slots, findings)
                .forEach((supply, lines) -> {
                    try {
                        needs.add(clothNeed(supply, lines, Optional.ofNullable(sheets.get(supply.key()))));
                    } catch (CannotBeCutException tooWide) {
                        findings.add(Finding.refused(
                                "slots." + supply.slot(),
                                tooWide.sentence(),
                                Sentence.of("Change the cloth or the size.")));
                    }
                });
        return needs;
    }

    /**
     * By the cutting sheet where there is one that serves; else offcuts first, then the bolt. Cloth that shrinks before it is
     * cut is narrower then, and more of it is needed.
     */
    private Need clothNeed(Supply supply, List<PieceLine> lines, Optional<CuttingSheet> sheet) {
        List<CutPiece> cut = cutPieces(supply, lines);
        if (supply.sheet().isPresent()) {
            return sheetNeed(supply, cut, supply.sheet().get(), sheet);
        }
        ShelfCloth cloth = shelfCloth(
                supply, lines.stream().map(line -> line.piece().piece()).toList(), supply.pieces());
        Optional<CuttingSheet> serving = sheet.filter(one -> one.serves(cut, cloth));
        if (serving.isPresent()) {
            return clothNeed(supply, serving.get(), cloth);
        }
        Offcuts.Plan plan = Offcuts.first(
                cut.stream().filter(piece -> !cloth.isMetBy(piece)).toList(), supply.pieces());
        List<CutPiece> fromTheRoll = Stream.concat(
                        cut.stream().filter(cloth::isMetBy).map(cloth::asHighAsItTakes), plan.rest().stream())
                .toList();
        ClothNeed need = cloths.plan(cloth, fromTheRoll);
        return Need.ofCloth(
                supply,
                beforeShrinking(need.length(), supply),
                plan.uses(),
                Offcuts.left(need, cloth),
                Optional.empty(),
                Length.ZERO);
    }

    /**
     * How many sheets are cut into, by the cutting sheet where there is one that serves; else each is filled before the next.
     * What is left of a sheet isn't counted back, and none becomes a roll.
     */
    private static Need sheetNeed(
            Supply supply, List<CutPiece> pieces, Extent size, Optional<CuttingSheet> cuttingSheet) {
        ShelfCloth cloth = sheetsOf(supply, size);
        Optional<CuttingSheet> serving = cuttingSheet.filter(one -> one.serves(pieces, cloth));
        if (serving.isPresent()) {
            return Need.ofSheets(supply, serving.get());
        }
        Extent whenCut = whenCut(supply, size);
        long atMost = pieces.stream().mapToLong(CutPiece::count).sum();
        ClothPiece sheets = new ClothPiece(supply.key(), whenCut, atMost, BigFraction.ZERO);
        Offcuts.Plan plan = Offcuts.first(pieces, List.of(sheets));
        plan.rest().stream().findFirst().ifPresent(piece -> {
            throw CannotBeCutException.largerThanASheet(piece, whenCut);
        });
        long count = plan.uses().stream().mapToLong(Offcuts.Use::count).sum();
        return Need.of(
                supply,
                Part.WHOLE,
                Amount.pieces(count),
                Working.of("So many sheets, each filled with pieces before the next is cut into.")
                        .expression("{sheets}")
                        .input("sheets", "sheets for all pieces", Value.of(count))
                        .gives(Value.of(count)));
    }

    private static Need clothNeed(Supply supply, CuttingSheet sheet, ShelfCloth cloth) {
        return Need.ofCloth(
                supply,
                beforeShrinking(sheet.length(), supply),
                sheet.uses(),
                sheet.left(),
                Optional.of(sheet),
                supply.shrinkage().toTake(sheet.toBuy(cloth)));
    }

    private static Extent whenCut(Supply supply, Extent size) {
        return new Extent(
                supply.shrinkage().whenCut(size.width()), supply.shrinkage().whenCut(size.height()));
    }

    private static ShelfCloth sheetsOf(Supply supply, Extent size) {
        return ShelfCloth.ofSheets(
                whenCut(supply, size),
                BigFraction.of(
                        supply.price().price().getAmountMinorLong(),
                        supply.price().per().value()));
    }

    /** What is cut from a supply, as it may lie on it: larger than the design says, where the cloth shrinks afterwards. */
    public static List<CutPiece> cutPieces(Supply supply, List<PieceLine> lines) {
        return lines.stream()
                .map(line -> new CutPiece(
                        line.piece().piece().letter(),
                        line.piece().piece().name(),
                        supply.shrinkage().toCut(line.piece().extent()),
                        line.count(),
                        !(supply.directional() && line.piece().piece().directional()),
                        line.piece().piece().meetsPrint()))
                .toList();
    }

    /** The width of a cloth when it is cut: what it shrinks before is gone; its selvages count where any piece may have them. */
    public static Length widthToCut(Supply supply, List<Piece> pieces) {
        boolean overSelvage = pieces.stream().anyMatch(Piece::overSelvage);
        Length wide = supply.usableWidth()
                .orElseThrow()
                .plus(overSelvage ? supply.lie().selvage().times(2) : Length.ZERO);
        return supply.shrinkage().whenCut(wide);
    }

    /**
     * A cloth as it lies there when it is cut, after it has been washed where it is washed first.
     *
     * @param pieces of the design, all that are cut from it
     * @param sheets the offcuts and precuts that may be cut into, of cloth that is bought by length
     */
    public static ShelfCloth shelfCloth(Supply supply, List<Piece> pieces, List<ClothPiece> sheets) {
        if (supply.sheet().isPresent()) {
            return sheetsOf(supply, supply.sheet().get());
        }
        Supply.Lie lie = supply.lie();
        return new ShelfCloth(
                widthToCut(supply, pieces),
                sheets,
                lie.rolls().stream()
                        .map(roll -> new Roll(
                                roll.key(), roll.dye(), supply.shrinkage().whenCut(roll.length())))
                        .toList(),
                lie.repeat().map(supply.shrinkage()::whenCut),
                lie.oneDye(),
                selvages(supply, pieces),
                false);
    }

    private static ShelfCloth.Selvages selvages(Supply supply, List<Piece> pieces) {
        Set<String> between = pieces.stream()
                .filter(piece -> !piece.overSelvage())
                .map(Piece::letter)
                .collect(Collectors.toSet());
        boolean matters = !between.isEmpty() && between.size() < pieces.size();
        Length usable = supply.shrinkage().whenCut(supply.usableWidth().orElseThrow());
        long both = widthToCut(supply, pieces).minus(usable).nanometres();
        return matters ? new ShelfCloth.Selvages(new Length((both + 1) / 2), between) : ShelfCloth.Selvages.NONE;
    }

    private static Figure<Length> beforeShrinking(Figure<Length> cut, Supply supply) {
        if (!supply.shrinkage().isBefore()) {
            return cut;
        }
        Length bought = supply.shrinkage().toTake(cut.value());
        return new Figure<>(
                bought,
                Working.of("Cloth shrinks when it is washed first: take more of it, by what is left of its length.")
                        .expression("{cut} ÷ (1 − {shrinkage})")
                        .input("cut", "cut from the washed cloth", new Value.OnTheShelf(cut.value()), cut.working())
                        .input(
                                "shrinkage",
                                "shrinkage",
                                new Value.Share(supply.shrinkage().share()))
                        .rounded("rounded up")
                        .gives(new Value.OnTheShelf(bought)));
    }

    private static List<Need> trimNeeds(List<TrimLine> lines, Slots slots, Workroom workroom, List<Finding> findings) {
        List<Need> needs = new ArrayList<>();
        Predicate<TrimLine> closed = line -> isClosedZip(line, slots);
        List<TrimLine> fromRolls = lines.stream().filter(closed.negate()).toList();
        bySupply(fromRolls, line -> line.trim().trim().slot(), MaterialKind.TRIM, slots, findings)
                .forEach((supply, its) -> needs.add(trimNeed(supply, its, workroom)));
        List<TrimLine> closedZips = lines.stream().filter(closed).toList();
        bySupply(closedZips, line -> line.trim().trim().slot(), MaterialKind.NOTION, slots, findings)
                .forEach((supply, its) -> needs.add(zipNeed(supply, its, findings)));
        return needs;
    }

    /** One closed-end zip for each length; a nylon one is cut down, a metal one must match. */
    private static Need zipNeed(Supply supply, List<TrimLine> lines, List<Finding> findings) {
        ClosedZip zip = supply.zip().orElseThrow();
        long count = 0;
        for (TrimLine line : lines) {
            count += line.count();
            Length wanted = line.trim().length().value();
            if (!zip.serves(wanted)) {
                findings.add(Finding.refused(
                        "slots." + supply.slot(),
                        Sentence.of(
                                "“{0}” is {1} long, and {2} is needed.",
                                Value.of(supply.name()), Value.of(zip.length()), Value.of(wanted)),
                        Sentence.of(
                                zip.metal()
                                        ? "A metal zip isn't cut: choose one of just this length, or a longer nylon one."
                                        : "Choose a longer one, or zip tape by the metre.")));
            }
        }
        Working told = Working.of("One zip for each; a longer one is cut down and its end stitched.")
                .expression("{n}")
                .input("n", "zips", Value.of(count))
                .gives(Value.of(count));
        return Need.of(supply, Part.WHOLE, Amount.pieces(count), told);
    }

    /** Left-over lengths first, then the rolls: what leaves the shelf, and what has to be bought. */
    private static Need trimNeed(Supply supply, List<TrimLine> lines, Workroom workroom) {
        LengthPlan plan = LengthCutting.plan(
                lines.stream()
                        .map(line -> new LengthPiece(
                                line.trim().trim().letter(),
                                line.trim().trim().name(),
                                line.trim().length().value(),
                                line.count()))
                        .toList(),
                supply.lie().rolls(),
                workroom.endTrim(),
                workroom.keptLength(),
                supply.lie().oneDye());
        Working.Builder working = Working.of("So many lengths of trim.");
        List<String> terms = new ArrayList<>();
        for (TrimLine line : lines) {
            String number = Integer.toString(terms.size() + 1);
            terms.add("{lengths " + number + "} × {length " + number + "}");
            working.input("lengths " + number, "lengths", Value.of(line.count()))
                    .input(
                            "length " + number,
                            line.trim().trim().name(),
                            Value.of(line.trim().length().value()),
                            line.trim().length().working());
        }
        if (plan.endTrim().isPositive()) {
            terms.add("{ends} × {trim}");
            working.input("ends", "ends that are trimmed", Value.of(plan.trimmed()))
                    .input("trim", "trimmed off an end", Value.of(plan.endTrim()));
        }
        if (plan.lost().isPositive()) {
            terms.add("{lost}");
            working.input("lost", "rests that are too short to keep", Value.of(plan.lost()));
        }
        return Need.ofTrim(
                supply,
                plan,
                working.expression(String.join(" + ", terms))
                        .gives(new Value.OnTheShelf(plan.taken().plus(plan.toBuy()))));
    }

    /** A closed-end zip brings its slider; only tape takes one each. */
    private static List<SizedNotion> withoutSliders(
            List<SizedNotion> notions, List<TrimLine> trims, Design design, Slots slots) {
        List<TrimLine> zips = trims.stream()
                .filter(line -> line.trim().trim().kind() == TrimNeed.Kind.ZIP)
                .toList();
        boolean allClosed = !zips.isEmpty() && zips.stream().allMatch(line -> isClosedZip(line, slots));
        Set<String> sliders = design.slots().stream()
                .filter(slot -> slot.ware().filter(Ware.SLIDER::equals).isPresent())
                .map(MaterialSlot::key)
                .collect(Collectors.toSet());
        return allClosed
                ? notions.stream()
                        .filter(notion -> !sliders.contains(notion.notion().slot()))
                        .toList()
                : notions;
    }

    private static boolean isClosedZip(TrimLine line, Slots slots) {
        return line.trim().trim().kind() == TrimNeed.Kind.ZIP
                && Optional.ofNullable(slots.filled().get(line.trim().trim().slot()))
                        .flatMap(Supply::zip)
                        .isPresent();
    }

    private static List<Need> notionNeeds(List<SizedNotion> notions, int units, Slots slots, List<Finding> findings) {
        List<Need> needs = new ArrayList<>();
        bySupply(notions, notion -> notion.notion().slot(), MaterialKind.NOTION, slots, findings)
                .forEach((supply, its) -> needs.addAll(notionNeeds(supply, its, units)));
        return needs;
    }

    /**
     * What is needed of a notion. The halves of a two-part one are counted apart where the shelf counts them apart; else
     * they are taken as sets, as many as the half that is needed more.
     */
    private static List<Need> notionNeeds(Supply supply, List<SizedNotion> notions, int units) {
        long whole = countOf(notions, Mark.Half.WHOLE);
        long sockets = countOf(notions, Mark.Half.SOCKET);
        long studs = countOf(notions, Mark.Half.STUD);
        if (!supply.isTwoPart()) {
            long sets = Math.max(sockets, studs);
            return List.of(notionNeed(
                    supply,
                    Part.WHOLE,
                    whole + sets,
                    sets == 0 ? "So many for each unit." : "So many sets of two halves for each unit.",
                    units));
        }
        List<Need> needs = new ArrayList<>();
        if (whole + sockets > 0) {
            needs.add(notionNeed(supply, Part.SOCKET, whole + sockets, "So many sockets for each unit.", units));
        }
        if (whole + studs > 0) {
            needs.add(notionNeed(supply, Part.STUD, whole + studs, "So many studs for each unit.", units));
        }
        return needs;
    }

    private static Need notionNeed(Supply supply, Part part, long each, String rule, int units) {
        long total = Math.multiplyExact((long) units, each);
        Working told = Working.of(rule)
                .expression("{n} × {each}")
                .input("n", "units", Value.of(units))
                .input("each", supply.name() + " for each", Value.of(each))
                .gives(Value.of(total));
        return Need.of(supply, part, Amount.pieces(total), told);
    }

    private static long countOf(List<SizedNotion> notions, Mark.Half half) {
        return notions.stream()
                .filter(notion -> notion.notion().half() == half)
                .mapToLong(SizedNotion::count)
                .sum();
    }

    private static List<Need> fillingNeeds(
            List<SizedFilling> fillings, int units, Slots slots, List<Finding> findings) {
        List<Need> needs = new ArrayList<>();
        for (Bulk.Kind kind : Bulk.Kind.values()) {
            MaterialKind wanted =
                    kind == Bulk.Kind.WEIGHT ? MaterialKind.FILLING_BY_WEIGHT : MaterialKind.FILLING_BY_VOLUME;
            List<SizedFilling> its = fillings.stream()
                    .filter(filling -> filling.amount().kind() == kind)
                    .toList();
            bySupply(its, filling -> filling.filling().slot(), wanted, slots, findings)
                    .forEach((supply, filled) -> needs.add(fillingNeed(supply, filled, units)));
        }
        return needs;
    }

    private static Need fillingNeed(Supply supply, List<SizedFilling> fillings, int units) {
        Amount each = fillings.stream()
                .map(filling -> Amount.of(filling.amount()))
                .reduce(Amount::plus)
                .orElseThrow();
        Amount total = each.times(units);
        Working told = Working.of("So much for each unit.")
                .expression("{n} × {each}")
                .input("n", "units", Value.of(units))
                .input("each", supply.name() + " for each", each.shown())
                .gives(total.shown());
        return Need.of(supply, Part.WHOLE, total, told);
    }

    /** What is asked of each material: two slots filled from the same one draw on the same shelf. */
    private static <T> Map<Supply, List<T>> bySupply(
            List<T> lines, Function<T, String> slotOf, MaterialKind kind, Slots slots, List<Finding> findings) {
        Map<String, Supply> firstByKey = new LinkedHashMap<>();
        Map<Supply, List<T>> grouped = new LinkedHashMap<>();
        Map<String, Optional<Supply>> asked = new LinkedHashMap<>();
        for (T line : lines) {
            asked.computeIfAbsent(slotOf.apply(line), slot -> supply(slot, kind, slots, findings))
                    .ifPresent(supply -> {
                        firstByKey.putIfAbsent(supply.key(), supply);
                        grouped.computeIfAbsent(firstByKey.get(supply.key()), s -> new ArrayList<>())
                                .add(line);
                    });
        }
        return grouped;
    }

    private static Optional<Supply> supply(String slot, MaterialKind kind, Slots slots, List<Finding> findings) {
        Supply supply = slots.filled().get(slot);
        if (supply == null) {
            findings.add(Finding.refused(
                    "slots." + slot,
                    Sentence.of("Nothing is chosen for “{0}”.", Value.of(slots.label(slot))),
                    Sentence.of("Choose a material for it.")));
            return Optional.empty();
        }
        boolean isRight = supply.kind() == kind
                || (kind == MaterialKind.CLOTH && supply.kind().isCloth());
        if (!isRight) {
            findings.add(Finding.refused(
                    "slots." + slot,
                    Sentence.of("“{0}” can't be used for “{1}”.", Value.of(supply.name()), Value.of(slots.label(slot))),
                    Sentence.of("Choose a material of the right kind.")));
            return Optional.empty();
        }
        return Optional.of(supply);
    }
}
