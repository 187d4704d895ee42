package mardun.core.making;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What of a batch is still to be done: every operation for the bags that it isn't counted for and that aren't finished; the cutting for all
 * bags as long as some of the cloth is to be cut, and none of it after that. What is spent only once, whatever the number of bags, is done
 * when the first bag is.
 *
 * @param operations with the parts that are left of them
 */
public record StillToDo(List<Operation> operations) {

    public StillToDo {
        operations = List.copyOf(operations);
    }

    /**
     * How far a batch is.
     *
     * @param open how many bags of each line aren't finished, by its number
     * @param isToCut some of its cloth isn't cut yet
     * @param anyDone at least one bag is finished
     * @param counted for how many bags steps were counted at the bench
     */
    public record Progress(Map<Integer, Integer> open, boolean isToCut, boolean anyDone, Counted counted) {}

    /** What is left of a batch's operations. */
    public static StillToDo of(List<Operation> operations, Progress progress) {
        Map<Integer, Map<String, Set<String>>> before =
                progress.counted().scrapped().isEmpty() ? Map.of() : before(operations);
        return new StillToDo(operations.stream()
                .filter(operation -> progress.isToCut() || operation.step().stage() != Stage.CUT)
                .map(operation -> operation.parts().stream()
                        .filter(part -> progress.open().get(part.line()) > 0)
                        .map(part -> left(part, progress, before.getOrDefault(part.line(), Map.of())))
                        .filter(part -> part.units() > 0)
                        .toList())
                .filter(parts -> !parts.isEmpty())
                .map(Operation::new)
                .filter(operation -> !isSpent(operation, progress))
                .toList());
    }

    /** What comes before which step in each line. */
    private static Map<Integer, Map<String, Set<String>>> before(List<Operation> operations) {
        Map<Integer, List<Step>> byLine = operations.stream()
                .flatMap(operation -> operation.parts().stream())
                .collect(Collectors.groupingBy(
                        Operation.Part::line, Collectors.mapping(Operation.Part::step, Collectors.toList())));
        return byLine.entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, line -> StepsBefore.all(line.getValue())));
    }

    private static Operation.Part left(Operation.Part part, Progress progress, Map<String, Set<String>> before) {
        int open = part.step().stage() == Stage.CUT
                ? part.units()
                : progress.open().get(part.line());
        int lost = progress.counted().lostTo(part.line(), part.step().key(), before);
        return part.left(part.units() - lost, open, progress.counted());
    }

    /** What is done once, whatever the number of bags, and was done with the first of them. */
    private static boolean isSpent(Operation operation, Progress progress) {
        return operation.sewing().isZero()
                && (progress.anyDone()
                        || operation.parts().stream()
                                .anyMatch(part -> progress.counted()
                                                .of(part.line(), part.step().key())
                                        > 0));
    }

    /** Hands-on time of all of it. */
    public Duration time() {
        return operations.stream().map(Operation::time).reduce(Duration.ZERO, Duration::plus);
    }
}
