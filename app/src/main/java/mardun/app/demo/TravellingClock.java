package mardun.app.demo;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The clock of a demo workroom: it can be set back while its past is being lived through, and then runs as usual. */
@Component
@ConditionalOnProperty("mardun.demo")
public class TravellingClock extends Clock {

    private final Clock real;
    private volatile Clock now;

    public TravellingClock() {
        this(Clock.systemDefaultZone());
    }

    TravellingClock(Clock real) {
        this.real = real;
        this.now = real;
    }

    LocalDate realToday() {
        return LocalDate.now(real);
    }

    /** Does something on another day, in the morning. */
    void on(LocalDate day, Runnable work) {
        now = Clock.fixed(day.atTime(LocalTime.of(9, 0)).atZone(real.getZone()).toInstant(), real.getZone());
        try {
            work.run();
        } finally {
            now = real;
        }
    }

    @Override
    public ZoneId getZone() {
        return now.getZone();
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return now.withZone(zone);
    }

    @Override
    public Instant instant() {
        return now.instant();
    }
}
