package mardun.app.log;

import com.github.benmanes.caffeine.cache.CacheLoader;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.log.BenchEventRepository.Timed;
import mardun.core.design.Design;
import mardun.core.estimate.Measurement;
import mardun.core.estimate.OnceEstimate;
import mardun.core.estimate.TimeEstimate;
import mardun.core.estimate.Touch;
import mardun.core.making.SetUp;
import mardun.core.making.Step;
import mardun.core.making.Timing;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** How long steps take, from what makers guessed and what was logged. Kept by the step's name, and added to as more of it is logged. */
@Service
public class Estimates {

    private static final int NAMES_KEPT = 3000;

    /** Who reads while another writes may keep what was before; never for long. */
    private static final Duration READ_ANEW = Duration.ofMinutes(10);

    /** What lies further back says little of how it is done now. */
    private static final int LAST_TOUCHES = 600;

    private final LoadingCache<String, Logged> byName;

    Estimates(BenchEventRepository events) {
        byName = Caffeine.newBuilder()
                .maximumSize(NAMES_KEPT)
                .expireAfterWrite(READ_ANEW)
                .build(new Loader(events));
    }

    private record Loader(BenchEventRepository events) implements CacheLoader<String, Logged> {

        @Override
        public Logged load(String name) {
            return new Logged(events.timed(List.of(name)));
        }

        @Override
        public Map<String, Logged> loadAll(Set<? extends String> names) {
            Map<String, List<Timed>> all =
                    events.timed(Set.copyOf(names)).stream().collect(Collectors.groupingBy(Timed::nameKey));
            return names.stream()
                    .collect(Collectors.toMap(name -> name, name -> new Logged(all.getOrDefault(name, List.of()))));
        }
    }

    /**
     * What a step rests on.
     *
     * @param each for one bag
     * @param once for what is spent once in a batch
     */
    public record StepEstimate(TimeEstimate each, OnceEstimate once) {

        private static Duration toTheSecond(Duration time) {
            return Duration.ofSeconds(Math.round(time.toMillis() / 1000.0));
        }

        /** Whether anything was measured that it rests on. */
        public boolean isMeasured() {
            return each.bags() > 0 || once.batches() > 0 || each.isBettered();
        }

        /** The step with these times. */
        Step of(Step step) {
            return isMeasured()
                    ? step.timed(
                            toTheSecond(each.each()),
                            toTheSecond(once.time().plus(each.beginning())),
                            new Timing(each.bags(), each.batches(), each.spread()))
                    : step;
        }
    }

    /** A design with its steps' times as they are known now. */
    public Design timed(DesignId id, Design design) {
        Map<String, StepEstimate> estimates = of(id, design.steps());
        List<Step> steps = design.steps().stream()
                .map(step -> estimates.get(step.key()).of(step))
                .toList();
        return steps.equals(design.steps()) ? design : design.with(steps);
    }

    /** What the times of a design's steps rest on, by their keys. */
    public Map<String, StepEstimate> of(DesignId id, List<Step> steps) {
        Map<String, Logged> logged = byName.getAll(
                steps.stream().map(step -> SetUp.plain(step.name())).distinct().toList());
        return steps.stream()
                .collect(Collectors.toMap(
                        Step::key,
                        step -> logged.get(SetUp.plain(step.name())).of(id, step),
                        (earlier, later) -> later));
    }

    /** More was logged; once that is stored, it is added to what is known of steps with these names. */
    void add(List<Timed> more) {
        Map<String, List<Timed>> its = more.stream().collect(Collectors.groupingBy(Timed::nameKey));
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                its.forEach(
                        (name, events) -> byName.asMap().computeIfPresent(name, (same, known) -> known.with(events)));
            }
        });
    }

    /** All that is logged of steps with one name, and what was made of it. */
    private static final class Logged {

        private record Of(DesignId design, String step) {}

        private record Asked(Of of, Duration each, Duration once) {}

        private final List<Timed> events;
        private final Map<UUID, Timed> corrections = new HashMap<>();
        private final Map<Of, List<Timed>> worked = new HashMap<>();
        private final Map<Of, Map<BatchId, Duration>> setUps = new HashMap<>();
        private final Map<Asked, StepEstimate> known = new ConcurrentHashMap<>();

        /** @param events in the order in which they happened */
        Logged(List<Timed> events) {
            this.events = events;
            events.stream()
                    .filter(event -> event.ofEvent() != null)
                    .forEach(event -> corrections.put(event.ofEvent(), event));
            for (Timed event : events) {
                Timed correction = corrections.get(event.id());
                boolean isLeftOut = correction != null && correction.kind() == EventKind.LEFT_OUT;
                if (event.slow() || isLeftOut) {
                    continue;
                }
                Of its = new Of(event.designId(), event.step());
                if (event.kind() == EventKind.WORKED) {
                    worked.computeIfAbsent(its, of -> new ArrayList<>()).add(event);
                } else if (event.kind() == EventKind.SET_UP && !time(event).isZero()) {
                    setUps.computeIfAbsent(its, of -> new HashMap<>())
                            .merge(event.batchId(), time(event), Duration::plus);
                }
            }
        }

        /** All of that and more, of which some may be known already. */
        Logged with(List<Timed> more) {
            Set<UUID> ids = more.stream().map(Timed::id).collect(Collectors.toSet());
            List<Timed> all = new ArrayList<>(events.size() + more.size());
            events.stream().filter(event -> !ids.contains(event.id())).forEach(all::add);
            all.addAll(more);
            all.sort(Comparator.comparing(Timed::at));
            return new Logged(all);
        }

        private Duration time(Timed event) {
            Timed correction = corrections.get(event.id());
            return Duration.ofMillis(correction == null ? event.millis() : correction.millis());
        }

        StepEstimate of(DesignId design, Step step) {
            return known.computeIfAbsent(
                    new Asked(new Of(design, step.key()), step.perUnit(), step.perBatch()), this::estimate);
        }

        private StepEstimate estimate(Asked asked) {
            List<Measurement> elsewhere = new ArrayList<>();
            worked.forEach((of, its) -> {
                if (!of.equals(asked.of())) {
                    elsewhere.addAll(Measurement.of(last(its), asked.each()));
                }
            });
            return new StepEstimate(
                    TimeEstimate.of(
                            asked.each(),
                            Measurement.of(last(worked.getOrDefault(asked.of(), List.of())), asked.each()),
                            elsewhere),
                    OnceEstimate.of(
                            asked.once(),
                            List.copyOf(
                                    setUps.getOrDefault(asked.of(), Map.of()).values())));
        }

        private List<Touch> last(List<Timed> its) {
            return its.subList(Math.max(0, its.size() - LAST_TOUCHES), its.size()).stream()
                    .map(event -> new Touch(
                            event.id().toString(), event.batchId().key(), event.bags(), time(event), event.at()))
                    .toList();
        }
    }
}
