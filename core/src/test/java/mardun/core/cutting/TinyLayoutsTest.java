package mardun.core.cutting;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.junit.jupiter.api.Test;

/** The search against every possible way of cutting, on cloths so small that all of them can be tried. */
class TinyLayoutsTest {

    private static final int WIDTH = 5;

    /** A few pieces, each as its sides and how often; none may be turned. */
    private record Tiny(int[][] kinds) {

        List<CutPiece> pieces() {
            List<CutPiece> pieces = new ArrayList<>();
            for (int kind = 0; kind < kinds.length; kind++) {
                pieces.add(new CutPiece(
                        PieceKey.of("P" + kind),
                        "P" + kind,
                        new Extent(
                                Length.of(kinds[kind][0], LengthUnit.CENTIMETRE),
                                Length.of(kinds[kind][1], LengthUnit.CENTIMETRE)),
                        kinds[kind][2],
                        false));
            }
            return pieces;
        }

        int shortest() {
            Map<String, Boolean> known = new HashMap<>();
            int[] all = new int[kinds.length];
            for (int kind = 0; kind < all.length; kind++) {
                all[kind] = kinds[kind][2];
            }
            int length = 1;
            while (!isCut(WIDTH, length, all, known)) {
                length++;
            }
            return length;
        }

        /** Whether these pieces can be cut from a rectangle: one of them alone, or after a cut through it. */
        private boolean isCut(int width, int length, int[] counts, Map<String, Boolean> known) {
            int pieces = 0;
            int area = 0;
            int only = -1;
            for (int kind = 0; kind < counts.length; kind++) {
                pieces += counts[kind];
                area += counts[kind] * kinds[kind][0] * kinds[kind][1];
                only = counts[kind] > 0 ? kind : only;
            }
            if (pieces == 0) {
                return true;
            }
            if (area > width * length) {
                return false;
            }
            if (pieces == 1) {
                return kinds[only][0] <= width && kinds[only][1] <= length;
            }
            String key = width + "x" + length + Arrays.toString(counts);
            Boolean before = known.get(key);
            if (before == null) {
                before = isSplit(width, length, counts, new int[counts.length], 0, known);
                known.put(key, before);
            }
            return before;
        }

        /** Tries every share of the pieces on one side of every cut. */
        private boolean isSplit(int width, int length, int[] counts, int[] part, int kind, Map<String, Boolean> known) {
            if (kind < counts.length) {
                for (part[kind] = 0; part[kind] <= counts[kind]; part[kind]++) {
                    if (isSplit(width, length, counts, part, kind + 1, known)) {
                        return true;
                    }
                }
                return false;
            }
            int[] rest = new int[counts.length];
            int here = 0;
            int there = 0;
            for (int i = 0; i < counts.length; i++) {
                rest[i] = counts[i] - part[i];
                here += part[i];
                there += rest[i];
            }
            if (here == 0 || there == 0) {
                return false;
            }
            int[] one = part.clone();
            for (int x = 1; x < width; x++) {
                if (isCut(x, length, one, known) && isCut(width - x, length, rest, known)) {
                    return true;
                }
            }
            for (int y = 1; y < length; y++) {
                if (isCut(width, y, one, known) && isCut(width, length - y, rest, known)) {
                    return true;
                }
            }
            return false;
        }
    }

    @Test
    void itIsNeverShorterThanCanBeAndMostlyAsShort() {
        Random random = new Random(8);
        int asShort = 0;
        int cases = 60;
        for (int i = 0; i < cases; i++) {
            int[][] kinds = new int[2 + random.nextInt(2)][];
            for (int kind = 0; kind < kinds.length; kind++) {
                kinds[kind] = new int[] {1 + random.nextInt(4), 1 + random.nextInt(4), 1 + random.nextInt(2)};
            }
            Tiny tiny = new Tiny(kinds);
            int[] asked = {0};
            CuttingJob job = Cutting.job(Length.of(WIDTH, LengthUnit.CENTIMETRE), tiny.pieces());
            CuttingLayout layout =
                    LayoutSearch.search(job, Aim.LEAST_CLOTH, 3, Budget.until(() -> asked[0]++ > 300), better -> {});
            assertThat(LayoutCheck.flaws(layout, job)).isEmpty();
            Length shortest = Length.of(tiny.shortest(), LengthUnit.CENTIMETRE);
            assertThat(layout.boltLength()).isGreaterThanOrEqualTo(shortest);
            asShort += layout.boltLength().equals(shortest) ? 1 : 0;
        }
        assertThat(asShort).isGreaterThanOrEqualTo(cases * 8 / 10);
    }
}
