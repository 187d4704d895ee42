package mardun.app.demo;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import mardun.app.StartRefusedException;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The clock of a demo workroom: it can be set back while its past is being lived through, and then runs as usual. */
@Component
@ConditionalOnProperty("mardun.demo")
public class TravellingClock extends Clock {

    private final Clock real;
    private volatile Clock now;
    private volatile boolean isStopped;

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

    /** No other day is lived through any more. */
    void stop() {
        isStopped = true;
    }

    /** Lives through something as long as nobody stops the process: who does needn't wait until years are over. */
    void untilTheProcessIsStopped(Runnable years) {
        Thread stopping = new Thread(this::stop, "demo-stopped");
        Runtime.getRuntime().addShutdownHook(stopping);
        years.run();
        try {
            Runtime.getRuntime().removeShutdownHook(stopping);
        } catch (IllegalStateException isStoppedJustNow) {
            stop();
        }
    }

    /**
     * Does something on another day, in the morning.
     *
     * @throws StartRefusedException if it was stopped
     */
    void on(LocalDate day, Runnable work) {
        if (isStopped) {
            throw new StartRefusedException(
                    "Stopped before the invented workroom was whole; it is made anew the next time.");
        }
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
