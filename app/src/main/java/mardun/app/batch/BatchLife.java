package mardun.app.batch;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.design.DesignService;
import mardun.app.design.DesignViews.DesignName;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.plan.ChosenLine;
import mardun.app.stored.Changes;
import mardun.core.year.TimesKept;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What became of batches, told without working their plans out. */
@Service
public class BatchLife {

    private final BatchRepository repository;
    private final DesignService designs;
    private final Changes changes;
    private volatile AllMoments known = new AllMoments(-1, -1, List.of());

    BatchLife(BatchRepository repository, DesignService designs, Changes changes) {
        this.repository = repository;
        this.designs = designs;
        this.changes = changes;
    }

    /** All that happened, as long as no batch and no design was changed since. */
    private record AllMoments(long batches, long designs, List<Moment> newestFirst) {}

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
    public record Moment(BatchId id, Step step, Instant at, String forWhat, List<NamedLine> lines) {

        /** Whether what is looked for is its number, or stands in what it is for or in the name of one of its designs. */
        public boolean has(String query) {
            String words = query.strip().toLowerCase(Locale.ROOT);
            return id.key().equals(words)
                    || forWhat.toLowerCase(Locale.ROOT).contains(words)
                    || lines.stream()
                            .anyMatch(
                                    line -> line.what().toLowerCase(Locale.ROOT).contains(words));
        }
    }

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
        return repository
                .findAllById(ids.stream().map(BatchId::value).distinct().toList())
                .stream()
                .collect(Collectors.toMap(Batch::id, batch -> lines(batch, names)));
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
        Map<DesignId, String> names = names();
        Map<BatchId, Batch> found = new HashMap<>();
        List.of(
                        repository.findByCreatedAtLessThanOrderByCreatedAtDesc(until, Limit.of(most)),
                        repository.findByCutAtLessThanOrderByCutAtDesc(until, Limit.of(most)),
                        repository.findByFinishedAtLessThanOrderByFinishedAtDesc(until, Limit.of(most)))
                .forEach(some -> some.forEach(batch -> found.put(batch.id(), batch)));
        return found.values().stream()
                .flatMap(batch -> moments(batch, names).stream())
                .filter(moment -> moment.at().isBefore(until))
                .sorted(Comparator.comparing(Moment::at).reversed())
                .limit(most)
                .toList();
    }

    /**
     * The same as far as what is looked for is found in them: all are remembered for that, since what is seldom is found only by
     * going through all.
     */
    @Transactional(readOnly = true)
    public List<Moment> found(Instant until, String query, int most) {
        return all().stream()
                .filter(moment -> moment.at().isBefore(until) && moment.has(query))
                .limit(most)
                .toList();
    }

    private List<Moment> all() {
        long batches = changes.countOf("batch");
        long named = changes.countOf("design");
        AllMoments last = known;
        if (last.batches() == batches && last.designs() == named && !changes.isChanging()) {
            return last.newestFirst();
        }
        Map<DesignId, String> names = names();
        List<Moment> moments = repository.findAll().stream()
                .flatMap(batch -> moments(batch, names).stream())
                .sorted(Comparator.comparing(Moment::at).reversed())
                .toList();
        if (!changes.isChanging()) {
            known = new AllMoments(batches, named, moments);
        }
        return moments;
    }

    private static List<Moment> moments(Batch batch, Map<DesignId, String> names) {
        List<NamedLine> lines = lines(batch, names);
        List<Moment> moments = new ArrayList<>();
        moments.add(new Moment(batch.id(), Step.PLANNED, batch.createdAt(), batch.forWhat(), lines));
        batch.cutAt().ifPresent(at -> moments.add(new Moment(batch.id(), Step.CUT, at, batch.forWhat(), lines)));
        Optional<Step> end = switch (batch.stage()) {
            case FINISHED -> Optional.of(Step.FINISHED);
            case DROPPED -> Optional.of(Step.DROPPED);
            case PLANNED, CUTTING, CUT -> Optional.empty();
        };
        end.ifPresent(step -> batch.finishedAt()
                .ifPresent(at -> moments.add(new Moment(batch.id(), step, at, batch.forWhat(), lines))));
        return moments;
    }

    private static List<NamedLine> lines(Batch batch, Map<DesignId, String> names) {
        return batch.lines().stream()
                .map(line -> new NamedLine(line.chosen(), names.getOrDefault(line.designId(), "a design")))
                .toList();
    }

    private Map<DesignId, String> names() {
        return designs.names().stream().collect(Collectors.toMap(DesignName::id, DesignName::name));
    }
}
