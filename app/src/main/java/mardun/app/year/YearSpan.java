package mardun.app.year;

import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import mardun.app.problem.Days;

/**
 * Twelve months, whichever they begin with.
 *
 * @param first the first day of the first month
 */
record YearSpan(LocalDate first) {

    static final int MONTHS = 12;

    private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("MMM uuuu", Locale.UK);

    YearSpan {
        first = Days.possible(first).withDayOfMonth(1);
    }

    /** The twelve months of which the month of a day is the last. */
    static YearSpan endingWith(LocalDate day) {
        return new YearSpan(day.withDayOfMonth(1).minusMonths(MONTHS - 1L));
    }

    /** The first day after it. */
    LocalDate until() {
        return first.plusMonths(MONTHS);
    }

    YearSpan before() {
        return new YearSpan(first.minusMonths(MONTHS));
    }

    Instant begins(ZoneId zone) {
        return first.atStartOfDay(zone).toInstant();
    }

    Instant ends(ZoneId zone) {
        return until().atStartOfDay(zone).toInstant();
    }

    List<YearMonth> months() {
        return IntStream.range(0, MONTHS)
                .mapToObj(month -> YearMonth.from(first).plusMonths(month))
                .toList();
    }

    /** As it is read: {@code Dec 2025 to Nov 2026}. */
    String words() {
        return MONTH.format(first) + " to " + MONTH.format(until().minusDays(1));
    }

    static String words(YearMonth month) {
        return MONTH.format(month);
    }
}
