package mardun.app.days;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.batch.BatchReading;
import mardun.app.batch.OpenWork;
import mardun.app.days.DayPlans.Laid;
import mardun.app.days.DayViews.SlippedBatch;
import mardun.app.id.BatchId;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What has moved since the maker last took note of the days: plans follow whatever happens, and say so. */
@Service
public class NotedDays {

    private final NotedDayRepository noted;
    private final BatchReading batches;
    private final DayPlans plans;
    private final Clock clock;

    NotedDays(NotedDayRepository noted, BatchReading batches, DayPlans plans, Clock clock) {
        this.noted = noted;
        this.batches = batches;
        this.plans = plans;
        this.clock = clock;
    }

    /** Takes note of the days as they are now. */
    @Transactional
    public void note() {
        Laid laid = plans.lay(batches.openWork());
        Instant now = clock.instant();
        noted.deleteAllInBatch();
        noted.saveAll(laid.works().stream()
                .map(work -> new NotedDay(work.id(), laid.ready(work), now))
                .toList());
    }

    /** When that was; empty for never. */
    @Transactional(readOnly = true)
    Optional<LocalDate> on() {
        return noted.findAll().stream().findFirst().map(one -> LocalDate.ofInstant(one.notedAt(), clock.getZone()));
    }

    /** The batches that are done on another day by now; those that came since aren't among them. */
    @Transactional(readOnly = true)
    List<SlippedBatch> slipped(Laid laid) {
        Map<BatchId, Optional<LocalDate>> before =
                noted.findAll().stream().collect(Collectors.toMap(NotedDay::batchId, NotedDay::ready));
        return laid.works().stream()
                .filter(work -> !work.paused() && before.containsKey(work.id()))
                .filter(work -> !before.get(work.id()).equals(laid.ready(work)))
                .map(work -> slipped(work, before.get(work.id()), laid))
                .toList();
    }

    private static SlippedBatch slipped(OpenWork work, Optional<LocalDate> before, Laid laid) {
        return new SlippedBatch(
                work.id(), work.name(), before.orElse(null), laid.ready(work).orElse(null), DaysReading.waits(work));
    }
}
