package mardun.app.stored;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * What is stored of days, remembered month by month until something of a month is written.
 *
 * @param <T> what is read of a day
 */
public final class Months<T> {

    /** Ten years of them. */
    private static final int MOST = 120;

    private final RememberedApart<YearMonth, List<T>> months = new RememberedApart<>(MOST);
    private final Function<T, LocalDate> dayOf;

    public Months(Function<T, LocalDate> dayOf) {
        this.dayOf = dayOf;
    }

    /** The caller's transaction writes something of a day. */
    public void writes(LocalDate day) {
        months.writes(YearMonth.from(day));
    }

    /** The caller's transaction writes something, nobody knows of which day. */
    public void writesAny() {
        months.writesAny();
    }

    /**
     * All from a day until before another, in the order in which each month was read.
     *
     * @param read reads all from a day until before another: once, from the first month on that isn't known until the last one
     */
    public List<T> between(LocalDate from, LocalDate until, BiFunction<LocalDate, LocalDate, List<T>> read) {
        List<YearMonth> asked = Stream.iterate(
                        YearMonth.from(from), month -> month.atDay(1).isBefore(until), month -> month.plusMonths(1))
                .toList();
        return months.get(asked, some -> read(some, read)).stream()
                .flatMap(List::stream)
                .filter(one ->
                        !dayOf.apply(one).isBefore(from) && dayOf.apply(one).isBefore(until))
                .toList();
    }

    private Map<YearMonth, List<T>> read(List<YearMonth> some, BiFunction<LocalDate, LocalDate, List<T>> read) {
        Map<YearMonth, List<T>> found = new HashMap<>();
        some.forEach(month -> found.put(month, new ArrayList<>()));
        LocalDate first = some.get(0).atDay(1);
        LocalDate until = some.get(some.size() - 1).plusMonths(1).atDay(1);
        read.apply(first, until).forEach(one -> {
            List<T> its = found.get(YearMonth.from(dayOf.apply(one)));
            if (its != null) {
                its.add(one);
            }
        });
        return found;
    }
}
