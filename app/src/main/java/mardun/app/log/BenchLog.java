package mardun.app.log;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.core.making.Counted;
import mardun.core.making.SetUp;
import mardun.core.making.Standing;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What happened at the bench. It only grows; counts and times follow from all of it, in whatever order it came. */
@Service
public class BenchLog {

    private final BenchEventRepository events;
    private final Estimates estimates;

    BenchLog(BenchEventRepository events, Estimates estimates) {
        this.events = events;
        this.estimates = estimates;
    }

    /** A line of a batch: its design, and how many of its bags are finished. */
    public record LoggedLine(DesignId design, int finished) {}

    /**
     * Keeps what isn't known yet. Whoever calls holds the batch, so that the same entries that come twice at once are kept once. Bags
     * that were finished without being counted at a step are counted there before others are.
     *
     * @param entries of one batch
     * @param lines of the batch, by their numbers
     */
    @Transactional
    public void keep(List<LogEntry> entries, Map<Integer, LoggedLine> lines) {
        if (entries.isEmpty()) {
            return;
        }
        Set<UUID> known =
                new HashSet<>(events.known(entries.stream().map(LogEntry::id).toList()));
        Map<String, SetUp> on = new HashMap<>(standing().on());
        BatchId batch = entries.get(0).batchId();
        Counted counted = counted(List.of(batch)).getOrDefault(batch, Counted.NOTHING);
        Set<Counted.Place> lookedAt = new HashSet<>();
        for (LogEntry entry : entries) {
            if (!known.add(entry.id())) {
                continue;
            }
            LoggedLine line = lines.get(entry.line());
            int uncounted = line.finished() - counted.of(entry.line(), entry.step());
            boolean isFirst =
                    entry.kind() == EventKind.WORKED && lookedAt.add(new Counted.Place(entry.line(), entry.step()));
            if (isFirst && uncounted > 0) {
                events.save(new BenchEvent(entry.finished(uncounted), line.design(), null));
            }
            events.save(event(entry, line.design(), on));
        }
        events.flush();
        estimates.forget(entries.stream().map(LogEntry::stepName).toList());
    }

    private static BenchEvent event(LogEntry entry, DesignId design, Map<String, SetUp> on) {
        if (entry.kind() != EventKind.SET_UP || entry.puts() == null) {
            return new BenchEvent(entry, design, null);
        }
        SetUp after = new SetUp(entry.puts(), "", false).after(on.getOrDefault(entry.place(), SetUp.NONE));
        on.put(entry.place(), after);
        return new BenchEvent(entry, design, after.on());
    }

    /** What is on each machine now: what was put on last, and what stayed. */
    @Transactional(readOnly = true)
    public Standing standing() {
        Map<String, SetUp> on = new HashMap<>();
        events.lastSetUps().forEach(event -> on.put(event.place(), new SetUp(event.onMachine(), "", false)));
        return new Standing(on);
    }

    /** What was counted of some batches. */
    @Transactional(readOnly = true)
    public Map<BatchId, Counted> counted(Collection<BatchId> batches) {
        if (batches.isEmpty()) {
            return Map.of();
        }
        return events.counts(batches).stream()
                .collect(Collectors.groupingBy(
                        BenchEventRepository.Count::batchId,
                        Collectors.collectingAndThen(
                                Collectors.toMap(
                                        count -> new Counted.Place(count.line(), count.step()),
                                        count -> Math.toIntExact(count.bags())),
                                Counted::new)));
    }
}
