package mardun.core.construction;

import java.util.List;
import java.util.Optional;
import mardun.core.formula.Rule;
import mardun.core.measure.Dimension;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;

/** Notches, shoulders, tapered sides and rounded flaps. */
public final class ShapedTops {

    static final Rule NOTCH_ANGLE = Rule.named("notch_angle")
            .says("A V notch is as wide open as its width and depth make it: half its angle has the tangent of half the"
                    + " width by the depth.")
            .given("width", "width of the notch at the edge")
            .given("depth", "depth of the notch")
            .is("2 * atan(width / 2 / depth)");

    static final Rule NOTCH_CUT = Rule.named("notch_cut_depth")
            .says(
                    "The bottom of a V lies deeper after sewing, by the seam by the sine of half its angle; it is cut that"
                            + " much less deep.")
            .given("depth", "depth that shows, from the raw edge")
            .given("seam", "seam along the notch")
            .given("angle", "angle of the notch", Dimension.ANGLE)
            .is("depth - seam / sin(angle / 2)");

    static final Rule NOTCH_SEWN = Rule.named("notch_sewn_depth")
            .says("After sewing, the bottom of a V lies deeper by the seam by the sine of half its angle.")
            .given("cut", "depth as cut")
            .given("seam", "seam along the notch")
            .given("angle", "angle of the notch", Dimension.ANGLE)
            .is("cut + seam / sin(angle / 2)");

    static final Rule BELOW_NOTCH = Rule.named("below_notch")
            .says("Below a V a bag is as high as at its tips, less what the V is deep below the top seam.")
            .given("height", "finished height at the tips")
            .given("top", "top seam")
            .given("sewn", "depth of the V after sewing, from the raw edge")
            .is("height + top - sewn");

    static final Rule CUT_OUT = Rule.named("cut_out_between")
            .says("Between two shoulders is cut out what they leave of the panel.")
            .given("shoulder", "shoulder left on each side")
            .given("panel", "width of the panel")
            .is("panel - 2 * shoulder");

    static final Rule SHOULDER = Rule.named("shoulder")
            .says("Beside a cut-out in the middle, each shoulder is half of what is left.")
            .given("cut", "width of the cut-out")
            .given("panel", "width of the panel")
            .is("(panel - cut) / 2");

    static final Rule TAPER = Rule.named("taper")
            .says("Each side of a tapered panel leans in by half the difference of its two widths.")
            .given("narrow", "width at the narrow end")
            .given("wide", "width at the wide end")
            .is("(wide - narrow) / 2");

    static final Rule TAPERED_TO = Rule.named("tapered_to")
            .says("A panel whose sides lean in is narrower by twice that.")
            .given("taper", "how far each side leans in")
            .given("wide", "width at the wide end")
            .is("wide - 2 * taper");

    static final List<Construction> CONSTRUCTIONS = List.of(
            Construction.of(Subject.SHAPED_TOP, "V notch, depth", NOTCH_CUT, NOTCH_SEWN),
            Construction.of(Subject.SHAPED_TOP, "V notch, angle", NOTCH_ANGLE),
            Construction.of(Subject.SHAPED_TOP, "V notch, height below it", BELOW_NOTCH),
            Construction.of(Subject.SHAPED_TOP, "cut-out and shoulders", CUT_OUT, SHOULDER),
            Construction.of(Subject.SHAPED_TOP, "tapered sides", TAPER, TAPERED_TO));

    private ShapedTops() {}

    /**
     * The finished height below a V.
     *
     * @param height at the tips
     * @param top the seam along the top and the V
     * @param width of the V, as cut
     * @param depth of the V, as cut
     */
    public static Figure<Quantity> belowNotch(Figure<Quantity> height, Quantity top, Quantity width, Quantity depth) {
        Figure<Quantity> angle = NOTCH_ANGLE.apply(width, depth);
        Figure<Quantity> sewn = NOTCH_SEWN.applyTo(List.of(
                new Rule.Argument(depth, Optional.empty()),
                new Rule.Argument(top, Optional.empty()),
                new Rule.Argument(angle.value(), Optional.of(angle.working()))));
        return BELOW_NOTCH.applyTo(List.of(
                new Rule.Argument(height.value(), Optional.of(height.working())),
                new Rule.Argument(top, Optional.empty()),
                new Rule.Argument(sewn.value(), Optional.of(sewn.working()))));
    }
}
