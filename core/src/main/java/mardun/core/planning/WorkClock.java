package mardun.core.planning;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;

/**
 * The stretches of time that are worked from a day on, one after another, and a way to go along them. Moments are seconds since the
 * first day's midnight, so that glue dries at night too.
 */
final class WorkClock {

    static final long DAY = Duration.ofDays(1).toSeconds();

    private final LocalDate today;
    private final long[] from;
    private final long[] to;
    private final int[] day;

    /** What is worked before each stretch. */
    private final long[] before;

    /** What is worked until the end of each stretch's day. */
    private final long[] untilDayEnd;

    /** Whether a stretch is the first of its day. */
    private final boolean[] first;

    /** A moment at which somebody works or could: in a stretch, or at its beginning; beyond the last one there is none. */
    record Place(int stretch, long moment) {}

    WorkClock(FreeTime free, LocalDate today, int days) {
        this.today = today;
        long[] starts = new long[16];
        long[] ends = new long[16];
        int[] ofDay = new int[16];
        int count = 0;
        for (int number = 0; number < days; number++) {
            long begins = number * DAY + free.begins().toSecondOfDay();
            for (FreeTime.Span span : free.spans(today.plusDays(number))) {
                if (count == starts.length) {
                    starts = Arrays.copyOf(starts, 2 * count);
                    ends = Arrays.copyOf(ends, 2 * count);
                    ofDay = Arrays.copyOf(ofDay, 2 * count);
                }
                starts[count] = begins + span.from().toSeconds();
                ends[count] = begins + span.to().toSeconds();
                ofDay[count++] = number;
            }
        }
        from = Arrays.copyOf(starts, count);
        to = Arrays.copyOf(ends, count);
        day = Arrays.copyOf(ofDay, count);
        before = new long[count + 1];
        untilDayEnd = new long[count];
        first = new boolean[count];
        for (int i = 0; i < count; i++) {
            before[i + 1] = before[i] + to[i] - from[i];
            first[i] = i == 0 || day[i] != day[i - 1];
        }
        for (int i = count - 1; i >= 0; i--) {
            boolean isLast = i == count - 1 || day[i] != day[i + 1];
            untilDayEnd[i] = to[i] - from[i] + (isLast ? 0 : untilDayEnd[i + 1]);
        }
    }

    Place start() {
        return from.length == 0 ? new Place(0, 0) : new Place(0, from[0]);
    }

    boolean isOver(Place place) {
        return place.stretch() >= from.length;
    }

    /** The first moment from one on at which somebody works. */
    Place at(long moment) {
        int stretch = Arrays.binarySearch(to, moment);
        stretch = stretch < 0 ? -stretch - 1 : stretch + 1;
        return stretch >= from.length
                ? new Place(from.length, moment)
                : new Place(stretch, Math.max(from[stretch], moment));
    }

    /** The same place, or where work goes on if its stretch is over. */
    Place settled(Place place) {
        int stretch = place.stretch();
        if (isOver(place) || place.moment() < to[stretch]) {
            return place;
        }
        return stretch + 1 == from.length
                ? new Place(from.length, place.moment())
                : new Place(stretch + 1, from[stretch + 1]);
    }

    /** What is worked from a place until a moment. */
    long worked(Place place, long until) {
        return Math.max(0, sum(at(until)) - sum(place));
    }

    private long sum(Place place) {
        return isOver(place) ? before[from.length] : before[place.stretch()] + place.moment() - from[place.stretch()];
    }

    /** What is still worked on the day of a place. */
    long leftOfDay(Place place) {
        return untilDayEnd[place.stretch()] - (place.moment() - from[place.stretch()]);
    }

    /** Whether nothing of the day is gone. */
    boolean isFresh(Place place) {
        return first[place.stretch()] && place.moment() == from[place.stretch()];
    }

    /** Where one is after having worked for so long. */
    Place after(Place place, long seconds) {
        int stretch = place.stretch();
        long moment = place.moment();
        long left = seconds;
        while (left > to[stretch] - moment) {
            left -= to[stretch] - moment;
            moment = from[++stretch];
        }
        return new Place(stretch, moment + left);
    }

    /** Where the next day with work begins. */
    Place nextDay(Place place) {
        int stretch = place.stretch();
        int its = day[stretch];
        while (stretch < from.length && day[stretch] == its) {
            stretch++;
        }
        return stretch >= from.length ? new Place(from.length, place.moment()) : new Place(stretch, from[stretch]);
    }

    LocalDate dayOf(long moment) {
        return today.plusDays(Math.floorDiv(moment, DAY));
    }

    LocalDateTime timeOf(long moment) {
        return today.atStartOfDay().plusSeconds(moment);
    }

    /** The moment at which a day begins. */
    long beginOf(LocalDate wanted) {
        return Math.max(0, ChronoUnit.DAYS.between(today, wanted)) * DAY;
    }
}
