package mardun.app;

import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;

/** A page as a printer draws it, on which lines are measured; all in millimetres from its upper left corner. */
record PrintedPage(BufferedImage image) {

    static final int DPI = 300;
    static final double MM_PER_PIXEL = 25.4 / DPI;

    /** What is left free along each edge. */
    static final double MARGIN = 9;

    private static final int DARK = 140;

    /** The lines that a row crosses. */
    record Crossed(List<Double> lines) {

        /** From the first to the last of them. */
        double width() {
            return lines.get(lines.size() - 1) - lines.get(0);
        }
    }

    /** The middles of the lines that a row of the page crosses between two places. */
    Crossed across(double y, double from, double to) {
        List<Double> lines = new ArrayList<>();
        int row = (int) Math.round(y / MM_PER_PIXEL);
        int begin = -1;
        for (int x = (int) (from / MM_PER_PIXEL); x <= to / MM_PER_PIXEL && x < image.getWidth(); x++) {
            boolean isDark = (image.getRGB(x, row) & 0xff) < DARK;
            if (isDark && begin < 0) {
                begin = x;
            } else if (!isDark && begin >= 0) {
                lines.add((begin + x) / 2.0 * MM_PER_PIXEL);
                begin = -1;
            }
        }
        return new Crossed(lines);
    }
}
