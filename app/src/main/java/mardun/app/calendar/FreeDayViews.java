package mardun.app.calendar;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import mardun.app.show.Views.TimeView;

/** What the interface gets to see of days that aren't as usual. */
public final class FreeDayViews {

    private FreeDayViews() {}

    /** A day with more or less time than usual. */
    public record FreeDayView(LocalDate day, TimeView free, String note) {}

    /**
     * How much time there is, as it is typed.
     *
     * @param hours 0 where there is none
     * @param note why; may be empty
     */
    public record FreeDayForm(
            @NotNull @Size(max = 20) String hours,
            @NotNull @Size(max = 120) String note) {}

    /** The same for several days, one after another. */
    public record FreeDaysForm(
            @NotNull LocalDate from,
            @NotNull LocalDate to,
            @NotNull @Size(max = 20) String hours,
            @NotNull @Size(max = 120) String note) {

        FreeDayForm each() {
            return new FreeDayForm(hours, note);
        }
    }
}
