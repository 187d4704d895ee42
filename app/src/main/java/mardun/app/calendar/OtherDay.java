package mardun.app.calendar;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Duration;
import java.time.LocalDate;

/** A day on which there is more or less time for the bench than usual. */
@Entity
@Table(name = "other_day")
class OtherDay {

    @Id
    private LocalDate onDay;

    private int minutes;
    private String note;

    protected OtherDay() {}

    OtherDay(LocalDate onDay, int minutes, String note) {
        this.onDay = onDay;
        this.minutes = minutes;
        this.note = note;
    }

    LocalDate onDay() {
        return onDay;
    }

    Duration free() {
        return Duration.ofMinutes(minutes);
    }

    String note() {
        return note;
    }
}
