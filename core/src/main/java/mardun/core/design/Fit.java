package mardun.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mardun.core.formula.Rule;
import mardun.core.measure.Length;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;

/**
 * Whether a thing fits into a bag. A flat bag has to go round it; a boxed one has to be as wide, as high and as deep; and
 * half of the thing's girth has to pass the opening. The thing may be put in any way, end first too.
 */
public final class Fit {

    private static final Rule GIRTH = Rule.named("girth")
            .says("A thing's girth is twice its two sides that lie across the bag.")
            .given("wide", "side across")
            .given("thick", "thickness")
            .given("ease", "ease")
            .is("2 * (wide + thick) + ease");

    private static final Rule INSIDE = Rule.named("inside_circumference")
            .says("Inside, a flat bag goes round twice its width.")
            .given("width", "finished width")
            .is("2 * width");

    private static final Rule HALF_GIRTH = Rule.named("half_girth")
            .says("Through an opening goes a thing whose half girth it is wide.")
            .given("wide", "side across")
            .given("thick", "thickness")
            .is("wide + thick");

    private Fit() {}

    /** A thing by its three sides; none of them less than nothing. */
    public record Thing(Length width, Length height, Length depth) {}

    /**
     * A comparison: what is needed against what there is.
     *
     * @param label what is compared
     */
    public record Comparison(String label, Figure<Quantity> needed, Figure<Quantity> there) {

        public boolean fits() {
            return needed.value().compare(there.value()) <= 0;
        }
    }

    /**
     * The answer, for the way of putting it in that suits best.
     *
     * @param turned the thing as it lies inside: across, up, and through
     */
    public record Answer(Thing turned, List<Comparison> comparisons) {

        public boolean fits() {
            return comparisons.stream().allMatch(Comparison::fits);
        }

        private long fitting() {
            return comparisons.stream().filter(Comparison::fits).count();
        }
    }

    /**
     * Whether a thing fits, every way of putting it in tried: it may go through the opening by any of its sides, end first too,
     * and lie otherwise inside.
     *
     * @param opening how wide the bag opens; empty where the whole top is open
     * @param ease room round the thing in a flat bag
     */
    public static Answer of(Finished finished, Optional<Figure<Quantity>> opening, Thing thing, Length ease) {
        Answer best = null;
        for (Thing turned : turned(thing)) {
            List<Comparison> inside = new ArrayList<>(inside(finished, turned, ease));
            opening.ifPresent(open -> inside.add(through("through the opening", open, thing)));
            Answer answer = new Answer(turned, List.copyOf(inside));
            if (best == null || answer.fitting() > best.fitting()) {
                best = answer;
            }
        }
        return best;
    }

    /**
     * Whether a thing fits into a pocket that is sewn flat onto a face; it may stand out at the top.
     *
     * @param width of the pocket, between its stitch lines
     */
    public static Answer pocket(Length width, Thing thing, Length ease) {
        Answer best = null;
        for (Thing turned : turned(thing)) {
            Answer answer = new Answer(turned, List.of(round(turned, ease, entered(width))));
            boolean lower = best != null
                    && answer.fits() == best.fits()
                    && turned.height().compareTo(best.turned().height()) < 0;
            if (best == null || answer.fitting() > best.fitting() || lower) {
                best = answer;
            }
        }
        return best;
    }

    /** Whether a thing, such as a board, goes through a gap that is left open: by its smallest end. */
    public static Answer gap(Length gap, Thing thing) {
        return new Answer(thing, List.of(through("through the gap", entered(gap), thing)));
    }

    private static List<Thing> turned(Thing thing) {
        Length a = thing.width();
        Length b = thing.height();
        Length c = thing.depth();
        return List.of(
                new Thing(a, b, c),
                new Thing(b, a, c),
                new Thing(a, c, b),
                new Thing(c, a, b),
                new Thing(b, c, a),
                new Thing(c, b, a));
    }

    /** The two smaller sides go through first: that is end first, if the thing is long. */
    private static Comparison through(String label, Figure<Quantity> opening, Thing thing) {
        List<Length> sides =
                Stream.of(thing.width(), thing.height(), thing.depth()).sorted().toList();
        return new Comparison(label, HALF_GIRTH.apply(Quantity.of(sides.get(1)), Quantity.of(sides.get(0))), opening);
    }

    private static Comparison round(Thing thing, Length ease, Figure<Quantity> width) {
        return new Comparison(
                "round it",
                GIRTH.apply(Quantity.of(thing.width()), Quantity.of(thing.depth()), Quantity.of(ease)),
                INSIDE.apply(width.value()));
    }

    private static List<Comparison> inside(Finished finished, Thing thing, Length ease) {
        Comparison high = new Comparison("height", entered(thing.height()), finished.height());
        boolean flat = finished.depth().value().value().signum() == 0;
        return flat
                ? List.of(round(thing, ease, finished.width()), high)
                : List.of(
                        new Comparison("width", entered(thing.width()), finished.width()),
                        high,
                        new Comparison("depth", entered(thing.depth()), finished.depth()));
    }

    private static Figure<Quantity> entered(Length length) {
        Quantity quantity = Quantity.of(length);
        return new Figure<>(quantity, Working.of("As measured.").gives(Value.of(quantity)));
    }
}
