package mardun.app.log;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.show.SearchWords;
import mardun.app.stored.Changes;
import mardun.app.stored.WordedLog;
import mardun.app.stored.WordedLog.Worded;
import org.springframework.stereotype.Component;

/** The words of all that happened at the bench: its steps and reasons. */
@Component
class EventWords {

    private static final Pattern NUMBER = Pattern.compile("[1-9]\\d{0,8}");

    private final WordedLog<Event> log;

    EventWords(BenchEventRepository events, Changes changes) {
        log = new WordedLog<>(
                changes,
                "bench_event",
                number -> events.wordedAfter(number).stream()
                        .map(one -> new Worded<>(
                                new Event(one.id(), one.batchId(), one.designId()),
                                one.number(),
                                one.at(),
                                one.stepName() + " " + one.reason()))
                        .toList());
    }

    private record Event(UUID id, BatchId batch, DesignId design) {}

    /**
     * The newest before a moment in which something is found.
     *
     * @param query words of a step or a reason, in their order, or the number of a batch
     * @param designs those whose events are wanted, whatever is said of them
     */
    List<UUID> found(Instant until, String query, Collection<DesignId> designs, int most) {
        Set<DesignId> wanted = Set.copyOf(designs);
        Optional<BatchId> batch = batch(query.strip());
        return log
                .found(
                        until,
                        SearchWords.pattern(query),
                        event -> wanted.contains(event.design())
                                || batch.filter(event.batch()::equals).isPresent(),
                        most)
                .stream()
                .map(Event::id)
                .toList();
    }

    private static Optional<BatchId> batch(String number) {
        return NUMBER.matcher(number).matches() ? Optional.of(BatchId.valueOf(number)) : Optional.empty();
    }
}
