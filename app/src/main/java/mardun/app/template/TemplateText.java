package mardun.app.template;

import java.util.ArrayList;
import java.util.List;
import mardun.app.paper.Paper;
import mardun.app.paper.PaperDrawing;
import mardun.core.template.CardArea;
import mardun.core.template.Template;

/** Where the words of a template stand on it, and how large: as large as fits, up to what is easily read. */
final class TemplateText {

    private static final double LARGEST = 4.2;
    private static final double SMALLEST = 1.4;
    private static final double LINE = 1.3;
    private static final double PADDING = 3;

    private TemplateText() {}

    /** Takes a line of words: where it begins and stands, in millimetres from the template's corner. */
    interface Line {
        void put(double left, double baseline, double size, boolean isBold, String text);
    }

    static void lines(Template template, Line line) {
        List<String> words = new ArrayList<>();
        words.add(Paper.printable(template.name()));
        template.words().forEach(text -> words.add(Paper.printable(text)));
        CardArea space = template.forWords();
        double widest = 0;
        for (int i = 0; i < words.size(); i++) {
            widest = Math.max(widest, PaperDrawing.width(words.get(i), 1, i == 0));
        }
        double fits = Math.min(
                (space.width() - 2 * PADDING) / widest, (space.height() - 2 * PADDING) / (words.size() * LINE));
        double size = Math.max(SMALLEST, Math.min(LARGEST, fits));
        double top = Math.max(PADDING, (space.height() - words.size() * LINE * size) / 2);
        for (int i = 0; i < words.size(); i++) {
            line.put(space.left() + PADDING, space.top() + top + (i + 0.8) * LINE * size, size, i == 0, words.get(i));
        }
    }
}
