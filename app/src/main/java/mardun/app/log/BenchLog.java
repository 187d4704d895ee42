package mardun.app.log;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.stored.RememberedApart;
import mardun.core.making.Counted;
import mardun.core.making.SetUp;
import mardun.core.making.Standing;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What happened at the bench. It only grows; counts and times follow from all of it, in whatever order it came. */
@Service
public class BenchLog {

    /** Those that are open, and some that are looked at. */
    private static final int BATCHES = 200;

    private final BenchEventRepository events;
    private final SlipMovementRepository movements;
    private final SlipRecutRepository recuts;
    private final Estimates estimates;
    private final EventWords words;
    private final HoursByMonth hours;
    private final RememberedApart<BatchId, Counted> counts = new RememberedApart<>(BATCHES);

    BenchLog(
            BenchEventRepository events,
            SlipMovementRepository movements,
            SlipRecutRepository recuts,
            Estimates estimates,
            EventWords words,
            HoursByMonth hours) {
        this.events = events;
        this.movements = movements;
        this.recuts = recuts;
        this.estimates = estimates;
        this.words = words;
        this.hours = hours;
    }

    /** Which of these entries aren't known yet. */
    @Transactional(readOnly = true)
    public List<LogEntry> unknown(List<LogEntry> entries) {
        if (entries.isEmpty()) {
            return List.of();
        }
        Set<UUID> known = events.known(entries.stream().map(LogEntry::id).toList());
        return entries.stream().filter(entry -> known.add(entry.id())).toList();
    }

    /** A line of a batch: its design, and how many of its bags are finished. */
    public record LoggedLine(DesignId design, int finished) {}

