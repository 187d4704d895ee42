package mardun.core.design;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.BoxingSchool;
import mardun.core.design.Slip.Family;
import mardun.core.design.Slip.Trial;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import mardun.core.working.Sentence;
import mardun.core.working.Value;
import org.apache.commons.numbers.fraction.BigFraction;

/** The slips that can happen to a bag, from its form and the measures that it was planned with. */
final class Slips {

    private static final Length SIXTEENTH = Length.of(1, 16, LengthUnit.INCH);

    /** Allowances that sewists keep to, and slip between. */
    private static final List<Length> IN_INCHES = Stream.of(2, 3, 4, 5, 6, 8, 10)
            .map(sixteenths -> SIXTEENTH.times(sixteenths))
            .toList();

    private static final List<Length> IN_MILLIMETRES = Stream.of(3, 5, 6, 7, 8, 10, 12, 15)
            .map(mm -> Length.of(mm, LengthUnit.MILLIMETRE))
            .toList();

    private static final Map<FormMeasure, Family> SEAM_FAMILIES = new EnumMap<>(Map.of(
            FormMeasure.SIDE, Family.SIDE_SEAM,
            FormMeasure.TOP, Family.TOP_SEAM,
            FormMeasure.BASE, Family.BASE_SEAM,
            FormMeasure.BOXING, Family.BOXING_SEAM,
            FormMeasure.END, Family.END_SEAM));

    private static final Quantity TWO = Quantity.of(2);

    private final BagForm form;
    private final Sewn planned;
    private final Map<String, Corner> others;
    private final List<Slip> slips = new ArrayList<>();

    private Slips(BagForm form, Sewn planned, Map<String, Corner> others) {
        this.form = form;
        this.planned = planned;
        this.others = others;
    }

    /** What is measured at a boxed corner. */
    record Corner(Quantity fromSide, Quantity fromBase) {}

    /** All slips; {@code others} are the corners of the design's other sizes that are measured otherwise. */
    static List<Slip> of(BagForm form, Sewn planned, Map<String, Corner> others) {
        Slips all = new Slips(form, planned, others);
        if (form instanceof BoxedBag bag && planned.has(FormMeasure.CUT_FROM_SIDE)) {
            all.corners(bag);
        }
        all.seams();
        all.zip();
        all.fold();
        all.cutting();
        return List.copyOf(all.slips);
    }

    private void add(Family family, double surprise, Sentence what, Sentence remedy, UnaryOperator<Trial> effect) {
        slips.add(new Slip(family, what, remedy, surprise, effect));
    }

    private void corners(BoxedBag bag) {
        Quantity fromSide = planned.get(FormMeasure.CUT_FROM_SIDE);
        Quantity fromBase = planned.get(FormMeasure.CUT_FROM_BASE);
        Sentence remedy = Sentence.of(
                "For the rest measure {0} from the side and {1} from the base, {2}",
                Value.of(fromSide),
                Value.of(fromBase),
                Value.of(bag.school().isCutOut() ? "from the raw edges." : "from the stitching."));
        if (bag.school().isCutOut()) {
            add(
                    Family.CORNERS,
                    0,
                    Sentence.of("The corners were cut from the stitching, not from the raw edge."),
                    remedy,
                    trial -> schooled(trial, BoxingSchool.CUT_AFTER_SEWING));
        } else if (bag.school() == BoxingSchool.CUT_AFTER_SEWING) {
            add(
                    Family.CORNERS,
                    0,
                    Sentence.of("The corners were cut from the raw edge, not from the stitching."),
                    remedy,
                    trial -> schooled(trial, BoxingSchool.CUT_BEFORE_SEWING));
        }
        if (bag.school() == BoxingSchool.LINE_ACROSS) {
            add(
                    Family.CORNERS,
                    0.5,
                    Sentence.of(
                            "The line across the corner was drawn {0} long, not {0} away from the point.",
                            Value.of(fromSide)),
                    Sentence.of(
                            "For the rest measure {0} from the point where the stitch lines meet; the line is then twice as"
                                    + " long.",
                            Value.of(fromSide)),
                    trial -> cornered(trial, half(fromSide), half(fromBase)));
            add(
                    Family.CORNERS,
                    0.5,
                    Sentence.of(
                            "The line across the corner was drawn {0} away from the point, which is how long it has to be.",
                            Value.of(fromSide.times(TWO))),
                    Sentence.of(
                            "For the rest measure {0} from the point where the stitch lines meet.", Value.of(fromSide)),
                    trial -> cornered(trial, fromSide.times(TWO), fromBase.times(TWO)));
        }
        others.forEach((size, corner) -> add(
                Family.CORNERS,
                1,
                Sentence.of(
                        "The corners were measured as for the size “{0}”: {1} instead of {2}.",
                        Value.of(size), Value.of(corner.fromSide()), Value.of(fromSide)),
                remedy,
                trial -> cornered(trial, corner.fromSide(), corner.fromBase())));
        if (bag.school() != BoxingSchool.LINE_ACROSS) {
            add(
                    Family.CORNERS,
                    2,
                    Sentence.of("The corner's measure was taken as the line across the flattened corner."),
                    remedy,
                    trial -> schooled(trial, BoxingSchool.LINE_ACROSS));
        }
        if (bag.base() == BaseEdge.FOLD && bag.school().isCutOut() && !fromSide.equals(fromBase)) {
            add(
                    Family.CORNERS,
                    0.5,
                    Sentence.of("The corners were cut square, though the base is a fold."),
                    remedy,
                    trial -> trial.with(FormMeasure.CUT_FROM_BASE, fromSide));
        }
    }

