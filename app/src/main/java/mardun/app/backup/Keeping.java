package mardun.app.backup;

import java.time.LocalDate;
import java.time.YearMonth;
import java.time.temporal.IsoFields;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;

/**
 * Which backups stay: the last eight of the latest day, and the last of each of seven days, of each of five weeks, and of each of twelve
 * months on which there are any.
 */
final class Keeping {

    private static final int OF_THE_LATEST_DAY = 8;
    private static final int DAYS = 7;
    private static final int WEEKS = 5;
    private static final int MONTHS = 12;

    private Keeping() {}

    /**
     * Those that stay.
     *
     * @param all in any order
     * @param day on which each was made
     * @param order of making
     */
    static <B> Set<B> kept(Collection<B> all, Function<B, LocalDate> day, Comparator<B> order) {
        List<B> latestFirst = all.stream().sorted(order.reversed()).toList();
        Set<B> kept = new HashSet<>();
        latestFirst.stream()
                .limit(OF_THE_LATEST_DAY)
                .filter(one -> day.apply(one).equals(day.apply(latestFirst.get(0))))
                .forEach(kept::add);
        kept.addAll(lastOfEach(latestFirst, day, DAYS));
        kept.addAll(lastOfEach(latestFirst, day.andThen(Keeping::week), WEEKS));
        kept.addAll(lastOfEach(latestFirst, day.andThen(YearMonth::from), MONTHS));
        return kept;
    }

    private static String week(LocalDate day) {
        return day.get(IsoFields.WEEK_BASED_YEAR) + "-" + day.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR);
    }

    private static <B> Set<B> lastOfEach(List<B> latestFirst, Function<B, ?> span, int spans) {
        Set<Object> seen = new HashSet<>();
        Set<B> last = new HashSet<>();
        for (B one : latestFirst) {
            if (seen.size() < spans && seen.add(span.apply(one))) {
                last.add(one);
            }
        }
        return last;
    }
}
