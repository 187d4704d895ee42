package mardun.core.batch;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.cutting.CuttingBill;
import mardun.core.cutting.LengthPlan;
import mardun.core.cutting.Offcuts;
import mardun.core.material.Amount;
import mardun.core.material.Counting;
import mardun.core.material.Part;
import mardun.core.material.Stock;
import mardun.core.measure.Length;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * What the batch takes of one material, against what is on the shelf.
 *
 * @param part of a two-part notion, which half
 * @param offcuts what is cut from offcuts and precuts instead, which is not in {@code amount}
 * @param left what cutting leaves at the ends of the strips, for cloth
 * @param sheet by which it is cut, for a cloth that has one
 * @param lengths which roll gives which lengths, for a trim
 * @param shares which line of the batch bears how much of it
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
        Amount inOnePiece,
        LineShares shares) {

    public Need {
        offcuts = List.copyOf(offcuts);
        left = List.copyOf(left);
    }

    /** Something that isn't cut from a bolt. */
    static Need of(Supply supply, Part part, Amount amount, Working working, LineShares shares) {
        return new Need(
                supply,
                part,
                amount,
                working,
                List.of(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                Amount.none(amount.counting()),
                shares);
    }

    /** A cloth. */
    static Need ofCloth(
            Supply supply,
            Figure<Length> length,
            List<Offcuts.Use> offcuts,
            List<Offcuts.Left> left,
            Optional<CuttingSheet> sheet,
            Length inOnePiece,
            LineShares shares) {
        return new Need(
                supply,
                Part.WHOLE,
                Amount.of(length.value()),
                length.working(),
                offcuts,
                left,
                sheet,
                Optional.empty(),
                Amount.of(inOnePiece),
                shares);
    }

    /** A cloth that is bought by the sheet, as it is laid out. */
    static Need ofSheets(Supply supply, CuttingSheet sheet, LineShares shares) {
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
                Amount.none(Counting.PIECES),
                shares);
    }

    /** A trim. */
    static Need ofTrim(Supply supply, LengthPlan lengths, Working working, LineShares shares) {
        return new Need(
                supply,
                Part.WHOLE,
                Amount.of(lengths.taken().plus(lengths.toBuy())),
                working,
                List.of(),
                List.of(),
                Optional.empty(),
                Optional.of(lengths),
                Amount.of(lengths.toBuy()),
                shares);
    }

    /** Where something is found wrong with what a material is used for. */
    static String place(Supply supply) {
        return "materials." + supply.key();
    }

    /** What all of it costs, in exact minor units, less what the offcuts are worth that go back on the shelf. */
    BigFraction cost() {
        BigFraction cost = rollsCost();
        for (Offcuts.Use use : offcuts) {
            cost = cost.add(offcutCost(use));
        }
        return cost;
    }

    /** What a line bears of that; all lines together bear just all of it. */
    BigFraction cost(int line) {
        BigFraction cost = rollsCost().multiply(shares.of(line));
        for (Offcuts.Use use : offcuts) {
            cost = cost.add(offcutCost(use).multiply(shares.ofOffcut(use.key(), line)));
        }
        return cost;
    }

    /** What the offcuts and precuts cost that are cut into, less what goes back of them. */
    BigFraction offcutsCost() {
        return offcuts.stream().map(this::offcutCost).reduce(BigFraction.ZERO, BigFraction::add);
    }

    /** What the offcuts of rolls are worth that go back. */
    BigFraction backOfRolls() {
        return stock().worth().cost(amount).multiply(back().ofRolls());
    }

    private BigFraction rollsCost() {
        return stock().worth().cost(amount).subtract(backOfRolls());
    }

    /** What is left of offcuts goes back as a part of what each cost. */
    private BigFraction offcutCost(Offcuts.Use use) {
        BigFraction all = offcuts.stream().map(this::paid).reduce(BigFraction.ZERO, BigFraction::add);
        BigFraction its = paid(use);
        return all.signum() == 0
                ? its
                : its.subtract(back().ofSheets().multiply(its).divide(all));
    }

    private BigFraction paid(Offcuts.Use use) {
        return supply.pieces().stream()
                .filter(piece -> piece.key().equals(use.key()))
                .findFirst()
                .map(piece -> piece.minorEach().multiply(BigFraction.of(use.count())))
                .orElseThrow();
    }

    private CuttingBill.Back back() {
        return sheet.map(CuttingSheet::back).orElse(CuttingBill.Back.NOTHING);
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