    private static Quantity half(Quantity quantity) {
        return quantity.dividedBy(TWO);
    }

    private static Trial cornered(Trial trial, Quantity fromSide, Quantity fromBase) {
        return trial.with(FormMeasure.CUT_FROM_SIDE, fromSide).with(FormMeasure.CUT_FROM_BASE, fromBase);
    }

    private static Trial schooled(Trial trial, BoxingSchool school) {
        BoxedBag bag = (BoxedBag) trial.form();
        return new Trial(bag.with(school), trial.sewn());
    }

    private void seams() {
        Map<FormMeasure, Quantity> seams = new EnumMap<>(FormMeasure.class);
        form.measures().forEach((measure, formula) -> {
            if (measure.isSeam() && planned.get(measure).value().signum() > 0) {
                seams.put(measure, planned.get(measure));
            }
        });
        seams.forEach((measure, seam) -> otherSeams(seam)
                .forEach(other -> add(
                        SEAM_FAMILIES.get(measure),
                        measure == FormMeasure.SIDE ? 1 : 1.2,
                        Sentence.of(
                                "The {0} was sewn {1} wide instead of {2}.",
                                Value.of(measure.label()), Value.of(other), Value.of(seam)),
                        Sentence.of(
                                "Sew the rest with {0}, or keep to {1} so that the set is alike.",
                                Value.of(seam), Value.of(other)),
                        trial -> trial.with(measure, Quantity.of(other)))));
        together(seams, "All seams were sewn {0} wide instead of {1}.", 1);
        Quantity top = seams.remove(FormMeasure.TOP);
        if (top != null) {
            together(seams, "All seams but the one at the top were sewn {0} wide instead of {1}.", 1.75);
        }
    }

    /** One other width for several seams that are planned alike. */
    private void together(Map<FormMeasure, Quantity> seams, String what, double surprise) {
        Set<Quantity> different = new LinkedHashSet<>(seams.values());
        if (different.size() != 1 || seams.size() < 2) {
            return;
        }
        Quantity seam = different.iterator().next();
        List<FormMeasure> measures = List.copyOf(seams.keySet());
        otherSeams(seam)
                .forEach(other -> add(
                        Family.ALL_SEAMS,
                        surprise,
                        Sentence.of(what, Value.of(other), Value.of(seam)),
                        Sentence.of(
                                "Sew the rest with {0}, or keep to {1} so that the set is alike.",
                                Value.of(seam), Value.of(other)),
                        trial -> {
                            Trial changed = trial;
                            for (FormMeasure measure : measures) {
                                changed = changed.with(measure, Quantity.of(other));
                            }
                            return changed;
                        }));
    }

    private static List<Length> otherSeams(Quantity seam) {
        boolean inSixteenths =
                seam.value().divide(SIXTEENTH.exact()).getDenominator().equals(BigInteger.ONE);
        return (inSixteenths ? IN_INCHES : IN_MILLIMETRES)
                .stream().filter(other -> !Quantity.of(other).equals(seam)).toList();
    }

    private void zip() {
        if (planned.get(FormMeasure.ZIP_SHOWS).value().signum() > 0) {
            add(
                    Family.ZIP,
                    1.5,
                    Sentence.of("The zip was sewn in so close that nothing of it shows."),
                    Sentence.of(
                            "Leave {0} of the zip to be seen on the rest.",
                            Value.of(planned.get(FormMeasure.ZIP_SHOWS))),
                    trial -> trial.with(FormMeasure.ZIP_SHOWS, Sewn.NOTHING));
        }
    }

