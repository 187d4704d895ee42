package mardun.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A template of a shaped piece on paper, as it is printed from the browser, measured on the page. */
class PrintedTemplateTest {

    @RegisterExtension
    static final Chromium CHROMIUM = new Chromium();

    @RegisterExtension
    static final WarmWorkroom APP = new WarmWorkroom();

    private static final int DPI = 300;
    private static final double MM_PER_PIXEL = 25.4 / DPI;

    /** What a printer leaves free along each edge. */
    private static final double MARGIN = 9;

    private static final int DARK = 140;

    /** A page of paper, by what it shows of the plane on which all templates lie. */
    private record Sheet(int number, double left, double top, double right, double bottom) {

        boolean shows(double x, double y, double side) {
            return x >= left && x + side <= right && y >= top && y + side <= bottom;
        }
    }

    @Test
    void aTemplateOfAShapedPieceIsPrintedAndItsSquareMeasuresRight() throws IOException {
        Page page = CHROMIUM.page();
        page.navigate(APP.url("/designs"));
        page.getByRole(AriaRole.LINK, starting("Tern tote")).first().click();
        page.waitForURL(Pattern.compile("/designs/\\d+$"));
        String design = page.url().replaceAll(".*/", "");
        page.navigate(APP.url("/designs/" + design + "/templates"));
        assertThat(page.getByText("Body, one piece").first()).isVisible();
        String drawn = page.request()
                .get(APP.url("/api/designs/" + design + "/templates?paper=LETTER"))
                .text();
        MatchResult square = results(
                        drawn,
                        "\\{[^{}]*?\"left\":([\\d.]+),\"name\":\"Test square\",\"top\":([\\d.]+),\"width\":([\\d.]+)"
                                + "|\\{\"name\":\"Test square\"[^{}]*?\"left\":([\\d.]+),\"top\":([\\d.]+),\"width\":([\\d.]+)")
                .get(0);
        int first = square.group(1) == null ? 4 : 1;
        double left = Double.parseDouble(square.group(first));
        double top = Double.parseDouble(square.group(first + 1));
        double side = Double.parseDouble(square.group(first + 2));
        assertThat(side).isEqualTo(50.8);
        Sheet on = sheets(drawn).stream()
                .filter(sheet -> sheet.shows(left, top, side))
                .findFirst()
                .orElseThrow();
        Download pdf = page.waitForDownload(
                () -> page.getByRole(AriaRole.LINK, exactly("As PDF")).click());
        BufferedImage paper = drawn(pdf.path(), on.number());
        double right = MARGIN + left - on.left();
        double down = MARGIN + top - on.top();
        // Below its words, where only its two sides are.
        assertThat(across(paper, down + 0.95 * side, right - 3, right + side + 3))
                .isCloseTo(50.8, within(0.3));
        assertThat(CHROMIUM.complaints()).isEmpty();
    }

    private static List<MatchResult> results(String text, String pattern) {
        return Pattern.compile(pattern).matcher(text).results().toList();
    }

    /** All pages, numbered from 1: the map of them is printed before. */
    private static List<Sheet> sheets(String drawn) {
        List<Sheet> sheets = new ArrayList<>();
        for (MatchResult one : results(
                drawn,
                "\\{\"name\":\"[A-Z]\\d+\",\"left\":([\\d.]+),\"top\":([\\d.]+),\"right\":([\\d.]+),\"bottom\":([\\d.]+)")) {
            sheets.add(new Sheet(
                    sheets.size() + 1,
                    Double.parseDouble(one.group(1)),
                    Double.parseDouble(one.group(2)),
                    Double.parseDouble(one.group(3)),
                    Double.parseDouble(one.group(4))));
        }
        return sheets;
    }

    private static BufferedImage drawn(Path file, int number) throws IOException {
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            return new PDFRenderer(document).renderImageWithDPI(number, DPI);
        }
    }

    /** From the middle of the first dark line to that of the last one, in a row of a page; in millimetres. */
    private static double across(BufferedImage paper, double y, double from, double to) {
        int row = (int) Math.round(y / MM_PER_PIXEL);
        List<Double> lines = new ArrayList<>();
        int begin = -1;
        for (int x = (int) (from / MM_PER_PIXEL); x <= to / MM_PER_PIXEL; x++) {
            boolean isDark = (paper.getRGB(x, row) & 0xff) < DARK;
            if (isDark && begin < 0) {
                begin = x;
            } else if (!isDark && begin >= 0) {
                lines.add((begin + x) / 2.0 * MM_PER_PIXEL);
                begin = -1;
            }
        }
        return lines.get(lines.size() - 1) - lines.get(0);
    }

    private static Page.GetByRoleOptions exactly(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    private static Page.GetByRoleOptions starting(String name) {
        return new Page.GetByRoleOptions().setName(Pattern.compile("^" + name));
    }
}
