package mardun.app.batch;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import mardun.app.design.RevisionUse;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.log.BenchLog;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.core.estimate.MeasuredEach;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What became of the batches that were planned with each revision of a design. */
@Component
class RevisionBatches implements RevisionUse {

    private final BatchRepository batches;
    private final BenchLog log;
    private final Remembered<DesignId, Map<Integer, Learnt>> learnt;

    RevisionBatches(BatchRepository batches, BenchLog log, Changes changes) {
        this.batches = batches;
        this.log = log;
        learnt = new Remembered<>(changes, "bench_event", "batch", "batch_line");
    }

    /** A line of a batch. */
    private record Line(BatchId batch, int number) {}

    @Override
    @Transactional(readOnly = true)
    public Map<Integer, Made> madeWith(DesignId designId) {
        return batches.madeWith(designId).stream()
                .collect(Collectors.toMap(
                        BatchRepository.MadeWith::revision,
                        with -> new Made(
                                Math.toIntExact(with.batches()),
                                Math.toIntExact(with.bags()),
                                Math.toIntExact(with.lost()))));
    }

    @Override
    @Transactional(readOnly = true)
    public Map<Integer, Learnt> learntWith(DesignId designId) {
        return learnt.get(designId, this::readLearnt);
    }

    private Map<Integer, Learnt> readLearnt(DesignId designId) {
        Map<Line, Integer> revisions = new HashMap<>();
        batches.linesWith(designId)
                .forEach(with -> revisions.put(new Line(new BatchId(with.batch()), with.number()), with.revision()));
        Map<Integer, List<MeasuredEach.Counted>> counted = new HashMap<>();
        for (BenchLog.TimedStep timed : log.timedSteps(designId)) {
            Optional.ofNullable(revisions.get(new Line(timed.batchId(), timed.line())))
                    .ifPresent(revision -> counted.computeIfAbsent(revision, its -> new ArrayList<>())
                            .add(new MeasuredEach.Counted(
                                    timed.step(), timed.bags(), Duration.ofMillis(timed.millis()))));
        }
        Map<Integer, Map<String, Long>> wrong = new HashMap<>();
        for (BenchLog.WentWrong slip : log.wentWrong(designId)) {
            Optional.ofNullable(revisions.get(new Line(slip.batchId(), slip.line())))
                    .ifPresent(revision -> wrong.computeIfAbsent(revision, its -> new TreeMap<>())
                            .merge(slip.reason(), slip.bags(), Long::sum));
        }
        return revisions.values().stream()
                .distinct()
                .collect(Collectors.toMap(
                        revision -> revision,
                        revision -> learnt(
                                counted.getOrDefault(revision, List.of()), wrong.getOrDefault(revision, Map.of()))));
    }

    private static Learnt learnt(List<MeasuredEach.Counted> counted, Map<String, Long> wrong) {
        return new Learnt(
                MeasuredEach.of(counted),
                Math.toIntExact(
                        wrong.values().stream().mapToLong(Long::longValue).sum()),
                wrong.entrySet().stream()
                        .max(Map.Entry.comparingByValue())
                        .map(Map.Entry::getKey)
                        .orElse(""));
    }
}
