package mardun.core.cutting;

import java.math.BigInteger;
import java.util.Collection;
import java.util.Comparator;
import org.apache.commons.numbers.fraction.BigFraction;

/** What a layout is searched for. */
public enum Aim {
    /** Cloth and the minutes of cutting, less the worth of what goes back on the shelf. */
    MONEY,
    /** As little cloth as can be, whatever it takes to cut it. */
    LEAST_CLOTH,
    /** As few cuts and ruler settings as can be. */
    FEWEST_CUTS,
    /** The largest single offcut for the cloth that is used. */
    BEST_OFFCUT;

    /**
     * The layout that serves this aim best; of those that serve it equally, the one that costs least.
     *
     * @param layouts at least one, all of this job
     */
    public CuttingLayout best(Collection<CuttingLayout> layouts, CuttingJob job) {
        return layouts.stream()
                .min(Comparator.comparing((CuttingLayout layout) -> measure(CuttingBill.of(layout, job), job))
                        .thenComparing(layout -> CuttingBill.of(layout, job).total()))
                .orElseThrow();
    }

    /** What this aim wants as little of as can be. */
    private BigFraction measure(CuttingBill bill, CuttingJob job) {
        return switch (this) {
            case MONEY -> bill.total();
            case LEAST_CLOTH -> bill.cloth();
            case FEWEST_CUTS -> BigFraction.of(bill.time().toSeconds());
            case BEST_OFFCUT -> bill.cloth().subtract(worthOfLargest(bill, job));
        };
    }

    private static BigFraction worthOfLargest(CuttingBill bill, CuttingJob job) {
        BigInteger largest = bill.kept().stream()
                .map(left -> left.extent().area().squareNanometres())
                .max(Comparator.naturalOrder())
                .orElse(BigInteger.ZERO);
        return job.terms()
                .minorPerNanometre()
                .multiply(BigFraction.of(largest, BigInteger.valueOf(job.width().nanometres())));
    }
}
