package mardun.core.batch;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.material.Amount;
import mardun.core.material.Part;
import org.joda.money.Money;

/**
 * What some bags more or fewer of a line change: not the average, but what is really taken and spent beside what is anyway. Both
 * plans are made by the pencil, so that they compare with one another.
 *
 * @param money what the whole batch costs more; below zero if it costs less
 * @param time hands-on, for the whole batch
 * @param materials what is taken more of each material; none of those of which it is as much
 */
public record Marginal(Money money, Duration time, List<Change> materials) {

    /** So much more of a material, or less. */
    public record Change(Supply supply, Part part, Amount more) {}

    private record Of(String key, Part part) {}

    /**
     * The change from a batch as it is to one with another number of bags of a line.
     *
     * @param lines of the batch as it is
     * @param number of the line
     * @param by how many more, or fewer where it is below zero
     * @return empty where either can't be worked out, or none would be left
     */
    public static Optional<Marginal> of(
            BatchPlanner planner, List<BatchLine> lines, int number, int by, Workroom workroom) {
        List<BatchLine> others = new ArrayList<>();
        for (BatchLine line : lines) {
            int units = line.number() == number ? line.units() + by : line.units();
            if (units > 0) {
                others.add(line.withUnits(units));
            }
        }
        if (others.isEmpty()) {
            return Optional.empty();
        }
        BatchPlan now = planner.plan(lines, workroom);
        BatchPlan then = planner.plan(others, workroom);
        if (now.cost().isEmpty() || then.cost().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Marginal(
                then.cost().get().minus(now.cost().get()),
                then.time().asBatch().value().minus(now.time().asBatch().value()),
                changes(now, then)));
    }

    private static List<Change> changes(BatchPlan now, BatchPlan then) {
        Map<Of, Change> changes = new LinkedHashMap<>();
        then.needs()
                .forEach(need -> changes.put(
                        new Of(need.supply().key(), need.part()),
                        new Change(need.supply(), need.part(), need.amount())));
        now.needs().forEach(need -> {
            Of of = new Of(need.supply().key(), need.part());
            Amount before = Optional.ofNullable(changes.get(of))
                    .map(Change::more)
                    .orElseGet(() -> Amount.none(need.amount().counting()));
            changes.put(of, new Change(need.supply(), need.part(), before.minus(need.amount())));
        });
        return changes.values().stream()
                .filter(change -> change.more().value() != 0)
                .toList();
    }
}
