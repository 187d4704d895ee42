package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Pieces to be cut from a cloth of one width, on a grid: all lengths are whole steps. An item is one way in which pieces of
 * a kind lie in a stack: upright or turned, alone or two or three equal ones side by side.
 *
 * @param width of the cloth
 * @param demand how many pieces of each kind
 * @param kindOf the kind of each item
 * @param timesOf how many pieces of its kind lie side by side in each item
 * @param widthOf the width of each item, all its pieces together
 * @param heightOf the height of each item as it lies
 * @param turned whether an item's pieces are turned
 * @param edge a selvage on each side of the cloth, within its width; rounded up
 * @param inner the width between the selvages, rounded down
 * @param between whether the pieces of each kind have to stay between the selvages
 */
record StripProblem(
        int width,
        int[] demand,
        int[] kindOf,
        int[] timesOf,
        int[] widthOf,
        int[] heightOf,
        boolean[] turned,
        int edge,
        int inner,
        boolean[] between) {

    private static final int MOST_SIDE_BY_SIDE = 3;

    /**
     * A kind of piece on the grid.
     *
     * @param onlyOnRolls it isn't cut from offcuts and precuts, which may begin anywhere in the print
     * @param between it has to stay between the selvages
     */
    record Kind(int width, int height, int count, boolean mayTurn, boolean onlyOnRolls, boolean between) {

        Kind(int width, int height, int count, boolean mayTurn) {
            this(width, height, count, mayTurn, false, false);
        }
    }

    private record Item(int kind, int times, int width, int height, boolean turned) {}

    static StripProblem of(int width, List<Kind> kinds) {
        return of(width, 0, width, kinds);
    }

    /** The same on a cloth with selvages, within its width, that some of the pieces have to stay between. */
    static StripProblem of(int width, int edge, int inner, List<Kind> kinds) {
        List<Item> single = new ArrayList<>();
        for (int kind = 0; kind < kinds.size(); kind++) {
            Kind one = kinds.get(kind);
            int most = one.between() ? inner : width;
            if (one.width() <= most) {
                single.add(new Item(kind, 1, one.width(), one.height(), false));
            }
            if (one.mayTurn() && one.width() != one.height() && one.height() <= most) {
                single.add(new Item(kind, 1, one.height(), one.width(), true));
            }
        }
        boolean[] between = new boolean[kinds.size()];
        for (int kind = 0; kind < between.length; kind++) {
            between[kind] = edge > 0 && kinds.get(kind).between();
        }
        return of(
                width,
                edge,
                inner,
                between,
                kinds.stream().mapToInt(Kind::count).toArray(),
                withSideBySide(single));
    }

    /** Equal pieces side by side are a help only on top of a wider piece: two stacks of one are as good. */
    private static List<Item> withSideBySide(List<Item> single) {
        int widest = single.stream().mapToInt(Item::width).max().orElse(0);
        List<Item> all = new ArrayList<>(single);
        for (Item one : single) {
            for (int times = 2; times <= MOST_SIDE_BY_SIDE && times * one.width() <= widest; times++) {
                all.add(new Item(one.kind(), times, times * one.width(), one.height(), one.turned()));
            }
        }
        return all;
    }

    private static StripProblem of(int width, int edge, int inner, boolean[] between, int[] demand, List<Item> items) {
        boolean[] turned = new boolean[items.size()];
        for (int i = 0; i < turned.length; i++) {
            turned[i] = items.get(i).turned();
        }
        return new StripProblem(
                width,
                demand,
                items.stream().mapToInt(Item::kind).toArray(),
                items.stream().mapToInt(Item::times).toArray(),
                items.stream().mapToInt(Item::width).toArray(),
                items.stream().mapToInt(Item::height).toArray(),
                turned,
                edge,
                inner,
                between);
    }

    /** The same pieces, other numbers of them. */
    StripProblem with(int[] other) {
        return new StripProblem(width, other, kindOf, timesOf, widthOf, heightOf, turned, edge, inner, between);
    }

    int kinds() {
        return demand.length;
    }

    /** How many pieces there are in all. */
    int pieces() {
        return Arrays.stream(demand).sum();
    }

    int items() {
        return kindOf.length;
    }

    /** How many of an item lie side by side on the cloth. */
    int across(int item) {
        return (between[kindOf[item]] ? inner : width) / widthOf[item];
    }

    /** Whether a kind fits the cloth in some way. */
    boolean fits(int kind) {
        return Arrays.stream(kindOf).anyMatch(one -> one == kind);
    }

    int tallest() {
        return Arrays.stream(heightOf).max().orElse(0);
    }

    /** The area of an item: of all its pieces. */
    long areaOf(int item) {
        return (long) widthOf[item] * heightOf[item];
    }

    /** The area of a piece of a kind. */
    long area(int kind) {
        for (int i = 0; i < items(); i++) {
            if (kindOf[i] == kind) {
                return areaOf(i) / timesOf[i];
            }
        }
        return 0;
    }
}
