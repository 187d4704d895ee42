package mardun.core.making;

import java.time.Duration;
import java.util.List;
import java.util.Map;

/**
 * What of a batch is still to be done: every operation for the bags that aren't done; the cutting for all bags as long as some of
 * the cloth is to be cut, and none of it after that. What is spent only once, whatever the number of bags, is done when the first
 * bag is.
 *
 * @param operations with the parts that are left of them
 */
public record StillToDo(List<Operation> operations) {

    public StillToDo {
        operations = List.copyOf(operations);
    }

    /**
     * What is left of a batch's operations.
     *
     * @param open how many bags of each line aren't done, by its number
     * @param isToCut some of its cloth isn't cut yet
     * @param anyDone at least one bag is done
     */
    public static StillToDo of(
            List<Operation> operations, Map<Integer, Integer> open, boolean isToCut, boolean anyDone) {
        return new StillToDo(operations.stream()
                .filter(operation -> isToCut || operation.step().stage() != Stage.CUT)
                .map(operation -> operation.parts().stream()
                        .filter(part -> open.get(part.line()) > 0)
                        .map(part -> part.step().stage() == Stage.CUT ? part : part.of(open.get(part.line())))
                        .toList())
                .filter(parts -> !parts.isEmpty())
                .map(Operation::new)
                .filter(operation -> !anyDone || !operation.sewing().isZero())
                .toList());
    }

    /** Hands-on time of all of it. */
    public Duration time() {
        return operations.stream().map(Operation::time).reduce(Duration.ZERO, Duration::plus);
    }
}
