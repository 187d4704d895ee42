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
     * @param matching the thread that is taken where a step says that it matches, in words; empty where none is known
     */
    public static Duration time(List<Step> steps, int units, String thread, String matching) {
        return steps.stream()
                .filter(step -> SetUp.plain(
                                step.setUp().isMatching()
                                        ? matching
                                        : step.setUp().thread())
                        .equals(SetUp.plain(thread)))
                .map(step -> step.perUnit().multipliedBy(units))
                .reduce(Duration.ZERO, Duration::plus);
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
