package mardun.app.template;

import java.util.List;
import mardun.app.paper.PaperDrawing;
import mardun.app.paper.PaperDrawing.Stroke;
import mardun.core.design.Point;
import mardun.core.template.PaperTiles;
import mardun.core.template.PaperTiles.Join;
import mardun.core.template.PaperTiles.Page;
import mardun.core.template.Template;
import mardun.core.template.TemplatePaper;
import mardun.core.template.TemplatePlane.Placed;

/** Templates as a PDF file, true to size: a map of the pages first, then the pages. */
final class TemplatePdf {

    private static final double MARGIN = TemplatePaper.MARGIN;
    private static final Stroke EDGE = Stroke.of(0.15, 0.55);
    private static final Stroke JOIN = Stroke.of(0.25, 0);
    private static final Stroke ON_MAP = Stroke.of(0.2, 0);
    private static final double ARM = 3;
    private static final double SMALL = 3;

    private final PaperDrawing paper;
    private final PaperTiles tiles;

    private TemplatePdf(PaperDrawing paper, PaperTiles tiles) {
        this.paper = paper;
        this.tiles = tiles;
    }

    static byte[] file(String title, PaperTiles tiles, Template square) {
        try (PaperDrawing paper = new PaperDrawing()) {
            TemplatePdf pdf = new TemplatePdf(paper, tiles);
            if (!tiles.paper().fromRoll()) {
                pdf.map(title, square);
            }
            tiles.pages().forEach(page -> pdf.page(page, title));
            return paper.file();
        }
    }

    /** How the pages lie, what is on them, and how to print and glue them. */
    private void map(String title, Template square) {
        double wide = tiles.paper().width();
        double high = tiles.paper().height();
        paper.page(wide, high);
        paper.text(MARGIN + 3, MARGIN + 8, 6.5, true, title);
        List<String> how = List.of(
                "Print at 100 %, not fitted to the page. Measure the test square: "
                        + square.words().get(0).replace(" each way,", "") + " each way.",
                "Cut or fold each page along its thin right and lower line, lay it on the next one, mark on mark, and glue.",
                tiles.pages().size() + (tiles.pages().size() == 1 ? " page" : " pages")
                        + ". Full lines are cut, dashed grey ones are sewn, dash and dot lies on the fold.");
        for (int i = 0; i < how.size(); i++) {
            paper.text(MARGIN + 3, MARGIN + 15 + i * 4.6, SMALL, false, how.get(i));
        }
        double top = MARGIN + 32;
        double room = high - top - MARGIN - 4;
        double reach = Math.max(
                tiles.plane().width(),
                tiles.pages().stream().mapToDouble(Page::right).max().orElse(1));
        double depth = Math.max(
                tiles.plane().height(),
                tiles.pages().stream().mapToDouble(Page::bottom).max().orElse(1));
        double scale = Math.min((wide - 2 * MARGIN - 6) / reach, room / depth);
        for (Page page : tiles.pages()) {
            box(EDGE, page.left() * scale, page.top() * scale, page.right() * scale, page.bottom() * scale, top);
            paper.text(MARGIN + 3 + page.left() * scale + 1.5, top + page.top() * scale + 4.5, 4, true, page.name());
        }
        for (Placed placed : tiles.plane().placed()) {
            placed.lines().stream()
                    .filter(line -> TemplateStrokes.of(line).grey() == 0)
                    .forEach(line -> paper.line(
                            ON_MAP,
                            line.points().stream()
                                    .map(point -> new Point(point.x() * scale, point.y() * scale))
                                    .toList(),
                            MARGIN + 3,
                            top));
            paper.text(
                    MARGIN + 3 + (placed.left() + placed.template().width() * 0.3) * scale,
                    top + (placed.top() + placed.template().height() / 2) * scale + 1,
                    2.6,
                    false,
                    placed.template().name());
        }
    }

    private void box(Stroke stroke, double left, double top, double right, double bottom, double below) {
        paper.line(
                stroke,
                List.of(
                        new Point(left, top),
                        new Point(right, top),
                        new Point(right, bottom),
                        new Point(left, bottom),
                        new Point(left, top)),
                MARGIN + 3,
                below);
    }

    private void page(Page page, String title) {
        double wide = page.right() - page.left();
        double high = page.bottom() - page.top();
        paper.page(tiles.paper().width(), tiles.paper().height());
        double right = MARGIN - page.left();
        double below = MARGIN - page.top();
        paper.within(MARGIN, MARGIN, wide, high, () -> {
            tiles.lines(page).forEach(line -> paper.line(TemplateStrokes.of(line), line.points(), right, below));
            tiles.plane().placed().stream()
                    .filter(placed -> placed.meets(page.left(), page.top(), page.right(), page.bottom()))
                    .forEach(placed -> TemplateText.lines(
                            placed.template(),
                            (left, baseline, size, isBold, text) -> paper.text(
                                    placed.left() + left + right,
                                    placed.top() + baseline + below,
                                    size,
                                    isBold,
                                    text)));
        });
        if (!tiles.paper().fromRoll()) {
            edges(page, wide, high);
            joins(page, right, below);
            paper.text(MARGIN, MARGIN - 2, SMALL, true, page.name() + "  " + title);
        }
    }

    /** Where the next pages are laid: to the right and below. */
    private void edges(Page page, double wide, double high) {
        if (tiles.goesOn(page, true)) {
            double at = MARGIN + wide - TemplatePaper.OVERLAP / 2;
            paper.line(EDGE, List.of(new Point(at, MARGIN), new Point(at, MARGIN + high)), 0, 0);
        }
        if (tiles.goesOn(page, false)) {
            double at = MARGIN + high - TemplatePaper.OVERLAP / 2;
            paper.line(EDGE, List.of(new Point(MARGIN, at), new Point(MARGIN + wide, at)), 0, 0);
        }
    }

    private void joins(Page page, double right, double below) {
        for (Join join : tiles.joins()) {
            double x = join.at().x();
            double y = join.at().y();
            if (x >= page.left() && x <= page.right() && y >= page.top() && y <= page.bottom()) {
                paper.line(JOIN, List.of(new Point(x - ARM, y), new Point(x + ARM, y)), right, below);
                paper.line(JOIN, List.of(new Point(x, y - ARM), new Point(x, y + ARM)), right, below);
                paper.line(
                        JOIN,
                        List.of(
                                new Point(x - ARM, y),
                                new Point(x, y - ARM),
                                new Point(x + ARM, y),
                                new Point(x, y + ARM),
                                new Point(x - ARM, y)),
                        right,
                        below);
                paper.text(x + right + ARM + 0.6, y + below + 0.9, 2.6, false, Integer.toString(join.number()));
            }
        }
    }
}
