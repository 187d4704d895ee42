package mardun.core.batch;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import mardun.core.batch.BatchPlan.LinePlan;
import mardun.core.batch.CountedNeeds.ForLine;
import mardun.core.batch.CutList.PieceLine;
import mardun.core.batch.CutList.TrimLine;
import mardun.core.cutting.CannotBeCutException;
import mardun.core.cutting.ClothPlanner;
import mardun.core.design.Design;
import mardun.core.design.Finding;
import mardun.core.design.MaterialSlot;
import mardun.core.design.SeamThickness;
import mardun.core.design.SizedDesign;
import mardun.core.design.SizedFilling;
import mardun.core.design.SizedNotion;
import mardun.core.design.SizedTrim;
import mardun.core.design.TrimNeed;
import mardun.core.making.LineSteps;
import mardun.core.making.Operation;
import mardun.core.making.WorkTime;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;
import mardun.core.material.ShelfLimits;
import mardun.core.material.Ware;
import mardun.core.measure.Bulk;
import mardun.core.measure.Length;
import mardun.core.working.Sentence;

/**
 * Turns lines (design, size, materials, number) into the whole plan of a batch: sizes, then what is cut, then what is taken of each
 * material, then what is done, then what each line costs ({@link LineCosts}).
 */
public final class BatchPlanner {

    private final ClothPlanner cloths;

    public BatchPlanner(ClothPlanner cloths) {
        this.cloths = cloths;
    }

    /** The plan for one line or more. */
    public BatchPlan plan(List<BatchLine> lines, Workroom workroom) {
        return plan(lines, workroom, pieces -> Map.of());
    }

    /**
     * The same, with cutting sheets for some of its cloths. One that doesn't serve this batch as it is now, because it gives
     * other pieces or lies on another cloth, is left aside.
     *
     * @param lines at least one, each with a number of its own
     * @param sheets by the supply's key
     */
    public BatchPlan plan(List<BatchLine> lines, Workroom workroom, Map<String, CuttingSheet> sheets) {
        return plan(lines, workroom, pieces -> sheets);
    }

    /**
     * The same, with cutting sheets that depend on what is cut.
     *
     * @param sheets by the supply's key, for the pieces of all lines
     */
    public BatchPlan plan(
            List<BatchLine> lines, Workroom workroom, Function<List<PieceLine>, Map<String, CuttingSheet>> sheets) {
        return plan(lines, workroom, sheets, List.of());
    }

    /**
     * The same where a plan of the batch is at hand that something has changed since: sizes that are still the same aren't worked out
     * anew.
     *
     * @param before in the same workroom
     */
    public BatchPlan planAfter(
            BatchPlan before,
            List<BatchLine> lines,
            Workroom workroom,
            Function<List<PieceLine>, Map<String, CuttingSheet>> sheets) {
        return plan(lines, workroom, sheets, before.isComplete() ? before.lines() : List.of());
    }

    private BatchPlan plan(
            List<BatchLine> lines,
            Workroom workroom,
            Function<List<PieceLine>, Map<String, CuttingSheet>> sheets,
            List<LinePlan> before) {
        if (lines.isEmpty()) {
            throw new IllegalArgumentException("a batch has one line or more");
        }
        try {
            return worked(lines, workroom, sheets, before);
        } catch (ArithmeticException beyondAllMeasure) {
            Finding why = Finding.refused(
                    "lines." + lines.get(0).number() + ".units",
                    Sentence.of("This batch takes more than can be calculated."),
                    Sentence.of("Make fewer at once, or check the measures and the counts of the design."));
            return impossible(lines, why);
        }
    }

    /** A plan of which nothing could be worked out, with the reason. */
    public static BatchPlan impossible(List<BatchLine> lines, Finding why) {
        return BatchPlan.impossible(
                lines.stream()
                        .map(line -> new LinePlan(
                                line,
                                SizedDesign.unknown(line.design().sizes().get(line.size())),
                                WorkTime.of(line.design().steps(), line.units()),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty()))
                        .toList(),
                time(lines, operations(lines, line -> Map.of())),
                why);
    }

