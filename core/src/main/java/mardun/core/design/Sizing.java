package mardun.core.design;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.Stream;
import mardun.core.construction.Boxing;
import mardun.core.construction.ShapedTops;
import mardun.core.construction.Zips;
import mardun.core.design.SizedDesign.PromptOf;
import mardun.core.making.Step;
import mardun.core.measure.Bulk;
import mardun.core.measure.BulkReader;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.MeasureException;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.working.Figure;
import mardun.core.working.Sentence;

/** Works out one size of a design from its formulas, and finds what can't be sewn or looks wrong. */
public final class Sizing {

    /** What a machine of the home sews at most, where the maker hasn't said. */
    public static final Length USUAL_THICKEST_SEAM = Length.of(6, LengthUnit.MILLIMETRE);

    private final Design design;
    private final int size;
    private final Findings findings;
    private final Measures measures;
    private final Map<String, SizedPiece> pieces = new LinkedHashMap<>();
    private final Map<String, SizedTrim> trims = new LinkedHashMap<>();
    private Assembly assembly;
    private Optional<Boxing.Corner> corner = Optional.empty();

    private Sizing(Design design, int size) {
        this.design = design;
        this.size = size;
        this.findings = new Findings(design.setAside());
        this.measures = new Measures(design.measurements(), size, findings);
    }

    /**
     * The size with the given index, on a usual machine.
     *
     * @throws IndexOutOfBoundsException if the design has no such size
     */
    public static SizedDesign of(Design design, int size) {
        return of(design, size, USUAL_THICKEST_SEAM);
    }

    /**
     * The size with the given index, on a machine that sews seams of up to {@code thickestSeam}.
     *
     * @throws IndexOutOfBoundsException if the design has no such size
     */
    public static SizedDesign of(Design design, int size, Length thickestSeam) {
        return new Sizing(design, size).workOut(thickestSeam);
    }

    private SizedDesign workOut(Length thickestSeam) {
        String name = design.sizes().get(size);
        Map<String, Figure<Quantity>> measured = measures.all();
        Optional<Map<FormMeasure, Quantity>> formed = formMeasures();
        corner = formed.flatMap(this::corner);
        design.pieces().forEach(piece -> piece(piece).ifPresent(sized -> pieces.put(piece.letter(), sized)));
        design.trims().forEach(trim -> trim(trim).ifPresent(sized -> trims.put(trim.letter(), sized)));
        assembly = new Assembly(measures, findings, pieces, this::marks);
        List<SizedPanel> panels = assembly.panels(design.panels());
        Optional<Sewn> sewn = formed.flatMap(this::sewn);
        SizedDesign sized = new SizedDesign(
                name,
                measured,
                List.copyOf(pieces.values()),
                panels,
                List.copyOf(trims.values()),
                notions(),
                fillings(),
                corner,
                openings(),
                sewn,
                sewn.map(design.form()::finish).map(this::withNotch),
                prompted(),
                Map.of(),
                List.of());
        new DesignChecks(design, sized, measures, findings).all(thickestSeam);
        return new SizedDesign(
                sized.size(),
                sized.measurements(),
                sized.pieces(),
                sized.panels(),
                sized.trims(),
                sized.notions(),
                sized.fillings(),
                sized.corner(),
                sized.openings(),
                sized.sewn(),
                sized.finished(),
                sized.prompted(),
                measures.workedOut(),
                findings.list());
    }

    /** How far from the edge the marks are that steps tell of. */
    private Map<PromptOf, Length> prompted() {
        Map<PromptOf, Length> prompted = new LinkedHashMap<>();
        for (int i = 0; i < design.steps().size(); i++) {
            Step step = design.steps().get(i);
            for (int j = 0; j < step.prompts().size(); j++) {
                PromptOf its = new PromptOf(step.key(), j);
                measures.stated(
                                "steps." + i + ".prompts." + j + ".mark",
                                step.prompts().get(j).mark())
                        .ifPresent(mark -> prompted.put(its, mark));
            }
        }
        return prompted;
    }

    /** Where a V is cut out of the top of the outer, the bag is less high below it. */
    private Finished withNotch(Finished finished) {
        return design.form()
                .outer()
                .map(pieces::get)
                .flatMap(outer -> outer.shapes().stream()
                        .filter(shape -> shape.kind() == Shape.Kind.NOTCHED && shape.isAt(true))
                        .findFirst()
                        .map(notch -> finished.withBelow(ShapedTops.belowNotch(
                                finished.height(),
                                Quantity.of(outer.allowances().getOrDefault("top", topSeam())),
                                Quantity.of(notch.across()),
                                Quantity.of(notch.along())))))
                .orElse(finished);
    }

    private Length topSeam() {
        return Optional.ofNullable(design.form().measures().get(FormMeasure.TOP))
                .flatMap(formula -> measures.length("form." + FormMeasure.TOP.key(), formula))
                .map(seam -> seam.toLength(ShownRounding.NEAREST))
                .orElse(Length.ZERO);
    }

