package mardun.core.label;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mardun.core.measure.Extent;
import mardun.core.measure.LengthUnit;

/**
 * What stands where on a label: as large as it fits, and never smaller than can be read. All measures are millimetres from the label's
 * upper left corner. The name and what it is stand on top, the price and the small words at the bottom, a code at the lower right or
 * below them.
 *
 * @param texts each on one line
 * @param code where the code is; empty for none
 */
public record LabelFace(List<Text> texts, Optional<Box> code) {

    /** No letters are smaller than 5 points. */
    public static final double SMALLEST = 5 * 25.4 / 72;

    private static final double LARGEST = 6.5;
    private static final double FINER = 0.97;
    private static final double LINE = 1.2;
    private static final double ASCENT = 0.92;
    private static final double LEAST_MARGIN = 1.2;
    private static final double MOST_MARGIN = 4;
    private static final double MARGIN = 0.06;
    private static final double LEAST_QR = 9;
    private static final double MOST_QR = 22;
    private static final double QR_SHARE = 0.45;
    private static final double BARS_HEIGHT = 7;
    private static final double THINNEST_BAR = 0.19;
    private static final double THICKEST_BAR = 0.33;
    private static final double GAP = 1.2;
    private static final double MM = LengthUnit.MILLIMETRE.nanometres();

    /** How much a part matters, and so how large it is beside the others. */
    public enum Rank {
        NAME(1, true, true),
        DETAIL(0.8, false, true),
        PRICE(1.6, true, false),
        SMALL(0.6, false, false);

        private final double size;
        private final boolean bold;
        private final boolean onTop;

        Rank(double size, boolean bold, boolean onTop) {
            this.size = size;
            this.bold = bold;
            this.onTop = onTop;
        }
    }

    /** Something that is to stand on a label. */
    public record Part(Rank rank, String text) {}

    /** A code that is to stand on a label. */
    public sealed interface Code {

        /** Its place at the lower right; empty where it would be too small to be read. */
        Optional<Box> in(Box inner);

        /** A square one. */
        record Square() implements Code {

            @Override
            public Optional<Box> in(Box inner) {
                double side = Math.min(MOST_QR, Math.max(LEAST_QR, QR_SHARE * Math.min(inner.width(), inner.height())));
                return side > inner.width() || side > inner.height()
                        ? Optional.empty()
                        : Optional.of(inner.lowerRight(side, side));
            }
        }

        /**
         * Bars.
         *
         * @param modules how many of its thinnest bars the whole is wide, quiet edges included
         */
        record Bars(int modules) implements Code {

            @Override
            public Optional<Box> in(Box inner) {
                double bar = Math.min(THICKEST_BAR, inner.width() / modules);
                return bar < THINNEST_BAR || BARS_HEIGHT > inner.height()
                        ? Optional.empty()
                        : Optional.of(inner.lowerRight(bar * modules, BARS_HEIGHT));
            }
        }
    }

    /**
     * A line of text.
     *
     * @param baseline what its letters stand on
     * @param size of the letters
     */
    public record Text(double left, double baseline, double size, boolean bold, String text) {}

    /** A rectangle. */
    public record Box(double left, double top, double width, double height) {

        private Box lowerRight(double wide, double high) {
            return new Box(left + width - wide, top + height - high, wide, high);
        }
    }

    /** How wide a text is, in sizes of its letters. */
    @FunctionalInterface
    public interface TextWidth {
        double of(String text, boolean bold);
    }

    /**
     * Sets the parts on a label.
     *
     * @param label what it measures
     * @param parts in the order in which they are read
     * @return empty where they don't fit even in the smallest letters
     */
    public static Optional<LabelFace> fit(Extent label, List<Part> parts, Optional<Code> code, TextWidth widths) {
        double width = label.width().nanometres() / MM;
        double height = label.height().nanometres() / MM;
        double margin = Math.max(LEAST_MARGIN, Math.min(MOST_MARGIN, MARGIN * Math.min(width, height)));
        Box inner = new Box(margin, margin, width - 2 * margin, height - 2 * margin);
        Optional<Box> codeBox = code.flatMap(its -> its.in(inner));
        if (code.isPresent() && codeBox.isEmpty()) {
            return Optional.empty();
        }
        Box forText = codeBox.map(box -> beside(box, inner)).orElse(inner);
        for (double base = LARGEST; base >= SMALLEST; base *= FINER) {
            List<Line> lines = lines(parts, base, forText.width(), widths);
            if (lines.stream().allMatch(line -> line.fits(forText.width(), widths))
                    && lines.stream().mapToDouble(Line::height).sum() <= forText.height()) {
                return Optional.of(new LabelFace(placed(lines, forText), codeBox));
            }
        }
        return Optional.empty();
    }

    /** Where text may stand: left of a square code on a label that is wide, and else above the code. */
    private static Box beside(Box code, Box inner) {
        boolean isSquare = code.width() == code.height();
        return isSquare && inner.width() > inner.height()
                ? new Box(inner.left(), inner.top(), inner.width() - code.width() - GAP, inner.height())
                : new Box(inner.left(), inner.top(), inner.width(), inner.height() - code.height() - GAP);
    }

    /** A line before it has its place. */
    private record Line(Rank rank, String text, double size) {

        double height() {
            return size * LINE;
        }

        boolean fits(double width, TextWidth widths) {
            return size * widths.of(text, rank.bold) <= width;
        }
    }

    private static List<Line> lines(List<Part> parts, double base, double width, TextWidth widths) {
        List<Line> lines = new ArrayList<>();
        for (Part part : parts) {
            double size = Math.max(SMALLEST, base * part.rank().size);
            StringBuilder line = new StringBuilder();
            for (String word : part.text().strip().split("\\s+")) {
                String longer = line.isEmpty() ? word : line + " " + word;
                if (!line.isEmpty() && size * widths.of(longer, part.rank().bold) > width) {
                    lines.add(new Line(part.rank(), line.toString(), size));
                    line.setLength(0);
                    line.append(word);
                } else {
                    line.setLength(0);
                    line.append(longer);
                }
            }
            lines.add(new Line(part.rank(), line.toString(), size));
        }
        return lines;
    }

    private static List<Text> placed(List<Line> lines, Box box) {
        List<Text> texts = new ArrayList<>();
        double top = box.top();
        double below = lines.stream()
                .filter(line -> !line.rank().onTop)
                .mapToDouble(Line::height)
                .sum();
        double bottom = box.top() + box.height() - below;
        for (Line line : lines) {
            double at = line.rank().onTop ? top : bottom;
            texts.add(new Text(box.left(), at + ASCENT * line.size(), line.size(), line.rank().bold, line.text()));
            if (line.rank().onTop) {
                top += line.height();
            } else {
                bottom += line.height();
            }
        }
        return List.copyOf(texts);
    }
}
