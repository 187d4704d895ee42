package mardun.app.cutting;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Map;
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
import mardun.app.show.Views.LengthView;
import mardun.core.cutting.CutOrder;
import mardun.core.measure.UnitSystem;

/** Cutting sheets on paper that can be read at arm's length: each cloth with its drawing and its cuts in order. */
final class SheetPaper {

    private static final String STYLE = """
            @page { size: %s; margin: 12mm; }
            body { font-family: %s; font-size: 15pt; color: #14252e; }
            h1 { font-size: 22pt; margin: 0 0 2mm; }
            h2 { font-size: 17pt; margin: 4mm 0 2mm; }
            .cloth { page-break-after: always; }
            .cloth:last-child { page-break-after: auto; }
            .about { margin: 0 0 4mm; }
            table { width: 100%%; border-collapse: collapse; page-break-inside: auto; }
            tr { page-break-inside: avoid; }
            td { border-bottom: 1pt solid #9aa5a8; padding: 2.2mm 2mm; vertical-align: top; }
            .box { width: 7mm; } .box div { width: 6mm; height: 6mm; border: 1.2pt solid #14252e; }
            .size { font-weight: bold; white-space: nowrap; width: 62mm; }
            """;

    private static final Map<String, String> FRACTIONS = Map.of(
            "\u00bd", "1/2", "\u00bc", "1/4", "\u00be", "3/4", "\u215b", "1/8", "\u215c", "3/8", "\u215d", "5/8",
            "\u215e", "7/8", "\u2044", "/", "\u2248", "about");

    private SheetPaper() {}

    /** The sheets as a PDF file, on A4 or on Letter, as the maker measures. */
    static byte[] pdf(CuttingView cutting, UnitSystem units) {
        boolean inches = units == UnitSystem.INCH;
        StringBuilder html = new StringBuilder("<html><head><style>")
                .append(STYLE.formatted(inches ? "letter" : "a4", PaperFonts.FAMILIES))
                .append("</style></head><body>");
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
        html.append("</body></html>");
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PdfRendererBuilder paper = new PdfRendererBuilder();
            PaperFonts.embed(paper);
            paper.useSVGDrawer(new BatikSVGDrawer())
                    .withHtmlContent(html.toString(), null)
                    .toStream(out)
                    .run();
            return out.toByteArray();
        } catch (IOException failed) {
            throw new UncheckedIOException("The paper couldn't be made.", failed);
        }
    }

    private static void mat(StringBuilder html, CuttingView cutting, ClothView cloth, MatView mat, boolean inches) {
        html.append("<div class=\"cloth\"><h1>")
                .append(plain(cloth.name()))
                .append(": ")
                .append(plain(mat.title()))
                .append("</h1><p class=\"about\">")
                .append(plain(cutting.units() + " x " + cutting.designName() + ", " + cutting.sizeName() + ", batch "
                        + cutting.batchId() + ". Cloth " + both(mat.wide(), inches) + " wide, "
                        + both(mat.used(), inches) + " used."
                        + (cloth.cutLarger() == null ? "" : " " + cloth.cutLarger())))
                .append("</p>")
                .append(SheetDrawing.pages(mat, cloth))
                .append("<h2>Pieces</h2><table>");
        pieces(html, mat, cloth, inches);
        html.append("</table><h2>Cuts in order</h2><table>");
        for (StepView step : mat.steps()) {
            html.append("<tr><td class=\"box\"><div></div></td><td class=\"size\">")
                    .append(plain(title(step, inches)))
                    .append("</td><td>")
                    .append(plain(details(step, inches)))
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
                        .append(plain(kind.letter() + " " + kind.name()))
                        .append("</td><td>")
                        .append(plain(both(kind.width(), inches) + " x " + both(kind.height(), inches) + ". "
                                + String.join(" ", kind.notes())))
                        .append("</td></tr>");
            }
        }
    }

    private static void lengths(StringBuilder html, TrimLengths trim, boolean inches) {
        html.append("<h2>").append(plain(trim.name())).append("</h2>");
        if (trim.trimmed() != null) {
            html.append("<p class=\"about\">")
                    .append(plain("Trim " + both(trim.trimmed(), inches) + " off each end first."))
                    .append("</p>");
        }
        html.append("<table>");
        for (RollView roll : trim.rolls()) {
            String cuts = roll.pieces().stream()
                    .map(piece -> piece.count() + " x " + both(piece.length(), inches) + " = " + piece.letter())
                    .collect(Collectors.joining("; "));
            html.append("<tr><td class=\"box\"><div></div></td><td class=\"size\">")
                    .append(plain(roll.title()))
                    .append("</td><td>")
                    .append(plain(cuts))
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
                + both(step.size(), inches);
    }

    private static String details(StepView step, boolean inches) {
        if (step.kind() == CutOrder.Kind.SQUARE) {
            return "take off " + both(step.size(), inches);
        }
        String apart =
                step.pitch() == null ? "" : "each begins " + both(step.pitch(), inches) + " after the one before; ";
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

    private static String both(LengthView length, boolean inches) {
        return inches ? length.inch() + " (" + length.metric() + ")" : length.metric() + " (" + length.inch() + ")";
    }

    /** The fonts have no eighths in one sign, and no sign for about. */
    static String plain(String text) {
        String spaced = text.replaceAll("(?<=\\d)(?=[\u00bc-\u00be\u215b-\u215e])", " ");
        for (Map.Entry<String, String> fraction : FRACTIONS.entrySet()) {
            spaced = spaced.replace(fraction.getKey(), fraction.getValue());
        }
        return SheetDrawing.escaped(spaced);
    }
}
