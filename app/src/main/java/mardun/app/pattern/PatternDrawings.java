package mardun.app.pattern;

import static mardun.app.paper.PaperSvg.BROAD;
import static mardun.app.paper.PaperSvg.INK;
import static mardun.app.paper.PaperSvg.PAPER;
import static mardun.app.paper.PaperSvg.THIN;
import static mardun.app.paper.PaperSvg.dashes;
import static mardun.app.paper.PaperSvg.number;
import static mardun.app.paper.PaperSvg.path;
import static mardun.app.paper.PaperSvg.svg;

import java.util.List;
import mardun.app.design.DesignViews.DrawingView;
import mardun.app.design.DesignViews.PieceView;
import mardun.app.design.SeamView;
import mardun.app.design.SeamView.SeamLayer;
import mardun.app.paper.Paper;
import mardun.app.template.TemplateViews.TemplatePage;
import mardun.app.template.TemplateViews.TemplateView;
import mardun.app.template.TemplateViews.TemplatesView;

/** The drawings of a pattern sheet: readable in black and white, as drawings within HTML. */
final class PatternDrawings {

    private PatternDrawings() {}

    /** A piece with its seams. */
    static String piece(PieceView piece, double acrossMm, double upMm) {
        DrawingView drawing = piece.drawing();
        return svg(
                drawing.width(),
                drawing.height(),
                acrossMm,
                upMm,
                unit -> path(drawing.outline(), "#eef2f2", INK, 1.4 * THIN * unit, "")
                        + path(drawing.corners(), "none", INK, THIN * unit, dashes(0.5 * unit, 0.5 * unit))
                        + path(drawing.seams(), "none", INK, THIN * unit, dashes(1.2 * unit, 0.8 * unit)));
    }

    /** What a step sews: each piece with the edges that are sewn, to one scale. */
    static String seam(SeamView seam, double acrossMm, double upMm) {
        List<SeamLayer> layers = seam.layers();
        double tallest = layers.stream().mapToDouble(SeamLayer::height).max().orElse(1);
        double across = layers.stream().mapToDouble(SeamLayer::width).sum();
        double gap = across * 0.06;
        return svg(across + gap * (layers.size() - 1), tallest, acrossMm, upMm, unit -> {
            StringBuilder drawn = new StringBuilder();
            double left = 0;
            for (SeamLayer layer : layers) {
                drawn.append("<g transform=\"translate(")
                        .append(number(left))
                        .append(' ')
                        .append(number(tallest - layer.height()))
                        .append(")\">")
                        .append(path(layer.outline(), "#eef2f2", INK, THIN * unit, ""))
                        .append(path(layer.sewn(), "none", "#a8322d", BROAD * unit, dashes(1.8 * unit, 1 * unit)))
                        .append(path(layer.open(), "none", PAPER, 2 * BROAD * unit, ""))
                        .append(letter(layer, unit))
                        .append("</g>");
                left += layer.width() + gap;
            }
            return drawn.toString();
        });
    }

    private static String letter(SeamLayer layer, double unit) {
        String name = layer.layers() > 1 ? layer.layers() + layer.letter() : layer.letter();
        return "<text x=\"" + number(layer.width() / 2) + "\" y=\"" + number(layer.height() / 2 + 1.2 * unit)
                + "\" font-size=\"" + number(3.6 * unit) + "\" font-weight=\"bold\" text-anchor=\"middle\" fill=\""
                + INK
                + "\">" + Paper.escaped(name) + "</text>";
    }

    /** How the templates lie on their pages. */
    static String pages(TemplatesView templates, double acrossMm, double upMm) {
        double right = templates.pages().pages().stream()
                .mapToDouble(TemplatePage::right)
                .max()
                .orElse(1);
        double bottom = templates.pages().pages().stream()
                .mapToDouble(TemplatePage::bottom)
                .max()
                .orElse(1);
        return svg(right, bottom, acrossMm, upMm, unit -> {
            StringBuilder drawn = new StringBuilder();
            for (TemplatePage page : templates.pages().pages()) {
                drawn.append("<rect x=\"")
                        .append(number(page.left()))
                        .append("\" y=\"")
                        .append(number(page.top()))
                        .append("\" width=\"")
                        .append(number(page.right() - page.left()))
                        .append("\" height=\"")
                        .append(number(page.bottom() - page.top()))
                        .append("\" fill=\"none\" stroke=\"#9aa5a8\" stroke-width=\"")
                        .append(number(THIN * unit))
                        .append("\"/><text x=\"")
                        .append(number(page.left() + unit))
                        .append("\" y=\"")
                        .append(number(page.bottom() - unit))
                        .append("\" font-size=\"")
                        .append(number(2.6 * unit))
                        .append("\" fill=\"#48595f\">")
                        .append(Paper.escaped(page.name()))
                        .append("</text>");
            }
            for (TemplateView template : templates.templates()) {
                drawn.append(path(template.cut(), "none", INK, 1.4 * THIN * unit, ""));
            }
            return drawn.toString();
        });
    }
}
