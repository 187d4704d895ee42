package mardun.core.construction;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import mardun.core.formula.Rule;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;

/** How long a zip is, what its ends need, and how wide a bag opens. */
public final class Zips {

    static final Rule INSET = Rule.named("zip_inset")
            .says("A zip with end tabs stays out of the side seams: at each end it stops short by the side seam and a"
                    + " clearance.")
            .given("panel", "width of the edge")
            .given("side", "side seam")
            .given("clearance", "clearance beside the seam")
            .is("panel - 2 * (side + clearance)");

    static final Rule TABS_TO_EDGE = Rule.named("zip_tabs_to_edge")
            .says("With tabs that run to the edge, each end of the zip is shorter by the folded tab less what the tab"
                    + " covers of the zip.")
            .given("panel", "width of the edge")
            .given("tab", "length of the folded tab")
            .given("over", "how far the tab covers the zip")
            .is("panel - 2 * (tab - over)");

    static final Rule FULL_LENGTH = Rule.named("zip_full_length")
            .says("A zip whose ends are caught in the side seams is as long as the edge it is sewn to.")
            .given("panel", "width of the edge")
            .is("panel");

    static final Rule OPENING = Rule.named("zip_opening")
            .says("The opening is the zip less what covers it at each end, less the slider.")
            .given("zip", "zip")
            .given("covered", "covered at each end")
            .given("slider", "slider")
            .is("zip - 2 * covered - slider");

    static final Rule BELOW_ZIP = Rule.named("below_zip")
            .says("A zip that closes the top adds half of what shows of it to each face, so a panel ends that much"
                    + " below the finished height.")
            .given("height", "finished height")
            .given("shows", "what shows of the zip")
            .is("height - shows / 2");

    static final Rule WITH_ZIP = Rule.named("with_zip")
            .says("A zip that closes the top adds half of what shows of it to each face.")
            .given("height", "finished height of the panel")
            .given("shows", "what shows of the zip")
            .is("height + shows / 2");

    static final Rule FOLDED_TAB = Rule.named("tab_folded_width")
            .says("A folded end tab is as wide as the zip's tape.")
            .given("tape", "width of the zip's tape")
            .is("tape");

    static final Rule TUBE_TAB = Rule.named("tab_tube_width")
            .says("An end tab sewn as a tube is twice the tape and two seams wide.")
            .given("tape", "width of the zip's tape")
            .given("seam", "seam of the tube")
            .is("2 * tape + 2 * seam");

    /** All rules of zips. */
    public static final List<Rule> RULES =
            List.of(INSET, TABS_TO_EDGE, FULL_LENGTH, OPENING, BELOW_ZIP, WITH_ZIP, FOLDED_TAB, TUBE_TAB);

    /** Below this a grown hand finds an opening tight. */
    public static final Length NARROW_FOR_A_HAND = Length.of(10, LengthUnit.CENTIMETRE);

    private Zips() {}

    /** The finished height of a face whose panel alone finishes at {@code panel}, with the zip that closes the top. */
    public static Figure<Quantity> withZip(Figure<Quantity> panel, Quantity shows) {
        return WITH_ZIP.applyTo(List.of(
                new Rule.Argument(panel.value(), Optional.of(panel.working())),
                new Rule.Argument(shows, Optional.empty())));
    }

    /**
     * The closed-end zip to buy for {@code wanted}: a nylon one is cut down from the next longer that is sold, a metal
     * one isn't cut and must match.
     */
    public static Optional<Length> closedEnd(Length wanted, Collection<Length> sold, boolean canBeCut) {
        return sold.stream()
                .filter(length -> canBeCut ? length.compareTo(wanted) >= 0 : length.equals(wanted))
                .min(Length::compareTo);
    }
}
