package mardun.app.template;

import java.util.List;
import mardun.core.design.Point;
import mardun.core.template.Template;
import mardun.core.template.TemplateLine;

/** A square on every print, to be measured before anything is cut. */
final class TestSquare {

    private TestSquare() {}

    /**
     * The square.
     *
     * @param side in millimetres
     * @param words how long that is, as a ruler says it
     */
    static Template of(double side, String words) {
        return new Template(
                "Test square",
                List.of(words + " each way,", "or print anew at 100 %"),
                side,
                side,
                List.of(new TemplateLine(
                        TemplateLine.Kind.CUT,
                        0,
                        List.of(
                                new Point(0, 0),
                                new Point(side, 0),
                                new Point(side, side),
                                new Point(0, side),
                                new Point(0, 0)))));
    }
}
