package mardun.app.log;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface BenchEventRepository extends JpaRepository<BenchEvent, UUID> {

    @Query("select event.id from BenchEvent event where event.id in :ids")
    Set<UUID> known(Collection<UUID> ids);

    boolean existsByIdAndBatchIdAndKindIn(UUID id, BatchId batchId, Collection<EventKind> kinds);

    /** How many bags were counted at a step of a line. */
    record Count(BatchId batchId, int line, String step, long bags) {}

    @Query("""
            select new mardun.app.log.BenchEventRepository$Count(event.batchId, event.line, event.step, sum(event.bags))
            from BenchEvent event where event.batchId in :batches and event.kind in (WORKED, FINISHED)
            group by event.batchId, event.line, event.step""")
    List<Count> counts(Collection<BatchId> batches);

    /** How many bags were counted at a place, and how long that took. */
    record TimedCount(BatchId batchId, int line, String step, long bags, long millis) {}

    /** What was counted at a place since a moment. */
    @Query("""
            select new mardun.app.log.BenchEventRepository$TimedCount(
                event.batchId, event.line, event.step, sum(event.bags), sum(event.millis))
            from BenchEvent event
            where event.kind = WORKED and event.place = :place and event.happenedAt >= :from
            group by event.batchId, event.line, event.step""")
    List<TimedCount> countsAt(String place, Instant from);

    /** What was counted at the steps of a design, and how long that took. */
    @Query("""
            select new mardun.app.log.BenchLog$TimedStep(
                event.batchId, event.line, event.step, sum(event.bags), sum(event.millis))
            from BenchEvent event where event.designId = :design and event.kind = WORKED
            group by event.batchId, event.line, event.step""")
    List<BenchLog.TimedStep> timedSteps(DesignId design);

    /** As much of that as was corrected or left out afterwards. */
    @Query("""
            select new mardun.app.log.BenchLog$TimedStep(
                event.batchId, event.line, event.step, sum(event.bags), sum(event.millis))
            from BenchEvent event where event.designId = :design and event.kind = WORKED and event.id in (
                select its.ofEvent from BenchEvent its where its.kind in (LEFT_OUT, PUT_RIGHT))
            group by event.batchId, event.line, event.step""")
    List<BenchLog.TimedStep> correctedSteps(DesignId design);

    /** With how many bags of a design something went wrong, and why; what was withdrawn isn't among it. */
    @Query("""
            select new mardun.app.log.BenchLog$WentWrong(event.batchId, event.line, event.reason, sum(event.bags))
            from BenchEvent event where event.designId = :design and event.kind = SLIPPED
            and not exists (select 1 from BenchEvent its where its.kind = WITHDRAWN and its.ofEvent = event.id)
            group by event.batchId, event.line, event.reason""")
    List<BenchLog.WentWrong> wentWrong(DesignId design);

    /** Slips that weren't withdrawn, as far as the bags ended there. */
    @Query("""
            select new mardun.app.log.BenchEventRepository$Count(event.batchId, event.line, event.step, sum(event.bags))
            from BenchEvent event where event.batchId in :batches and event.kind = SLIPPED and event.outcome = SCRAP
            and not exists (select 1 from BenchEvent its where its.kind = WITHDRAWN and its.ofEvent = event.id)
            group by event.batchId, event.line, event.step""")
    List<Count> scrapped(Collection<BatchId> batches);

    /** The slips of a batch that weren't withdrawn, in the order of their days. */
    @Query("""
            select event from BenchEvent event where event.batchId = :batch and event.kind = SLIPPED
            and not exists (select 1 from BenchEvent its where its.kind = WITHDRAWN and its.ofEvent = event.id)
            order by event.happenedAt, event.number""")
    List<BenchEvent> slips(BatchId batch);

    /** What slips are said to have come from, those that are named most first. */
    @Query("""
            select event.reason from BenchEvent event where event.kind = SLIPPED and event.reason <> ''
            group by event.reason order by count(event.id) desc, event.reason""")
    List<String> slipReasons(Limit most);

    /** The last event that says what is on each machine. */
    @Query("""
            select event from BenchEvent event where event.kind = SET_UP and event.number in
            (select max(its.number) from BenchEvent its
             where its.kind = SET_UP and its.place <> '' and its.onMachine is not null group by its.place)""")
    List<BenchEvent> lastSetUps();

    /** What estimates are made from. */
    record Timed(
            UUID id,
            String nameKey,
            DesignId designId,
            String step,
            BatchId batchId,
            EventKind kind,
            int bags,
            long millis,
            boolean slow,
            Instant at,
            UUID ofEvent) {}

    @Query("""
            select new mardun.app.log.BenchEventRepository$Timed(event.id, event.nameKey, event.designId, event.step,
                event.batchId, event.kind, event.bags, event.millis, event.slow, event.happenedAt, event.ofEvent)
            from BenchEvent event where event.nameKey in :names order by event.happenedAt, event.number""")
    List<Timed> timed(Collection<String> names);

    /** What was said of events, in the order in which it was said. */
    @Query("select event from BenchEvent event where event.ofEvent in :events order by event.number")
    List<BenchEvent> about(Collection<UUID> events);

    List<BenchEvent> findByBatchIdOrderByHappenedAtAscNumberAsc(BatchId batch);

    List<BenchEvent> findByHappenedAtGreaterThanEqualAndHappenedAtLessThanOrderByHappenedAtAscNumberAsc(
            Instant from, Instant until);

    @Query("""
            select event from BenchEvent event where event.designId = :design and event.nameKey = :name
            and event.kind = WORKED order by event.happenedAt, event.number""")
    List<BenchEvent> worked(DesignId design, String name);

    /** What happened before a moment, the newest first. */
    List<BenchEvent> findByHappenedAtLessThanOrderByHappenedAtDescNumberDesc(Instant until, Limit most);

    /** The same of one kind. */
    List<BenchEvent> findByKindAndHappenedAtLessThanOrderByHappenedAtDescNumberDesc(
            EventKind kind, Instant until, Limit most);

    /** What is looked for in an event. */
    record Worded(
            UUID id, long number, Instant at, BatchId batchId, DesignId designId, String stepName, String reason) {}

    /** What came in after one, in its order. */
    @Query("""
            select new mardun.app.log.BenchEventRepository$Worded(
                event.id, event.number, event.happenedAt, event.batchId, event.designId, event.stepName, event.reason)
            from BenchEvent event where event.number > :number order by event.number""")
    List<Worded> wordedAfter(long number);

    /** Some events, the newest first. */
    List<BenchEvent> findByIdInOrderByHappenedAtDescNumberDesc(Collection<UUID> ids);

    /** Hands-on time since a moment, without what was left out. */
    @Query("""
            select coalesce(sum(event.millis), 0) from BenchEvent event
            where event.happenedAt >= :from and event.kind in (WORKED, SET_UP)
            and not exists (select 1 from BenchEvent its where its.kind = LEFT_OUT and its.ofEvent = event.id)""")
    long millisSince(Instant from);

    @Query("select min(event.happenedAt) from BenchEvent event where event.kind in (WORKED, SET_UP)")
    Optional<Instant> firstWorked();

    /** Hands-on time of a kind at a place since a moment, without what was left out. */
    @Query("""
            select coalesce(sum(event.millis), 0) from BenchEvent event
            where event.kind = :kind and event.place = :place and event.happenedAt >= :from
            and not exists (select 1 from BenchEvent its where its.kind = LEFT_OUT and its.ofEvent = event.id)""")
    long millisAt(EventKind kind, String place, Instant from);
}
