package mardun.core.template;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mardun.core.design.Point;

/**
 * The pages that templates are printed on, which are laid over one another at their marks and glued.
 *
 * @param paper with the height that it has: of a roll as much as was needed
 * @param columns how many pages lie beside one another
 * @param rows how many lie below one another
 * @param pages those on which anything is drawn, row by row
 * @param joins marks that are drawn on both pages that they join, and on all four where four meet
 */
public record PaperTiles(
        TemplatePaper paper, TemplatePlane plane, int columns, int rows, List<Page> pages, List<Join> joins) {

    private static final int MOST_COLUMNS = 12;

    /**
     * A page.
     *
     * @param left where the plane begins on it
     * @param top likewise
     * @param right as far as it shows the plane
     * @param bottom likewise
     */
    public record Page(int row, int column, double left, double top, double right, double bottom) {

        /** Rows are letters, columns are numbers: {@code B3}. */
        public String name() {
            return (char) ('A' + row % 26) + (row < 26 ? "" : Integer.toString(row / 26)) + (column + 1);
        }
    }

    /** A mark where pages meet, with its number. */
    public record Join(int number, Point at) {}

    public PaperTiles {
        pages = List.copyOf(pages);
        joins = List.copyOf(joins);
    }

    /** Templates on as few pages as some ways of laying them out take, as they are or upright; of two with as many, on the smaller plane. */
    public static PaperTiles of(List<Template> templates, TemplatePaper paper) {
        if (paper.fromRoll()) {
            return roll(templates, paper);
        }
        List<Template> upright = templates.stream()
                .map(template -> template.width() > template.height() ? template.turned() : template)
                .toList();
        return IntStream.rangeClosed(1, MOST_COLUMNS)
                .mapToObj(columns -> columns * stepAcross(paper) + TemplatePaper.OVERLAP)
                .flatMap(width -> Stream.of(templates, upright).map(some -> TemplatePlane.rows(some, width)))
                .map(plane -> tiled(plane, paper))
                .min(Comparator.comparingInt((PaperTiles tiles) -> tiles.pages().size())
                        .thenComparingDouble(
                                tiles -> tiles.plane().width() * tiles.plane().height()))
                .orElseThrow();
    }

    /** Whether all of some templates goes on paper of a roll. */
    public static boolean isWideEnough(List<Template> templates, TemplatePaper roll) {
        return templates.stream().allMatch(template -> template.width() + 2 * TemplatePlane.GAP <= roll.windowAcross());
    }

    private static PaperTiles roll(List<Template> templates, TemplatePaper paper) {
        TemplatePlane plane = TemplatePlane.rows(templates, paper.windowAcross());
        return new PaperTiles(
                new TemplatePaper(paper.width(), plane.height() + 2 * TemplatePaper.MARGIN, true),
                plane,
                1,
                1,
                List.of(new Page(0, 0, 0, 0, paper.windowAcross(), plane.height())),
                List.of());
    }

    private static double stepAcross(TemplatePaper paper) {
        return paper.windowAcross() - TemplatePaper.OVERLAP;
    }

    private static double stepDown(TemplatePaper paper) {
        return paper.windowDown() - TemplatePaper.OVERLAP;
    }

    private static PaperTiles tiled(TemplatePlane plane, TemplatePaper paper) {
        int columns = many(plane.width(), stepAcross(paper));
        int rows = many(plane.height(), stepDown(paper));
        List<Page> pages = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int column = 0; column < columns; column++) {
                Page page = page(row, column, paper);
                boolean isUsed = plane.placed().stream()
                        .anyMatch(placed -> placed.meets(page.left(), page.top(), page.right(), page.bottom()));
                if (isUsed) {
                    pages.add(page);
                }
            }
        }
        return new PaperTiles(paper, plane, columns, rows, pages, joins(pages, paper));
    }

    private static int many(double length, double step) {
        return Math.max(1, (int) Math.ceil((length - TemplatePaper.OVERLAP) / step - 1e-9));
    }

    private static Page page(int row, int column, TemplatePaper paper) {
        double left = column * stepAcross(paper);
        double top = row * stepDown(paper);
        return new Page(row, column, left, top, left + paper.windowAcross(), top + paper.windowDown());
    }

    /** Two marks for each two pages that meet along an edge, in the middle of what both of them show. */
    private static List<Join> joins(List<Page> pages, TemplatePaper paper) {
        List<Join> joins = new ArrayList<>();
        for (Page page : pages) {
            boolean right = has(pages, page.row(), page.column() + 1);
            boolean below = has(pages, page.row() + 1, page.column());
            double across = page.right() - TemplatePaper.OVERLAP / 2;
            double down = page.bottom() - TemplatePaper.OVERLAP / 2;
            for (double share : new double[] {1 / 4.0, 3 / 4.0}) {
                if (right) {
                    joins.add(new Join(joins.size() + 1, new Point(across, page.top() + share * paper.windowDown())));
                }
                if (below) {
                    joins.add(new Join(joins.size() + 1, new Point(page.left() + share * paper.windowAcross(), down)));
                }
            }
        }
        return joins;
    }

    private static boolean has(List<Page> pages, int row, int column) {
        return pages.stream().anyMatch(page -> page.row() == row && page.column() == column);
    }

    /** Whether a page goes on below it or to its right, so that the other one is laid there. */
    public boolean goesOn(Page page, boolean right) {
        return right ? has(pages, page.row(), page.column() + 1) : has(pages, page.row() + 1, page.column());
    }

    /** What of the plane a page shows. */
    public List<TemplateLine> lines(Page page) {
        return plane.placed().stream()
                .flatMap(placed -> placed.lines().stream())
                .filter(line -> line.touches(page.left(), page.top(), page.right(), page.bottom()))
                .toList();
    }
}
