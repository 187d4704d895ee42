package mardun.app.year;

import java.util.stream.Collectors;
import mardun.app.paper.Paper;
import mardun.app.year.YearViews.BooksView;
import mardun.app.year.YearViews.FigureColumn;
import mardun.app.year.YearViews.FigureRow;
import mardun.app.year.YearViews.FigureTable;

/** The books of a year as a PDF file: month by month, what lay there, and what the figures rest on in words. */
final class BooksPaper {

    private static final String STYLE = """
            body { font-size: 8.5pt; }
            h1 { font-size: 16pt; margin: 0 0 2mm; }
            h2 { font-size: 11pt; margin: 6mm 0 1.5mm; }
            table { width: 100%; border-collapse: collapse; }
            th, td { padding: 1mm 1.2mm; border-bottom: 0.2mm solid #9aa5a8; text-align: left; }
            th { vertical-align: bottom; }
            td { white-space: nowrap; }
            .figure { text-align: right; }
            .marked td { font-weight: bold; border-top: 0.4mm solid #14252e; }
            li { margin-bottom: 1mm; }
            """;

    private BooksPaper() {}

    static byte[] pdf(BooksView books, Paper.Size size) {
        return Paper.pdf(
                size,
                STYLE,
                "<h1>The year " + Paper.plain(books.words()) + "</h1>"
                        + table(books.table())
                        + "<h2>What lay there</h2>"
                        + table(books.stock())
                        + "<h2>How to read it</h2><ul>"
                        + books.notes().stream()
                                .map(note -> "<li>" + Paper.plain(note) + "</li>")
                                .collect(Collectors.joining())
                        + "</ul>");
    }

    private static String table(FigureTable table) {
        return "<table><thead><tr>"
                + table.columns().stream().map(BooksPaper::head).collect(Collectors.joining())
                + "</tr></thead><tbody>"
                + table.rows().stream().map(row -> row(row, table)).collect(Collectors.joining())
                + "</tbody></table>";
    }

    private static String head(FigureColumn column) {
        String unit = column.unit().isEmpty() || column.unit().equals("hours") ? "" : ", " + column.unit();
        return "<th" + align(column) + ">" + Paper.plain(column.name() + unit) + "</th>";
    }

    private static String row(FigureRow row, FigureTable table) {
        StringBuilder cells = new StringBuilder();
        for (int i = 0; i < row.cells().size(); i++) {
            cells.append("<td")
                    .append(align(table.columns().get(i)))
                    .append('>')
                    .append(Paper.plain(row.cells().get(i).text()))
                    .append("</td>");
        }
        return "<tr" + (row.marked() ? " class=\"marked\"" : "") + ">" + cells + "</tr>";
    }

    private static String align(FigureColumn column) {
        return column.figure() ? " class=\"figure\"" : "";
    }
}
