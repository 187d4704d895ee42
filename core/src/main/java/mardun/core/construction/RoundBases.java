package mardun.core.construction;

import java.util.List;
import mardun.core.formula.Rule;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;

/** A round base and the body that goes round it. */
public final class RoundBases {

    static final Rule BASE = Rule.named("round_base")
            .says("A round base is as wide as it is finished, plus a seam all round.")
            .given("diameter", "finished diameter")
            .given("seam", "base seam")
            .is("diameter + 2 * seam");

    static final Rule DIAMETER = Rule.named("round_base_finished")
            .says("A round base finishes at its diameter less a seam all round.")
            .given("base", "diameter as cut")
            .given("seam", "base seam")
            .is("base - 2 * seam");

    static final Rule BODY = Rule.named("round_body")
            .says("The body goes once round the finished base, plus its two side seams.")
            .given("diameter", "finished diameter")
            .given("side", "side seam")
            .is("pi * diameter + 2 * side");

    static final Rule DIAMETER_OF_BODY = Rule.named("round_body_finished")
            .says("A body goes round a base whose girth is its width less the two side seams.")
            .given("body", "width of the body")
            .given("side", "side seam")
            .is("(body - 2 * side) / pi");

    static final List<Construction> CONSTRUCTIONS = List.of(
            Construction.of(Subject.ROUND_BASE, "base", BASE, DIAMETER),
            Construction.of(Subject.ROUND_BASE, "body", BODY, DIAMETER_OF_BODY));

    private RoundBases() {}

    public static Figure<Quantity> diameter(Quantity body, Quantity side) {
        return DIAMETER_OF_BODY.apply(body, side);
    }
}
