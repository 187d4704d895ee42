package mardun.app.cutter;

import java.util.Locale;
import mardun.app.paper.Paper;
import mardun.core.design.Point;
import mardun.core.nesting.Blade;
import mardun.core.nesting.NestedMat;

/** The job of a mat as an SVG drawing whose units are millimetres: one closed path for each shape, in the order in which they are cut. */
final class MatSvg {

    private MatSvg() {}

    static String job(String title, NestedMat mat, Blade blade) {
        String width = number(mat.size().width());
        String height = number(mat.size().height());
        StringBuilder svg = new StringBuilder("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"" + width
                + "mm\" height=\"" + height + "mm\" viewBox=\"0 0 " + width + " " + height + "\">\n<title>"
                + Paper.escaped(title) + "</title>\n<desc>" + Paper.escaped(blade.words()) + "</desc>\n");
        for (NestedMat.Laid laid : mat.laid()) {
            svg.append("<path d=\"")
                    .append(path(laid))
                    .append("\" fill=\"none\" stroke=\"#000\" stroke-width=\"0.2\"><title>")
                    .append(Paper.escaped(
                            laid.shape().key() + " " + laid.shape().name()))
                    .append("</title></path>\n");
        }
        return svg.append("</svg>\n").toString();
    }

    /** The line of a shape where it lies on the mat. */
    static String path(NestedMat.Laid laid) {
        StringBuilder path = new StringBuilder();
        for (Point point : laid.contour().points()) {
            path.append(path.isEmpty() ? 'M' : 'L')
                    .append(number(point.x() + laid.left()))
                    .append(' ')
                    .append(number(point.y() + laid.top()));
        }
        return path.append('Z').toString();
    }

    /** To the thousandth of a millimetre, with a point in every country. */
    private static String number(double number) {
        return String.format(Locale.ROOT, "%.3f", number + 0.0);
    }
}
