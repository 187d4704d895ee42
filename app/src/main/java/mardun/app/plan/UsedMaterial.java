package mardun.app.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import mardun.app.id.BatchId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.material.StockShelves.Shelves;
import mardun.core.batch.Supply;
import mardun.core.material.Amount;
import mardun.core.material.ClothPiece;
import mardun.core.material.Part;
import mardun.core.material.Stock;
import mardun.core.material.Worth;
import org.apache.commons.numbers.fraction.BigFraction;

/** What a material costs a batch that has taken some of it: what the ledger says, by the maker's school. */
public final class UsedMaterial {

    private UsedMaterial() {}

    /**
     * A cloth that is cut for a batch: it was on the shelf as it was frozen, and costs what the ledger says. What was cut once more is borne
     * by the line whose pieces were.
     */
    public static Supply cut(BatchId batchId, MaterialId materialId, Supply was, Shelves shelves) {
        Map<Part, Stock> stock = new HashMap<>();
        was.stock()
                .forEach((part, before) -> stock.put(
                        part,
                        new Stock(
                                before.onHand(),
                                Amount.none(before.onHand().counting()),
                                new Worth(cutFor(shelves, batchId, materialId), was.price()))));
        List<ClothPiece> pieces = was.pieces().stream()
                .map(piece -> new ClothPiece(
                        piece.key(), piece.extent(), piece.count(), each(shelves, batchId, materialId, piece)))
                .toList();
        return was.stocked(stock).with(pieces);
    }

    /** A material that a batch takes as its bags are done: what it has taken costs what the ledger says, the rest what is there. */
    static Supply inPart(BatchId batchId, MaterialId materialId, Supply was, Supply now, Shelves shelves) {
        Map<Part, Stock> stock = new HashMap<>();
        now.stock().forEach((part, there) -> {
            List<Worth.Layer> layers = new ArrayList<>(taken(shelves, batchId, materialId, part));
            layers.addAll(there.worth().layers());
            stock.put(part, new Stock(there.onHand(), there.heldForOthers(), new Worth(layers, was.price())));
        });
        return was.stocked(stock).with(now.pieces()).lying(now.lie());
    }

    /**
     * A material of a batch that is done: the amount that it was planned to take costs what all that it took has cost.
     *
     * @param planned of each part
     */
    static Supply all(BatchId batchId, Supply supply, Map<Part, Amount> planned, Shelves shelves) {
        MaterialId materialId = MaterialId.valueOf(supply.key());
        Map<Part, Stock> stock = new HashMap<>();
        supply.stock().forEach((part, there) -> {
            Amount amount =
                    planned.getOrDefault(part, Amount.none(there.onHand().counting()));
            List<Worth.Layer> layers = amount.isPositive()
                    ? List.of(new Worth.Layer(amount, BigFraction.of(shelves.usedOfRoll(batchId, materialId, part))))
                    : List.of();
            stock.put(
                    part,
                    new Stock(
                            there.onHand(), Amount.none(there.onHand().counting()), new Worth(layers, supply.price())));
        });
        return supply.stocked(stock);
    }

    private static BigFraction each(Shelves shelves, BatchId batchId, MaterialId materialId, ClothPiece piece) {
        LotId lot = LotId.valueOf(piece.key());
        long count = shelves.piecesOfLot(batchId, materialId, lot);
        return count == 0 ? piece.minorEach() : BigFraction.of(shelves.costOfLot(batchId, materialId, lot), count);
    }

    private static List<Worth.Layer> cutFor(Shelves shelves, BatchId batchId, MaterialId materialId) {
        Amount amount = shelves.cutOfRoll(batchId, materialId);
        return amount.isPositive()
                ? List.of(new Worth.Layer(amount, BigFraction.of(shelves.costOfCut(batchId, materialId))))
                : List.of();
    }

    private static List<Worth.Layer> taken(Shelves shelves, BatchId batchId, MaterialId materialId, Part part) {
        Amount amount = shelves.takenOfRoll(batchId, materialId, part);
        return amount.isPositive()
                ? List.of(new Worth.Layer(amount, BigFraction.of(shelves.usedOfRoll(batchId, materialId, part))))
                : List.of();
    }
}
