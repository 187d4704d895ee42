package mardun.core.batch;

import java.util.List;
import java.util.Optional;
import mardun.core.costing.UnitCost;
import mardun.core.cutting.Offcuts;
import mardun.core.design.Finding;
import mardun.core.design.SizedDesign;
import mardun.core.design.SizedPiece;
import mardun.core.design.SizedTrim;
import mardun.core.making.WorkTime;
import mardun.core.material.Amount;
import mardun.core.material.Part;
import mardun.core.material.Stock;
import mardun.core.pricing.UnitPricing;
import mardun.core.working.Working;
import org.apache.commons.numbers.fraction.BigFraction;

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

    /**
     * What the batch takes of one material, against what is on the shelf.
     *
     * @param part of a two-part notion, which half
     * @param offcuts what is cut from offcuts and precuts instead, which is not in {@code amount}
     * @param left what cutting leaves at the ends of the strips, for cloth
     * @param sheet by which it is cut, for a cloth that has one
     */
    public record Need(
            Supply supply,
            Part part,
            Amount amount,
            Working working,
            List<Offcuts.Use> offcuts,
            List<Offcuts.Left> left,
            Optional<CuttingSheet> sheet) {

        public Need {
            offcuts = List.copyOf(offcuts);
            left = List.copyOf(left);
        }

        /** Something that isn't cut from a bolt. */
        static Need of(Supply supply, Part part, Amount amount, Working working) {
            return new Need(supply, part, amount, working, List.of(), List.of(), Optional.empty());
        }

        /** What the offcuts are worth that go back on the shelf, in exact minor units. */
        BigFraction goesBack() {
            return sheet.map(CuttingSheet::goesBack).orElse(BigFraction.ZERO);
        }

        public Stock stock() {
            return supply.stock(part);
        }

        /** What is missing of what nobody else has reserved; zero or less where there is enough. */
        public Amount shortBy() {
            return amount.minus(stock().free());
        }

        public boolean isShort() {
            return amount.isPositive() && shortBy().isPositive();
        }
    }

    public boolean isComplete() {
        return findings.stream().noneMatch(Finding::isRefused);
    }
}
