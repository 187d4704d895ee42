package mardun.app.paper;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A label to be drawn; all measures in millimetres.
 *
 * @param code absent for none
 */
public record LabelView(
        double width,
        double height,
        List<TextView> texts,
        @Nullable CodeView code) {

    /** A line of text; {@code size} is that of its letters, {@code baseline} what they stand on. */
    public record TextView(double left, double baseline, double size, boolean bold, String text) {}

    /**
     * A code of black and white modules.
     *
     * @param wide how many modules
     * @param path the black ones, in modules
     */
    public record CodeView(double left, double top, double width, double height, int wide, int high, String path) {}
}
