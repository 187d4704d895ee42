package mardun.app.log;

import java.time.Instant;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.show.SearchWords;
import mardun.app.stored.Changes;
import org.springframework.stereotype.Component;

/**
 * The words of all that happened at the bench, so that it is found by them without reading all of it: few steps and reasons are said of
 * many events. The log only grows, so what came since the last time is read and no more.
 */
@Component
class EventWords {

    /** Events may be numbered in another order than they are seen in: so many of the last are looked at again. */
    private static final long SEEN_AGAIN = 1_000;

    private static final Pattern NUMBER = Pattern.compile("[1-9]\\d{0,8}");

    private static final Comparator<Said> IN_ORDER =
            Comparator.comparing(Said::at).thenComparing(Said::number);

    private final BenchEventRepository events;
    private final Changes changes;
    private volatile Known known = new Known(-1, 0, List.of(), Map.of());

    EventWords(BenchEventRepository events, Changes changes) {
        this.events = events;
        this.changes = changes;
    }

    /**
     * An event with what is looked for in it.
     *
     * @param words which of the known words are said of it
     */
    private record Said(UUID id, long number, Instant at, BatchId batch, DesignId design, int words) {}

    /**
     * What is known of the log.
     *
     * @param count how often the log had changed
     * @param last the highest number
     * @param said in the order of their days
     * @param words steps with reasons, by their places
     */
    private record Known(long count, long last, List<Said> said, Map<String, Integer> words) {}

    /**
     * The newest before a moment in which something is found.
     *
     * @param query words of a step or a reason, in their order, or the number of a batch
     * @param designs those whose events are wanted, whatever is said of them
     */
    List<UUID> found(Instant until, String query, Collection<DesignId> designs, int most) {
        Known now = known();
        BitSet matching = matching(now.words(), query);
        Set<DesignId> wanted = Set.copyOf(designs);
        Optional<BatchId> batch = batch(query.strip());
        List<UUID> found = new ArrayList<>();
        for (int i = now.said().size() - 1; i >= 0 && found.size() < most; i--) {
            Said said = now.said().get(i);
            boolean isWanted = matching.get(said.words())
                    || wanted.contains(said.design())
                    || batch.filter(said.batch()::equals).isPresent();
            if (isWanted && said.at().isBefore(until)) {
                found.add(said.id());
            }
        }
        return found;
    }

    private static Optional<BatchId> batch(String number) {
        return NUMBER.matcher(number).matches() ? Optional.of(BatchId.valueOf(number)) : Optional.empty();
    }

    private static BitSet matching(Map<String, Integer> words, String query) {
        Pattern pattern = SearchWords.pattern(query);
        BitSet matching = new BitSet();
        words.forEach((said, place) -> {
            if (pattern.matcher(said).find()) {
                matching.set(place);
            }
        });
        return matching;
    }

    private Known known() {
        long count = changes.countOf("bench_event");
        Known before = known;
        if (before.count() == count && !changes.isChanging()) {
            return before;
        }
        Known now = with(before, count);
        if (!changes.isChanging()) {
            known = now;
        }
        return now;
    }

    private Known with(Known before, long count) {
        long from = before.last() - SEEN_AGAIN;
        Set<Long> seen = new HashSet<>();
        before.said().stream().map(Said::number).filter(number -> number > from).forEach(seen::add);
        List<Said> said = new ArrayList<>(before.said());
        Map<String, Integer> words = new HashMap<>(before.words());
        long last = before.last();
        for (BenchEventRepository.Worded event : events.wordedAfter(from)) {
            if (seen.add(event.number())) {
                int place = words.computeIfAbsent(event.stepName() + " " + event.reason(), its -> words.size());
                said.add(new Said(event.id(), event.number(), event.at(), event.batchId(), event.designId(), place));
                last = Math.max(last, event.number());
            }
        }
        said.sort(IN_ORDER);
        return new Known(count, last, said, words);
    }
}
