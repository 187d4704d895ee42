package mardun.app.paper;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import mardun.core.design.Point;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** A PDF file that is drawn true to size: every measure is millimetres from the page's upper left corner. */
public final class PaperDrawing implements AutoCloseable {

    private static final double POINTS_PER_MM = 72 / 25.4;

    private final PDDocument document = new PDDocument();
    private final List<PDFont> regular = fonts(false);
    private final List<PDFont> bold = fonts(true);
    private PDPageContentStream stream;
    private float pageHeight;

    /**
     * How a line looks.
     *
     * @param width of its stroke
     * @param grey from 0, black, to 1, white
     * @param dashes how long it is drawn and left out in turns; none for a line without gaps
     */
    public record Stroke(double width, double grey, List<Double> dashes) {

        public static Stroke of(double width, double grey, Double... dashes) {
            return new Stroke(width, grey, List.of(dashes));
        }
    }

    /** Something that may fail while it is written. */
    private interface Writing {
        void write() throws IOException;
    }

    private static void written(Writing writing) {
        try {
            writing.write();
        } catch (IOException failed) {
            throw new UncheckedIOException("The paper couldn't be drawn.", failed);
        }
    }

    private List<PDFont> fonts(boolean isBold) {
        List<PDFont> fonts = new ArrayList<>();
        PaperFonts.files(isBold)
                .forEach(file -> written(() -> fonts.add(PDType0Font.load(document, PaperFonts.open(file), true))));
        return fonts;
    }

    private static float points(double millimetres) {
        return (float) (millimetres * POINTS_PER_MM);
    }

    private float down(double millimetres) {
        return pageHeight - points(millimetres);
    }

    /** A new page; all that is drawn from now on is on it. */
    public void page(double width, double height) {
        written(() -> {
            endPage();
            PDPage page = new PDPage(new PDRectangle(points(width), points(height)));
            document.addPage(page);
            pageHeight = points(height);
            stream = new PDPageContentStream(document, page);
        });
    }

    private void endPage() throws IOException {
        if (stream != null) {
            stream.close();
        }
    }

    /**
     * A line of text.
     *
     * @param size how high its letters stand, from one line to the next
     */
    public void text(double left, double baseline, double size, boolean isBold, String text) {
        written(() -> {
            stream.setNonStrokingColor(0f);
            stream.beginText();
            stream.newLineAtOffset(points(left), down(baseline));
            List<PDFont> fonts = isBold ? bold : regular;
            LabelFonts.forEachRun(
                    text,
                    isBold,
                    (font, run) -> written(() -> {
                        stream.setFont(fonts.get(font), points(size));
                        stream.showText(run);
                    }));
            stream.endText();
        });
    }

    /** How wide a text is. */
    public static double width(String text, double size, boolean isBold) {
        return LabelFonts.width(text, isBold) * size;
    }

    /** A line through points, moved to the right and down. */
    public void line(Stroke stroke, List<Point> through, double right, double below) {
        written(() -> {
            stream.setLineWidth(points(stroke.width()));
            stream.setStrokingColor((float) stroke.grey());
            float[] dashes = new float[stroke.dashes().size()];
            for (int i = 0; i < dashes.length; i++) {
                dashes[i] = points(stroke.dashes().get(i));
            }
            stream.setLineDashPattern(dashes, 0);
            stream.moveTo(
                    points(through.get(0).x() + right), down(through.get(0).y() + below));
            for (Point point : through.subList(1, through.size())) {
                stream.lineTo(points(point.x() + right), down(point.y() + below));
            }
            stream.stroke();
        });
    }

    /** A rectangle. */
    public record Box(double left, double top, double wide, double high) {}

    /** Rectangles filled with black as one, so that no light shows between those that touch. */
    public void fill(List<Box> boxes) {
        written(() -> {
            stream.setNonStrokingColor(0f);
            for (Box box : boxes) {
                stream.addRect(
                        points(box.left()), down(box.top() + box.high()), points(box.wide()), points(box.high()));
            }
            stream.fill();
        });
    }

    /** Draws something of which only what lies within a rectangle is seen. */
    public void within(double left, double top, double wide, double high, Runnable drawing) {
        written(() -> {
            stream.saveGraphicsState();
            stream.addRect(points(left), down(top + high), points(wide), points(high));
            stream.clip();
        });
        drawing.run();
        written(() -> stream.restoreGraphicsState());
    }

    /** The file, with which the drawing ends. */
    public byte[] file() {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            endPage();
            stream = null;
            document.save(out);
            return out.toByteArray();
        } catch (IOException failed) {
            throw new UncheckedIOException("The paper couldn't be drawn.", failed);
        }
    }

    @Override
    public void close() {
        written(() -> {
            endPage();
            document.close();
        });
    }
}
