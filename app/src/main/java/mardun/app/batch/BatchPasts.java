package mardun.app.batch;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.app.id.BatchId;
import mardun.app.plan.ChosenLine;
import mardun.app.stored.Changes;
import org.springframework.stereotype.Component;

/**
 * What every batch is made of and what became of it when, kept as it was read as long as its version stays the same: the logbook goes
 * through all of them.
 */
@Component
class BatchPasts {

    private static final int AT_A_TIME = 500;

    private final BatchRepository repository;
    private final Changes changes;
    private volatile Known known = new Known(-1, Map.of());
    private volatile Sorted sorted = new Sorted(Map.of(), List.of());

    BatchPasts(BatchRepository repository, Changes changes) {
        this.repository = repository;
        this.changes = changes;
    }

    private record Known(long count, Map<BatchId, Past> pasts) {}

    /** A batch as the logbook tells of it. */
    record Past(BatchId id, long version, String forWhat, List<ChosenLine> lines, Map<BatchLife.Step, Instant> when) {

        private static Past of(Batch batch) {
            Map<BatchLife.Step, Instant> when = new HashMap<>();
            when.put(BatchLife.Step.PLANNED, batch.createdAt());
            batch.cutAt().ifPresent(at -> when.put(BatchLife.Step.CUT, at));
            Optional<BatchLife.Step> end = switch (batch.stage()) {
                case FINISHED -> Optional.of(BatchLife.Step.FINISHED);
                case DROPPED -> Optional.of(BatchLife.Step.DROPPED);
                case PLANNED, CUTTING, CUT -> Optional.empty();
            };
            end.ifPresent(step -> batch.finishedAt().ifPresent(at -> when.put(step, at)));
            return new Past(
                    batch.id(),
                    batch.version(),
                    batch.forWhat(),
                    batch.lines().stream().map(StoredLine::chosen).toList(),
                    Map.copyOf(when));
        }

        List<PastMoment> moments() {
            return when.entrySet().stream()
                    .map(one -> new PastMoment(this, one.getKey(), one.getValue()))
                    .toList();
        }
    }

    /** Something that happened to a batch as a whole. */
    record PastMoment(Past past, BatchLife.Step step, Instant at) {}

    /** What happened to all batches, sorted once for as long as none changes. */
    private record Sorted(Map<BatchId, Past> of, List<PastMoment> newestFirst) {}

    /** What happened to all batches, the newest first; the caller has a transaction. */
    List<PastMoment> newestFirst() {
        Map<BatchId, Past> all = all();
        Sorted last = sorted;
        if (last.of() != all) {
            last = new Sorted(
                    all,
                    all.values().stream()
                            .flatMap(past -> past.moments().stream())
                            .sorted(Comparator.comparing(PastMoment::at).reversed())
                            .toList());
            sorted = last;
        }
        return last.newestFirst();
    }

    /** All batches; the caller has a transaction. */
    Map<BatchId, Past> all() {
        long count = changes.countOf("batch");
        Known last = known;
        if (last.count() == count && !changes.isChanging()) {
            return last.pasts();
        }
        Map<BatchId, Past> pasts = new HashMap<>();
        List<Long> other = new ArrayList<>();
        for (BatchVersion now : repository.versions()) {
            Past past = last.pasts().get(new BatchId(now.id()));
            if (past != null && past.version() == now.version()) {
                pasts.put(past.id(), past);
            } else {
                other.add(now.id());
            }
        }
        for (int from = 0; from < other.size(); from += AT_A_TIME) {
            repository.findAllById(other.subList(from, Math.min(other.size(), from + AT_A_TIME))).stream()
                    .map(Past::of)
                    .forEach(past -> pasts.put(past.id(), past));
        }
        if (!changes.isChanging()) {
            known = new Known(count, Map.copyOf(pasts));
        }
        return pasts;
    }

    /** At which version a batch is. */
    record BatchVersion(long id, long version) {}
}
