package mardun.core.order;

/** What is known of the states of a part of the operations: two numbers tell a state, a third what it still costs. */
final class PartStates {

    private static final int FIRST = 1 << 10;
    private static final float FULL = 0.6f;
    private static final int ABSENT = -1;

    /** A state's three numbers lie side by side, since each is looked for among very many. */
    private static final int ROW = 3;

    private long[] rows = new long[ROW * FIRST];
    private int places = FIRST;
    private int count;

    int size() {
        return count;
    }

    /** The cost of a state; below zero while it isn't known. */
    int get(long one, long other) {
        return (int) rows[find(one, other) + 2] + ABSENT;
    }

    void put(long one, long other, int cost) {
        if (count > FULL * places) {
            grow();
        }
        int at = find(one, other);
        if (rows[at + 2] == 0) {
            count++;
        }
        rows[at] = one;
        rows[at + 1] = other;
        rows[at + 2] = cost - ABSENT;
    }

    private int find(long one, long other) {
        int place = (int) Spread.of(Spread.of(one) ^ other) & places - 1;
        int at = ROW * place;
        while (rows[at + 2] != 0 && (rows[at] != one || rows[at + 1] != other)) {
            place = place + 1 & places - 1;
            at = ROW * place;
        }
        return at;
    }

    private void grow() {
        long[] before = rows;
        places *= 2;
        rows = new long[ROW * places];
        count = 0;
        for (int at = 0; at < before.length; at += ROW) {
            if (before[at + 2] != 0) {
                put(before[at], before[at + 1], (int) before[at + 2] + ABSENT);
            }
        }
    }
}