    private Optional<SizedPiece> piece(Piece piece) {
        Shaping shaping = new Shaping(design.form(), corner, measures, findings);
        String place = "pieces." + piece.letter();
        ShownRounding rounding = piece.role().outline();
        OptionalLong quantity = measures.count(place + ".quantity", piece.quantity());
        Optional<Figure<Length>> width =
                measures.cutLength(place + ".width", piece.name() + ": the width", piece.width(), rounding);
        Optional<Figure<Length>> height =
                measures.cutLength(place + ".height", piece.name() + ": the height", piece.height(), rounding);
        if (quantity.isEmpty() || quantity.getAsLong() == 0 || width.isEmpty() || height.isEmpty()) {
            return Optional.empty();
        }
        Extent extent = new Extent(width.get().value(), height.get().value());
        Map<String, Length> allowances = new LinkedHashMap<>();
        piece.edges().bySide().forEach((side, formula) -> {
            if (formula.strip().equals(Edges.FOLD)) {
                allowances.put(side, Length.ZERO);
            } else {
                measures.stated(place + ".edges." + side, formula).ifPresent(a -> allowances.put(side, a));
            }
        });
        List<SizedShape> shapes = shaping.shapes(piece, extent, allowances, place);
        return Optional.of(new SizedPiece(
                piece,
                quantity.getAsLong() * piece.layers(),
                width.get(),
                height.get(),
                shapes,
                shaping.outline(piece, extent, shapes),
                shaping.markedCorners(piece, extent),
                allowances,
                piece.trimTo().flatMap(to -> measures.trimTo(place, to)),
                marks(place, piece.marks(), extent, allowances),
                piece.boxed() ? shaping.boxedCorner() : Optional.empty()));
    }

    private List<SizedMark> marks(String place, List<Mark> marks, Extent extent, Map<String, Length> allowances) {
        Map<String, Quantity> own = Measures.ofThePiece(extent);
        List<SizedMark> sized = new ArrayList<>();
        for (int i = 0; i < marks.size(); i++) {
            Mark mark = marks.get(i);
            String at = place + ".marks." + i;
            boolean finished = mark.from() == Mark.From.FINISHED;
            Length width = measures.position(at + ".width", mark.width(), own).orElse(Length.ZERO);
            Length height =
                    measures.position(at + ".height", mark.height(), own).orElse(Length.ZERO);
            boolean isMotif = mark.kind() == Mark.Kind.MOTIF;
            Optional<Length> middle = isMotif ? Optional.of(half(extent.width())) : Optional.empty();
            Optional<Length> halfDown = isMotif ? Optional.of(half(extent.height())) : Optional.empty();
            Optional<Length> across = measures.position(at + ".across", mark.across(), own)
                    .map(far -> switch (mark.acrossFrom()) {
                        case LEFT -> inside(allowances, "left", finished).plus(far);
                        case CENTRE -> half(extent.width().minus(width)).plus(far);
                        case RIGHT ->
                            extent.width()
                                    .minus(inside(allowances, "right", finished))
                                    .minus(far)
                                    .minus(width);
                    });
            Optional<Length> down = measures.position(at + ".down", mark.down(), own)
                    .map(far -> switch (mark.downFrom()) {
                        case TOP -> inside(allowances, "top", finished).plus(far);
                        case CENTRE -> half(extent.height().minus(height)).plus(far);
                        case BOTTOM ->
                            extent.height()
                                    .minus(inside(allowances, "bottom", finished))
                                    .minus(far)
                                    .minus(height);
                    });
            sized.add(new SizedMark(mark, across.or(() -> middle), down.or(() -> halfDown), width, height));
        }
        return sized;
    }

    private static Length inside(Map<String, Length> allowances, String side, boolean finished) {
        return finished ? allowances.getOrDefault(side, Length.ZERO) : Length.ZERO;
    }

    private static Length half(Length length) {
        return new Length(length.nanometres() / 2);
    }

    private Optional<SizedTrim> trim(TrimNeed trim) {
        String place = "trims." + trim.letter();
        OptionalLong quantity = measures.count(place + ".quantity", trim.quantity());
        String formula = trim.turnUnder().isBlank()
                ? trim.length()
                : "webbing_length(" + trim.length() + "; " + trim.turnUnder() + ")";
        Optional<Figure<Length>> length =
                measures.cutLength(place + ".length", trim.name() + ": the length", formula, ShownRounding.NEAREST);
        if (quantity.isEmpty() || quantity.getAsLong() == 0) {
            return Optional.empty();
        }
        if (length.isPresent()) {
            // What is written is the length without what is turned under.
            measures.length(place + ".length", trim.length());
            measures.length(place + ".turnUnder", trim.turnUnder());
        }
        return length.map(l -> new SizedTrim(
                trim,
                quantity.getAsLong(),
                l,
                measures.stated(place + ".shortest", trim.shortest()),
                measures.stated(place + ".longest", trim.longest())));
    }

