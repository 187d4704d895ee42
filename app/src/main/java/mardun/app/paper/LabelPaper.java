package mardun.app.paper;

import java.util.ArrayList;
import java.util.List;
import mardun.core.label.LabelFace;
import mardun.core.label.LabelSheet;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;

/** Labels on sheets as a PDF file, true to size: every millimetre of a label is one on the paper. */
public final class LabelPaper {

    private LabelPaper() {}

    /**
     * The sheets.
     *
     * @param used how many labels of the first sheet are gone
     * @param labels in the order in which they are put on the sheets
     */
    public static byte[] pdf(LabelSheet sheet, int used, List<LabelDrawing> labels) {
        try (PaperDrawing paper = new PaperDrawing()) {
            int pages = sheet.pages(used, labels.size());
            for (int number = 0; number < pages; number++) {
                paper.page(
                        millimetres(sheet.page().width()),
                        millimetres(sheet.page().height()));
                int from = Math.max(0, number * sheet.labels() - used);
                int to = Math.min(labels.size(), (number + 1) * sheet.labels() - used);
                for (int i = from; i < to; i++) {
                    LabelSheet.Spot spot = sheet.spot(used + i);
                    draw(paper, labels.get(i), millimetres(spot.left()), millimetres(spot.top()));
                }
            }
            return paper.file();
        }
    }

    private static double millimetres(Length length) {
        return length.nanometres() / (double) LengthUnit.MILLIMETRE.nanometres();
    }

    private static void draw(PaperDrawing paper, LabelDrawing label, double left, double top) {
        for (LabelFace.Text text : label.texts()) {
            paper.text(left + text.left(), top + text.baseline(), text.size(), text.bold(), text.text());
        }
        if (label.code() != null) {
            code(paper, label.code(), left, top);
        }
    }

    private static void code(PaperDrawing paper, LabelDrawing.PlacedCode code, double left, double top) {
        ModuleCode modules = code.modules();
        LabelFace.Box box = code.box();
        double wide = box.width() / modules.wide();
        double high = box.height() / modules.high();
        List<PaperDrawing.Box> dark = new ArrayList<>();
        for (int y = 0; y < modules.high(); y++) {
            for (int x = 0; x < modules.wide(); x++) {
                if (modules.isDark(x, y)) {
                    dark.add(
                            new PaperDrawing.Box(left + box.left() + x * wide, top + box.top() + y * high, wide, high));
                }
            }
        }
        paper.fill(dark);
    }
}
