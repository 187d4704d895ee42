package mardun.core.batch;

import java.util.List;
import java.util.Optional;
import mardun.core.costing.UnitCost;
import mardun.core.design.Finding;
import mardun.core.design.SizedDesign;
import mardun.core.design.SizedPiece;
import mardun.core.design.SizedTrim;
import mardun.core.making.WorkTime;
import mardun.core.material.Amount;
import mardun.core.pricing.UnitPricing;
import mardun.core.working.Working;

/**
 * All that a batch asks for and gives.
 *
 * @param cost empty while a material is missing
 * @param pricing empty while a material is missing
 */
public record BatchPlan(
        SizedDesign sized,
        int units,
        List<PieceLine> pieces,
        List<TrimLine> trims,
        List<Need> needs,
        WorkTime time,
        Optional<UnitCost> cost,
        Optional<UnitPricing> pricing,
        List<Finding> findings) {

    /** A piece on the cut list. */
    public record PieceLine(SizedPiece piece, long count) {}

    /** A length of trim on the cut list. */
    public record TrimLine(SizedTrim trim, long count) {}

    /** What the batch takes of one material, against what is on the shelf. */
    public record Need(Supply supply, Amount amount, Working working) {

        /** What is missing; zero or less where there is enough. */
        public Amount shortBy() {
            return amount.minus(supply.onHand());
        }

        public boolean isShort() {
            return shortBy().isPositive();
        }
    }

    public boolean isComplete() {
        return findings.stream().noneMatch(Finding::isRefused);
    }
}