    private BatchPlan worked(
            List<BatchLine> lines,
            Workroom workroom,
            Function<List<PieceLine>, Map<String, CuttingSheet>> sheets,
            List<LinePlan> before) {
        List<SizedLine> sized = sized(lines, workroom.thickestSeam(), before);
        Filled filled = new Filled();
        List<Finding> findings = new ArrayList<>();
        sized.forEach(line -> findings.addAll(line.sized().findings()));
        lines.forEach(line -> findings.addAll(BatchFindings.unfit(line)));
        List<PieceLine> pieces = CutList.pieces(sized, filled);
        findings.addAll(BatchFindings.unmarked(pieces));
        List<SizedLine> made =
                sized.stream().filter(line -> line.line().units() > 0).toList();
        List<TrimLine> trims = CutList.trims(made, filled);
        List<Need> needs = new ArrayList<>();
        needs.addAll(clothNeeds(pieces, new ClothNeeds(cloths, workroom.waste()), sheets.apply(pieces), findings));
        needs.addAll(trimNeeds(trims, sized.size() > 1, workroom, findings));
        needs.addAll(notionNeeds(made, filled));
        needs.addAll(fillingNeeds(made, filled));
        findings.addAll(filled.findings());
        needs.stream()
                .filter(need -> !ShelfLimits.holds(need.amount()))
                .forEach(need -> findings.add(BatchFindings.tooMuch(need)));
        List<Operation> operations = operations(sized);
        boolean complete = findings.stream().noneMatch(Finding::isRefused);
        LineCosts costs = LineCosts.of(sized, needs, operations, workroom, complete);
        if (complete) {
            findings.addAll(BatchFindings.unpriced(needs));
        }
        costs.lines()
                .forEach(line -> line.pricing()
                        .flatMap(pricing -> BatchFindings.loss(line.line(), pricing))
                        .ifPresent(findings::add));
        return new BatchPlan(
                costs.lines(),
                pieces,
                trims,
                needs,
                operations,
                time(lines, operations),
                costs.total(),
                costs.parts(),
                findings.stream().distinct().toList());
    }

    private record SizeOf(int size, Map<String, ClothKind> cloths) {}

    /** Each size of a design is worked out once, however many colours it is made in. */
    private static List<SizedLine> sized(List<BatchLine> lines, Length thickestSeam, List<LinePlan> before) {
        Map<Design, Map<SizeOf, SizedDesign>> known = new IdentityHashMap<>();
        return lines.stream()
                .map(line -> new SizedLine(
                        line,
                        known.computeIfAbsent(line.design(), design -> new HashMap<>())
                                .computeIfAbsent(
                                        new SizeOf(line.size(), line.cloths()),
                                        size -> before(line, size, before).orElseGet(() -> line.sized(thickestSeam)))))
                .toList();
    }

    private static Optional<SizedDesign> before(BatchLine line, SizeOf size, List<LinePlan> before) {
        return before.stream()
                .filter(was -> was.line().size() == size.size()
                        && was.line().cloths().equals(size.cloths())
                        && was.line().design().equals(line.design()))
                .findFirst()
                .map(LinePlan::sized);
    }

    private static List<Operation> operations(List<SizedLine> lines) {
        Map<BatchLine, SizedDesign> sized = new IdentityHashMap<>();
        lines.forEach(line -> sized.put(line.line(), line.sized()));
        return operations(
                lines.stream().map(SizedLine::line).toList(),
                line -> SeamThickness.of(line.design().with(line.cloths()), sized.get(line)));
    }

    private static List<Operation> operations(
            List<BatchLine> lines, Function<BatchLine, Map<String, Length>> thickness) {
        return Operation.of(lines.stream()
                .map(line -> new LineSteps(
                        line.number(),
                        line.units(),
                        line.moved().cutting(line.units()),
                        line.design().steps(),
                        thickness.apply(line)))
                .toList());
    }

    private static WorkTime time(List<BatchLine> lines, List<Operation> operations) {
        return WorkTime.ofBatch(
                operations,
                lines.stream().mapToInt(BatchLine::units).reduce(0, Math::addExact),
                lines.stream().map(line -> line.moved().time()).reduce(Duration.ZERO, Duration::plus));
    }

