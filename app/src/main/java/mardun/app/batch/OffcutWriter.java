package mardun.app.batch;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.batch.BatchViews.LeftLine;
import mardun.app.batch.BatchViews.OffcutOffer;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.material.StockViews.SizeToScale;
import mardun.app.plan.CuttingJobs;
import mardun.app.plan.Planned;
import mardun.app.settings.Settings;
import mardun.app.show.ViewWriter;
import mardun.core.batch.Need;
import mardun.core.batch.Supply;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.Offcuts;
import mardun.core.material.Amount;
import mardun.core.material.ClothPiece;
import mardun.core.material.MaterialKind;
import mardun.core.measure.Length;
import mardun.core.measure.ShownRounding;
import org.apache.commons.numbers.fraction.BigFraction;

/** Writes which offcuts and precuts a batch could be cut from first, and what its cutting leaves. */
record OffcutWriter(ViewWriter writer) {

    private static final int MOST_OFFERS = 24;

    /** The offcuts and precuts of the batch's cloths that would give any of its pieces, the best use first. */
    List<OffcutOffer> offers(Planned planned) {
        List<OffcutOffer> offers = new ArrayList<>();
        Map<String, Supply> cloths = new LinkedHashMap<>();
        planned.supplies().stream()
                .filter(supply -> supply.kind() == MaterialKind.CLOTH)
                .forEach(supply -> cloths.putIfAbsent(supply.key(), supply));
        cloths.values().forEach(cloth -> offers.addAll(offers(cloth, planned)));
        return offers.stream().limit(MOST_OFFERS).toList();
    }

    private List<OffcutOffer> offers(Supply cloth, Planned planned) {
        MaterialId id = MaterialId.valueOf(cloth.key());
        List<ClothPiece> free = planned.shelves().pieces(id, planned.batchId());
        List<ClothPiece> chosen = cloth.pieces();
        List<CutPiece> wanted = CuttingJobs.pieces(cloth, planned);
        Map<String, Offcuts.Use> uses = new LinkedHashMap<>();
        Offcuts.first(wanted, chosen).uses().forEach(use -> uses.put(use.key(), use));
        List<CutPiece> rest = Offcuts.first(wanted, chosen).rest();
        List<OffcutOffer> offers = new ArrayList<>();
        for (ClothPiece piece : free) {
            boolean isChosen = chosen.stream().anyMatch(one -> one.key().equals(piece.key()));
            Offcuts.Use use = isChosen
                    ? uses.get(piece.key())
                    : Offcuts.first(rest, List.of(piece)).uses().stream()
                            .findFirst()
                            .orElse(null);
            if (use != null) {
                offers.add(offer(
                        id, cloth, piece, isChosen, use, wanted, planned.lines().size() > 1));
            }
        }
        offers.sort(
                (one, other) -> Long.compare(other.saves().value(), one.saves().value()));
        return offers;
    }

    private OffcutOffer offer(
            MaterialId id,
            Supply cloth,
            ClothPiece piece,
            boolean chosen,
            Offcuts.Use use,
            List<CutPiece> wanted,
            boolean several) {
        String gives = use.pieces().entrySet().stream()
                .map(given -> given.getValue() + " of " + BatchSheetWriter.label(given.getKey(), several))
                .collect(Collectors.joining(", "));
        return new OffcutOffer(
                LotId.valueOf(piece.key()),
                id,
                cloth.name(),
                "",
                writer.length(piece.extent().width(), ShownRounding.NEAREST),
                writer.length(piece.extent().height(), ShownRounding.NEAREST),
                new SizeToScale(
                        piece.extent().width().nanometres(),
                        piece.extent().height().nanometres()),
                use.count(),
                chosen,
                gives,
                writer.amount(Amount.of(saved(use, wanted, cloth))));
    }

    /** The length of the roll that has the area of the pieces. */
    private static Length saved(Offcuts.Use use, List<CutPiece> wanted, Supply cloth) {
        BigFraction area = wanted.stream()
                .map(piece -> BigFraction.of(piece.extent().width().nanometres())
                        .multiply(piece.extent().height().nanometres())
                        .multiply(use.pieces().getOrDefault(piece.key(), 0L)))
                .reduce(BigFraction.ZERO, BigFraction::add);
        return Length.rounded(area.divide(cloth.usableWidth().orElseThrow().nanometres()), RoundingMode.HALF_UP);
    }

    /** What cutting leaves of a cloth and is as large as the smallest that the maker keeps. */
    static Stream<LeftLine> left(Need need, ViewWriter writer, Settings settings) {
        return need.left().stream()
                .filter(left -> Offcuts.isWorthKeeping(left.extent(), settings.offcutShort(), settings.offcutLong()))
                .map(left -> new LeftLine(
                        MaterialId.valueOf(need.supply().key()),
                        need.supply().name(),
                        writer.length(left.extent().width(), ShownRounding.DOWN),
                        writer.length(left.extent().height(), ShownRounding.DOWN),
                        left.count()));
    }
}
