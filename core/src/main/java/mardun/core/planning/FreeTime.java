package mardun.core.planning;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * When there is time for the bench. Of a day's free time some goes into preparing and clearing up, and some into pauses; the rest is
 * worked.
 *
 * @param usual how long on each day of the week; a day that is missing has none
 * @param others days on which it is otherwise: away, or a long Saturday
 * @param begins when the day at the bench begins
 * @param atOneGo for how long the maker works at most before a pause; zero for without pauses
 * @param pause how long that is
 * @param preparing how long it takes each day before work begins
 * @param clearing how long it takes each day to clear up
 * @param people how many work at the same time: 1 or 2
 */
public record FreeTime(
        Map<DayOfWeek, Duration> usual,
        Map<LocalDate, Duration> others,
        LocalTime begins,
        Duration atOneGo,
        Duration pause,
        Duration preparing,
        Duration clearing,
        int people) {

    /** The most that a day has room for from when it begins until midnight. */
    public static final Duration LONGEST_DAY = Duration.ofHours(16);

    /** A stretch of time that is worked, from so long after the day's beginning to so long after it. */
    record Span(Duration from, Duration to) {}

    public FreeTime {
        usual = Map.copyOf(usual);
        others = Map.copyOf(others);
        if (people < 1 || people > 2) {
            throw new IllegalArgumentException("one or two people work: " + people);
        }
        if (!atOneGo.isZero() && pause.isNegative()) {
            throw new IllegalArgumentException("a pause can't be negative: " + pause);
        }
    }

    /** Just so many hours on each day of the week, by one, without pauses, from nine o'clock on. */
    public static FreeTime of(Map<DayOfWeek, Duration> usual) {
        return new FreeTime(
                usual, Map.of(), LocalTime.of(9, 0), Duration.ZERO, Duration.ZERO, Duration.ZERO, Duration.ZERO, 1);
    }

    /** The same with another length of one day. */
    public FreeTime with(LocalDate day, Duration length) {
        Map<LocalDate, Duration> changed = new HashMap<>(others);
        changed.put(day, length);
        return new FreeTime(usual, changed, begins, atOneGo, pause, preparing, clearing, people);
    }

    /** How long is free on a day. */
    public Duration on(LocalDate day) {
        return others.getOrDefault(day, usual.getOrDefault(day.getDayOfWeek(), Duration.ZERO));
    }

    /** How much of a day is worked, by one person. */
    public Duration worked(LocalDate day) {
        return spans(day).stream().map(span -> span.to().minus(span.from())).reduce(Duration.ZERO, Duration::plus);
    }

    /** The stretches of a day that are worked; none on a day that has no more than it takes to prepare and to clear up. */
    List<Span> spans(LocalDate day) {
        Duration end = on(day).minus(clearing);
        List<Span> spans = new ArrayList<>();
        Duration from = preparing;
        while (from.compareTo(end) < 0) {
            Duration to = atOneGo.isZero() || from.plus(atOneGo).compareTo(end) > 0 ? end : from.plus(atOneGo);
            spans.add(new Span(from, to));
            from = to.plus(pause);
        }
        return spans;
    }
}
