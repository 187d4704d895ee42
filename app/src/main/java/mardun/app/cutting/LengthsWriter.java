package mardun.app.cutting;

import java.util.ArrayList;
import java.util.List;
import mardun.app.cutting.CuttingViews.CutLength;
import mardun.app.cutting.CuttingViews.RollView;
import mardun.app.cutting.CuttingViews.TrimLengths;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.material.StockShelves.Shelves;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.LengthView;
import mardun.core.batch.Need;
import mardun.core.cutting.LengthPiece;
import mardun.core.cutting.LengthPlan;
import mardun.core.measure.Length;
import mardun.core.measure.ShownRounding;
import org.jspecify.annotations.Nullable;

/** Writes which lengths of a trim are cut from which rolls. */
record LengthsWriter(ViewWriter writer, Shelves shelves) {

    /** Of a material that is no longer there. */
    static final String GREY = "#9fb0b0";

    TrimLengths trim(Need need, String colour) {
        LengthPlan plan = need.lengths().orElseThrow();
        MaterialId id = MaterialId.valueOf(need.supply().key());
        List<RollView> rolls = new ArrayList<>();
        for (LengthPlan.CutRoll cut : plan.cuts()) {
            String lot = shelves.nameOf(id, LotId.valueOf(cut.roll().key()));
            rolls.add(new RollView(
                    "Roll " + lot,
                    cut.roll().length().nanometres(),
                    writer.longLength(cut.roll().length(), ShownRounding.DOWN),
                    pieces(cut.pieces()),
                    cut.rest().isPositive() ? writer.longLength(cut.rest(), ShownRounding.DOWN) : null,
                    cut.isKept()));
        }
        if (!plan.missing().isEmpty()) {
            rolls.add(new RollView(
                    "From a roll that is still to be bought",
                    plan.toBuy().nanometres(),
                    null,
                    pieces(plan.missing()),
                    null,
                    false));
        }
        return new TrimLengths(
                id,
                need.supply().name(),
                colour,
                writer.amount(need.amount()),
                writer.amount(need.stock().free()),
                need.isShort() ? writer.amount(need.shortBy()) : null,
                shown(plan.lost()),
                shown(plan.endTrim()),
                plan.isLeast(),
                rolls);
    }

    private @Nullable LengthView shown(Length length) {
        return length.isPositive() ? writer.length(length, ShownRounding.NEAREST) : null;
    }

    private List<CutLength> pieces(List<LengthPiece> pieces) {
        return pieces.stream()
                .map(piece -> new CutLength(
                        piece.letter(),
                        piece.name(),
                        piece.count(),
                        writer.length(piece.length(), ShownRounding.UP),
                        piece.length().nanometres()))
                .toList();
    }
}