    /**
     * Keeps what isn't known yet. Whoever calls holds the batch, so that the same entries that come twice at once are kept once. Bags
     * that were finished without being counted at a step are counted there before others are.
     *
     * @param entries of one batch, none of them known
     * @param lines of the batch, by their numbers
     */
    @Transactional
    public void keep(List<LogEntry> entries, Map<Integer, LoggedLine> lines) {
        if (entries.isEmpty()) {
            return;
        }
        Map<String, SetUp> on = new HashMap<>(standing().on());
        BatchId batch = entries.get(0).batchId();
        counts.writes(batch);
        Counted counted = counted(List.of(batch)).getOrDefault(batch, Counted.NOTHING);
        Set<Counted.Place> lookedAt = new HashSet<>();
        List<BenchEvent> kept = new ArrayList<>();
        for (LogEntry entry : entries) {
            LoggedLine line = lines.get(entry.line());
            // What was scrapped here is done as well, and wasn't done at all steps.
            int uncounted = line.finished() - counted.scrapped(entry.line()) - counted.of(entry.line(), entry.step());
            boolean isFirst =
                    entry.kind() == EventKind.WORKED && lookedAt.add(new Counted.Place(entry.line(), entry.step()));
            if (isFirst && uncounted > 0) {
                kept.add(new BenchEvent(entry.finished(uncounted), line.design(), null));
            }
            kept.add(event(entry, line.design(), on));
        }
        entries.forEach(hours::writes);
        events.saveAllAndFlush(kept);
        estimates.add(kept.stream().map(BenchEvent::timed).toList());
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

    /** What was counted at a step of a line, and how long that took. */
    public record TimedStep(BatchId batchId, int line, String step, long bags, long millis) {

        private record Place(BatchId batchId, int line, String step) {}

        private Place place() {
            return new Place(batchId, line, step);
        }

        private TimedStep plus(TimedStep other) {
            return new TimedStep(batchId, line, step, bags + other.bags, millis + other.millis);
        }

        private TimedStep takenOff() {
            return new TimedStep(batchId, line, step, -bags, -millis);
        }
    }

    /** What was counted at the steps of a design, and how long that took; without times that were corrected or left out. */
    @Transactional(readOnly = true)
    public List<TimedStep> timedSteps(DesignId design) {
        List<TimedStep> corrected = events.correctedSteps(design);
        return corrected.isEmpty()
                ? events.timedSteps(design)
                : Stream.concat(
                                events.timedSteps(design).stream(),
                                corrected.stream().map(TimedStep::takenOff))
                        .collect(Collectors.toMap(TimedStep::place, one -> one, TimedStep::plus))
                        .values()
                        .stream()
                        .filter(one -> one.bags() != 0 || one.millis() != 0)
                        .toList();
    }

    /** With how many bags of a line something went wrong for a reason. */
    public record WentWrong(BatchId batchId, int line, String reason, long bags) {}

    /** With how many bags of a design something went wrong, and why. */
    @Transactional(readOnly = true)
    public List<WentWrong> wentWrong(DesignId design) {
        return events.wentWrong(design);
    }

    /** What was counted of some batches. */
    @Transactional(readOnly = true)
    public Map<BatchId, Counted> counted(Collection<BatchId> batches) {
        List<BatchId> asked = List.copyOf(batches);
        List<Counted> known = counts.get(asked, this::readCounts);
        Map<BatchId, Counted> found = new HashMap<>();
        for (int i = 0; i < asked.size(); i++) {
            found.put(asked.get(i), known.get(i));
        }
        return found;
    }

    private Map<BatchId, Counted> readCounts(List<BatchId> batches) {
        Map<BatchId, Map<Counted.Place, Integer>> bags = byPlace(events.counts(batches));
        Map<BatchId, Map<Counted.Place, Integer>> scrapped = byPlace(events.scrapped(batches));
        return batches.stream()
                .distinct()
                .collect(Collectors.toMap(
                        batch -> batch,
                        batch -> new Counted(
                                bags.getOrDefault(batch, Map.of()), scrapped.getOrDefault(batch, Map.of()))));
    }

    private static Map<BatchId, Map<Counted.Place, Integer>> byPlace(List<BenchEventRepository.Count> counts) {
        return counts.stream()
                .collect(Collectors.groupingBy(
                        BenchEventRepository.Count::batchId,
                        Collectors.toMap(
                                count -> new Counted.Place(count.line(), count.step()),
                                count -> Math.toIntExact(count.bags()))));
    }

    /**
     * Something that went wrong with some bags.
     *
     * @param outcome how it ended
     * @param mending hands-on time that mending took
     */
    public record Slip(
            UUID id,
            int line,
            String step,
            String stepName,
            int bags,
            SlipOutcome outcome,
            String reason,
            Duration mending,
            Instant at) {}

    /** What went wrong in a batch and wasn't withdrawn. */
    @Transactional(readOnly = true)
    public List<Slip> slips(BatchId batch) {
        return events.slips(batch).stream().map(BenchEvent::slip).toList();
    }

    /** With which movements slips took material from the shelf is kept, by the slips' ids. */
    @Transactional
    public void keepMovements(Map<UUID, List<Long>> took) {
        took.forEach((slip, ids) -> ids.forEach(id -> movements.save(new SlipMovement(slip, id))));
    }

    /** With which movements a slip took material from the shelf. */
    @Transactional(readOnly = true)
    public List<Long> movements(UUID slip) {
        return movements.findByKeyEventId(slip).stream()
                .map(SlipMovement::movementId)
                .toList();
    }

    /**
     * Pieces of one cloth that were cut once more because of a slip.
     *
     * @param bags how many bags were begun anew with them; 0 where they are for bags that go on
     * @param minor what their cloth cost, less the rests that were kept, in minor units
     * @param says from what they were cut
     */
    public record Recut(MaterialId materialId, int bags, long minor, String says) {}

    /** What was cut once more because of slips is kept, by the slips' ids. */
    @Transactional
    public void keepRecuts(Map<UUID, List<Recut>> cut) {
        cut.forEach((slip, its) -> its.forEach(recut -> recuts.save(new SlipRecut(slip, recut))));
    }

    /** What was cut once more because of some slips, by their ids. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Recut>> recuts(Collection<UUID> slips) {
        return slips.isEmpty()
                ? Map.of()
                : recuts.findByKeyEventIdInOrderByKeyMaterialId(slips).stream()
                        .collect(Collectors.groupingBy(
                                SlipRecut::eventId, Collectors.mapping(SlipRecut::recut, Collectors.toList())));
    }

    /** Whether something that took time was logged in a batch with this id. */
    @Transactional(readOnly = true)
    public boolean isTimeOf(BatchId batch, UUID event) {
        return events.existsByIdAndBatchIdAndKindIn(event, batch, Set.of(EventKind.WORKED, EventKind.SET_UP));
    }

    /** Hands-on time that was logged since a moment. */
    @Transactional(readOnly = true)
    public Duration workedSince(Instant from) {
        return Duration.ofMillis(events.millisSince(from));
    }

    /** When the first hands-on time was logged; empty if none was. */
    @Transactional(readOnly = true)
    public Optional<Instant> firstWorked() {
        return events.firstWorked();
    }

    /** How long was worked at a machine since a moment. */
    @Transactional(readOnly = true)
    public Duration workedAt(String place, Instant from) {
        return Duration.ofMillis(
                events.millisAt(EventKind.WORKED, place, from) + events.millisAt(EventKind.SET_UP, place, from));
    }

    /**
     * Bags that were counted at a step.
     *
     * @param bags how many; below zero where more were taken back than counted
     * @param took hands-on time
     */
    public record DoneThere(BatchId batch, int line, String step, int bags, Duration took) {}

    /** What was counted at a machine since a moment. */
    @Transactional(readOnly = true)
    public List<DoneThere> doneAt(String place, Instant from) {
        return events.countsAt(place, from).stream()
                .map(count -> new DoneThere(
                        count.batchId(),
                        count.line(),
                        count.step(),
                        Math.toIntExact(count.bags()),
                        Duration.ofMillis(count.millis())))
                .toList();
    }

    /** Something that was logged, by its id. */
    @Transactional(readOnly = true)
    public Optional<LoggedTouch> find(UUID id) {
        return told(events.findById(id).stream().toList()).stream().findFirst();
    }

    /** What happened in a batch, in its order, with what was said of it later. */
    @Transactional(readOnly = true)
    public List<LoggedTouch> touches(BatchId batch) {
        return told(events.findByBatchIdOrderByHappenedAtAscNumberAsc(batch));
    }

    /** What happened from one moment until another, in its order. */
    @Transactional(readOnly = true)
    public List<LoggedTouch> touches(Instant from, Instant until) {
        return told(
                events.findByHappenedAtGreaterThanEqualAndHappenedAtLessThanOrderByHappenedAtAscNumberAsc(from, until));
    }

    /**
     * Hands-on time on a day.
     *
     * @param kind of what was logged
     * @param place the machine or the place
     */
    public record Worked(LocalDate day, EventKind kind, String place, Duration time) {}

    /** What was worked from a day until before another, by day, kind and place, the oldest first. */
    @Transactional(readOnly = true)
    public List<Worked> worked(LocalDate from, LocalDate until) {
        return hours.worked(from, until, this::touches);
    }

    /** What was worked at a step of a design, by the step's name, in its order. */
    @Transactional(readOnly = true)
    public List<LoggedTouch> worked(DesignId design, String stepName) {
        return told(events.worked(design, SetUp.plain(stepName)));
    }

    /** What happened before a moment, the newest first. */
    @Transactional(readOnly = true)
    public List<LoggedTouch> before(Instant until, int most) {
        return told(events.findByHappenedAtLessThanOrderByHappenedAtDescNumberDesc(until, Limit.of(most)));
    }

    /** The same of one kind. */
    @Transactional(readOnly = true)
    public List<LoggedTouch> before(Instant until, EventKind kind, int most) {
        return told(events.findByKindAndHappenedAtLessThanOrderByHappenedAtDescNumberDesc(kind, until, Limit.of(most)));
    }

    /**
     * The same as far as some words are found in it.
     *
     * @param query what is looked for in steps and reasons, or the number of a batch
     * @param designs those whose names have the words
     */
    @Transactional(readOnly = true)
    public List<LoggedTouch> found(Instant until, String query, Collection<DesignId> designs, int most) {
        List<UUID> found = words.found(until, query, designs, most);
        return found.isEmpty() ? List.of() : told(events.findByIdInOrderByHappenedAtDescNumberDesc(found));
    }

    private List<LoggedTouch> told(List<BenchEvent> some) {
        Map<UUID, BenchEvent> about = new HashMap<>();
        if (!some.isEmpty()) {
            events.about(some.stream().map(BenchEvent::getId).toList()).forEach(one -> about.put(one.ofEvent(), one));
        }
        return some.stream().map(event -> event.told(about.get(event.getId()))).toList();
    }

    /** From what things went wrong before, those that did so most first. */
    @Transactional(readOnly = true)
    public List<String> slipReasons(int most) {
        return events.slipReasons(Limit.of(most));
    }
}
