package mardun.core.design;

import mardun.core.measure.Quantity;
import mardun.core.working.Sentence;
import mardun.core.working.Value;

/** Cloth gathers well from 1.2 to 3 times the width it is gathered to: less shows no gathers, more doesn't lie flat. */
final class GatherRatio {

    private static final double LEAST = 1.2;
    private static final double MOST = 3;

    private GatherRatio() {}

    /**
     * Speaks of cloth that doesn't gather well.
     *
     * @param cloth what is gathered, between its seams
     * @param to what it is gathered to; more than nothing
     */
    static void check(Findings findings, String place, String name, Quantity cloth, Quantity to) {
        double ratio = cloth.value().doubleValue() / to.value().doubleValue();
        if (ratio < LEAST || ratio > MOST) {
            findings.care(
                    Check.GATHER,
                    place,
                    Sentence.of(
                            ratio < LEAST
                                    ? "{0} is {1} between its seams and gathered to {2}: too little for gathers."
                                    : "{0} is {1} between its seams and gathered to {2}: more than lies flat.",
                            Value.of(name),
                            Value.of(cloth),
                            Value.of(to)),
                    Sentence.of("From 1.2 to 3 times as wide it gathers well."));
        }
    }
}
