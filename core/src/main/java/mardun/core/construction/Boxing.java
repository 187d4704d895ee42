package mardun.core.construction;

import java.util.List;
import mardun.core.formula.Rule;
import mardun.core.measure.Length;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;

/**
 * Boxed corners: a bottom corner sewn across so that the bag stands. A corner has two edges, the side and the base,
 * each with its own seam allowance; an edge that is a fold has none.
 */
public final class Boxing {

    private static final String DEPTH = "finished depth";
    private static final String EDGE = "allowance of the edge, 0 at a fold";
    private static final String SEAM = "boxing seam";
    private static final String SIDE = "side seam";
    private static final String TOP = "top seam";

    static final Rule CUT_BEFORE = Rule.named("cut_before")
            .says("Cut out before sewing, measured from the raw edge: half the depth, plus the edge's own allowance"
                    + " (none at a fold), less the boxing seam.")
            .given("depth", DEPTH)
            .given("edge", EDGE)
            .given("boxing", SEAM)
            .is("depth / 2 + edge - boxing");

    static final Rule DEPTH_CUT_BEFORE = Rule.named("depth_cut_before")
            .says("The depth is twice the cut-out, measured from the raw edge before sewing, less the edge's allowance"
                    + " and plus the boxing seam.")
            .given("cut", "cut-out from the raw edge")
            .given("edge", EDGE)
            .given("boxing", SEAM)
            .is("2 * (cut - edge + boxing)");

    static final Rule CUT_AFTER = Rule.named("cut_after")
            .says(
                    "Cut out after sewing, measured from the stitch line or the fold: half the depth less the boxing seam.")
            .given("depth", DEPTH)
            .given("boxing", SEAM)
            .is("depth / 2 - boxing");

    static final Rule DEPTH_CUT_AFTER = Rule.named("depth_cut_after")
            .says("The depth is twice the cut-out, measured from the stitch line after sewing, plus the boxing seam.")
            .given("cut", "cut-out from the stitch line")
            .given("boxing", SEAM)
            .is("2 * (cut + boxing)");

    static final Rule LINE_ACROSS = Rule.named("line_across")
            .says(
                    "The line across the flattened corner lies half the depth from the point where the stitch lines meet.")
            .given("depth", DEPTH)
            .is("depth / 2");

    static final Rule DEPTH_LINE_ACROSS = Rule.named("depth_line_across")
            .says("The depth is twice the distance of the line from the point where the stitch lines meet.")
            .given("line", "distance of the line")
            .is("2 * line");

    static final Rule SNIP_SEAM = Rule.named("snip_seam")
            .says("Snipped to the stitching and opened out, the corner is one straight seam: its allowance is half the"
                    + " depth.")
            .given("depth", DEPTH)
            .is("depth / 2");

    static final Rule DEPTH_SNIP_SEAM = Rule.named("depth_snip_seam")
            .says("The depth is twice the allowance of the one straight seam.")
            .given("seam", "allowance of the straight seam")
            .is("2 * seam");

    static final Rule PANEL_WIDTH = Rule.named("panel_width")
            .says("A panel is as wide as the finished base, plus the depth, plus two side seams.")
            .given("width", "finished base width")
            .given("depth", DEPTH)
            .given("side", SIDE)
            .is("width + depth + 2 * side");

    static final Rule FINISHED_WIDTH = Rule.named("finished_width")
            .says("The finished base is the panel's width less two side seams and the depth.")
            .given("panel", "panel width")
            .given("side", SIDE)
            .given("depth", DEPTH)
            .is("panel - 2 * side - depth");

    static final Rule ROUND_WIDTH = Rule.named("round_panel_width")
            .says("One piece round the bag is twice as wide as the finished base and the depth together, plus the two"
                    + " allowances of its one seam; its fold takes none.")
            .given("width", "finished base width")
            .given("depth", DEPTH)
            .given("side", SIDE)
            .is("2 * (width + depth) + 2 * side");

    static final Rule FINISHED_ROUND = Rule.named("finished_round_width")
            .says("Of one piece round the bag, half of what is between its seams less the depth is the finished base.")
            .given("panel", "width of the piece")
            .given("side", SIDE)
            .given("depth", DEPTH)
            .is("(panel - 2 * side) / 2 - depth");

    static final Rule PANEL_HEIGHT = Rule.named("panel_height")
            .says("A panel is as high as the finished face, plus the top and the base seam, plus half the depth.")
            .given("height", "finished height of the panel")
            .given("depth", DEPTH)
            .given("top", TOP)
            .given("base", "base seam")
            .is("height + top + base + depth / 2");

    static final Rule FINISHED_HEIGHT = Rule.named("finished_height")
            .says("The finished height is the panel's height less the top seam, the base seam and half the depth.")
            .given("panel", "panel height")
            .given("top", TOP)
            .given("base", "base seam")
            .given("depth", DEPTH)
            .is("panel - top - base - depth / 2");

    static final Rule FOLDED_LENGTH = Rule.named("folded_length")
            .says("One piece folded at the base is twice as long as the finished face with its top seam and half the"
                    + " depth; the fold takes no seam.")
            .given("height", "finished height of the panel")
            .given("depth", DEPTH)
            .given("top", TOP)
            .is("2 * (height + top + depth / 2)");

    static final Rule FOLDED_HEIGHT = Rule.named("folded_height")
            .says("Folded at the base, half the length less the top seam and half the depth is the finished height.")
            .given("length", "length of the folded piece")
            .given("top", TOP)
            .given("depth", DEPTH)
            .is("length / 2 - top - depth / 2");

