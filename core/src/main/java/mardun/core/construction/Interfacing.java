package mardun.core.construction;

import java.util.List;
import mardun.core.formula.Rule;

/** How big interfacing is cut: smaller than its piece where it is fused, the same where it is basted in. */
public final class Interfacing {

    static final Rule INSET = Rule.named("interfacing")
            .says("Fused interfacing stays out of the seams: it is smaller than its piece by the inset on each side.")
            .given("piece", "side of the piece")
            .given("inset", "inset on each side")
            .is("piece - 2 * inset");

    static final Rule BASTED = Rule.named("interfacing_basted")
            .says("Interfacing that is basted in, and quilted batting, is as big as its piece.")
            .given("piece", "side of the piece")
            .is("piece");

    /** All rules of interfacing. */
    public static final List<Rule> RULES = List.of(INSET, BASTED);

    private Interfacing() {}
}
