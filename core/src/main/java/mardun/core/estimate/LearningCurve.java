package mardun.core.estimate;

import java.util.List;

/**
 * The first bags of a batch are slower than routine: bag i of the first ones takes (m/i)^b times as long, where from bag m on it is
 * routine. Doubling the number of bags takes a tenth off, as long as nothing else is known.
 *
 * @param exponent b; 0 where the first bag is as fast as the last
 */
public record LearningCurve(double exponent) {

    /** From this bag on a batch is routine. */
    static final int ROUTINE_FROM = 5;

    /** With this exponent the second bag takes nine tenths of the first. */
    public static final LearningCurve USUAL = new LearningCurve(0.152);

    /** As much as so many bags, spread over the beginning of batches, the usual exponent counts against the fitted one. */
    private static final double USUAL_COUNTS = 4;

    private static final double STEEPEST = 0.6;

    /** How many times as long as in routine a bag takes, by its number in the batch from 1. */
    double factor(int bag) {
        return bag >= ROUTINE_FROM ? 1 : Math.pow((double) ROUTINE_FROM / bag, exponent);
    }

    /** The same for some bags together. */
    double factors(int first, int bags) {
        double sum = 0;
        for (int bag = first; bag < first + bags; bag++) {
            sum += bag < ROUTINE_FROM ? factor(bag) : 0;
        }
        int fromRoutine = Math.max(first, ROUTINE_FROM);
        return sum + Math.max(0, first + bags - fromRoutine);
    }

    /** By how many bags' routine time a batch takes longer because of its first bags. */
    double beginning() {
        return factors(1, ROUTINE_FROM - 1) - (ROUTINE_FROM - 1);
    }

    /**
     * The curve that fits measurements best: the slope of the logarithms, drawn to the usual one as long as few first bags are measured.
     */
    static LearningCurve of(List<Measurement> measurements) {
        double weight = 0;
        double meanX = 0;
        double meanY = 0;
        for (Measurement one : measurements) {
            weight += one.bags();
            meanX += one.bags() * x(one);
            meanY += one.bags() * y(one);
        }
        if (weight == 0) {
            return USUAL;
        }
        meanX /= weight;
        meanY /= weight;
        double xx = 0;
        double xy = 0;
        for (Measurement one : measurements) {
            xx += one.bags() * Math.pow(x(one) - meanX, 2);
            xy += one.bags() * (x(one) - meanX) * (y(one) - meanY);
        }
        double fitted = (USUAL_COUNTS * USUAL.exponent + xy) / (USUAL_COUNTS + xx);
        return new LearningCurve(Math.max(0, Math.min(STEEPEST, fitted)));
    }

    private static double x(Measurement one) {
        double sum = 0;
        for (int bag = one.first(); bag < Math.min(ROUTINE_FROM, one.first() + one.bags()); bag++) {
            sum += Math.log((double) ROUTINE_FROM / bag);
        }
        return sum / one.bags();
    }

    private static double y(Measurement one) {
        return Math.log(Math.max(1, one.time().toMillis()) / (double) one.bags());
    }
}
