package mardun.core.batch;

/**
 * How many bags of a line are wanted and how many are begun, and how both are parted when some go into a batch of their own or aren't
 * made.
 *
 * @param wanted none only of a line of which nothing is made any more
 * @param started as many or more, where some may be spoiled
 */
public record LineCounts(int wanted, int started) {

    public LineCounts {
        if (wanted < 0 || started < wanted) {
            throw new IllegalArgumentException(wanted + " wanted and " + started + " started");
        }
    }

    /** What stays and what goes. */
    public record Parts(LineCounts stays, LineCounts goes) {}

    /** Whether so many can go and leave one that is wanted; all of a line go as a whole. */
    public boolean canPart(int units) {
        return units >= 1 && units < wanted;
    }

    /**
     * So many go; what is begun beyond what is wanted stays.
     *
     * @throws IllegalArgumentException if none that is wanted would stay
     */
    public Parts part(int units) {
        if (!canPart(units)) {
            throw new IllegalArgumentException("of " + wanted + " wanted can't go: " + units);
        }
        return new Parts(new LineCounts(wanted - units, started - units), new LineCounts(units, units));
    }

    /**
     * So many of those that are begun aren't made; as many as can be of those that are wanted stay.
     *
     * @throws IllegalArgumentException if fewer are begun
     */
    public LineCounts less(int units) {
        if (units < 1 || units > started) {
            throw new IllegalArgumentException("of " + started + " begun can't go: " + units);
        }
        return new LineCounts(Math.min(wanted, started - units), started - units);
    }

    /** Both together. */
    public LineCounts with(LineCounts other) {
        return new LineCounts(Math.addExact(wanted, other.wanted), Math.addExact(started, other.started));
    }
}
