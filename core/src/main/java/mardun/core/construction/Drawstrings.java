package mardun.core.construction;

import java.util.List;
import mardun.core.formula.Rule;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;

/** Cords, and the casings they run in. */
public final class Drawstrings {

    private static final String OPENING = "flat width of the opening";
    private static final String KNOT = "for the knot";

    static final Rule CORD = Rule.named("cord")
            .says(
                    "A cord goes in and out of one side: twice the flat opening, two tails and the knot. Two opposing cords"
                            + " take two of them.")
            .given("opening", OPENING)
            .given("tail", "tail at each end")
            .given("knot", KNOT)
            .is("2 * opening + 2 * tail + knot");

    static final Rule OPENING_OF_CORD = Rule.named("opening_of_cord")
            .says("A cord serves an opening of half of what its tails and knot leave.")
            .given("cord", "length of the cord")
            .given("tail", "tail at each end")
            .given("knot", KNOT)
            .is("(cord - knot) / 2 - tail");

    static final Rule BACKPACK_CORD = Rule.named("cord_backpack")
            .says(
                    "A backpack's cord goes round the opening and down to the anchor tab and back, with a knot; a backpack"
                            + " has two.")
            .given("opening", OPENING)
            .given("drop", "drop to the anchor tab")
            .given("knot", KNOT)
            .is("2 * opening + 2 * drop + knot");

    static final Rule OPENING_OF_BACKPACK_CORD = Rule.named("opening_of_cord_backpack")
            .says("A backpack's cord serves an opening of half of what the two drops and the knot leave.")
            .given("cord", "length of the cord")
            .given("drop", "drop to the anchor tab")
            .given("knot", KNOT)
            .is("(cord - knot) / 2 - drop");

    static final Rule CASING_FLAT = Rule.named("casing_flat")
            .says("A casing for ribbon or flat cord is as high as it is wide, plus ease.")
            .given("width", "width of the ribbon")
            .given("ease", "ease")
            .is("width + ease");

    static final Rule RIBBON_OF_CASING = Rule.named("ribbon_of_casing")
            .says("A casing takes a ribbon as wide as it is high, less the ease.")
            .given("casing", "height of the casing")
            .given("ease", "ease")
            .is("casing - ease");

    static final Rule CASING_ROUND = Rule.named("casing_round")
            .says("A casing for a round cord is half the cord's girth high, plus ease.")
            .given("diameter", "diameter of the cord")
            .given("ease", "ease")
            .is("pi / 2 * diameter + ease");

    static final Rule CORD_OF_CASING = Rule.named("cord_of_casing")
            .says("A casing takes a round cord whose half girth is the casing's height less the ease.")
            .given("casing", "height of the casing")
            .given("ease", "ease")
            .is("(casing - ease) / (pi / 2)");

    static final Rule GAP = Rule.named("casing_gap")
            .says("The gap for the cord begins as far from the raw edge as the header and the top seam together.")
            .given("header", "header above the casing")
            .given("top", "top seam")
            .is("header + top");

    static final Rule HEADER = Rule.named("header_above_gap")
            .says("Above the gap stands as header what the top seam leaves.")
            .given("gap", "gap from the raw edge")
            .given("top", "top seam")
            .is("gap - top");

    static final List<Construction> CONSTRUCTIONS = List.of(
            Construction.of(Subject.DRAWSTRING, "cord in and out of one side", CORD, OPENING_OF_CORD),
            Construction.of(
                    Subject.DRAWSTRING, "backpack, cord to anchor tabs", BACKPACK_CORD, OPENING_OF_BACKPACK_CORD),
            Construction.of(Subject.CASING, "for ribbon", CASING_FLAT, RIBBON_OF_CASING),
            Construction.of(Subject.CASING, "for round cord", CASING_ROUND, CORD_OF_CASING),
            Construction.of(Subject.CASING, "where the gap begins", GAP, HEADER));

    private Drawstrings() {}

    /** How high a casing for a cord is: round, or flat like ribbon. */
    public static Figure<Quantity> casing(boolean round, Quantity thickness, Quantity ease) {
        return round ? CASING_ROUND.apply(thickness, ease) : CASING_FLAT.apply(thickness, ease);
    }

    /** How far from the raw edge the gap for the cord begins. */
    public static Figure<Quantity> gap(Quantity header, Quantity top) {
        return GAP.apply(header, top);
    }
}
