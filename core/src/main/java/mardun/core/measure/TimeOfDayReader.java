package mardun.core.measure;

import java.time.LocalTime;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads times of day as people type them: {@code 9}, {@code 9:30}, {@code 9.30}, {@code 9h30}, {@code 0930}, {@code 5 pm}. */
public final class TimeOfDayReader {

    private static final Pattern TIME = Pattern.compile(
            "(?<hour>\\d{1,2})(?: ?h| ?[:.,] ?(?=\\d))?(?: ?(?<minute>\\d{2})(?::00)?)? ?(?<half>[ap]\\.?m\\.?)?");
    private static final int NOON = 12;
    private static final int LAST_HOUR = 23;
    private static final int LAST_MINUTE = 59;

    private TimeOfDayReader() {}

    /**
     * The time that {@code text} says, to the minute.
     *
     * @throws MeasureException if it says none
     */
    public static LocalTime read(String text) {
        Matcher typed = TIME.matcher(Characters.plain(text).strip().toLowerCase(Locale.ROOT));
        if (!typed.matches()) {
            throw none(text);
        }
        int hour = Integer.parseInt(typed.group("hour"));
        int minute = typed.group("minute") == null ? 0 : Integer.parseInt(typed.group("minute"));
        String half = typed.group("half");
        if (half != null && (hour < 1 || hour > NOON)) {
            throw none(text);
        }
        int ofDay = half == null ? hour : hour % NOON + (half.startsWith("p") ? NOON : 0);
        if (ofDay > LAST_HOUR || minute > LAST_MINUTE) {
            throw none(text);
        }
        return LocalTime.of(ofDay, minute);
    }

    private static MeasureException none(String text) {
        return new MeasureException(
                Characters.shortened(text), "isn’t a time of day", "Type one like 9:30, 18:00 or 6 pm");
    }
}
