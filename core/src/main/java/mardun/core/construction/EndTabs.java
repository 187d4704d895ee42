package mardun.core.construction;

import java.util.List;
import mardun.core.formula.Rule;

/** The small pieces that finish the ends of a zip. */
final class EndTabs {

    private static final String TAPE = "width of the zip's tape";

    static final Rule FOLDED_WIDTH = Rule.named("tab_folded_width")
            .says("A folded end tab is as wide as the zip's tape.")
            .given("tape", TAPE)
            .is("tape");

    static final Rule TUBE_WIDTH = Rule.named("tab_tube_width")
            .says("An end tab sewn as a tube is twice the tape and two seams wide.")
            .given("tape", TAPE)
            .given("seam", "seam of the tube")
            .is("2 * tape + 2 * seam");

    static final Rule TAPE_OF_TUBE = Rule.named("tape_of_tube_tab")
            .says("A tube tab fits a tape of half its width less the seams.")
            .given("tab", "width of the tab as cut")
            .given("seam", "seam of the tube")
            .is("tab / 2 - seam");

    static final Rule FOLDED_LENGTH = Rule.named("tab_folded_length")
            .says("A folded end tab is cut twice as long as it is when it is folded.")
            .given("tab", "length of the folded tab")
            .is("2 * tab");

    static final Rule FOLDED_FROM = Rule.named("tab_folded_from")
            .says("Folded, an end tab is half as long as it was cut.")
            .given("cut", "length of the tab as cut")
            .is("cut / 2");

    static final Rule TUBE_LENGTH = Rule.named("tab_tube_length")
            .says("A tube tab loses its end turn and the seam that joins it to the zip.")
            .given("tab", "length of the tab that shows")
            .given("turn", "turned in at the end")
            .given("join", "seam to the zip")
            .is("tab + turn + join");

    static final Rule TUBE_SHOWS = Rule.named("tab_tube_shows")
            .says("Of a tube tab shows what its end turn and the seam to the zip leave.")
            .given("cut", "length of the tab as cut")
            .given("turn", "turned in at the end")
            .given("join", "seam to the zip")
            .is("cut - turn - join");

    static final List<Construction> CONSTRUCTIONS = List.of(
            Construction.of(Subject.END_TAB, "folded, width", FOLDED_WIDTH, FOLDED_WIDTH),
            Construction.of(Subject.END_TAB, "folded, length", FOLDED_LENGTH, FOLDED_FROM),
            Construction.of(Subject.END_TAB, "tube, width", TUBE_WIDTH, TAPE_OF_TUBE),
            Construction.of(Subject.END_TAB, "tube, length", TUBE_LENGTH, TUBE_SHOWS));

    private EndTabs() {}
}
