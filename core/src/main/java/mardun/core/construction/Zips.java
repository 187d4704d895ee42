package mardun.core.construction;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import mardun.core.formula.Rule;
import mardun.core.measure.Dimension;
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

    static final Rule EDGE_FOR_INSET = Rule.named("edge_for_zip_inset")
            .says(
                    "An edge for a zip with end tabs is longer than the zip by the side seam and a clearance at each end.")
            .given("zip", "zip")
            .given("side", "side seam")
            .given("clearance", "clearance beside the seam")
            .is("zip + 2 * (side + clearance)");

    static final Rule EDGE_FOR_TABS = Rule.named("edge_for_zip_tabs")
            .says("With tabs that run to the edge, the edge is longer than the zip by what each folded tab adds.")
            .given("zip", "zip")
            .given("tab", "length of the folded tab")
            .given("over", "how far the tab covers the zip")
            .is("zip + 2 * (tab - over)");

    static final Rule EDGE_FOR_FULL_LENGTH = Rule.named("edge_for_zip_full_length")
            .says("A zip whose ends are caught in the side seams asks for an edge as long as itself.")
            .given("zip", "zip")
            .is("zip");

    static final Rule ZIP_FOR_OPENING = Rule.named("zip_for_opening")
            .says("A zip for an opening is longer by what covers it at each end and by the slider.")
            .given("opening", "opening")
            .given("covered", "covered at each end")
            .given("slider", "slider")
            .is("opening + 2 * covered + slider");

    static final Rule PANEL_BELOW_ZIP_ACROSS = Rule.named("below_zip_across")
            .says("A zip across a face adds all that shows of it, and takes a seam of each part beside it: the parts"
                    + " together are that much smaller than the panel, plus the two seams.")
            .given("panel", "side of the assembled panel")
            .given("shows", "what shows of the zip")
            .given("join", "seam at the zip")
            .is("panel - shows + 2 * join");

    static final Rule WITH_ZIP_ACROSS = Rule.named("with_zip_across")
            .says("A zip across a face adds all that shows of it, and takes a seam of each part beside it.")
            .given("parts", "the two parts' sides together", Dimension.NUMBER)
            .given("shows", "what shows of the zip")
            .given("join", "seam at the zip")
            .is("parts + shows - 2 * join");

    static final List<Construction> CONSTRUCTIONS = List.of(
            Construction.of(Subject.ZIP, ZipSchool.INSET.words(), INSET, EDGE_FOR_INSET),
            Construction.of(Subject.ZIP, ZipSchool.TABS_TO_EDGE.words(), TABS_TO_EDGE, EDGE_FOR_TABS),
            Construction.of(Subject.ZIP, ZipSchool.FULL_LENGTH.words(), FULL_LENGTH, EDGE_FOR_FULL_LENGTH),
            Construction.of(Subject.ZIP, "zip for an opening", ZIP_FOR_OPENING, OPENING),
            Construction.of(Subject.ZIP, "panel below a zip that closes the top", BELOW_ZIP, WITH_ZIP),
            Construction.of(
                    Subject.ZIP, "parts beside a zip across the face", PANEL_BELOW_ZIP_ACROSS, WITH_ZIP_ACROSS));

    /** Below this a grown hand finds an opening tight. */
    public static final Length NARROW_FOR_A_HAND = Length.of(10, LengthUnit.CENTIMETRE);

    private Zips() {}

    /** How long a zip of a school is on its edge; the measures that a school doesn't ask for aren't looked at. */
    public static Figure<Quantity> length(
            ZipSchool school, Quantity edge, Quantity side, Quantity clearance, Quantity tab, Quantity over) {
        return switch (school) {
            case INSET -> INSET.apply(edge, side, clearance);
            case TABS_TO_EDGE -> TABS_TO_EDGE.apply(edge, tab, over);
            case FULL_LENGTH -> FULL_LENGTH.apply(edge);
        };
    }

    /** How wide a zip opens. */
    public static Figure<Quantity> opening(Quantity zip, Quantity covered, Quantity slider) {
        return OPENING.apply(zip, covered, slider);
    }

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
