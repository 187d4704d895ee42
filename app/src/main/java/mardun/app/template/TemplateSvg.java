package mardun.app.template;

import java.util.Locale;
import java.util.stream.Collectors;
import mardun.app.paper.Paper;
import mardun.app.paper.PaperDrawing.Stroke;
import mardun.core.design.Point;
import mardun.core.template.Template;
import mardun.core.template.TemplateLine;
import mardun.core.template.TemplatePlane;

/** Templates as an SVG drawing whose units are millimetres. */
final class TemplateSvg {

    private TemplateSvg() {}

    static String drawing(String design, TemplatePlane plane) {
        String width = number(plane.width());
        String height = number(plane.height());
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"" + width + "mm\" height=\"" + height
                + "mm\" viewBox=\"0 0 " + width + " " + height + "\" font-family=\"sans-serif\">\n<title>"
                + Paper.escaped(design) + "</title>\n"
                + plane.placed().stream().map(TemplateSvg::template).collect(Collectors.joining("\n"))
                + "\n</svg>\n";
    }

    private static String template(TemplatePlane.Placed placed) {
        Template template = placed.template();
        StringBuilder drawn = new StringBuilder("<g><title>" + Paper.escaped(template.name()) + "</title>\n");
        placed.lines().forEach(line -> drawn.append(line(line)).append('\n'));
        TemplateText.lines(
                template,
                (left, baseline, size, isBold, text) -> drawn.append("<text x=\"")
                        .append(number(placed.left() + left))
                        .append("\" y=\"")
                        .append(number(placed.top() + baseline))
                        .append("\" font-size=\"")
                        .append(number(size))
                        .append(isBold ? "\" font-weight=\"700\">" : "\">")
                        .append(Paper.escaped(text))
                        .append("</text>\n"));
        return drawn.append("</g>").toString();
    }

    private static String line(TemplateLine line) {
        Stroke stroke = TemplateStrokes.of(line);
        String dashes = stroke.dashes().isEmpty()
                ? ""
                : " stroke-dasharray=\""
                        + stroke.dashes().stream().map(TemplateSvg::number).collect(Collectors.joining(" ")) + "\"";
        long grey = Math.round(stroke.grey() * 255);
        return "<path class=\"" + line.kind().name().toLowerCase(Locale.ROOT).replace('_', '-') + "\" d=\"" + path(line)
                + "\" fill=\"none\" stroke=\"rgb(" + grey + "," + grey + "," + grey + ")\" stroke-width=\""
                + number(stroke.width()) + "\"" + dashes + "/>";
    }

    /** A line as a path. */
    static String path(TemplateLine line) {
        StringBuilder path = new StringBuilder();
        for (Point point : line.points()) {
            path.append(path.isEmpty() ? 'M' : 'L')
                    .append(number(point.x()))
                    .append(' ')
                    .append(number(point.y()));
        }
        return path.toString();
    }

    /** To the thousandth of a millimetre, with a point in every country. */
    private static String number(double number) {
        return String.format(Locale.ROOT, "%.3f", number + 0.0);
    }
}
