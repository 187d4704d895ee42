package mardun.core.batch;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.design.SlotFit;
import mardun.core.material.Amount;
import mardun.core.material.ClosedZip;
import mardun.core.material.ClothKind;
import mardun.core.material.ClothPiece;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import mardun.core.material.PrintMotif;
import mardun.core.material.Roll;
import mardun.core.material.Shrinkage;
import mardun.core.material.Stock;
import mardun.core.material.UnitPrice;
import mardun.core.material.Ware;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;

/**
 * A material from the shelf that fills one of a design's slots.
 *
 * @param key the caller's name for the material; two slots may be filled from the same one
 * @param usableWidth of a cloth; empty for anything else
 * @param sheet the size of one, of cloth that is bought by the sheet; empty for anything else
 * @param cloth what kind of cloth it is, where the maker said so
 * @param directional it has a print or nap with a top, so no piece may be turned on it
 * @param shrinkage what it still loses in length and width
 * @param ware what a trim or a notion is, where the maker said so
 * @param zip for a closed-end zip, its length
 * @param stock what is there: of the whole, or of each half of a two-part notion
 * @param pieces the offcuts and precuts that this batch may use, in the order in which they are used
 * @param price what it costs to buy again
 * @param lie how it lies on the shelf
 */
public record Supply(
        String slot,
        String key,
        String name,
        MaterialKind kind,
        Optional<Length> usableWidth,
        Optional<Extent> sheet,
        Optional<ClothKind> cloth,
        boolean directional,
        Shrinkage shrinkage,
        Optional<Ware> ware,
        Optional<ClosedZip> zip,
        Map<Part, Stock> stock,
        List<ClothPiece> pieces,
        UnitPrice price,
        Lie lie) {

    /**
     * How what is bought by length lies on the shelf, and what its print and its edges ask of who cuts it.
     *
     * @param rolls its rolls and left-over lengths, with what nobody else has reserved of each
     * @param oneDye all of a batch has to come from one dye lot
     * @param repeat the height after which a print comes again; empty for one that doesn't
     * @param repeatAcross the width after which it does; empty where it doesn't, or nobody said
     * @param motifs the parts of it that pieces may show
     * @param selvage the woven edge on each side, beyond the usable width; zero where it isn't known
     */
    public record Lie(
            List<Roll> rolls,
            boolean oneDye,
            Optional<Length> repeat,
            Optional<Length> repeatAcross,
            List<PrintMotif> motifs,
            Length selvage) {

        /** Nothing is known. */
        public static final Lie UNKNOWN = new Lie(List.of(), false, Optional.empty(), Length.ZERO);

        /** What lies there with a print of which no part has to be shown. */
        public Lie(List<Roll> rolls, boolean oneDye, Optional<Length> repeat, Length selvage) {
            this(rolls, oneDye, repeat, Optional.empty(), List.of(), selvage);
        }

        public Lie {
            rolls = List.copyOf(rolls);
            motifs = List.copyOf(motifs);
        }
    }

    public Supply {
        stock = Map.copyOf(stock);
        pieces = List.copyOf(pieces);
    }

    /** A whole material that nobody has reserved anything of, at one price. */
    public static Supply of(
            String slot,
            String key,
            String name,
            MaterialKind kind,
            Optional<Length> usableWidth,
            Optional<ClothKind> cloth,
            boolean directional,
            UnitPrice price,
            Amount onHand) {
        return new Supply(
                slot,
                key,
                name,
                kind,
                usableWidth,
                Optional.empty(),
                cloth,
                directional,
                Shrinkage.NONE,
                Optional.empty(),
                Optional.empty(),
                Map.of(Part.WHOLE, Stock.of(onHand, price)),
                List.of(),
                price,
                Lie.UNKNOWN);
    }

    /** This material as something that might fill a slot. */
    public SlotFit.Candidate candidate() {
        return new SlotFit.Candidate(kind, cloth, ware, zip.isPresent());
    }

    /** Its halves are counted apart. */
    public boolean isTwoPart() {
        return !stock.containsKey(Part.WHOLE);
    }

    public Stock stock(Part part) {
        return stock.get(part);
    }

    /** This material in another slot. */
    public Supply forSlot(String other) {
        return with(other, stock, pieces, lie);
    }

    /** This material with another stock. */
    public Supply stocked(Map<Part, Stock> other) {
        return with(slot, other, pieces, lie);
    }

    /** This material with other offcuts and precuts to use. */
    public Supply with(List<ClothPiece> otherPieces) {
        return with(slot, stock, otherPieces, lie);
    }

    /** This material as it lies now. */
    public Supply lying(Lie now) {
        return with(slot, stock, pieces, now);
    }

    private Supply with(String otherSlot, Map<Part, Stock> otherStock, List<ClothPiece> otherPieces, Lie otherLie) {
        return new Supply(
                otherSlot,
                key,
                name,
                kind,
                usableWidth,
                sheet,
                cloth,
                directional,
                shrinkage,
                ware,
                zip,
                otherStock,
                otherPieces,
                price,
                otherLie);
    }
}
