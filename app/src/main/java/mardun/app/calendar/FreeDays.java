package mardun.app.calendar;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import mardun.app.calendar.FreeDayViews.FreeDayForm;
import mardun.app.calendar.FreeDayViews.FreeDayView;
import mardun.app.problem.FieldReader;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.core.planning.FreeTime;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** When the maker has time for the bench: the usual week, and the days on which it is otherwise. */
@Service
public class FreeDays {

    private static final BigDecimal MINUTES_PER_HOUR = BigDecimal.valueOf(60);
    private static final int FARTHEST_YEARS = 2;

    private final OtherDayRepository others;
    private final SettingsService settings;
    private final Clock clock;

    FreeDays(OtherDayRepository others, SettingsService settings, Clock clock) {
        this.others = others;
        this.settings = settings;
        this.clock = clock;
    }

    /** The free time from today on. */
    @Transactional(readOnly = true)
    public FreeTime freeTime() {
        Map<LocalDate, Duration> byDay = coming().stream().collect(Collectors.toMap(OtherDay::onDay, OtherDay::free));
        return settings.current().freeTime(byDay);
    }

    /** The free time of some days, past ones too; what is usual is what is usual now. */
    @Transactional(readOnly = true)
    public FreeTime freeTime(LocalDate from, LocalDate to) {
        return settings.current()
                .freeTime(others.findByOnDayBetween(from, to).stream()
                        .collect(Collectors.toMap(OtherDay::onDay, OtherDay::free)));
    }

    /** The days from today on that aren't as usual. */
    @Transactional(readOnly = true)
    public List<FreeDayView> list() {
        Settings current = settings.current();
        return coming().stream()
                .map(day -> new FreeDayView(day.onDay(), current.writer().time(day.free()), day.note()))
                .toList();
    }

    /** Why it is otherwise on days that aren't as usual; an empty text where nobody said. */
    @Transactional(readOnly = true)
    public Map<LocalDate, String> notes() {
        return coming().stream().collect(Collectors.toMap(OtherDay::onDay, OtherDay::note));
    }

    private List<OtherDay> coming() {
        return others.findByOnDayGreaterThanEqualOrderByOnDay(LocalDate.now(clock));
    }

    /** Says how much time there is on a day, whatever is usual. */
    @Transactional
    public void set(LocalDate day, FreeDayForm form) {
        FieldReader fields = new FieldReader();
        LocalDate today = LocalDate.now(clock);
        if (day.isBefore(today)) {
            fields.refuse("day", day.toString(), "This day is past. Choose today or a day to come.");
        } else if (day.isAfter(today.plusYears(FARTHEST_YEARS))) {
            fields.refuse("day", day.toString(), "This is years away. Check the year.");
        }
        Settings current = settings.current();
        BigDecimal room = BigDecimal.valueOf(Duration.between(
                                day.atTime(current.days().begins()),
                                day.plusDays(1).atStartOfDay())
                        .toMinutes())
                .divide(MINUTES_PER_HOUR, 2, RoundingMode.DOWN);
        BigDecimal hours = fields.decimal(
                "hours",
                form.hours(),
                BigDecimal.ZERO,
                room.min(BigDecimal.valueOf(FreeTime.LONGEST_DAY.toHours())).stripTrailingZeros());
        String note = form.note().strip();
        fields.check();
        int minutes = hours.multiply(MINUTES_PER_HOUR)
                .setScale(0, RoundingMode.HALF_UP)
                .intValueExact();
        others.save(new OtherDay(day, minutes, note));
    }

    /** Says the same of each day from one to another: away, for instance. */
    @Transactional
    public void setAll(LocalDate from, LocalDate to, FreeDayForm form) {
        FieldReader fields = new FieldReader();
        long days = ChronoUnit.DAYS.between(from, to) + 1;
        if (days < 1 || days > 100) {
            fields.refuse(
                    "to",
                    to.toString(),
                    days < 1
                            ? "The last day is before the first. Choose a later one."
                            : "These are " + days + " days; at most 100 can be entered at once.");
        }
        fields.check();
        from.datesUntil(to.plusDays(1)).forEach(day -> set(day, form));
    }

    /** The day is as usual again. */
    @Transactional
    public void unset(LocalDate day) {
        others.deleteById(day);
    }
}
