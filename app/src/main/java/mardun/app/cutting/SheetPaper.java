package mardun.app.cutting;

import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.cutting.CuttingViews.ClothView;
import mardun.app.cutting.CuttingViews.CuttingView;
import mardun.app.cutting.CuttingViews.LaidPiece;
import mardun.app.cutting.CuttingViews.MatView;
import mardun.app.cutting.CuttingViews.PieceKind;
import mardun.app.cutting.CuttingViews.RollView;
import mardun.app.cutting.CuttingViews.StepView;
import mardun.app.cutting.CuttingViews.StripPart;
import mardun.app.cutting.CuttingViews.TrimLengths;
import mardun.app.paper.Paper;
import mardun.app.show.Views.LengthView;
import mardun.core.cutting.CutOrder;
import mardun.core.measure.UnitSystem;

/** Cutting sheets on paper that can be read at arm's length: each cloth with its drawing and its cuts in order. */
final class SheetPaper {

    private static final String STYLE = """
            body { font-size: 15pt; }
            h1 { font-size: 22pt; margin: 0 0 2mm; }
            h2 { font-size: 17pt; margin: 4mm 0 2mm; }
            .cloth { page-break-after: always; }
            .cloth:last-child { page-break-after: auto; }
            .about { margin: 0 0 4mm; }
            table { width: 100%; border-collapse: collapse; page-break-inside: auto; }
            tr { page-break-inside: avoid; }
            td { border-bottom: 1pt solid #9aa5a8; padding: 2.2mm 2mm; vertical-align: top; }
            .box { width: 7mm; } .box div { width: 6mm; height: 6mm; border: 1.2pt solid #14252e; }
            .size { font-weight: bold; white-space: nowrap; width: 62mm; }
            """;

    private SheetPaper() {}

    /** The sheets as a PDF file, on A4 or on Letter, as the maker measures. */
    static byte[] pdf(CuttingView cutting, UnitSystem units) {
        boolean inches = units == UnitSystem.INCH;
        StringBuilder html = new StringBuilder();
        for (ClothView cloth : cutting.cloths()) {
            for (MatView mat : cloth.mats()) {
                mat(html, cutting, cloth, mat, inches);
            }
        }
        if (!cutting.trims().isEmpty()) {
            html.append("<div class=\"cloth\"><h1>Lengths</h1>");
            cutting.trims().forEach(trim -> lengths(html, trim, inches));
            html.append("</div>");
        }
        return Paper.pdf(Paper.Size.of(units), STYLE, html.toString());
    }

    private static void mat(StringBuilder html, CuttingView cutting, ClothView cloth, MatView mat, boolean inches) {
        html.append("<div class=\"cloth\"><h1>")
                .append(Paper.plain(cloth.name()))
                .append(": ")
                .append(Paper.plain(mat.title()))
                .append("</h1><p class=\"about\">")
                .append(Paper.plain(
                        cutting.units() + " x " + cutting.designName() + ", " + cutting.sizeName() + ", batch "
                                + cutting.batchId() + ". Cloth " + Paper.both(mat.wide(), inches) + " wide, "
                                + Paper.both(mat.used(), inches) + " used."
                                + (cloth.cutLarger() == null ? "" : " " + cloth.cutLarger())
                                + (cloth.squaredAt() == null ? "" : " " + cloth.squaredAt())))
                .append("</p>")
                .append(SheetDrawing.pages(mat, cloth))
                .append("<h2>Pieces</h2><table>");
        pieces(html, mat, cloth, inches);
        html.append("</table><h2>Cuts in order</h2><table>");
        for (StepView step : mat.steps()) {
            html.append("<tr><td class=\"box\"><div></div></td><td class=\"size\">")
                    .append(Paper.plain(title(step, inches)))
                    .append("</td><td>")
                    .append(Paper.plain(details(step, inches)))
                    .append("</td></tr>");
        }
        html.append("</table></div>");
    }

    /** The pieces that lie on a mat, with what is cut away from them and marked on them. */
    private static void pieces(StringBuilder html, MatView mat, ClothView cloth, boolean inches) {
        Set<String> there = mat.pieces().stream().map(LaidPiece::letter).collect(Collectors.toSet());
        for (PieceKind kind : cloth.pieces()) {
            if (there.contains(kind.letter())) {
                html.append("<tr><td class=\"size\">")
                        .append(Paper.plain(kind.letter() + " " + kind.name()))
                        .append("</td><td>")
                        .append(Paper.plain(Paper.both(kind.width(), inches) + " x " + Paper.both(kind.height(), inches)
                                + ". " + String.join(" ", kind.notes())))
                        .append("</td></tr>");
            }
        }
    }

    private static void lengths(StringBuilder html, TrimLengths trim, boolean inches) {
        html.append("<h2>").append(Paper.plain(trim.name())).append("</h2>");
        if (trim.trimmed() != null) {
            html.append("<p class=\"about\">")
                    .append(Paper.plain("Trim " + Paper.both(trim.trimmed(), inches) + " off each end first."))
                    .append("</p>");
        }
        html.append("<table>");
        for (RollView roll : trim.rolls()) {
            String cuts = roll.pieces().stream()
                    .map(piece -> piece.count() + " x " + Paper.both(piece.length(), inches) + " = " + piece.letter())
                    .collect(Collectors.joining("; "));
            html.append("<tr><td class=\"box\"><div></div></td><td class=\"size\">")
                    .append(Paper.plain(roll.title()))
                    .append("</td><td>")
                    .append(Paper.plain(cuts))
                    .append("</td></tr>");
        }
        html.append("</table>");
    }

    private static String title(StepView step, boolean inches) {
        if (step.kind() == CutOrder.Kind.SQUARE) {
            return "Square the end";
        }
        String strip = step.across() ? "Strip of " : "Lengthwise strip of ";
        return (step.again() ? "Once more: " : "")
                + (step.times() > 1 ? step.times() + " x s" + strip.substring(1) : strip)
                + Paper.both(step.size(), inches);
    }

    private static String details(StepView step, boolean inches) {
        if (step.kind() == CutOrder.Kind.SQUARE) {
            return "take off " + Paper.both(step.size(), inches);
        }
        String apart = step.pitch() == null
                ? ""
                : "each begins " + Paper.both(step.pitch(), inches) + " after the one before; ";
        String layers = step.layers() > 1 ? step.layers() + " layers at once: " : "";
        return apart
                + layers
                + step.parts().stream().map(part -> words(part, inches)).collect(Collectors.joining("; "));
    }

    private static String words(StripPart part, boolean inches) {
        String size = one(part.size(), inches);
        if (part.left()) {
            return size + " is left";
        }
        String times = part.times() > 1 ? part.times() + " x " + size : size;
        return part.parts().isEmpty()
                ? times + " = " + part.letter()
                : times + " ("
                        + part.parts().stream()
                                .map(inner -> words(inner, inches))
                                .collect(Collectors.joining(", ")) + ")";
    }

    private static String one(LengthView length, boolean inches) {
        return inches ? length.inch() : length.metric();
    }
}
