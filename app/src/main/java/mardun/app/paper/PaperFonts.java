package mardun.app.paper;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.GraphicsEnvironment;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;

/** The fonts that papers are printed with, embedded in them: the interface's own, and others for letters that it hasn't. */
public final class PaperFonts {

    /** Which fonts a paper names, in the order in which a letter is looked for. */
    static final String FAMILIES =
            "Mardun Latin, Mardun Latin Extended, Mardun Vietnamese, Mardun Greek, Mardun Cyrillic, Mardun Cyrillic Extended,"
                    + " Mardun Emoji";

    /** What drawings in a paper name. */
    public static final String IN_DRAWINGS = "Atkinson Hyperlegible Next";

    private static final int REGULAR = 400;
    private static final int BOLD = 700;

    private record Face(String family, String file, int weight) {}

    private static final List<Face> FACES = List.of(
            new Face("Mardun Latin", "atkinson-hyperlegible-next-latin-400", REGULAR),
            new Face("Mardun Latin", "atkinson-hyperlegible-next-latin-700", BOLD),
            new Face("Mardun Latin Extended", "atkinson-hyperlegible-next-latin-ext-400", REGULAR),
            new Face("Mardun Latin Extended", "atkinson-hyperlegible-next-latin-ext-700", BOLD),
            new Face("Mardun Vietnamese", "noto-sans-vietnamese-400", REGULAR),
            new Face("Mardun Greek", "noto-sans-greek-400", REGULAR),
            new Face("Mardun Cyrillic", "noto-sans-cyrillic-400", REGULAR),
            new Face("Mardun Cyrillic Extended", "noto-sans-cyrillic-ext-400", REGULAR),
            new Face("Mardun Emoji", "noto-emoji-emoji-400", REGULAR));

    static {
        FACES.stream().filter(face -> face.family().equals("Mardun Latin")).forEach(PaperFonts::registerForDrawings);
    }

    private PaperFonts() {}

    static void embed(PdfRendererBuilder builder) {
        FACES.forEach(
                face -> builder.useFont(() -> open(face.file()), face.family(), face.weight(), FontStyle.NORMAL, true));
    }

    /** The files in the order in which a letter is looked for; where no bold letters are shipped, the regular ones serve. */
    static List<String> files(boolean bold) {
        int weight = bold ? BOLD : REGULAR;
        return FACES.stream()
                .filter(face -> face.weight() == weight
                        || FACES.stream()
                                .noneMatch(other -> other.family().equals(face.family()) && other.weight() == weight))
                .map(Face::file)
                .toList();
    }

    static InputStream open(String name) {
        InputStream file = PaperFonts.class.getResourceAsStream("/fonts/" + name + ".ttf");
        if (file == null) {
            throw new IllegalStateException("the font " + name + " isn't shipped");
        }
        return file;
    }

    private static void registerForDrawings(Face face) {
        try (InputStream file = open(face.file())) {
            GraphicsEnvironment.getLocalGraphicsEnvironment().registerFont(Font.createFont(Font.TRUETYPE_FONT, file));
        } catch (IOException unread) {
            throw new UncheckedIOException(unread);
        } catch (FontFormatException broken) {
            throw new IllegalStateException("the font " + face.file() + " is broken", broken);
        }
    }
}
