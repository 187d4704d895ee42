package mardun.core.cutting;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Numbers the pieces of a batch in the order in which they are cut: each kind from 1 on, and as many of each kind as one bag
 * takes make the first bag, the next ones the second, and so on, line by line.
 */
public final class PieceNumbers {

    private final List<Bags> lines;
    private final Map<PieceKey, Integer> last = new HashMap<>();

    /** Begins to count. */
    public PieceNumbers(List<Bags> lines) {
        this.lines = List.copyOf(lines);
    }

    /**
     * A piece's number among its kind.
     *
     * @param line of the bag it belongs to; 0 for one that is cut once more, which goes where one is missing
     * @param bag the bag it belongs to, from 1 on in its line; 0 for one that is cut once more
     */
    public record Number(int ofItsKind, int line, int bag) {}

    /** The number of the next piece of a kind. */
    public Number next(PieceKey kind) {
        int number = last.merge(kind, 1, Integer::sum);
        long before = 0;
        for (Bags line : lines) {
            long each = line.each().getOrDefault(kind, 0L);
            long its = each * line.count();
            if (number <= before + its) {
                return new Number(number, line.line(), Math.toIntExact((number - before - 1) / each) + 1);
            }
            before += its;
        }
        return new Number(number, 0, 0);
    }

    /** The number of a piece that is cut once more. */
    public Number again(PieceKey kind) {
        return new Number(last.merge(kind, 1, Integer::sum), 0, 0);
    }
}
