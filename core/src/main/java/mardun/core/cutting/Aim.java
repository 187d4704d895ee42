package mardun.core.cutting;

import java.math.BigInteger;
import java.util.Collection;
import java.util.Comparator;
import mardun.core.measure.Fractions;
import org.apache.commons.numbers.fraction.BigFraction;

/** What a layout is searched for. */
public enum Aim {
    /**
     * Cloth and the minutes of cutting, less the worth of what goes back on the shelf as far as it is likely to be used. What
     * has to be bought counts twice: it comes in whole cuts, with postage, and later.
     */
    MONEY,
    /** As little cloth as can be, whatever it takes to cut it. */
    LEAST_CLOTH,
    /** As few cuts and ruler settings as can be. */
    FEWEST_CUTS,
    /** The largest single offcut. */
    BEST_OFFCUT;

    /**
     * The layout that serves this aim best; of those that serve it equally, the one that costs least. Offcuts and precuts
     * that the maker chose come first, whatever is aimed at.
     *
     * @param layouts at least one, all of this job
     */
    public CuttingLayout best(Collection<CuttingLayout> layouts, CuttingJob job) {
        return layouts.stream()
                .min(Comparator.comparing(
                                (CuttingLayout layout) -> job.onChosen(layout).squareNanometres())
                        .reversed()
                        .thenComparing(layout -> measure(CuttingBill.of(layout, job), job), Fractions.ORDER)
                        .thenComparing(layout -> CuttingBill.of(layout, job).total(), Fractions.ORDER))
                .orElseThrow();
    }

    /** What this aim wants as little of as can be. */
    private BigFraction measure(CuttingBill bill, CuttingJob job) {
        return switch (this) {
            case MONEY ->
                bill.total()
                        .add(job.terms()
                                .minorPerNanometre()
                                .multiply(
                                        job.cloth().rolls().isEmpty()
                                                ? 0
                                                : bill.toBuy().nanometres()));
            case LEAST_CLOTH -> bill.cloth();
            case FEWEST_CUTS -> BigFraction.of(bill.time().toSeconds());
            case BEST_OFFCUT -> BigFraction.of(largest(bill)).negate();
        };
    }

    private static BigInteger largest(CuttingBill bill) {
        return bill.kept().stream()
                .map(left -> left.extent().area().squareNanometres())
                .max(Comparator.naturalOrder())
                .orElse(BigInteger.ZERO);
    }
}
