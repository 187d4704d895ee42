package mardun.core.construction;

import java.util.List;
import mardun.core.formula.Rule;
import mardun.core.measure.Dimension;

/** Pockets, their divisions, and rows of slots. */
final class Pockets {

    static final Rule FOLDED = Rule.named("pocket_folded")
            .says("A pocket folded at its lip is cut twice as high as it is finished, plus a seam on both layers.")
            .given("height", "finished height")
            .given("seam", "seam at the foot")
            .is("2 * height + 2 * seam");

    static final Rule FOLDED_HEIGHT = Rule.named("pocket_folded_height")
            .says("Folded at its lip, a pocket is half as high, less the seam.")
            .given("cut", "height as cut")
            .given("seam", "seam at the foot")
            .is("cut / 2 - seam");

    static final Rule HEMMED = Rule.named("pocket_hemmed")
            .says("A patch pocket is cut to its finished height, plus the hem at its lip and the turn at its foot.")
            .given("height", "finished height")
            .given("hem", "hem at the lip")
            .given("turn", "turned under at the foot")
            .is("height + hem + turn");

    static final Rule HEMMED_HEIGHT = Rule.named("pocket_hemmed_height")
            .says("A patch pocket finishes at what its hem and its turn leave.")
            .given("cut", "height as cut")
            .given("hem", "hem at the lip")
            .given("turn", "turned under at the foot")
            .is("cut - hem - turn");

    static final Rule DIVISION = Rule.named("pocket_division")
            .says("Divided evenly, a pocket's compartments are its width by their number.")
            .given("width", "width between the seams")
            .given("parts", "how many compartments", Dimension.NUMBER)
            .is("width / parts");

    static final Rule UNDIVIDED = Rule.named("pocket_undivided")
            .says("Even compartments together are as wide as one by their number.")
            .given("compartment", "width of a compartment")
            .given("parts", "how many compartments", Dimension.NUMBER)
            .is("compartment * parts");

    static final Rule PLEATED = Rule.named("slots_pleated")
            .says(
                    "Slots pleated from one strip: the backing's height, plus twice the depth of a slot for each of them.")
            .given("height", "finished height of the rows")
            .given("depth", "depth of a slot")
            .given("slots", "how many slots", Dimension.NUMBER)
            .is("height + 2 * depth * slots");

    static final Rule PLEATED_HEIGHT = Rule.named("slots_pleated_height")
            .says("A pleated strip finishes at its length less twice the depth of each slot.")
            .given("strip", "length of the strip")
            .given("depth", "depth of a slot")
            .given("slots", "how many slots", Dimension.NUMBER)
            .is("strip - 2 * depth * slots");

    static final Rule GRADUATED = Rule.named("graduated")
            .says("Graduated slots: each is higher than the one before it by the same step.")
            .given("first", "the first one's height")
            .given("step", "step from one to the next")
            .given("which", "which one, counted from 1", Dimension.NUMBER)
            .is("first + step * (which - 1)");

    static final Rule FIRST_OF_GRADUATED = Rule.named("first_of_graduated")
            .says("The first of graduated slots is lower than a later one by the steps between them.")
            .given("height", "the later one's height")
            .given("step", "step from one to the next")
            .given("which", "which one, counted from 1", Dimension.NUMBER)
            .is("height - step * (which - 1)");

    static final List<Construction> CONSTRUCTIONS = List.of(
            Construction.of(Subject.POCKET, "folded at the lip", FOLDED, FOLDED_HEIGHT),
            Construction.of(Subject.POCKET, "patch with a hem", HEMMED, HEMMED_HEIGHT),
            Construction.of(Subject.POCKET, "divided evenly", DIVISION, UNDIVIDED),
            Construction.of(Subject.POCKET, "slots pleated from a strip", PLEATED, PLEATED_HEIGHT),
            Construction.of(Subject.POCKET, "graduated slots", GRADUATED, FIRST_OF_GRADUATED));

    private Pockets() {}
}
