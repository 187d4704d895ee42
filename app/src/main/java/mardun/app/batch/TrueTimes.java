package mardun.app.batch;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import mardun.app.id.BatchId;
import mardun.app.log.BenchLog;
import mardun.app.log.EventKind;
import mardun.app.log.LoggedTouch;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.plan.StepTook;
import mardun.core.estimate.Touch;
import mardun.core.estimate.TrueTime;
import mardun.core.making.Counted.Place;
import mardun.core.making.SetUp;
import mardun.core.making.Step;
import mardun.core.making.StepsBefore;
import org.springframework.stereotype.Component;

/** How long the steps of a batch really took, from what was timed of it. */
@Component
class TrueTimes {

    private final BenchLog log;

    TrueTimes(BenchLog log) {
        this.log = log;
    }

    /** By the lines' numbers, all steps of each line; empty where nothing of the batch was timed. */
    Map<Integer, List<StepTook>> of(BatchId id, Planned planned) {
        List<LoggedTouch> touches = log.touches(id);
        Map<Place, List<Touch>> worked = touches.stream()
                .filter(touch -> touch.kind() == EventKind.WORKED && !touch.isLeftOut())
                .collect(Collectors.groupingBy(
                        TrueTimes::place, Collectors.mapping(TrueTimes::touch, Collectors.toList())));
        Map<String, Duration> setUps = sums(touches, EventKind.SET_UP, touch -> SetUp.plain(touch.stepName()));
        Map<Place, Duration> mending = sums(touches, EventKind.SLIPPED, TrueTimes::place);
        boolean isTimed = touches.stream().anyMatch(touch -> !touch.worked().isZero());
        Map<Integer, List<StepTook>> took = new HashMap<>();
        if (isTimed) {
            for (PlannedLine line : planned.lines()) {
                took.put(line.number(), steps(line, planned, worked, setUps, mending));
            }
        }
        return took;
    }

    private static List<StepTook> steps(
            PlannedLine line,
            Planned planned,
            Map<Place, List<Touch>> worked,
            Map<String, Duration> setUps,
            Map<Place, Duration> mending) {
        Map<String, Set<String>> before = StepsBefore.all(line.design().steps());
        int begun = Math.max(1, line.chosen().started());
        List<StepTook> steps = new ArrayList<>();
        for (Step step : line.design().steps()) {
            Place place = new Place(line.number(), step.key());
            Optional<TrueTime> its = TrueTime.of(worked.getOrDefault(place, List.of()), step.perUnit());
            int reached = begun - planned.counted().lostTo(line.number(), step.key(), before);
            Duration each = TrueTime.forEachBegun(
                    its.map(TrueTime::each).orElse(step.perUnit()),
                    reached,
                    mending.getOrDefault(place, Duration.ZERO),
                    begun);
            steps.add(new StepTook(
                    step.key(),
                    each,
                    setUps.getOrDefault(SetUp.plain(step.name()), step.perBatch()),
                    its.map(TrueTime::timed).orElse(0)));
        }
        return steps;
    }

    private static <K> Map<K, Duration> sums(List<LoggedTouch> touches, EventKind kind, Function<LoggedTouch, K> by) {
        return touches.stream()
                .filter(touch -> touch.kind() == kind && !touch.worked().isZero())
                .collect(Collectors.groupingBy(
                        by, Collectors.reducing(Duration.ZERO, LoggedTouch::worked, Duration::plus)));
    }

    private static Place place(LoggedTouch touch) {
        return new Place(touch.line(), touch.step());
    }

    private static Touch touch(LoggedTouch touch) {
        return new Touch(touch.id().toString(), touch.batchId().key(), touch.bags(), touch.time(), touch.at());
    }
}
