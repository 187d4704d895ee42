package mardun.app.material;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * The order in which movements happened. It is that in which they were entered, whatever the machine's clock said: nothing can be taken
 * before it came only because the clock was set back in between. What came on a day that is past was there from that day on.
 */
final class EntryOrder {

    private record Placed(Instant at, StockMovement movement) {}

    private EntryOrder() {}

    static List<StockMovement> of(List<StockMovement> movements) {
        List<StockMovement> entered = new ArrayList<>(movements);
        entered.sort(Comparator.comparing(StockMovement::id));
        List<Placed> placed = new ArrayList<>();
        Instant latest = Instant.MIN;
        for (StockMovement movement : entered) {
            boolean came = movement.changeValue() > 0;
            Instant at = came || movement.movedAt().isAfter(latest) ? movement.movedAt() : latest;
            latest = at.isAfter(latest) ? at : latest;
            placed.add(new Placed(at, movement));
        }
        placed.sort(Comparator.comparing(Placed::at)
                .thenComparing(one -> one.movement().id()));
        return placed.stream().map(Placed::movement).toList();
    }
}
