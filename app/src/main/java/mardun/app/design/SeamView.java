package mardun.app.design;

import java.util.List;
import mardun.core.design.Role;
import mardun.core.picture.SeamPicture;

/**
 * What is sewn in a step, drawn on the pieces that it sews.
 *
 * @param step the step's key
 * @param lies how the pieces lie when they are sewn, in words
 */
public record SeamView(String step, List<String> lies, List<SeamLayer> layers) {

    /**
     * A piece, in millimetres, with SVG paths.
     *
     * @param layers how many of it lie on one another
     * @param sewn where it is sewn
     * @param open where a gap stays open
     */
    public record SeamLayer(
            String letter,
            String name,
            Role role,
            int layers,
            double width,
            double height,
            String outline,
            String sewn,
            String open) {}

    static SeamView of(SeamPicture picture) {
        return new SeamView(
                picture.step(),
                picture.lies(),
                picture.layers().stream()
                        .map(layer -> new SeamLayer(
                                layer.letter(),
                                layer.name(),
                                layer.role(),
                                layer.layers(),
                                layer.width(),
                                layer.height(),
                                PathWriter.path(layer.outline()),
                                PathWriter.lines(layer.sewn()),
                                PathWriter.lines(layer.open())))
                        .toList());
    }
}
