package mardun.core.cutting;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Bags of one line of a batch that are cut together.
 *
 * @param line the line's number
 * @param count how many bags, one or more
 * @param each how many pieces of each kind one bag takes, one or more
 */
public record Bags(int line, int count, Map<PieceKey, Long> each) {

    public Bags {
        each = Map.copyOf(each);
        if (count < 1) {
            throw new IllegalArgumentException("pieces are for one bag or more: " + count);
        }
    }

    /** How many bags all lines have together. */
    public static int together(List<Bags> lines) {
        return lines.stream().mapToInt(Bags::count).reduce(0, Math::addExact);
    }

    /**
     * The first so many bags of a batch, line by line; of more bags than it has, all of it as often as that goes and then the
     * first ones again.
     *
     * @param bags zero or more
     */
    public static List<Bags> first(List<Bags> lines, int bags) {
        int all = together(lines);
        int open = bags % all;
        List<Bags> first = new ArrayList<>();
        for (Bags line : lines) {
            int more = Math.min(open, line.count());
            int taken = Math.addExact(Math.multiplyExact(bags / all, line.count()), more);
            open -= more;
            if (taken > 0) {
                first.add(line.times(taken));
            }
        }
        return first;
    }

    /** What is left when the first so many bags are taken away, which are no more than there are. */
    public static List<Bags> without(List<Bags> lines, int bags) {
        int open = bags;
        List<Bags> rest = new ArrayList<>();
        for (Bags line : lines) {
            int less = Math.min(open, line.count());
            open -= less;
            if (less < line.count()) {
                rest.add(line.times(line.count() - less));
            }
        }
        return rest;
    }

    /** The same bags with these of their pieces alone; without those that have none of them. */
    static List<Bags> only(List<Bags> lines, Set<PieceKey> keys) {
        return lines.stream()
                .map(line -> new Bags(
                        line.line(),
                        line.count(),
                        line.each().entrySet().stream()
                                .filter(entry -> keys.contains(entry.getKey()))
                                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue))))
                .filter(line -> !line.each().isEmpty())
                .toList();
    }

    /** How many pieces of each kind these bags take together. */
    public static Map<PieceKey, Long> pieces(List<Bags> lines) {
        Map<PieceKey, Long> pieces = new LinkedHashMap<>();
        lines.forEach(line -> line.each()
                .forEach((key, each) ->
                        pieces.merge(key, Math.multiplyExact(each, (long) line.count()), Math::addExact)));
        return pieces;
    }

    private Bags times(int other) {
        return new Bags(line, other, each);
    }
}
