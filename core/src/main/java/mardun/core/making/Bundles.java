package mardun.core.making;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Bags that go through all seams together before the next ones are begun: so many in each bundle, line after line; the very first by itself
 * where one is sewn first. Bags that are further than others at a step are the first of their line.
 */
final class Bundles {

    /** Of what isn't done in bundles, such as the cutting. */
    static final int NONE = -1;

    private final int size;
    /** How many are in the first bundle. */
    private final int first;

    private final Map<Integer, Integer> bags = new TreeMap<>();
    private final Map<Integer, Integer> firstOf = new TreeMap<>();

    /**
     * The bundles of what is still to be done.
     *
     * @param size how many bags are in each, at least one
     * @param oneFirst one bag is sewn before all others
     */
    Bundles(List<Operation> operations, int size, boolean oneFirst) {
        this.size = size;
        this.first = oneFirst ? 1 : size;
        operations.stream()
                .filter(Bundles::isBundled)
                .flatMap(operation -> operation.parts().stream())
                .forEach(part -> bags.merge(part.line(), part.units(), Math::max));
        int next = 0;
        for (Map.Entry<Integer, Integer> line : bags.entrySet()) {
            firstOf.put(line.getKey(), next);
            next += line.getValue();
        }
    }

    /** Cloth is cut for all bags, whatever is sewn when. */
    private static boolean isBundled(Operation operation) {
        return operation.step().stage() != Stage.CUT;
    }

    /** The parts of an operation by their bundles, in the order of these. */
    Map<Integer, List<Operation.Part>> of(Operation operation) {
        if (!isBundled(operation)) {
            return Map.of(NONE, operation.parts());
        }
        Map<Integer, List<Operation.Part>> byBundle = new TreeMap<>();
        for (Operation.Part part : operation.parts()) {
            int end = firstOf.get(part.line()) + bags.get(part.line());
            int from = end - part.units();
            while (from < end) {
                int bundle = from < first ? 0 : 1 + (from - first) / size;
                int to = (int) Math.min(end, first + (long) bundle * size);
                byBundle.computeIfAbsent(bundle, its -> new ArrayList<>()).add(part.of(to - from));
                from = to;
            }
        }
        return byBundle;
    }
}
