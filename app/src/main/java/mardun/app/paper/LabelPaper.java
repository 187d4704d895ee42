package mardun.app.paper;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import mardun.core.label.LabelFace;
import mardun.core.label.LabelSheet;
import mardun.core.measure.LengthUnit;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** Labels on sheets as a PDF file, true to size: every millimetre of a label is one on the paper. */
public final class LabelPaper {

    private static final double POINTS_PER_MM = 72 / 25.4;
    private static final double MM = LengthUnit.MILLIMETRE.nanometres();

    private LabelPaper() {}

    /**
     * The sheets.
     *
     * @param used how many labels of the first sheet are gone
     * @param labels in the order in which they are put on the sheets
     */
    public static byte[] pdf(LabelSheet sheet, int used, List<LabelDrawing> labels) {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            Pen pen = new Pen(document);
            PDRectangle page = new PDRectangle(
                    points(sheet.page().width().nanometres() / MM),
                    points(sheet.page().height().nanometres() / MM));
            int pages = sheet.pages(used, labels.size());
            for (int number = 0; number < pages; number++) {
                PDPage paper = new PDPage(page);
                document.addPage(paper);
                int from = Math.max(0, number * sheet.labels() - used);
                int to = Math.min(labels.size(), (number + 1) * sheet.labels() - used);
                try (PDPageContentStream stream = new PDPageContentStream(document, paper)) {
                    for (int i = from; i < to; i++) {
                        LabelSheet.Spot spot = sheet.spot(used + i);
                        pen.draw(
                                stream,
                                labels.get(i),
                                spot.left().nanometres() / MM,
                                spot.top().nanometres() / MM,
                                page.getHeight());
                    }
                }
            }
            document.save(out);
            return out.toByteArray();
        } catch (IOException failed) {
            throw new UncheckedIOException("The labels couldn't be drawn.", failed);
        }
    }

    private static float points(double millimetres) {
        return (float) (millimetres * POINTS_PER_MM);
    }

    /** Draws labels with the fonts of one document. */
    private static final class Pen {

        private final List<PDFont> regular;
        private final List<PDFont> bold;

        Pen(PDDocument document) throws IOException {
            regular = fonts(document, false);
            bold = fonts(document, true);
        }

        private static List<PDFont> fonts(PDDocument document, boolean isBold) throws IOException {
            List<PDFont> fonts = new ArrayList<>();
            for (String file : PaperFonts.files(isBold)) {
                fonts.add(PDType0Font.load(document, PaperFonts.open(file), true));
            }
            return fonts;
        }

        void draw(PDPageContentStream stream, LabelDrawing label, double left, double top, float pageHeight)
                throws IOException {
            for (LabelFace.Text text : label.texts()) {
                stream.beginText();
                stream.newLineAtOffset(points(left + text.left()), pageHeight - points(top + text.baseline()));
                List<PDFont> fonts = text.bold() ? bold : regular;
                LabelFonts.forEachRun(text.text(), text.bold(), (font, run) -> {
                    try {
                        stream.setFont(fonts.get(font), points(text.size()));
                        stream.showText(run);
                    } catch (IOException failed) {
                        throw new UncheckedIOException(failed);
                    }
                });
                stream.endText();
            }
            if (label.code() != null) {
                code(stream, label.code(), left, top, pageHeight);
            }
        }

        private static void code(
                PDPageContentStream stream, LabelDrawing.PlacedCode code, double left, double top, float pageHeight)
                throws IOException {
            ModuleCode modules = code.modules();
            LabelFace.Box box = code.box();
            double wide = box.width() / modules.wide();
            double high = box.height() / modules.high();
            for (int y = 0; y < modules.high(); y++) {
                for (int x = 0; x < modules.wide(); x++) {
                    if (modules.isDark(x, y)) {
                        stream.addRect(
                                points(left + box.left() + x * wide),
                                pageHeight - points(top + box.top() + (y + 1) * high),
                                points(wide),
                                points(high));
                    }
                }
            }
            stream.fill();
        }
    }
}