    /** The schools of boxed corners, and the panels of a boxed bag with a base seam or a fold. */
    static final List<Construction> CONSTRUCTIONS = List.of(
            Construction.of(Subject.BOXED_PANEL, "width of a panel", PANEL_WIDTH, FINISHED_WIDTH),
            Construction.of(Subject.BOXED_PANEL, "width, one piece round", ROUND_WIDTH, FINISHED_ROUND),
            Construction.of(Subject.BOXED_PANEL, "height, with a base seam", PANEL_HEIGHT, FINISHED_HEIGHT),
            Construction.of(Subject.BOXED_PANEL, "length, folded at the base", FOLDED_LENGTH, FOLDED_HEIGHT),
            Construction.of(Subject.BOXED_CORNER, BoxingSchool.CUT_BEFORE_SEWING.words(), CUT_BEFORE, DEPTH_CUT_BEFORE),
            Construction.of(Subject.BOXED_CORNER, BoxingSchool.CUT_AFTER_SEWING.words(), CUT_AFTER, DEPTH_CUT_AFTER),
            Construction.of(Subject.BOXED_CORNER, BoxingSchool.LINE_ACROSS.words(), LINE_ACROSS, DEPTH_LINE_ACROSS),
            Construction.of(Subject.BOXED_CORNER, BoxingSchool.SNIPPED.words(), SNIP_SEAM, DEPTH_SNIP_SEAM),
            Construction.of(Subject.BOXED_CORNER, BoxingSchool.BOXED_AS_ONE.words(), CUT_BEFORE, DEPTH_CUT_BEFORE));

    private Boxing() {}

    /**
     * The seam allowances that meet at a boxed corner.
     *
     * @param side allowance of the side edge, 0 if it is a fold
     * @param base allowance of the base edge, 0 if it is a fold
     * @param boxing allowance of the seam across the corner
     */
    public record Seams(Quantity side, Quantity base, Quantity boxing) {}

    /** What is measured on the cloth for the corner: the same figure twice where both edges are measured alike. */
    public record Corner(BoxingSchool school, Figure<Quantity> fromSide, Figure<Quantity> fromBase) {

        /** Whether the corner is the same along both edges, so that a square serves. */
        public boolean isSquare() {
            return fromSide.value().equals(fromBase.value());
        }
    }

    /** What to measure so that the finished depth becomes {@code depth}. */
    public static Corner corner(BoxingSchool school, Quantity depth, Seams seams) {
        return switch (school) {
            case CUT_BEFORE_SEWING, BOXED_AS_ONE ->
                new Corner(
                        school,
                        CUT_BEFORE.apply(depth, seams.side(), seams.boxing()),
                        CUT_BEFORE.apply(depth, seams.base(), seams.boxing()));
            case CUT_AFTER_SEWING -> alike(school, CUT_AFTER.apply(depth, seams.boxing()));
            case LINE_ACROSS -> alike(school, LINE_ACROSS.apply(depth));
            case SNIPPED -> alike(school, SNIP_SEAM.apply(depth));
        };
    }

    private static Corner alike(BoxingSchool school, Figure<Quantity> measured) {
        return new Corner(school, measured, measured);
    }

    /** The depth that results when {@code measured} was measured at one edge with allowance {@code edge}. */
    public static Figure<Quantity> depth(BoxingSchool school, Quantity measured, Quantity edge, Quantity boxing) {
        return switch (school) {
            case CUT_BEFORE_SEWING, BOXED_AS_ONE -> DEPTH_CUT_BEFORE.apply(measured, edge, boxing);
            case CUT_AFTER_SEWING -> DEPTH_CUT_AFTER.apply(measured, boxing);
            case LINE_ACROSS -> DEPTH_LINE_ACROSS.apply(measured);
            case SNIPPED -> DEPTH_SNIP_SEAM.apply(measured);
        };
    }

    /** Finished width of the base of a panel {@code panel} wide, or of one piece round the bag. */
    public static Figure<Quantity> finishedWidth(SideEdge edge, Quantity panel, Quantity side, Quantity depth) {
        return (edge.isRound() ? FINISHED_ROUND : FINISHED_WIDTH).apply(panel, side, depth);
    }

    /** What is cut out at a fold on each side of it, where no allowance is. */
    public static Figure<Quantity> fromFold(BoxingSchool school, Quantity depth, Quantity boxing) {
        return corner(school, depth, new Seams(Quantity.of(Length.ZERO), Quantity.of(Length.ZERO), boxing))
                .fromSide();
    }

    /** Width of a panel whose base is to be {@code width} wide. */
    public static Figure<Quantity> panelWidth(Quantity width, Quantity depth, Quantity side) {
        return PANEL_WIDTH.apply(width, depth, side);
    }

    /** Finished height: of one of two panels with a base seam, or of one piece folded at the base. */
    public static Figure<Quantity> finishedHeight(
            BaseEdge edge, Quantity cut, Quantity top, Quantity base, Quantity depth) {
        return edge == BaseEdge.FOLD
                ? FOLDED_HEIGHT.apply(cut, top, depth)
                : FINISHED_HEIGHT.apply(cut, top, base, depth);
    }

    /** What to cut for a finished height: a panel's height, or the whole length of a piece folded at the base. */
    public static Figure<Quantity> cutHeight(
            BaseEdge edge, Quantity height, Quantity depth, Quantity top, Quantity base) {
        return edge == BaseEdge.FOLD
                ? FOLDED_LENGTH.apply(height, depth, top)
                : PANEL_HEIGHT.apply(height, depth, top, base);
    }
}
