package mardun.core.estimate;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;

/**
 * Measurements that say nothing of the step: a clock that ran on through lunch, or one that was started late. Each is compared with the
 * median of all of its step, by the usual distance from it; fewer than five are all kept.
 *
 * @param kept what counts
 * @param leftOut what doesn't, with the reason
 */
public record Outliers(List<Measurement> kept, List<LeftOut> leftOut) {

    private static final int FEW = 5;

    /** The median distance from the median, in deviations of a normal distribution. */
    private static final double TO_DEVIATIONS = 1.4826;

    private static final double FAR = 3.5;

    /** What takes less than twice and more than half as long is never left out. */
    private static final double NEVER_WITHIN = Math.log(2);

    /** Why a measurement is left out. */
    public enum Reason {
        /** It took far longer than the others. */
        LONG,
        /** It took far less time than the others. */
        SHORT
    }

    /**
     * A measurement that is left out.
     *
     * @param usual how long one bag of it would usually have taken
     */
    public record LeftOut(Measurement measurement, Reason reason, Duration usual) {}

    static Outliers of(List<Measurement> measurements, LearningCurve curve) {
        if (measurements.size() < FEW) {
            return new Outliers(measurements, List.of());
        }
        double middle = median(
                measurements.stream().map(one -> log(one, curve)).sorted().toList());
        double distance = median(measurements.stream()
                .map(one -> Math.abs(log(one, curve) - middle))
                .sorted()
                .toList());
        double most = Math.max(NEVER_WITHIN, FAR * TO_DEVIATIONS * distance);
        List<Measurement> kept = new ArrayList<>();
        List<LeftOut> leftOut = new ArrayList<>();
        for (Measurement one : measurements) {
            double off = log(one, curve) - middle;
            if (Math.abs(off) <= most) {
                kept.add(one);
            } else {
                double factor = curve.factors(one.first(), one.bags()) / one.bags();
                leftOut.add(new LeftOut(
                        one,
                        off > 0 ? Reason.LONG : Reason.SHORT,
                        Duration.ofMillis(Math.round(Math.exp(middle) * factor))));
            }
        }
        return new Outliers(kept, leftOut);
    }

    /** Of one bag's routine time. */
    private static double log(Measurement one, LearningCurve curve) {
        return Math.log(Math.max(1, one.time().toMillis()) / curve.factors(one.first(), one.bags()));
    }

    private static double median(List<Double> sorted) {
        int half = sorted.size() / 2;
        return sorted.size() % 2 == 1 ? sorted.get(half) : (sorted.get(half - 1) + sorted.get(half)) / 2;
    }
}
