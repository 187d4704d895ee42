package mardun.core.estimate;

import java.time.Duration;
import java.util.List;
import mardun.core.estimate.Outliers.LeftOut;

/**
 * How long a step takes for one bag. It begins as a guess and moves to what is measured, by degrees: the guess counts as much as
 * {@value #GUESS_COUNTS} measured bags. What the same step took in other designs betters the guess first. The first bags of a batch are
 * apart from routine, and what is far from all others is left out.
 *
 * @param each for one bag in routine
 * @param beginning how much longer a batch takes because of its first bags
 * @param bags how many measured bags it rests on
 * @param batches in how many batches
 * @param spread how far the true time of a batch usually is from the estimate, as a share of it
 * @param curve how the first bags compare with routine
 * @param leftOut what was measured and isn't counted
 * @param isBettered what the same step took in other designs counts
 */
public record TimeEstimate(
        Duration each,
        Duration beginning,
        int bags,
        int batches,
        double spread,
        LearningCurve curve,
        List<LeftOut> leftOut,
        boolean isBettered) {

    /** The guess counts as much as so many bags. */
    public static final int GUESS_COUNTS = 4;

    /** What was measured in other designs counts as much as so many bags at most. */
    static final int ELSEWHERE_COUNTS = 8;

    /** How far the true time of a step usually is from a guess, as a share of it. */
    public static final double SPREAD_OF_A_GUESS = 0.3;

    /** How far one bag's time usually is from the mean, as a share of it. */
    private static final double SPREAD_OF_A_BAG = 0.25;

    /** How far a batch's mean usually is from the mean of all batches, as a share of it. */
    private static final double SPREAD_OF_A_BATCH = 0.1;

    /** The usual spread of a bag counts as much as so many measurements of it. */
    private static final int USUAL_COUNTS = 8;

    private static final double EIGHT_OF_TEN = 1.2816;
    private static final double LEAST = 0.1;

    /** A guess that nothing is measured for. */
    public static TimeEstimate guess(Duration guess) {
        return of(guess, List.of(), List.of());
    }

    /**
     * The estimate.
     *
     * @param guess what the maker typed
     * @param own what was measured in this design
     * @param elsewhere what was measured of the same step in other designs
     */
    public static TimeEstimate of(Duration guess, List<Measurement> own, List<Measurement> elsewhere) {
        double prior = elsewhere.isEmpty() ? guess.toMillis() : better(guess, elsewhere);
        LearningCurve rough = LearningCurve.of(own);
        Outliers outliers = Outliers.of(own, rough);
        List<Measurement> kept = outliers.kept();
        LearningCurve curve = LearningCurve.of(kept);
        int bags = kept.stream().mapToInt(Measurement::bags).sum();
        int batches = (int) kept.stream().map(Measurement::batch).distinct().count();
        double routine = routine(kept, curve);
        double counts = (double) bags / (GUESS_COUNTS + bags);
        double each = (1 - counts) * prior + counts * routine;
        return new TimeEstimate(
                Duration.ofMillis(Math.round(each)),
                Duration.ofMillis(Math.round(counts * routine * curve.beginning())),
                bags,
                batches,
                spread(counts, bags, batches, scatter(kept, curve, routine)),
                curve,
                outliers.leftOut(),
                !elsewhere.isEmpty());
    }

    private static double better(Duration guess, List<Measurement> elsewhere) {
        LearningCurve curve = LearningCurve.of(elsewhere);
        List<Measurement> kept = Outliers.of(elsewhere, curve).kept();
        int bags = Math.min(
                ELSEWHERE_COUNTS, kept.stream().mapToInt(Measurement::bags).sum());
        return (GUESS_COUNTS * guess.toMillis() + bags * routine(kept, curve)) / (GUESS_COUNTS + bags);
    }

    /** One bag's time in routine, in milliseconds. */
    private static double routine(List<Measurement> measurements, LearningCurve curve) {
        double time = 0;
        double bags = 0;
        for (Measurement one : measurements) {
            time += one.time().toMillis();
            bags += curve.factors(one.first(), one.bags());
        }
        return bags == 0 ? 0 : time / bags;
    }

    /** How far one bag's time is from the mean, drawn to what is usual as long as few are measured. */
    private static double scatter(List<Measurement> measurements, LearningCurve curve, double routine) {
        double sum = USUAL_COUNTS * Math.pow(SPREAD_OF_A_BAG, 2);
        int count = USUAL_COUNTS;
        for (Measurement one : measurements) {
            double bags = curve.factors(one.first(), one.bags());
            // The mean of some bags is off less than each of them.
            sum += Math.pow(one.time().toMillis() / bags / routine - 1, 2) * one.bags();
            count++;
        }
        return Math.sqrt(sum / count);
    }

    private static double spread(double counts, int bags, int batches, double scatter) {
        double ofTheGuess = (1 - counts) * SPREAD_OF_A_GUESS;
        if (bags == 0) {
            return ofTheGuess;
        }
        double batch = Math.pow(SPREAD_OF_A_BATCH, 2);
        double ofTheMean = scatter * scatter / bags + batch / batches;
        return Math.sqrt(ofTheGuess * ofTheGuess + counts * counts * (ofTheMean + batch));
    }

    /** In eight of ten batches one bag takes at least so long. */
    public Duration atLeast() {
        return scaled(Math.max(LEAST, 1 - EIGHT_OF_TEN * spread));
    }

    /** In eight of ten batches one bag takes at most so long. */
    public Duration atMost() {
        return scaled(1 + EIGHT_OF_TEN * spread);
    }

    private Duration scaled(double factor) {
        return Duration.ofMillis(Math.round(each.toMillis() * factor));
    }
}