    private static List<Need> clothNeeds(
            List<PieceLine> pieces, ClothNeeds cloths, Map<String, CuttingSheet> sheets, List<Finding> findings) {
        List<Need> needs = new ArrayList<>();
        bySupply(pieces, PieceLine::from).forEach((supply, kinds) -> {
            try {
                needs.add(cloths.of(supply, kinds, Optional.ofNullable(sheets.get(supply.key()))));
            } catch (CannotBeCutException tooWide) {
                findings.add(Finding.refused(
                        Need.place(supply), tooWide.sentence(), Sentence.of("Change the cloth or the size.")));
            }
        });
        return needs;
    }

    private static List<Need> trimNeeds(
            List<TrimLine> trims, boolean severalLines, Workroom workroom, List<Finding> findings) {
        List<Need> needs = new ArrayList<>();
        bySupply(trims.stream().filter(line -> !isClosedZip(line)).toList(), TrimLine::from)
                .forEach((supply, its) -> needs.add(CountedNeeds.trims(supply, its, severalLines, workroom)));
        bySupply(trims.stream().filter(BatchPlanner::isClosedZip).toList(), TrimLine::from)
                .forEach((supply, its) -> needs.add(CountedNeeds.zips(supply, its, findings)));
        return needs;
    }

    private static boolean isClosedZip(TrimLine line) {
        return line.trim().trim().kind() == TrimNeed.Kind.ZIP
                && line.from().flatMap(Supply::zip).isPresent();
    }

    private static List<Need> notionNeeds(List<SizedLine> lines, Filled filled) {
        Map<Supply, List<ForLine<SizedNotion>>> bySupply = new LinkedHashMap<>();
        for (SizedLine line : lines) {
            withoutSliders(line)
                    .forEach(notion -> filled.of(line.line(), notion.notion().slot(), MaterialKind.NOTION)
                            .ifPresent(supply -> bySupply.computeIfAbsent(supply, s -> new ArrayList<>())
                                    .add(new ForLine<>(line.line(), notion))));
        }
        List<Need> needs = new ArrayList<>();
        bySupply.forEach((supply, its) -> needs.addAll(CountedNeeds.notions(supply, its)));
        return needs;
    }

    /** A closed-end zip brings its slider; only tape takes one each. */
    private static List<SizedNotion> withoutSliders(SizedLine line) {
        List<SizedTrim> zips = line.sized().trims().stream()
                .filter(trim -> trim.trim().kind() == TrimNeed.Kind.ZIP)
                .toList();
        boolean allClosed = !zips.isEmpty()
                && zips.stream()
                        .allMatch(zip -> line.line()
                                .supply(zip.trim().slot())
                                .flatMap(Supply::zip)
                                .isPresent());
        Set<String> sliders = line.line().design().slots().stream()
                .filter(slot -> slot.ware().filter(Ware.SLIDER::equals).isPresent())
                .map(MaterialSlot::key)
                .collect(Collectors.toSet());
        return allClosed
                ? line.sized().notions().stream()
                        .filter(notion -> !sliders.contains(notion.notion().slot()))
                        .toList()
                : line.sized().notions();
    }

    private static List<Need> fillingNeeds(List<SizedLine> lines, Filled filled) {
        List<Need> needs = new ArrayList<>();
        for (Bulk.Kind kind : Bulk.Kind.values()) {
            MaterialKind wanted =
                    kind == Bulk.Kind.WEIGHT ? MaterialKind.FILLING_BY_WEIGHT : MaterialKind.FILLING_BY_VOLUME;
            Map<Supply, List<ForLine<SizedFilling>>> bySupply = new LinkedHashMap<>();
            for (SizedLine line : lines) {
                line.sized().fillings().stream()
                        .filter(filling -> filling.amount().kind() == kind)
                        .forEach(filling -> filled.of(
                                        line.line(), filling.filling().slot(), wanted)
                                .ifPresent(supply -> bySupply.computeIfAbsent(supply, s -> new ArrayList<>())
                                        .add(new ForLine<>(line.line(), filling))));
            }
            bySupply.forEach((supply, its) -> needs.add(CountedNeeds.filling(supply, its)));
        }
        return needs;
    }

    /** What is asked of each material. */
    private static <T> Map<Supply, List<T>> bySupply(List<T> lines, Function<T, Optional<Supply>> from) {
        Map<Supply, List<T>> grouped = new LinkedHashMap<>();
        lines.forEach(line -> from.apply(line)
                .ifPresent(supply ->
                        grouped.computeIfAbsent(supply, s -> new ArrayList<>()).add(line)));
        return grouped;
    }
}
