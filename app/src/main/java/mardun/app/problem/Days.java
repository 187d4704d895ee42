package mardun.app.problem;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** The days that can be reckoned with: from 1900 to 2199. */
public final class Days {

    private static final int FIRST_YEAR = 1900;
    private static final int LAST_YEAR = 2199;

    /** After all days that can be reckoned with. */
    public static final LocalDate AFTER_ALL = LocalDate.of(LAST_YEAR + 1, 1, 1);

    private static final DateTimeFormatter WORDS = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.UK);

    private Days() {}

    /** A day as the interface writes it: {@code 27 Nov 2026}. */
    public static String words(LocalDate day) {
        return WORDS.format(day);
    }

    /** The moment at which a day is over. */
    public static Instant endOf(LocalDate day, ZoneId zone) {
        return day.plusDays(1).atStartOfDay(zone).toInstant();
    }

    public static boolean isPossible(LocalDate day) {
        return day.getYear() >= FIRST_YEAR && day.getYear() <= LAST_YEAR;
    }

    /** The day, unless nobody can have meant it. */
    public static LocalDate possible(LocalDate day) {
        if (!isPossible(day)) {
            throw RefusedException.conflict(
                    "“" + day + "” can’t be used. Type a day from " + FIRST_YEAR + " to " + LAST_YEAR + ".");
        }
        return day;
    }
}
