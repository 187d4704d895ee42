package mardun.core.construction;

import java.util.List;
import mardun.core.formula.Rule;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;

/** A strip between two faces that gives a bag its depth. */
public final class Gussets {

    static final Rule WIDTH = Rule.named("gusset_width")
            .says("A gusset is as wide as the bag is deep, plus a seam on each side.")
            .given("depth", "finished depth")
            .given("seam", "seam")
            .is("depth + 2 * seam");

    static final Rule DEPTH = Rule.named("depth_of_gusset")
            .says("A gusset makes a bag as deep as it is wide, less a seam on each side.")
            .given("gusset", "width of the gusset")
            .given("seam", "seam")
            .is("gusset - 2 * seam");

    static final Rule LENGTH = Rule.named("gusset_length")
            .says("A gusset goes down one side, along the base and up the other; two rounded corners shorten the way by"
                    + " (4 − π) times their radius. Its ends have a seam each.")
            .given("width", "finished width of a face")
            .given("height", "finished height of a face")
            .given("radius", "radius of the corners at the stitch line")
            .given("end", "seam at each end")
            .is("width + 2 * height - (4 - pi) * radius + 2 * end");

    static final Rule FACE_WIDTH = Rule.named("face_for_gusset")
            .says("A gusset fits a face whose two sides and base it goes round.")
            .given("gusset", "length of the gusset")
            .given("height", "finished height of a face")
            .given("radius", "radius of the corners at the stitch line")
            .given("end", "seam at each end")
            .is("gusset - 2 * end - 2 * height + (4 - pi) * radius");

    static final Rule FACE = Rule.named("gusset_face")
            .says("A face is as large as it is finished, plus a seam on each side.")
            .given("side", "finished side")
            .given("seam", "seam")
            .is("side + 2 * seam");

    static final Rule FINISHED_FACE = Rule.named("gusset_face_finished")
            .says("A face finishes at its side less a seam on each side.")
            .given("cut", "side as cut")
            .given("seam", "seam")
            .is("cut - 2 * seam");

    static final Rule FINISHED_HEIGHT = Rule.named("gusset_height_finished")
            .says("A face finishes at its height less the top and the base seam.")
            .given("cut", "height as cut")
            .given("top", "top seam")
            .given("seam", "seam at the base")
            .is("cut - top - seam");

    static final Rule HEIGHT = Rule.named("gusset_height")
            .says("A face is as high as it is finished, plus the top and the base seam.")
            .given("height", "finished height")
            .given("top", "top seam")
            .given("seam", "seam at the base")
            .is("height + top + seam");

    static final List<Construction> CONSTRUCTIONS = List.of(
            Construction.of(Subject.GUSSET, "width of the gusset", WIDTH, DEPTH),
            Construction.of(Subject.GUSSET, "length of the gusset", LENGTH, FACE_WIDTH),
            Construction.of(Subject.GUSSET, "width of a face", FACE, FINISHED_FACE),
            Construction.of(Subject.GUSSET, "height of a face", HEIGHT, FINISHED_HEIGHT));

    private Gussets() {}

    public static Figure<Quantity> depth(Quantity gusset, Quantity seam) {
        return DEPTH.apply(gusset, seam);
    }

    public static Figure<Quantity> width(Quantity face, Quantity seam) {
        return FINISHED_FACE.apply(face, seam);
    }

    public static Figure<Quantity> height(Quantity face, Quantity top, Quantity seam) {
        return FINISHED_HEIGHT.apply(face, top, seam);
    }

    /** How long a gusset has to be for a face. */
    public static Figure<Quantity> length(Quantity width, Quantity height, Quantity radius, Quantity end) {
        return LENGTH.apply(width, height, radius, end);
    }
}