    private List<SizedNotion> notions() {
        List<SizedNotion> sized = new ArrayList<>();
        for (int i = 0; i < design.notions().size(); i++) {
            NotionNeed notion = design.notions().get(i);
            OptionalLong count = measures.count("notions." + i + ".quantity", notion.quantity());
            if (count.isPresent() && count.getAsLong() > 0) {
                sized.add(new SizedNotion(notion, count.getAsLong()));
            }
        }
        return sized;
    }

    private List<SizedFilling> fillings() {
        List<SizedFilling> sized = new ArrayList<>();
        for (int i = 0; i < design.fillings().size(); i++) {
            FillingNeed filling = design.fillings().get(i);
            try {
                Bulk amount = BulkReader.read(filling.amountFor(size));
                sized.add(new SizedFilling(filling, amount));
            } catch (MeasureException unreadable) {
                findings.refuse(
                        "fillings." + i + ".amount",
                        Sentence.of(filling.name() + ": “" + unreadable.read() + "” " + unreadable.why() + "."),
                        Sentence.of(unreadable.right() + "."));
            }
        }
        return sized;
    }

    private Optional<Map<FormMeasure, Quantity>> formMeasures() {
        Map<FormMeasure, Quantity> worked = new EnumMap<>(FormMeasure.class);
        boolean complete = true;
        for (Map.Entry<FormMeasure, String> measure : design.form().measures().entrySet()) {
            Optional<Quantity> value =
                    measures.length("form." + measure.getKey().key(), measure.getValue());
            value.ifPresent(v -> worked.put(measure.getKey(), v));
            complete &= value.isPresent();
        }
        if (!design.liningSeam().isBlank()) {
            measures.length("form." + FormMeasure.LINING_SEAM.key(), design.liningSeam())
                    .ifPresent(seam -> worked.put(FormMeasure.LINING_SEAM, seam));
        }
        return complete ? Optional.of(worked) : Optional.empty();
    }

    private Optional<Boxing.Corner> corner(Map<FormMeasure, Quantity> formed) {
        if (!(design.form() instanceof BoxedBag bag)
                || formed.get(FormMeasure.DEPTH).value().signum() == 0) {
            return Optional.empty();
        }
        return Optional.of(Boxing.corner(
                bag.school(),
                formed.get(FormMeasure.DEPTH),
                new Boxing.Seams(
                        formed.get(FormMeasure.SIDE), formed.get(FormMeasure.BASE), formed.get(FormMeasure.BOXING))));
    }

    /** What the bag is sewn from and with; empty until the pieces that its form asks for can be worked out. */
    private Optional<Sewn> sewn(Map<FormMeasure, Quantity> formed) {
        Map<FormMeasure, Quantity> all = new EnumMap<>(formed);
        corner.ifPresent(c -> {
            all.put(FormMeasure.CUT_FROM_SIDE, c.fromSide().value());
            all.put(FormMeasure.CUT_FROM_BASE, c.fromBase().value());
        });
        if (design.form() instanceof FreeForm) {
            return Optional.of(new Sewn(Sewn.NOTHING, Sewn.NOTHING, Optional.empty(), all));
        }
        Optional<String> otherLetter = Stream.of(design.form())
                .flatMap(form -> form instanceof GussetedBag gusseted
                        ? Stream.of(gusseted.gusset())
                        : form instanceof RoundBag round ? Stream.of(round.base()) : Stream.empty())
                .findFirst();
        Optional<Extent> outer = design.form().outer().flatMap(assembly::extent);
        Optional<Sewn.Sides> other = otherLetter.flatMap(assembly::extent).map(Sizing::sides);
        if (outer.isEmpty() || (otherLetter.isPresent() && other.isEmpty())) {
            return Optional.empty();
        }
        Sewn.Sides sides = sides(outer.get());
        return Optional.of(new Sewn(sides.width(), sides.height(), other, all));
    }

    private static Sewn.Sides sides(Extent extent) {
        return new Sewn.Sides(Quantity.of(extent.width()), Quantity.of(extent.height()));
    }

    private Map<String, Figure<Quantity>> openings() {
        Map<String, Figure<Quantity>> openings = new LinkedHashMap<>();
        for (ZipFit fit : design.zips()) {
            String place = "zips." + fit.zip();
            Optional<Quantity> covered = measures.length(place + ".covered", fit.covered());
            Optional<Quantity> slider = measures.length(place + ".slider", fit.slider());
            if (trims.containsKey(fit.zip()) && covered.isPresent() && slider.isPresent()) {
                Quantity zip = Quantity.of(trims.get(fit.zip()).length().value());
                openings.put(fit.zip(), Zips.opening(zip, covered.get(), slider.get()));
            }
        }
        return openings;
    }
}
