package mardun.app.door;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;

/**
 * Wrong passphrases: after a few a device waits, and longer each time; so does everybody together, so that many devices guess no faster than
 * one.
 */
class Attempts {

    private static final String ALL = "all";
    private static final int FREE = 5;
    private static final int FREE_FOR_ALL = 30;
    private static final Duration FIRST_WAIT = Duration.ofSeconds(10);
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);

    private record Failed(int times, Instant last) {}

    private final Cache<String, Failed> failed = Caffeine.newBuilder()
            .maximumSize(10_000)
            .expireAfterWrite(Duration.ofHours(1))
            .build();
    private final Clock clock;

    Attempts(Clock clock) {
        this.clock = clock;
    }

    /** How long a device still waits before it may try again; zero for not at all. */
    Duration wait(String device) {
        Duration its = wait(device, FREE);
        Duration all = wait(ALL, FREE_FOR_ALL);
        return its.compareTo(all) > 0 ? its : all;
    }

    private Duration wait(String who, int free) {
        Failed so = failed.getIfPresent(who);
        if (so == null || so.times() < free) {
            return Duration.ZERO;
        }
        Duration wait = FIRST_WAIT.multipliedBy(1L << Math.min(10, so.times() - free));
        Instant until = so.last().plus(wait.compareTo(LONGEST_WAIT) < 0 ? wait : LONGEST_WAIT);
        Duration left = Duration.between(clock.instant(), until);
        return left.isNegative() ? Duration.ZERO : left;
    }

    void failed(String device) {
        add(device);
        add(ALL);
    }

    private void add(String who) {
        failed.asMap()
                .merge(
                        who,
                        new Failed(1, clock.instant()),
                        (before, now) -> new Failed(before.times() + 1, now.last()));
    }

    void succeeded(String device) {
        failed.invalidate(device);
    }
}