    private void fold() {
        Quantity fold = planned.get(FormMeasure.FOLD);
        if (fold.value().signum() == 0) {
            return;
        }
        for (int eighths : new int[] {-4, -2, -1, 1, 2, 4}) {
            Quantity other = fold.plus(Quantity.of(Length.of(eighths, 8, LengthUnit.INCH)));
            if (other.value().signum() > 0) {
                add(
                        Family.FOLD,
                        1.2,
                        Sentence.of("The sides were folded in by {0} instead of {1}.", Value.of(other), Value.of(fold)),
                        Sentence.of("Mark {0} on a card and fold the rest by it.", Value.of(fold)),
                        trial -> trial.with(FormMeasure.FOLD, other));
            }
        }
    }

    private void cutting() {
        if (form instanceof FreeForm) {
            return;
        }
        for (int eighths : new int[] {1, 2, 3}) {
            Quantity more = Quantity.of(Length.of(eighths, 8, LengthUnit.INCH));
            add(
                    Family.CUTTING,
                    2,
                    Sentence.of(
                            "The pieces were cut {0} too large both ways, as happens when a cut piece is traced.",
                            Value.of(more)),
                    Sentence.of("Trim the rest to size, and cut by one template only."),
                    trial -> resized(trial, more, more));
            add(
                    Family.CUTTING,
                    2.2,
                    Sentence.of("The pieces were cut {0} too small both ways.", Value.of(more)),
                    Sentence.of(
                            "Measure the pieces that are still uncut; keep the set alike if these are good enough."),
                    trial -> resized(trial, more.negated(), more.negated()));
        }
        Quantity side = planned.get(form instanceof FoldedSideBag ? FormMeasure.END : FormMeasure.SIDE);
        boolean bothEndsAtTheTop =
                form instanceof FoldedSideBag || (form instanceof BoxedBag bag && bag.base() == BaseEdge.FOLD);
        Quantity ends = bothEndsAtTheTop
                ? planned.get(FormMeasure.TOP).times(TWO)
                : planned.get(FormMeasure.TOP).plus(planned.get(FormMeasure.BASE));
        Sentence addThem = Sentence.of("Cut the rest with their seams; these make a smaller bag.");
        if (side.value().signum() > 0) {
            add(
                    Family.CUTTING,
                    2.4,
                    Sentence.of("The width was cut without its seams."),
                    addThem,
                    trial -> resized(trial, side.times(TWO).negated(), Sewn.NOTHING));
        }
        if (ends.value().signum() > 0) {
            add(
                    Family.CUTTING,
                    2.4,
                    Sentence.of("The height was cut without its seams."),
                    addThem,
                    trial -> resized(trial, Sewn.NOTHING, ends.negated()));
            add(
                    Family.CUTTING,
                    2.4,
                    Sentence.of("The pieces were cut to the finished size, without seams."),
                    addThem,
                    trial -> resized(trial, side.times(TWO).negated(), ends.negated()));
        }
        for (int percent : new int[] {3, 5}) {
            BigFraction left = BigFraction.of(100 - percent, 100);
            add(
                    Family.CUTTING,
                    2.5,
                    Sentence.of("The cloth shrank by " + percent + " %, in the wash or under the iron."),
                    Sentence.of("Prewash or steam the rest of the cloth before it is cut."),
                    trial -> new Trial(
                            trial.form(),
                            trial.sewn()
                                    .cut(
                                            scaled(trial.sewn().width(), left),
                                            scaled(trial.sewn().height(), left))));
        }
        add(
                Family.CUTTING,
                3,
                Sentence.of("The pieces were turned: width and height were mixed up."),
                Sentence.of("Mark the top on the rest."),
                trial -> new Trial(
                        trial.form(),
                        trial.sewn().cut(trial.sewn().height(), trial.sewn().width())));
    }

    private static Quantity scaled(Quantity quantity, BigFraction factor) {
        return new Quantity(quantity.value().multiply(factor), quantity.dimension());
    }

    private static Trial resized(Trial trial, Quantity width, Quantity height) {
        Sewn sewn = trial.sewn();
        return new Trial(
                trial.form(), sewn.cut(sewn.width().plus(width), sewn.height().plus(height)));
    }

    /** Whether two slips can have happened to the same bag. */
    static boolean goTogether(Slip one, Slip other) {
        Set<Family> families = Stream.of(one, other).map(Slip::family).collect(Collectors.toSet());
        boolean seamTwice =
                families.contains(Family.ALL_SEAMS) && families.stream().anyMatch(SEAM_FAMILIES::containsValue);
        return families.size() == 2 && !seamTwice;
    }
}
