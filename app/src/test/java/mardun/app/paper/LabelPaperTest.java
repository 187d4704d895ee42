package mardun.app.paper;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.MultiFormatReader;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import mardun.app.paper.LabelDrawing.CodeKind;
import mardun.core.label.CommonSheet;
import mardun.core.label.LabelFace.Part;
import mardun.core.label.LabelFace.Rank;
import mardun.core.label.LabelSheet;
import mardun.core.measure.LengthUnit;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.EnumSource.Mode;

/** Labels measured on the page as it is rendered. */
class LabelPaperTest {

    private static final int DPI = 400;
    private static final double MM_PER_DOT = 25.4 / DPI;
    private static final double MM = LengthUnit.MILLIMETRE.nanometres();

    private static final List<Part> PARTS = List.of(
            new Part(Rank.NAME, "Heron pouch \u0142\u00e7 \uD83E\uDDF5"),
            new Part(Rank.DETAIL, "small, blue canvas"),
            new Part(Rank.PRICE, "\u20ac19.50"),
            new Part(Rank.SMALL, "cotton; wash at 30\u00b0"));

    /** The ink inside a rectangle of the page, in millimetres from the page's corner. */
    private record Ink(double left, double top, double right, double bottom) {

        static Ink in(BufferedImage page, double left, double top, double width, double height) {
            int minX = Integer.MAX_VALUE;
            int minY = Integer.MAX_VALUE;
            int maxX = -1;
            int maxY = -1;
            for (int y = dots(top); y < Math.min(page.getHeight(), dots(top + height)); y++) {
                for (int x = dots(left); x < Math.min(page.getWidth(), dots(left + width)); x++) {
                    if ((page.getRGB(x, y) & 0xff) < 128) {
                        minX = Math.min(minX, x);
                        maxX = Math.max(maxX, x);
                        minY = Math.min(minY, y);
                        maxY = Math.max(maxY, y);
                    }
                }
            }
            return new Ink(minX * MM_PER_DOT, minY * MM_PER_DOT, (maxX + 1) * MM_PER_DOT, (maxY + 1) * MM_PER_DOT);
        }

        private static int dots(double millimetres) {
            return (int) Math.round(millimetres / MM_PER_DOT);
        }
    }

    private static BufferedImage render(PDDocument document, int page) throws Exception {
        return new PDFRenderer(document).renderImageWithDPI(page, DPI, ImageType.GRAY);
    }

    private static List<LabelDrawing> many(LabelDrawing label, int count) {
        List<LabelDrawing> labels = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            labels.add(label);
        }
        return labels;
    }

    /** First and last label of a full sheet: their codes' corners lie where the sheet's measures say, to a third of a millimetre. */
    @ParameterizedTest
    @EnumSource(mode = Mode.EXCLUDE, names = "LETTER_80")
    void codesLieOnTheirLabelsToAThirdOfAMillimetre(CommonSheet common) throws Exception {
        LabelSheet sheet = common.sheet();
        LabelDrawing label = LabelSetter.set(
                        sheet.label(), List.of(new Part(Rank.NAME, "Heron")), CodeKind.QR, "12-s1-33")
                .orElseThrow();
        int count = sheet.labels();
        try (PDDocument document = Loader.loadPDF(LabelPaper.pdf(sheet, 0, many(label, count)))) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            BufferedImage page = render(document, 0);
            assertThat(page.getWidth() * MM_PER_DOT)
                    .isCloseTo(sheet.page().width().nanometres() / MM, within(0.1));
            assertThat(page.getHeight() * MM_PER_DOT)
                    .isCloseTo(sheet.page().height().nanometres() / MM, within(0.1));
            var box = label.code().box();
            double quiet = box.width() / label.code().modules().wide();
            for (int number : new int[] {0, sheet.across() - 1, count - 1}) {
                double left = sheet.spot(number).left().nanometres() / MM + box.left();
                double top = sheet.spot(number).top().nanometres() / MM + box.top();
                Ink ink = Ink.in(page, left - 0.2, top - 0.2, box.width() + 0.4, box.height() + 0.4);
                assertThat(ink.left()).isCloseTo(left + quiet, within(0.3));
                assertThat(ink.top()).isCloseTo(top + quiet, within(0.3));
                assertThat(ink.right()).isCloseTo(left + box.width() - quiet, within(0.3));
                assertThat(ink.bottom()).isCloseTo(top + box.height() - quiet, within(0.3));
            }
        }
    }

    @Test
    void aUsedSheetStaysEmptyWhereItIsUsedAndTheLettersStayOnTheirLabel() throws Exception {
        LabelSheet sheet = CommonSheet.A4_24.sheet();
        LabelDrawing label =
                LabelSetter.set(sheet.label(), PARTS, CodeKind.NONE, "").orElseThrow();
        try (PDDocument document = Loader.loadPDF(LabelPaper.pdf(sheet, 5, many(label, 20)))) {
            assertThat(document.getNumberOfPages()).isEqualTo(2);
            BufferedImage page = render(document, 0);
            for (int number = 0; number < sheet.labels(); number++) {
                double left = sheet.spot(number).left().nanometres() / MM;
                double top = sheet.spot(number).top().nanometres() / MM;
                Ink ink = Ink.in(page, left, top, 70, 37);
                assertThat(ink.right() > 0).as("label %d", number).isEqualTo(number >= 5);
                if (number >= 5) {
                    assertThat(ink.left()).isGreaterThan(left + 1);
                    assertThat(ink.right()).isLessThan(left + 69);
                    assertThat(ink.top()).isGreaterThan(top + 1);
                    assertThat(ink.bottom()).isLessThan(top + 36);
                }
            }
            assertThat(new PDFTextStripper().getText(document)).contains("\u20ac19.50", "Heron pouch \u0142\u00e7");
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = CodeKind.class,
            names = {"QR", "BARS"})
    void thePrintedCodeIsRead(CodeKind kind) throws Exception {
        LabelSheet sheet = CommonSheet.LETTER_10.sheet();
        LabelDrawing label =
                LabelSetter.set(sheet.label(), PARTS, kind, "12-s1-33").orElseThrow();
        try (PDDocument document = Loader.loadPDF(LabelPaper.pdf(sheet, 0, List.of(label)))) {
            BufferedImage page = render(document, 0);
            var box = label.code().box();
            int x = (int) ((sheet.left().nanometres() / MM + box.left()) / MM_PER_DOT);
            int y = (int) ((sheet.top().nanometres() / MM + box.top()) / MM_PER_DOT);
            int wide = (int) (box.width() / MM_PER_DOT);
            int high = (int) (box.height() / MM_PER_DOT);
            int[] pixels = page.getRGB(x, y, wide, high, null, 0, wide);
            assertThat(new MultiFormatReader()
                            .decode(new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(wide, high, pixels))))
                            .getText())
                    .isEqualTo("12-s1-33");
        }
    }
}
