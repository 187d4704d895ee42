package mardun.core.order;

/** Turns numbers that differ in few bits into such that differ in many, so that tables are filled evenly. */
final class Spread {

    private static final long FIRST = 0xBF58476D1CE4E5B9L;
    private static final long SECOND = 0x94D049BB133111EBL;

    private Spread() {}

    static long of(long number) {
        long spread = (number ^ number >>> 30) * FIRST;
        spread = (spread ^ spread >>> 27) * SECOND;
        return spread ^ spread >>> 31;
    }
}
