package mardun.core.year;

/**
 * How bags came out that were begun.
 *
 * @param good how many came out well
 * @param seconds how many are sold as seconds
 * @param scrap how many were lost
 */
public record Spoilage(int good, int seconds, int scrap) {

    public static final Spoilage NONE = new Spoilage(0, 0, 0);

    private static final double PERCENT = 100;

    public Spoilage plus(Spoilage other) {
        return new Spoilage(good + other.good, seconds + other.seconds, scrap + other.scrap);
    }

    public int begun() {
        return good + seconds + scrap;
    }

    /** How many didn't come out well. */
    public int spoilt() {
        return seconds + scrap;
    }

    /** Of a hundred that were begun, how many didn't come out well; whole, half up; none of none. */
    public int percent() {
        return begun() == 0 ? 0 : (int) Math.round(PERCENT * spoilt() / begun());
    }
}
