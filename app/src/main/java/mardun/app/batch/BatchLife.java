package mardun.app.batch;

import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import mardun.app.design.DesignService;
import mardun.app.design.DesignViews.DesignName;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.plan.ChosenLine;
import mardun.core.year.TimesKept;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What became of batches, told without working their plans out. */
@Service
public class BatchLife {

    private final BatchRepository repository;
    private final DesignService designs;
    private final BatchPasts pasts;

    BatchLife(BatchRepository repository, DesignService designs, BatchPasts pasts) {
        this.repository = repository;
        this.designs = designs;
        this.pasts = pasts;
    }

    /** What happened to a batch as a whole. */
    public enum Step {
        PLANNED,
        CUT,
        FINISHED,
        DROPPED
    }

    /**
     * Something that happened to a batch as a whole.
     *
     * @param lines as they are now
     */
    public record Moment(BatchId id, Step step, Instant at, String forWhat, List<NamedLine> lines) {}

    /** A line with the name of its design. */
    public record NamedLine(ChosenLine line, String design) {

        /** The design and the size. */
        public String what() {
            return design + (line.sizeName().isEmpty() ? "" : " " + line.sizeName());
        }
    }

    /** The lines of some batches. */
    @Transactional(readOnly = true)
    public Map<BatchId, List<NamedLine>> lines(Collection<BatchId> ids) {
        Map<DesignId, String> names = names();
        Map<BatchId, BatchPasts.Past> known = pasts.all();
        return ids.stream()
                .distinct()
                .filter(known::containsKey)
                .collect(Collectors.toMap(id -> id, id -> named(known.get(id).lines(), names)));
    }

    /** A line of a batch that is neither finished nor dropped. */
    public record OpenLine(BatchId batch, ChosenLine line) {}

    /** The lines of all batches that are neither finished nor dropped, the latest batch first. */
    @Transactional(readOnly = true)
    public List<OpenLine> openLines() {
        return pasts.all().values().stream()
                .filter(past ->
                        !past.when().containsKey(Step.FINISHED) && !past.when().containsKey(Step.DROPPED))
                .sorted(Comparator.comparing(BatchPasts.Past::id).reversed())
                .flatMap(past -> past.lines().stream().map(line -> new OpenLine(past.id(), line)))
                .toList();
    }

    /** The lines of the batches that were finished since a moment. */
    @Transactional(readOnly = true)
    public Map<BatchId, List<NamedLine>> finishedSince(Instant from) {
        Map<DesignId, String> names = names();
        return repository.findByStageAndFinishedAtGreaterThanEqual(BatchStage.FINISHED, from).stream()
                .collect(Collectors.toMap(Batch::id, batch -> lines(batch, names)));
    }

    /**
     * A line of a finished batch.
     *
     * @param plannedSeconds how long all of the batch was planned to take; absent where nothing of it was timed
     * @param tookSeconds how long it took; absent likewise
     */
    public record FinishedLine(
            long batch,
            Instant at,
            DesignId design,
            int started,
            int good,
            int seconds,
            int scrap,
            @Nullable Long plannedSeconds,
            @Nullable Long tookSeconds) {

        /** How long its batch was to take and took; empty where nothing was timed or planned. */
        public Optional<TimesKept.Batch> times() {
            return plannedSeconds == null || tookSeconds == null || plannedSeconds == 0
                    ? Optional.empty()
                    : Optional.of(
                            new TimesKept.Batch(Duration.ofSeconds(plannedSeconds), Duration.ofSeconds(tookSeconds)));
        }
    }

    /** The lines of the batches that were finished from a moment until before another, the first finished first. */
    @Transactional(readOnly = true)
    public List<FinishedLine> finished(Instant from, Instant until) {
        return repository.finished(from, until);
    }

    /** What happened to batches before a moment, the newest first. */
    @Transactional(readOnly = true)
    public List<Moment> before(Instant until, int most) {
        return found(until, "", most);
    }

    /** The same as far as what is looked for is found in them. */
    @Transactional(readOnly = true)
    public List<Moment> found(Instant until, String query, int most) {
        Map<DesignId, String> names = names();
        Predicate<BatchPasts.Past> isAsked = query.isBlank() ? past -> true : having(query, names);
        return pasts.newestFirst().stream()
                .filter(moment -> moment.at().isBefore(until) && isAsked.test(moment.past()))
                .map(moment -> new Moment(
                        moment.past().id(),
                        moment.step(),
                        moment.at(),
                        moment.past().forWhat(),
                        named(moment.past().lines(), names)))
                .limit(most)
                .toList();
    }

    /**
     * Whether what is looked for is a batch's number, or stands in what it is for or in the name of one of its designs. A batch has several
     * moments, and many batches are of one design: each text is searched once.
     */
    private static Predicate<BatchPasts.Past> having(String query, Map<DesignId, String> names) {
        String words = query.strip().toLowerCase(Locale.ROOT);
        Map<String, Boolean> texts = new HashMap<>();
        Predicate<String> has = text ->
                texts.computeIfAbsent(text, its -> its.toLowerCase(Locale.ROOT).contains(words));
        Map<BatchId, Boolean> batches = new HashMap<>();
        return past -> batches.computeIfAbsent(
                past.id(),
                id -> id.key().equals(words)
                        || has.test(past.forWhat())
                        || named(past.lines(), names).stream().anyMatch(line -> has.test(line.what())));
    }

    private static List<NamedLine> lines(Batch batch, Map<DesignId, String> names) {
        return named(batch.lines().stream().map(StoredLine::chosen).toList(), names);
    }

    private static List<NamedLine> named(List<ChosenLine> lines, Map<DesignId, String> names) {
        return lines.stream()
                .map(line -> new NamedLine(line, names.getOrDefault(line.designId(), "a design")))
                .toList();
    }

    private Map<DesignId, String> names() {
        return designs.names().stream().collect(Collectors.toMap(DesignName::id, DesignName::name));
    }
}
