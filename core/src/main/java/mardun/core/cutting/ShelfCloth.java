package mardun.core.cutting;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.material.ClothPiece;
import mardun.core.material.Roll;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * A cloth as it lies on the shelf.
 *
 * @param width of its rolls when they are cut, with the selvages if any piece may have them inside
 * @param sheets the offcuts and precuts that may be cut into; each is paid whole
 * @param rolls with what may be cut from each; none where any length can be had
 * @param repeat the height after which its print comes again; empty where that doesn't matter
 * @param oneDye all of a batch has to come from one dye lot; else all pieces of a bag have to
 * @param selvages the selvages within that width, and which pieces have to stay between them
 * @param repeatAcross the width after which its print comes again; empty where it doesn't, or nobody said
 * @param bySheet it is bought by the sheet: all its sheets are of one size, and there is no roll
 */
public record ShelfCloth(
        Length width,
        List<ClothPiece> sheets,
        List<Roll> rolls,
        Optional<Length> repeat,
        Optional<Length> repeatAcross,
        boolean oneDye,
        Selvages selvages,
        boolean bySheet) {

    /** More than any batch takes. */
    private static final long AS_MANY_AS_NEEDED = 1_000_000;

    /**
     * Selvages that some pieces may have inside and others not.
     *
     * @param wide each of the two
     * @param between the kinds of pieces that have to stay between them
     */
    public record Selvages(Length wide, Set<PieceKey> between) {

        /** No piece has to stay away from an edge. */
        public static final Selvages NONE = new Selvages(Length.ZERO, Set.of());

        public Selvages {
            between = Set.copyOf(between);
        }

        boolean keepAway(CutPiece piece) {
            return keepAway(piece.key());
        }

        boolean keepAway(PieceKey key) {
            return wide.isPositive() && between.contains(key);
        }
    }

    /** A cloth that may be cut up to its edges. */
    public ShelfCloth(
            Length width, List<ClothPiece> sheets, List<Roll> rolls, Optional<Length> repeat, boolean oneDye) {
        this(width, sheets, rolls, repeat, Optional.empty(), oneDye, Selvages.NONE, false);
    }

    /** A cloth whose print comes again along it alone. */
    public ShelfCloth(
            Length width,
            List<ClothPiece> sheets,
            List<Roll> rolls,
            Optional<Length> repeat,
            boolean oneDye,
            Selvages selvages,
            boolean bySheet) {
        this(width, sheets, rolls, repeat, Optional.empty(), oneDye, selvages, bySheet);
    }

    /**
     * A cloth that is bought by the sheet.
     *
     * @param minorEach what a sheet costs, in exact minor units
     */
    public static ShelfCloth ofSheets(Extent sheet, BigFraction minorEach) {
        ClothPiece each = new ClothPiece(ClothLayout.ANY, sheet, AS_MANY_AS_NEEDED, minorEach);
        return new ShelfCloth(sheet.width(), List.of(each), List.of(), Optional.empty(), false, Selvages.NONE, true);
    }

    /** What is cut into when nothing that is cut into already gives a piece: a roll that is still whole, or a sheet. */
    ClothLayout uncut() {
        return bySheet
                ? ClothLayout.onSheet(sheets.get(0).extent(), List.of())
                : ClothLayout.onBolt(width, Length.ZERO, List.of());
    }

    public ShelfCloth {
        sheets = List.copyOf(sheets);
        rolls = List.copyOf(rolls);
        if (repeat.filter(height -> !height.isPositive()).isPresent()) {
            throw new IllegalArgumentException("a print comes again after some height: " + repeat.get());
        }
        if (repeatAcross.filter(each -> !each.isPositive()).isPresent()) {
            throw new IllegalArgumentException("a print comes again after some width: " + repeatAcross.get());
        }
    }

    /** A cloth of which any length can be had, without a print that has to be met. */
    public static ShelfCloth endless(Length width, List<ClothPiece> sheets) {
        return new ShelfCloth(width, sheets, List.of(), Optional.empty(), false);
    }

    /** This cloth as if any length of another width could be had of it, and no offcuts. */
    public ShelfCloth whole(Length otherWidth) {
        return new ShelfCloth(otherWidth, List.of(), List.of(), repeat, repeatAcross, oneDye, selvages, false);
    }

    /** This cloth with other offcuts and precuts. */
    ShelfCloth withSheets(List<ClothPiece> others) {
        return new ShelfCloth(width, others, rolls, repeat, repeatAcross, oneDye, selvages, bySheet);
    }

    /** This cloth with other rolls. */
    ShelfCloth with(List<Roll> others) {
        return new ShelfCloth(width, sheets, others, repeat, repeatAcross, oneDye, selvages, bySheet);
    }

    /**
     * Whether pieces of one bag may be cut from two of a layout's cloths: of one dye lot, or offcuts without a mark. Any roll is
     * taken to be like those without a mark.
     */
    public boolean goTogether(ClothLayout one, ClothLayout other) {
        String its = dyeOf(one);
        String others = dyeOf(other);
        return its.equals(others) || (!one.isBolt() && its.isEmpty()) || (!other.isBolt() && others.isEmpty());
    }

    /** Whether it matters from which of a layout's cloths a piece of a bag is cut. */
    public boolean isOfSeveralDyes(CuttingLayout layout) {
        return layout.cloths().stream()
                .anyMatch(one -> layout.cloths().stream().anyMatch(other -> !goTogether(one, other)));
    }

    private String dyeOf(ClothLayout cloth) {
        Stream<String> marks = cloth.isBolt()
                ? rolls.stream()
                        .filter(roll -> roll.key().equals(cloth.lot()))
                        .map(roll -> oneDye ? roll.provenDyeLot() : roll.dyeLot())
                : sheets.stream()
                        .filter(sheet -> sheet.key().equals(cloth.lot()))
                        .map(ClothPiece::dyeLot);
        return marks.findFirst().orElse("");
    }

    /** Its width between the selvages that some pieces have to stay away from. */
    Length widthBetween() {
        return width.minus(selvages.wide().times(2));
    }

    /** The width that pieces of a kind may have. */
    Length widthFor(CutPiece piece) {
        return selvages.keepAway(piece) ? widthBetween() : width;
    }

    /** Where a piece begins that has a strip of a roll for itself. */
    Length leftOf(CutPiece piece) {
        return selvages.keepAway(piece) ? selvages.wide() : Length.ZERO;
    }

    /** Whether a piece that has to lies between the selvages. */
    boolean isBetweenEdges(Placed piece) {
        return !selvages.keepAway(piece.key())
                || (piece.x().compareTo(selvages.wide()) >= 0
                        && piece.right().compareTo(width.minus(selvages.wide())) <= 0);
    }

    /** Up to the next height at which the print is the same as at the beginning. */
    Length toTheRepeat(Length height) {
        return repeat.map(each -> next(height, Length.ZERO, each)).orElse(height);
    }

    /** From somewhere on to the next place that is {@code first}, or so many times {@code each} more or less. */
    private static Length next(Length from, Length first, Length each) {
        long of = each.nanometres();
        long beyond = from.minus(first).nanometres();
        return first.plus(new Length(Math.multiplyExact(-Math.floorDiv(-beyond, of), of)));
    }

    /** How far beyond where the print begins anew something lies. */
    Length withinRepeat(Length height) {
        return repeat.map(each -> new Length(Math.floorMod(height.nanometres(), each.nanometres())))
                .orElse(Length.ZERO);
    }

    /** Up to the next height at which a piece of a kind may begin. */
    Length upTo(Length height, CutPiece piece) {
        if (!isMetBy(piece)) {
            return height;
        }
        return piece.shows()
                .map(place -> next(height, place.along(), repeat.orElseThrow()))
                .orElseGet(() -> toTheRepeat(height));
    }

    /** From the left to the next place at which a piece of a kind may begin; empty where none comes any more. */
    Optional<Length> acrossTo(Length x, CutPiece piece) {
        Optional<Length> first = isPlacedOn(piece) ? piece.shows().flatMap(PrintPlace::across) : Optional.empty();
        if (first.isEmpty()) {
            return Optional.of(x);
        }
        return repeatAcross.isPresent()
                ? Optional.of(next(x, first.get(), repeatAcross.get()))
                : first.filter(only -> only.compareTo(x) >= 0);
    }

    /** Whether a piece lies where this cloth's print asks for it. */
    boolean isWhereThePrintAsks(Placed one, CutPiece kind) {
        return upTo(one.y(), kind).equals(one.y())
                && acrossTo(one.x(), kind).filter(one.x()::equals).isPresent();
    }

    /** Whether a piece of a kind has to show a part of this cloth's print. */
    boolean isPlacedOn(CutPiece piece) {
        return repeat.isPresent() && piece.shows().isPresent();
    }

    /** Whether all pieces of a kind have to begin at the same height of this cloth's print. */
    public boolean isMetBy(CutPiece piece) {
        return repeat.isPresent() && piece.meetsPrint();
    }

    /**
     * A piece as large as the cloth that it takes in a strip of its own kind: as high as whole repeats, where it meets the print, and as
     * wide as its share of the strip, where it has to show a part of it.
     *
     * @throws CannotBeCutException if it can't lie whole anywhere across so that it shows it
     */
    public CutPiece asLargeAsItTakes(CutPiece piece) {
        Extent extent = piece.extent();
        return isMetBy(piece)
                ? new CutPiece(
                        piece.key(),
                        piece.name(),
                        new Extent(shareOfStrip(piece), toTheRepeat(extent.height())),
                        piece.count(),
                        false,
                        true)
                : piece;
    }

    private Length shareOfStrip(CutPiece piece) {
        Length wide = piece.extent().width();
        if (!isPlacedOn(piece) || piece.shows().flatMap(PrintPlace::across).isEmpty()) {
            return wide;
        }
        Length right = width.minus(leftOf(piece));
        long side = 0;
        Optional<Length> at = acrossTo(leftOf(piece), piece);
        while (at.filter(x -> x.plus(wide).compareTo(right) <= 0).isPresent()) {
            side++;
            at = acrossTo(at.get().plus(wide), piece);
        }
        if (side == 0) {
            throw CannotBeCutException.offThePrint(piece, width);
        }
        return new Length(widthFor(piece).nanometres() / side);
    }
}
