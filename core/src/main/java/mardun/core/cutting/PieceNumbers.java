package mardun.core.cutting;

import java.util.HashMap;
import java.util.Map;

/**
 * Numbers the pieces of a batch in the order in which they are cut: each kind from 1 on, and as many of each kind as one bag
 * takes make the first bag, the next ones the second, and so on.
 */
public final class PieceNumbers {

    private final Map<String, Long> each;
    private final Map<String, Integer> last = new HashMap<>();

    /**
     * Begins to count.
     *
     * @param each how many pieces of each letter one bag takes, one or more
     */
    public PieceNumbers(Map<String, Long> each) {
        this.each = Map.copyOf(each);
    }

    /**
     * A piece's number among its kind.
     *
     * @param bag the bag it belongs to, from 1 on; 0 for one that is cut once more, which goes where one is missing
     */
    public record Number(int ofItsKind, int bag) {}

    /** The number of the next piece of a kind. */
    public Number next(String letter) {
        int number = last.merge(letter, 1, Integer::sum);
        return new Number(number, Math.toIntExact((number - 1) / each.getOrDefault(letter, 1L)) + 1);
    }

    /** The number of a piece that is cut once more. */
    public Number again(String letter) {
        return new Number(last.merge(letter, 1, Integer::sum), 0);
    }
}
