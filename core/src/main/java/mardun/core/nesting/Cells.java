package mardun.core.nesting;

/** Which small squares of a surface are taken: a row of bits each. */
final class Cells {

    private static final int BITS = Long.SIZE;

    private final int width;
    private final int height;
    private final long[][] rows;

    Cells(int width, int height) {
        this.width = width;
        this.height = height;
        this.rows = new long[height][(width + BITS - 1) / BITS + 1];
    }

    /**
     * The squares that a line with what it encloses and a rim around it touches, and none fewer.
     *
     * @param cell how wide a square is, in millimetres
     * @param rim how wide the rim is
     */
    static Cells of(Contour contour, double cell, double rim) {
        double reach = rim + cell * Math.sqrt(2) / 2;
        Cells cells = new Cells((int) Math.ceil((contour.width() + 2 * rim) / cell - 1e-9), (int)
                Math.ceil((contour.height() + 2 * rim) / cell - 1e-9));
        for (int y = 0; y < cells.height; y++) {
            for (int x = 0; x < cells.width; x++) {
                double atX = (x + 0.5) * cell - rim;
                double atY = (y + 0.5) * cell - rim;
                if (contour.holds(atX, atY) || contour.distance(atX, atY) < reach) {
                    cells.rows[y][x / BITS] |= 1L << x % BITS;
                }
            }
        }
        return cells;
    }

    int width() {
        return width;
    }

    int height() {
        return height;
    }

    /** Whether none of another's squares is taken here, where its corner lies at a square of this one. */
    boolean isFree(Cells other, int left, int top) {
        int word = left / BITS;
        int shift = left % BITS;
        for (int y = 0; y < other.height; y++) {
            long[] its = other.rows[y];
            long[] own = rows[top + y];
            long carried = 0;
            int words = Math.min(its.length, own.length - word);
            for (int i = 0; i < words; i++) {
                long moved = its[i] << shift | carried;
                carried = shift == 0 ? 0 : its[i] >>> BITS - shift;
                if ((own[word + i] & moved) != 0) {
                    return false;
                }
            }
        }
        return true;
    }

    /** Takes another's squares. */
    void take(Cells other, int left, int top) {
        int word = left / BITS;
        int shift = left % BITS;
        for (int y = 0; y < other.height; y++) {
            long carried = 0;
            for (int i = 0; i < other.rows[y].length; i++) {
                long its = other.rows[y][i];
                long moved = its << shift | carried;
                carried = shift == 0 ? 0 : its >>> BITS - shift;
                if (moved != 0) {
                    rows[top + y][word + i] |= moved;
                }
            }
        }
    }
}
