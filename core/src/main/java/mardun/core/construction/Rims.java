package mardun.core.construction;

import java.util.List;
import mardun.core.formula.Rule;

/** How a bag's top edge is finished: stiffened, or with the lining rolled over it. */
final class Rims {

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

    static final Rule WIDER_SEAM = Rule.named("lining_narrower")
            .says("A lining sewn with a wider seam is narrower inside by twice the difference, and sits better.")
            .given("outer", "finished width of the outer")
            .given("wider", "how much wider the lining's seam is")
            .is("outer - 2 * wider");

    static final List<Construction> CONSTRUCTIONS = List.of(
            Construction.of(Subject.RIM, "stiffened", STIFFENER, RIM),
            Construction.of(Subject.RIM, "lining rolled over", ROLLED, OUTER),
            Construction.of(Subject.RIM, "lining with a wider seam", WIDER_SEAM));

    private Rims() {}
}
