package mardun.core.construction;

import java.util.List;
import java.util.Optional;
import mardun.core.formula.Rule;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;

/** How a bag's top edge is finished: stiffened, or with the lining rolled over it. */
public final class Rims {

    static final Rule STIFFENER = Rule.named("rim_stiffener")
            .says("A rim stiffener is the rim's circumference less ease, plus what its ends overlap.")
            .given("rim", "circumference of the rim")
            .given("ease", "ease")
            .given("overlap", "overlap of the ends")
            .is("rim - ease + overlap");

    static final Rule RIM = Rule.named("rim_of_stiffener")
            .says("A stiffener fits a rim of its length less the overlap, plus ease.")
            .given("stiffener", "length of the stiffener")
            .given("ease", "ease")
            .given("overlap", "overlap of the ends")
            .is("stiffener - overlap + ease");

    static final Rule ROLLED = Rule.named("lining_rolled")
            .says("A lining that rolls over the rim as a band is cut twice the band's width taller than the outer.")
            .given("outer", "height of the outer as cut")
            .given("band", "width of the band that shows")
            .is("outer + 2 * band");

    static final Rule OUTER = Rule.named("outer_below_rolled")
            .says("The outer below a rolled rim is shorter than the lining by twice the band.")
            .given("lining", "height of the lining as cut")
            .given("band", "width of the band that shows")
            .is("lining - 2 * band");

    static final Rule WITH_BAND = Rule.named("with_rolled_rim")
            .says("A lining that rolls over the rim stands above the outer by its band.")
            .given("outer", "finished height of the outer alone")
            .given("band", "width of the band that shows")
            .is("outer + band");

    static final Rule WITHOUT_BAND = Rule.named("below_rolled_rim")
            .says("Below a rolled rim is left what the band leaves of the height.")
            .given("height", "finished height with the rim")
            .given("band", "width of the band that shows")
            .is("height - band");

    static final Rule WIDER_SEAM = Rule.named("lining_narrower")
            .says("A lining sewn with a wider seam is narrower inside by twice the difference, and sits better.")
            .given("outer", "finished width of the outer")
            .given("wider", "how much wider the lining's seam is")
            .is("outer - 2 * wider");

    static final List<Construction> CONSTRUCTIONS = List.of(
            Construction.of(Subject.RIM, "stiffened", STIFFENER, RIM),
            Construction.of(Subject.RIM, "lining rolled over", ROLLED, OUTER),
            Construction.of(Subject.RIM, "lining rolled over, height", WITH_BAND, WITHOUT_BAND),
            Construction.of(Subject.RIM, "lining with a wider seam", WIDER_SEAM));

    private Rims() {}

    /** The finished height of a bag whose outer alone finishes so high, with the lining rolled over its rim. */
    public static Figure<Quantity> withBand(Figure<Quantity> outer, Quantity band) {
        return band.value().signum() == 0
                ? outer
                : WITH_BAND.applyTo(List.of(
                        new Rule.Argument(outer.value(), Optional.of(outer.working())),
                        new Rule.Argument(band, Optional.empty())));
    }
}
