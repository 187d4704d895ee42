package mardun.core.batch;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.material.Amount;
import mardun.core.material.ClosedZip;
import mardun.core.material.ClothKind;
import mardun.core.material.ClothPiece;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import mardun.core.material.Stock;
import mardun.core.material.UnitPrice;
import mardun.core.measure.Length;

/**
 * A material from the shelf that fills one of a design's slots.
 *
 * @param key the caller's name for the material; two slots may be filled from the same one
 * @param usableWidth of a cloth; empty for anything else
 * @param cloth what kind of cloth it is, where the maker said so
 * @param directional it has a print or nap with a top, so no piece may be turned on it
 * @param shrinkage the share that it still loses in length and width before it is cut, from 0 to less than 1
 * @param zip for a closed-end zip, its length
 * @param stock what is there: of the whole, or of each half of a two-part notion
 * @param pieces the offcuts and precuts that this batch may use, in the order in which they are used
 * @param price what it costs to buy again
 */
public record Supply(
        String slot,
        String key,
        String name,
        MaterialKind kind,
        Optional<Length> usableWidth,
        Optional<ClothKind> cloth,
        boolean directional,
        BigDecimal shrinkage,
        Optional<ClosedZip> zip,
        Map<Part, Stock> stock,
        List<ClothPiece> pieces,
        UnitPrice price) {

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
                cloth,
                directional,
                BigDecimal.ZERO,
                Optional.empty(),
                Map.of(Part.WHOLE, Stock.of(onHand, price)),
                List.of(),
                price);
    }

    /** Its halves are counted apart. */
    public boolean isTwoPart() {
        return !stock.containsKey(Part.WHOLE);
    }

    public Stock stock(Part part) {
        return stock.get(part);
    }

    /** This material with another stock. */
    public Supply stocked(Map<Part, Stock> other) {
        return new Supply(slot, key, name, kind, usableWidth, cloth, directional, shrinkage, zip, other, pieces, price);
    }

    /** This material with other offcuts and precuts to use. */
    public Supply with(List<ClothPiece> otherPieces) {
        return new Supply(
                slot, key, name, kind, usableWidth, cloth, directional, shrinkage, zip, stock, otherPieces, price);
    }
}
