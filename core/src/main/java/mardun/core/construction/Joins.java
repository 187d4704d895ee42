package mardun.core.construction;

import java.util.List;
import mardun.core.formula.Rule;
import mardun.core.measure.Dimension;

/** Panels sewn together from parts before anything else happens to them. */
final class Joins {

    private static final String JOIN = "allowance at the join";

    static final Rule PART = Rule.named("part_of")
            .says("The second part of a panel is what the first leaves, plus an allowance on each side of the join.")
            .given("panel", "side of the assembled panel")
            .given("other", "side of the other part")
            .given("join", JOIN)
            .is("panel - other + 2 * join");

    static final Rule JOINED = Rule.named("joined")
            .says("Two parts sewn together measure their sum less an allowance on each side of the join.")
            .given("part", "side of the part")
            .given("other", "side of the other part")
            .given("join", JOIN)
            .is("part + other - 2 * join");

    static final Rule EVEN_PART = Rule.named("even_part")
            .says("One of several equal parts across a panel: its share of the panel and of the joins.")
            .given("panel", "side of the assembled panel")
            .given("parts", "how many parts", Dimension.NUMBER)
            .given("join", JOIN)
            .is("(panel + 2 * join * (parts - 1)) / parts");

    static final Rule EVEN_JOINED = Rule.named("even_joined")
            .says("Equal parts sewn together measure their sum less an allowance on each side of each join.")
            .given("part", "side of one part")
            .given("parts", "how many parts", Dimension.NUMBER)
            .given("join", JOIN)
            .is("part * parts - 2 * join * (parts - 1)");

    static final List<Construction> CONSTRUCTIONS = List.of(
            Construction.of(Subject.JOIN, "two parts", PART, JOINED),
            Construction.of(Subject.JOIN, "equal parts", EVEN_PART, EVEN_JOINED));

    private Joins() {}
}
