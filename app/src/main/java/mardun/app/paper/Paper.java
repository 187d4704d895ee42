package mardun.app.paper;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Locale;
import java.util.Map;
import mardun.app.show.Views.LengthView;
import mardun.core.measure.UnitSystem;

/** What papers have in common: a page of HTML becomes a PDF file with the interface's own fonts in it. */
public final class Paper {

    private static final Map<String, String> FRACTIONS = Map.of(
            "\u00bd", "1/2", "\u00bc", "1/4", "\u00be", "3/4", "\u215b", "1/8", "\u215c", "3/8", "\u215d", "5/8",
            "\u215e", "7/8", "\u2044", "/", "\u2248", "about");

    private Paper() {}

    /** How large a paper is. */
    public enum Size {
        A4,
        LETTER;

        /** What a maker who measures so usually has. */
        public static Size of(UnitSystem units) {
            return units == UnitSystem.INCH ? LETTER : A4;
        }

        private String css() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * A PDF file.
     *
     * @param style of what is on the page, in CSS
     * @param body well-formed HTML
     */
    public static byte[] pdf(Size size, String style, String body) {
        String html = "<html><head><style>@page { size: " + size.css() + "; margin: 12mm; } body { font-family: "
                + PaperFonts.FAMILIES + "; color: #14252e; } " + style + "</style></head><body>" + body
                + "</body></html>";
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PdfRendererBuilder paper = new PdfRendererBuilder();
            PaperFonts.embed(paper);
            paper.useSVGDrawer(new BatikSVGDrawer())
                    .withHtmlContent(html, null)
                    .toStream(out)
                    .run();
            return out.toByteArray();
        } catch (IOException failed) {
            throw new UncheckedIOException("The paper couldn't be made.", failed);
        }
    }

    /** A text for a paper: the fonts have no eighths in one sign, and no sign for about. */
    public static String plain(String text) {
        return escaped(printable(text));
    }

    /** The same for what isn't HTML. */
    public static String printable(String text) {
        String spaced = text.replaceAll("(?<=\\d)(?=[\u00bc-\u00be\u215b-\u215e])", " ");
        for (Map.Entry<String, String> fraction : FRACTIONS.entrySet()) {
            spaced = spaced.replace(fraction.getKey(), fraction.getValue());
        }
        return spaced;
    }

    /** A text as it stands in HTML or in a drawing. */
    public static String escaped(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }

    /** A length in the maker's own unit first. */
    public static String both(LengthView length, boolean inches) {
        return inches ? length.inch() + " (" + length.metric() + ")" : length.metric() + " (" + length.inch() + ")";
    }

    /** A code that a telephone or a tablet reads, as a drawing of so many millimetres. */
    public static String qr(String text, int millimetres) {
        ModuleCode code = ModuleCode.qr(text);
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"" + millimetres + "mm\" height=\"" + millimetres
                + "mm\" viewBox=\"0 0 " + code.wide() + " " + code.high() + "\"><path d=\"" + code.path()
                + "\" fill=\"#000\"/></svg>";
    }
}
