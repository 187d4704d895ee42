package mardun.core.batch;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.costing.UnitCost;
import mardun.core.cutting.LengthPlan;
import mardun.core.cutting.Offcuts;
import mardun.core.design.Design;
import mardun.core.design.Finding;
import mardun.core.design.SizedDesign;
import mardun.core.design.SizedPiece;
import mardun.core.design.SizedTrim;
import mardun.core.making.WorkTime;
import mardun.core.material.Amount;
import mardun.core.material.Counting;
import mardun.core.material.Part;
import mardun.core.material.Stock;
import mardun.core.measure.Length;
import mardun.core.pricing.UnitPricing;
import mardun.core.working.Figure;
import mardun.core.working.Value;
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
     * @param lengths which roll gives which lengths, for a trim
     * @param inOnePiece what has to be bought of it in one piece, because what lies on the shelf is too short
     */
    public record Need(
            Supply supply,
            Part part,
            Amount amount,
            Working working,
            List<Offcuts.Use> offcuts,
            List<Offcuts.Left> left,
            Optional<CuttingSheet> sheet,
            Optional<LengthPlan> lengths,
            Amount inOnePiece) {

        public Need {
            offcuts = List.copyOf(offcuts);
            left = List.copyOf(left);
        }

        /** Something that isn't cut from a bolt. */
        static Need of(Supply supply, Part part, Amount amount, Working working) {
            return new Need(
                    supply,
                    part,
                    amount,
                    working,
                    List.of(),
                    List.of(),
                    Optional.empty(),
                    Optional.empty(),
                    Amount.none(amount.counting()));
        }

        /** A cloth. */
        static Need ofCloth(
                Supply supply,
                Figure<Length> length,
                List<Offcuts.Use> offcuts,
                List<Offcuts.Left> left,
                Optional<CuttingSheet> sheet,
                Length inOnePiece) {
            return new Need(
                    supply,
                    Part.WHOLE,
                    Amount.of(length.value()),
                    length.working(),
                    offcuts,
                    left,
                    sheet,
                    Optional.empty(),
                    Amount.of(inOnePiece));
        }

        /** A cloth that is bought by the sheet, as it is laid out. */
        static Need ofSheets(Supply supply, CuttingSheet sheet) {
            long count = sheet.layout().sheets();
            return new Need(
                    supply,
                    Part.WHOLE,
                    Amount.pieces(count),
                    Working.of("So many sheets by the cutting sheet; the pieces' area is that of {least} or more.")
                            .expression("{sheets}")
                            .input("sheets", "sheets that are cut into", Value.of(count))
                            .input(
                                    "least",
                                    "the fewest possible",
                                    Value.of(sheet.layout().leastSheets()))
                            .gives(Value.of(count)),
                    List.of(),
                    List.of(),
                    Optional.of(sheet),
                    Optional.empty(),
                    Amount.none(Counting.PIECES));
        }

        /** A trim. */
        static Need ofTrim(Supply supply, LengthPlan lengths, Working working) {
            return new Need(
                    supply,
                    Part.WHOLE,
                    Amount.of(lengths.taken().plus(lengths.toBuy())),
                    working,
                    List.of(),
                    List.of(),
                    Optional.empty(),
                    Optional.of(lengths),
                    Amount.of(lengths.toBuy()));
        }

        /** What the offcuts are worth that go back on the shelf, in exact minor units: their part of what the cloth costs. */
        BigFraction goesBack() {
            return sheet.map(one -> one.back().worth(stock().worth().cost(amount)))
                    .orElse(BigFraction.ZERO);
        }

        public Stock stock() {
            return supply.stock(part);
        }

        /** What is missing of what nobody else has reserved; zero or less where there is enough. */
        public Amount shortBy() {
            Amount missing = amount.minus(stock().free());
            return missing.compareTo(inOnePiece) < 0 && inOnePiece.isPositive() ? inOnePiece : missing;
        }

        /** So much has to be there for this batch that nothing is missing: more than it takes where rolls are too short. */
        public Amount wanted() {
            return isShort() ? stock().free().plus(shortBy()) : amount;
        }

        /** What leaves each roll, by its lot, where it was worked out. */
        public Map<String, Length> takenOfRolls() {
            Map<String, Length> taken = new LinkedHashMap<>();
            sheet.ifPresent(one -> one.takenOfRolls()
                    .forEach((lot, cut) -> taken.put(lot, supply.shrinkage().toTake(cut))));
            lengths.ifPresent(
                    plan -> plan.cuts().forEach(cut -> taken.put(cut.roll().key(), cut.taken())));
            return taken;
        }

        public boolean isShort() {
            return amount.isPositive() && shortBy().isPositive();
        }
    }

    /** A plan of which nothing could be worked out, with the reason. */
    public static BatchPlan impossible(Design design, String size, int units, Finding why) {
        return new BatchPlan(
                SizedDesign.unknown(size),
                units,
                List.of(),
                List.of(),
                List.of(),
                WorkTime.of(design.steps(), units),
                Optional.empty(),
                Optional.empty(),
                List.of(why));
    }

    public boolean isComplete() {
        return findings.stream().noneMatch(Finding::isRefused);
    }
}
