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

    static final Rule BACKED = Rule.named("backed_piece")
            .says("The piece that fused interfacing backs is larger by the inset on each side.")
            .given("interfacing", "side of the interfacing")
            .given("inset", "inset on each side")
            .is("interfacing + 2 * inset");

    static final List<Construction> CONSTRUCTIONS = List.of(
            Construction.of(Subject.INTERFACING, "fused, out of the seams", INSET, BACKED),
            Construction.of(Subject.INTERFACING, "basted in, and quilted batting", BASTED, BASTED));

    private Interfacing() {}
}
