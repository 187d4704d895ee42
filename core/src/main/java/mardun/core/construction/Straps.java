package mardun.core.construction;

import java.util.List;
import mardun.core.formula.Rule;
import mardun.core.measure.Dimension;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;

/** How wide and how long a strap is cut. */
public final class Straps {

    private static final String FINISHED = "finished width";
    private static final String CUT = "width of the strip";
    private static final String SEAM = "seam";

    static final Rule FOUR_FOLD = Rule.named("strap_four_fold")
            .says("A strap folded in four is cut four times as wide as it is finished.")
            .given("width", FINISHED)
            .is("4 * width");

    static final Rule FOUR_FOLD_WIDTH = Rule.named("strap_four_fold_width")
            .says("Folded in four, a strip becomes a quarter as wide.")
            .given("strip", CUT)
            .is("strip / 4");

    static final Rule TUBE = Rule.named("strap_tube")
            .says("A strap sewn as a tube is cut twice as wide as it is finished, plus two seams.")
            .given("width", FINISHED)
            .given("seam", SEAM)
            .is("2 * width + 2 * seam");

    static final Rule TUBE_WIDTH = Rule.named("strap_tube_width")
            .says("Sewn as a tube, a strip becomes half as wide, less a seam.")
            .given("strip", CUT)
            .given("seam", SEAM)
            .is("strip / 2 - seam");

    static final Rule EDGES_TO_CENTRE = Rule.named("strap_edges_to_centre")
            .says("With both edges folded to the centre, a strap is cut twice as wide as it is finished.")
            .given("width", FINISHED)
            .is("2 * width");

    static final Rule EDGES_TO_CENTRE_WIDTH = Rule.named("strap_edges_to_centre_width")
            .says("With both edges folded to the centre, a strip becomes half as wide.")
            .given("strip", CUT)
            .is("strip / 2");

    static final Rule ONE_LAYER = Rule.named("strap_one_layer")
            .says("One layer of a thick cloth is cut as wide as the strap shall be.")
            .given("width", FINISHED)
            .is("width");

    static final Rule FACED = Rule.named("strap_faced")
            .says("Faced from two strips, each is as wide as the finished strap plus two seams.")
            .given("width", FINISHED)
            .given("seam", SEAM)
            .is("width + 2 * seam");

    static final Rule FACED_WIDTH = Rule.named("strap_faced_width")
            .says("Faced from two strips, a strap is as wide as a strip less two seams.")
            .given("strip", CUT)
            .given("seam", SEAM)
            .is("strip - 2 * seam");

    static final Rule WEBBING = Rule.named("webbing_length")
            .says("Webbing is cut to the strap's length plus what is turned under at each end.")
            .given("length", "length of the strap")
            .given("turn", "turned under at an end")
            .is("length + 2 * turn");

    static final Rule WEBBING_SHOWS = Rule.named("webbing_shows")
            .says("Of webbing shows what turning both ends under leaves.")
            .given("cut", "length as cut")
            .given("turn", "turned under at an end")
            .is("cut - 2 * turn");

    static final Rule JOINS = Rule.named("strap_joins")
            .says("A strap longer than the cloth is wide is joined: so often that its strips reach, each join using two"
                    + " seams.")
            .given("length", "length of the strap")
            .given("cloth", "usable width of the cloth")
            .given("seam", "seam of a join")
            .is("max(0; whole_up((length - 2 * seam) / (cloth - 2 * seam)) - 1)");

    static final Rule JOINED_LENGTH = Rule.named("strap_joined_length")
            .says("A joined strap takes its length, plus two seams for each join.")
            .given("length", "length of the strap")
            .given("seam", "seam of a join")
            .given("joins", "how many joins", Dimension.NUMBER)
            .is("length + 2 * seam * joins");

    static final Rule LENGTH_OF_JOINED = Rule.named("strap_length_of_joined")
            .says("Strips joined to a strap measure their sum less two seams for each join.")
            .given("strips", "length of the strips together")
            .given("seam", "seam of a join")
            .given("joins", "how many joins", Dimension.NUMBER)
            .is("strips - 2 * seam * joins");

    static final Rule SLANTED = Rule.named("strap_slanted")
            .says(
                    "Set at an angle, a strap ends slanted: each end needs more length, its width times the tangent of the"
                            + " angle.")
            .given("length", "length along the middle")
            .given("width", FINISHED)
            .given("slant", "angle away from upright", Dimension.ANGLE)
            .is("length + width * tan(slant)");

    static final Rule SLANTED_LENGTH = Rule.named("strap_slanted_length")
            .says("A strap with slanted ends is along its middle shorter by its width times the tangent of the angle.")
            .given("cut", "length as cut")
            .given("width", FINISHED)
            .given("slant", "angle away from upright", Dimension.ANGLE)
            .is("cut - width * tan(slant)");

    static final List<Construction> CONSTRUCTIONS = List.of(
            Construction.of(Subject.STRAP, StrapSchool.FOUR_FOLD.words(), FOUR_FOLD, FOUR_FOLD_WIDTH),
            Construction.of(Subject.STRAP, StrapSchool.TUBE.words(), TUBE, TUBE_WIDTH),
            Construction.of(Subject.STRAP, StrapSchool.EDGES_TO_CENTRE.words(), EDGES_TO_CENTRE, EDGES_TO_CENTRE_WIDTH),
            Construction.of(Subject.STRAP, StrapSchool.ONE_LAYER.words(), ONE_LAYER, ONE_LAYER),
            Construction.of(Subject.STRAP, StrapSchool.FACED.words(), FACED, FACED_WIDTH),
            Construction.of(Subject.STRAP, StrapSchool.WEBBING.words(), WEBBING, WEBBING_SHOWS),
            Construction.of(Subject.STRAP, "set at an angle", SLANTED, SLANTED_LENGTH),
            Construction.of(Subject.STRAP, "joined, length", JOINED_LENGTH, LENGTH_OF_JOINED),
            Construction.of(Subject.STRAP, "joined, how often", JOINS));

    private Straps() {}

    /** How wide a strap's strip is cut; webbing isn't cut to a width. */
    public static Figure<Quantity> cutWidth(StrapSchool school, Quantity width, Quantity seam) {
        return switch (school) {
            case FOUR_FOLD -> FOUR_FOLD.apply(width);
            case TUBE -> TUBE.apply(width, seam);
            case EDGES_TO_CENTRE -> EDGES_TO_CENTRE.apply(width);
            case ONE_LAYER, WEBBING -> ONE_LAYER.apply(width);
            case FACED -> FACED.apply(width, seam);
        };
    }
}
