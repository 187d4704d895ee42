package mardun.core.making;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.material.Colour;

/**
 * The threads that a maker has. Where a step says that its thread matches, it is the one nearest in colour to the bag's outer cloth, if
 * one is near enough, unless she chose another for that cloth. One thread may serve several cloths.
 *
 * @param spools in any order
 */
public record ThreadRack(List<Spool> spools) {

    /** Up to so far, by CIEDE2000, a thread goes with a cloth without being chosen for it. */
    public static final double NEAR = 12;

    /** Up to so far one that is on the machine anyway is worth a thought. */
    public static final double PASSABLE = 25;

    /** A thread on the shelf. */
    public record Spool(String key, String name, Colour colour) {}

    /** A cloth that a thread shall match. */
    public record Cloth(String key, String name, Colour colour) {}

    public ThreadRack {
        spools = List.copyOf(spools);
    }

    /** The nearest thread that is near enough. */
    public Optional<Spool> nearest(Cloth cloth) {
        return spools.stream()
                .filter(spool -> distance(spool, cloth) <= NEAR)
                .min(Comparator.comparing((Spool spool) -> distance(spool, cloth))
                        .thenComparing(Spool::name));
    }

    /** The threads that would do, the nearest first. */
    public List<Spool> passable(Cloth cloth) {
        return spools.stream()
                .filter(spool -> distance(spool, cloth) <= PASSABLE)
                .sorted(Comparator.comparing((Spool spool) -> distance(spool, cloth))
                        .thenComparing(Spool::name))
                .toList();
    }

    /**
     * The thread for a cloth.
     *
     * @param chosen the maker's choices: keys of threads by keys of cloths
     */
    public Optional<Spool> of(Cloth cloth, Map<String, String> chosen) {
        return spools.stream()
                .filter(spool -> spool.key().equals(chosen.get(cloth.key())))
                .findFirst()
                .or(() -> nearest(cloth));
    }

    /** The thread for a cloth in words; where none of the maker's matches, one that does. */
    public String words(Cloth cloth, Map<String, String> chosen) {
        return of(cloth, chosen).map(Spool::name).orElse(SetUp.MATCHING + " " + cloth.name());
    }

    private static double distance(Spool spool, Cloth cloth) {
        return spool.colour().distance(cloth.colour());
    }
}
