package mardun.core.construction;

import java.util.List;
import mardun.core.formula.Rule;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;

/** A bag from one wrap whose sides are folded in: the wrap becomes a loop, its ends are sewn shut. */
public final class FoldedSides {

    private static final String FOLD = "how far the sides are folded in";
    private static final String END = "end seam";

    static final Rule WRAP = Rule.named("wrap")
            .says("A wrap goes twice round the width and the folded-in sides, plus a top seam at each end, less what"
                    + " shows of the zip.")
            .given("width", "finished width")
            .given("fold", FOLD)
            .given("top", "top seam")
            .given("shows", "what shows of the zip")
            .is("2 * (width + 2 * fold) + 2 * top - shows");

    static final Rule WIDTH = Rule.named("wrap_width")
            .says(
                    "The loop is the wrap less its two top seams, plus what shows of the zip; half of it less the two folds"
                            + " is the width.")
            .given("wrap", "length of the wrap")
            .given("fold", FOLD)
            .given("top", "top seam")
            .given("shows", "what shows of the zip")
            .is("(wrap - 2 * top + shows) / 2 - 2 * fold");

    static final Rule FOLD_FOR = Rule.named("fold_for_depth")
            .says("Sides are folded in by half of the greatest depth.")
            .given("depth", "greatest depth")
            .is("depth / 2");

    static final Rule DEPTH = Rule.named("depth_of_fold")
            .says("Sides folded in open to twice the fold.")
            .given("fold", FOLD)
            .is("2 * fold");

    static final Rule ACROSS = Rule.named("wrap_across")
            .says("Across, a wrap is as wide as the bag is long, plus a seam at each end.")
            .given("length", "finished length")
            .given("end", END)
            .is("length + 2 * end");

    static final Rule LENGTH = Rule.named("wrap_length")
            .says("The bag is as long as the wrap is wide, less a seam at each end.")
            .given("across", "the wrap's other side")
            .given("end", END)
            .is("across - 2 * end");

    static final List<Construction> CONSTRUCTIONS = List.of(
            Construction.of(Subject.FOLDED_SIDES, "round the bag", WRAP, WIDTH),
            Construction.of(Subject.FOLDED_SIDES, "fold for a depth", FOLD_FOR, DEPTH),
            Construction.of(Subject.FOLDED_SIDES, "along the bag", ACROSS, LENGTH));

    private FoldedSides() {}

    public static Figure<Quantity> width(Quantity wrap, Quantity fold, Quantity top, Quantity shows) {
        return WIDTH.apply(wrap, fold, top, shows);
    }

    public static Figure<Quantity> depth(Quantity fold) {
        return DEPTH.apply(fold);
    }

    public static Figure<Quantity> length(Quantity across, Quantity end) {
        return LENGTH.apply(across, end);
    }
}
