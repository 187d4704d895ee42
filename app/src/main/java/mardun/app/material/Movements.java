package mardun.app.material;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.app.id.BatchId;
import mardun.app.id.LotId;
import mardun.core.material.Part;
import org.jspecify.annotations.Nullable;

/**
 * The movements of a material in the order in which they happened. What they add up to is worked out once, however often it is asked: after
 * years there are thousands of a zip that is in every bag.
 */
final class Movements {

    static final Movements NONE = new Movements(List.of());

    private final List<StockMovement> all;
    private volatile @Nullable Sums sums;

    private Movements(List<StockMovement> all) {
        this.all = all;
    }

    /** What movements add up to; of the roll or the whole, and of offcuts and precuts. */
    private static final class Sums {

        private final Map<Part, Long> onHand = new EnumMap<>(Part.class);
        private final Map<LotId, Long> ofLots = new HashMap<>();
        private final Map<Part, Long> ofNoLot = new EnumMap<>(Part.class);
        private final Map<BatchId, List<StockMovement>> ofBatches = new HashMap<>();
        private final Map<Long, StockMovement> byId = new HashMap<>();
        private long pieces;
        private long last;

        private Sums(List<StockMovement> movements) {
            movements.forEach(this::add);
        }

        private void add(StockMovement movement) {
            long change = movement.changeValue();
            if (movement.isOfPieces()) {
                pieces += change;
            } else {
                onHand.merge(movement.part(), change, Long::sum);
            }
            movement.lotId()
                    .ifPresentOrElse(
                            lot -> ofLots.merge(lot, change, Long::sum),
                            () -> ofNoLot.merge(movement.part(), change, Long::sum));
            movement.batchId()
                    .ifPresent(batch -> ofBatches
                            .computeIfAbsent(batch, its -> new ArrayList<>())
                            .add(movement));
            byId.put(movement.id(), movement);
            last = Math.max(last, movement.id());
        }
    }

    /** Some movements, in whatever order they are read. */
    static Movements of(Collection<StockMovement> some) {
        return some.isEmpty() ? NONE : new Movements(List.copyOf(EntryOrder.of(List.copyOf(some))));
    }

    /** The same and some more. */
    Movements with(Collection<StockMovement> more) {
        List<StockMovement> together = new ArrayList<>(all);
        together.addAll(more);
        return of(together);
    }

    /** Those that happened before a moment. */
    Movements before(Instant until) {
        return new Movements(
                all.stream().filter(one -> one.movedAt().isBefore(until)).toList());
    }

    private Sums sums() {
        Sums known = sums;
        if (known == null) {
            known = new Sums(all);
            sums = known;
        }
        return known;
    }

    List<StockMovement> all() {
        return all;
    }

    int size() {
        return all.size();
    }

    /** The highest number; 0 where there is none. */
    long last() {
        return sums().last;
    }

    /** What is there of a part, without offcuts and precuts. */
    long onHand(Part part) {
        return sums().onHand.getOrDefault(part, 0L);
    }

    /** How many offcuts and precuts there are. */
    long pieces() {
        return sums().pieces;
    }

    /** What came to a lot, less what was taken of it. */
    long ofLot(LotId lot) {
        return sums().ofLots.getOrDefault(lot, 0L);
    }

    /** What was taken of a part before it had been entered; below zero where more came than was taken. */
    long owed(Part part) {
        return -sums().ofNoLot.getOrDefault(part, 0L);
    }

    /** Those of a batch. */
    List<StockMovement> of(BatchId batch) {
        return sums().ofBatches.getOrDefault(batch, List.of());
    }

    Optional<StockMovement> find(long id) {
        return Optional.ofNullable(sums().byId.get(id));
    }
}
