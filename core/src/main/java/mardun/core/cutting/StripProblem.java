package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Pieces to be cut from a cloth of one width, on a grid: all lengths are whole steps.
 *
 * @param width of the cloth
 * @param demand how many pieces of each kind
 * @param kindOf the kind of each item; a kind that may be turned is two items
 * @param widthOf the width of each item as it lies
 * @param heightOf the height of each item as it lies
 * @param turned whether an item is a turned piece
 */
record StripProblem(int width, int[] demand, int[] kindOf, int[] widthOf, int[] heightOf, boolean[] turned) {

    /** A kind of piece on the grid. */
    record Kind(int width, int height, int count, boolean mayTurn) {}

    static StripProblem of(int width, List<Kind> kinds) {
        List<int[]> items = new ArrayList<>();
        for (int kind = 0; kind < kinds.size(); kind++) {
            Kind one = kinds.get(kind);
            if (one.width() <= width) {
                items.add(new int[] {kind, one.width(), one.height(), 0});
            }
            if (one.mayTurn() && one.width() != one.height() && one.height() <= width) {
                items.add(new int[] {kind, one.height(), one.width(), 1});
            }
        }
        int n = items.size();
        boolean[] turned = new boolean[n];
        for (int i = 0; i < n; i++) {
            turned[i] = items.get(i)[3] == 1;
        }
        return new StripProblem(
                width,
                kinds.stream().mapToInt(Kind::count).toArray(),
                items.stream().mapToInt(item -> item[0]).toArray(),
                items.stream().mapToInt(item -> item[1]).toArray(),
                items.stream().mapToInt(item -> item[2]).toArray(),
                turned);
    }

    int kinds() {
        return demand.length;
    }

    int items() {
        return kindOf.length;
    }

    /** Whether a kind fits the cloth in some way. */
    boolean fits(int kind) {
        return Arrays.stream(kindOf).anyMatch(one -> one == kind);
    }

    int tallest() {
        return Arrays.stream(heightOf).max().orElse(0);
    }

    /** The area of a piece of a kind. */
    long area(int kind) {
        for (int i = 0; i < items(); i++) {
            if (kindOf[i] == kind) {
                return (long) widthOf[i] * heightOf[i];
            }
        }
        return 0;
    }
}
