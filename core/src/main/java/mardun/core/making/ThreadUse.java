package mardun.core.making;

import java.math.RoundingMode;
import java.time.Duration;
import java.util.List;
import mardun.core.measure.Length;
import org.apache.commons.numbers.fraction.BigFraction;

/** How much thread a batch takes: what a machine uses in an hour, for the hours it sews with that thread. */
public final class ThreadUse {

    private ThreadUse() {}

    /**
     * The hours of the steps that have this thread on the machine, for so many units.
     *
     * @param thread its name
     * @param key the one by which steps know it that don't know it by its name
     * @param matching the thread that is taken where a step says that it matches, in words; empty where none is known
     */
    public static Duration time(List<Step> steps, int units, String thread, String key, String matching) {
        return steps.stream()
                .filter(step -> isWith(step.setUp(), thread, key, matching))
                .map(step -> step.perUnit().multipliedBy(units))
                .reduce(Duration.ZERO, Duration::plus);
    }

    private static boolean isWith(SetUp setUp, String thread, String key, String matching) {
        String spool = setUp.spools().get(SetUp.Part.THREAD);
        if (spool != null) {
            return spool.equals(key);
        }
        return SetUp.plain(setUp.isMatching() ? matching : setUp.thread()).equals(SetUp.plain(thread));
    }

    /** What goes off the spool in that time, rounded up. */
    public static Length length(Duration time, Length perHour) {
        return Length.rounded(
                BigFraction.of(perHour.nanometres())
                        .multiply(BigFraction.of(
                                time.toSeconds(), Duration.ofHours(1).toSeconds())),
                RoundingMode.CEILING);
    }
}
