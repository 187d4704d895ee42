package mardun.app.batch;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.batch.CutAgainViews.AgainChoice;
import mardun.app.batch.CutAgainViews.AgainCloth;
import mardun.app.batch.CutAgainViews.AgainPiece;
import mardun.app.batch.CutAgainViews.CutAgainView;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.log.BenchLog.Recut;
import mardun.app.material.ReservationService;
import mardun.app.material.ReservationService.Want;
import mardun.app.material.StockService;
import mardun.app.material.StockService.CutCloth;
import mardun.app.material.StockService.KeptOffcut;
import mardun.app.material.StockShelves;
import mardun.app.material.StockShelves.Shelves;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.show.ViewWriter;
import mardun.core.batch.ClothNeeds;
import mardun.core.batch.CutList.PieceLine;
import mardun.core.batch.CutList.PieceShare;
import mardun.core.batch.ShownMotifs;
import mardun.core.batch.Supply;
import mardun.core.cutting.ClothLayout;
import mardun.core.cutting.CutAgain;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.CutTree;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.Offcuts;
import mardun.core.cutting.ShelfCloth;
import mardun.core.design.SizedPiece;
import mardun.core.material.Amount;
import mardun.core.material.MovementKind;
import mardun.core.material.Part;
import mardun.core.measure.Area;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.working.Value;
import org.springframework.stereotype.Component;

/** Pieces of a batch that are cut once more after its cloth was cut: from what of the same dye lies on the shelf, rests first. */
@Component
class CuttingAgain {

    private static final int MOST_PIECES = 200;

    private final StockShelves shelves;
    private final ReservationService reservations;
    private final StockService stock;

    CuttingAgain(StockShelves shelves, ReservationService reservations, StockService stock) {
        this.shelves = shelves;
        this.reservations = reservations;
        this.stock = stock;
    }

    /**
     * What is to be cut once more.
     *
     * @param pieces the letters of the line's pieces, each as often as a bag needs another
     * @param bags for how many bags
     */
    record Asked(int line, List<String> pieces, int bags) {}

    /** All pieces of some bags. */
    static Asked wholeBags(PlannedLine line, int bags) {
        return new Asked(
                line.number(),
                line.plan().sized().pieces().stream()
                        .flatMap(piece -> Collections.nCopies(
                                (int) piece.count(), piece.piece().letter())
                                .stream())
                        .toList(),
                bags);
    }

    /**
     * Pieces that are cut from one cloth, with what gives them.
     *
     * @param choices a dye each, those of the batch first; none where nothing on the shelf gives the pieces
     */
    record FromCloth(MaterialId materialId, Supply cloth, List<CutPiece> pieces, List<Choice> choices) {}

    /**
     * Cloth of one dye that gives the pieces.
     *
     * @param dye the dyer's mark, empty for cloth without one
     * @param isOfTheBatch it is a dye that the batch was cut from
     */
    record Choice(String dye, boolean isOfTheBatch, CuttingLayout layout) {}

    /**
     * From what the pieces can be cut now.
     *
     * @throws RefusedException if the line has no such piece, or its cloth is still to be cut
     */
    List<FromCloth> from(Planned planned, Asked asked, Settings current) {
        PlannedLine line = planned.line(asked.line());
        Map<String, Map<SizedPiece, Long>> byCloth = new LinkedHashMap<>();
        for (String letter : asked.pieces()) {
            SizedPiece piece = line.plan().sized().pieces().stream()
                    .filter(one -> one.piece().letter().equals(letter))
                    .findFirst()
                    .orElseThrow(() -> RefusedException.missing(
                            "“" + line.design().name() + "” has no piece " + letter + " that is cut."));
            byCloth.computeIfAbsent(cloth(planned, line, piece), key -> new LinkedHashMap<>())
                    .merge(piece, (long) asked.bags(), Long::sum);
        }
        long all = (long) asked.pieces().size() * asked.bags();
        if (all > MOST_PIECES) {
            throw RefusedException.conflict("Those are " + all + " pieces. At most " + MOST_PIECES
                    + " are cut once more at a time; for more begin a batch.");
        }
        Shelves now =
                shelves.read(byCloth.keySet().stream().map(MaterialId::valueOf).toList());
        return byCloth.entrySet().stream()
                .map(entry -> from(planned, line, MaterialId.valueOf(entry.getKey()), entry.getValue(), now, current))
                .toList();
    }

    private static String cloth(Planned planned, PlannedLine line, SizedPiece piece) {
        Supply cloth = planned.supply(line, piece.piece().slot()).orElseThrow();
        boolean isCut = planned.batch().isCut(MaterialId.valueOf(cloth.key()))
                || line.chosen().moved().cutHere(cloth.key(), line.chosen().started()) == 0;
        if (!isCut) {
            throw RefusedException.conflict(
                    "“" + cloth.name() + "” isn't cut yet. Cut the piece once more on the cutting page.");
        }
        if (!planned.shelves().has(MaterialId.valueOf(cloth.key()))) {
            throw RefusedException.missing("“" + cloth.name() + "” isn't among the materials any more.");
        }
        return cloth.key();
    }

    private static FromCloth from(
            Planned planned,
            PlannedLine line,
            MaterialId id,
            Map<SizedPiece, Long> pieces,
            Shelves now,
            Settings current) {
        String slot = pieces.keySet().iterator().next().piece().slot();
        Supply cloth = now.supply(slot, id, planned.batchId(), List.of()).orElseThrow();
        List<PieceLine> kinds = pieces.keySet().stream()
                .map(piece -> new PieceShare(line.number(), 1, piece))
                .map(share -> new PieceLine(share.key(), Optional.of(cloth), List.of(share)))
                .toList();
        Map<String, Long> counts = new HashMap<>();
        pieces.forEach((piece, count) -> counts.put(piece.piece().letter(), count));
        List<CutPiece> cut = ClothNeeds.cutPieces(cloth, kinds).stream()
                .map(piece -> piece.times(counts.get(piece.key().letter())))
                .toList();
        ShelfCloth shelf = ClothNeeds.shelfCloth(cloth, kinds, now.pieces(id, planned.batchId()));
        Length squaring = ShownMotifs.squaring(cloth, kinds, current.cutting().squaring());
        Set<String> its = now.dyesCutFor(planned.batchId(), id);
        List<Choice> choices = CutAgain.dyes(shelf).stream()
                .flatMap(dye -> CutAgain.of(cut, shelf, dye, squaring).stream()
                        .filter(layout -> layout.sheets()
                                        <= cloth.stock(Part.WHOLE).free().value()
                                || !shelf.bySheet())
                        .map(layout -> new Choice(dye, its.isEmpty() || its.contains(dye), layout)))
                .sorted(Comparator.comparing((Choice choice) -> !choice.isOfTheBatch())
                        .thenComparing(choice -> choice.layout().boltLength()))
                .toList();
        return new FromCloth(id, cloth, cut, choices);
    }

    /** The pieces of a line, and from what some of them can be cut once more. */
    CutAgainView view(Planned planned, Asked asked, Settings current) {
        PlannedLine line = planned.line(asked.line());
        List<AgainPiece> pieces = line.plan().sized().pieces().stream()
                .map(piece -> new AgainPiece(
                        piece.piece().letter(),
                        piece.piece().name(),
                        planned.supply(line, piece.piece().slot())
                                .map(Supply::name)
                                .orElse(""),
                        piece.count()))
                .toList();
        try {
            List<FromCloth> from = from(planned, asked, current);
            Shelves now = shelves.read(from.stream().map(FromCloth::materialId).toList());
            return new CutAgainView(
                    pieces,
                    from.stream()
                            .map(one -> new AgainCloth(
                                    one.materialId(),
                                    one.cloth().name(),
                                    pieces(one),
                                    one.choices().stream()
                                            .map(choice -> new AgainChoice(
                                                    choice.dye(),
                                                    choice.isOfTheBatch(),
                                                    says(one, choice, now, current)))
                                            .toList(),
                                    one.choices().isEmpty() ? nothing(one, "") : ""))
                            .toList(),
                    null);
        } catch (RefusedException refused) {
            return new CutAgainView(pieces, List.of(), refused.getMessage());
        }
    }

    /** What was cut once more: the movements with which it left the shelf, and what follows for the line, cloth by cloth. */
    record Cut(List<Long> movements, List<Recut> recuts) {}

    /**
     * Cuts pieces once more, inside the caller's transaction. What of it is worth keeping lies on the shelf again.
     *
     * @param dyes of which dye, by the cloth; of one that isn't named of the first choice
     * @param newBags how many bags are begun anew with them
     * @throws RefusedException if the shelf doesn't give them
     */
    Cut cut(Planned planned, Asked asked, Map<MaterialId, String> dyes, int newBags, String reason, Settings current) {
        reservations.lock(from(planned, asked, current).stream()
                .map(FromCloth::materialId)
                .toList());
        // All is chosen before anything is taken, so that nothing is half booked where one cloth is missing.
        Map<FromCloth, Choice> chosen = new LinkedHashMap<>();
        from(planned, asked, current)
                .forEach(from -> chosen.put(from, chosen(from, Optional.ofNullable(dyes.get(from.materialId())))));
        List<Long> movements = new ArrayList<>();
        List<Recut> recuts = new ArrayList<>();
        chosen.forEach((from, choice) -> {
            Shelves before = shelves.read(List.of(from.materialId()));
            String says = says(from, choice, before, current);
            List<Long> its = reservations
                    .take(planned.batchId(), MovementKind.SPOILED, List.of(want(from, choice, current)), reason)
                    .get(from.materialId());
            keepRests(planned, from, choice, its, before, current);
            long minor = shelves.read(List.of(from.materialId())).used(from.materialId(), its);
            movements.addAll(its);
            recuts.add(new Recut(from.materialId(), newBags, minor, says));
        });
        return new Cut(movements, recuts);
    }

    private static Choice chosen(FromCloth from, Optional<String> dye) {
        return from.choices().stream()
                .filter(one -> dye.isEmpty() || one.dye().equals(dye.get()))
                .findFirst()
                .orElseThrow(() -> RefusedException.conflict(nothing(
                        from,
                        dye.filter(mark -> !mark.isEmpty())
                                .map(mark -> " in dye lot " + mark)
                                .orElse(""))));
    }

    /** Why pieces can't be cut once more. */
    static String nothing(FromCloth from, String ofDye) {
        return "Nothing of “" + from.cloth().name() + "” that is free on the shelf gives " + pieces(from) + ofDye + ".";
    }

    private static Want want(FromCloth from, Choice choice, Settings current) {
        Map<LotId, Long> pieces = new HashMap<>();
        Map<LotId, Long> rolls = new HashMap<>();
        for (ClothLayout cloth : choice.layout().cloths()) {
            if (cloth.isBolt()) {
                rolls.put(
                        LotId.valueOf(cloth.lot()), taken(cloth, from, current).nanometres());
            } else if (!cloth.isOfAnySheet()) {
                pieces.merge(LotId.valueOf(cloth.lot()), 1L, Long::sum);
            }
        }
        Amount amount = from.cloth().sheet().isPresent()
                ? Amount.pieces(choice.layout().sheets())
                : Amount.of(new Length(
                        rolls.values().stream().mapToLong(Long::longValue).sum()));
        return new Want(from.materialId(), Part.WHOLE, amount, pieces, rolls);
    }

    private void keepRests(
            Planned planned, FromCloth from, Choice choice, List<Long> movements, Shelves before, Settings current) {
        List<KeptOffcut> kept = rests(choice, current)
                .map(rest -> new KeptOffcut(
                        from.materialId(),
                        rest.extent(),
                        1,
                        before.placeOf(
                                from.materialId(), LotId.valueOf(rest.cloth().lot()))))
                .toList();
        Area covered = from.pieces().stream()
                .map(piece -> piece.extent().area().times(piece.count()))
                .reduce(Area.ZERO, Area::plus);
        stock.keep(
                planned.batchId(),
                kept,
                new CutCloth(Map.of(from.materialId(), movements), Map.of(from.materialId(), covered)));
    }

    private record Rest(ClothLayout cloth, Extent extent) {}

    /** What is left of a sheet isn't booked back. */
    private static Stream<Rest> rests(Choice choice, Settings current) {
        return choice.layout().cloths().stream()
                .filter(cloth -> !cloth.isOfAnySheet())
                .flatMap(cloth -> CutTree.of(cloth)
                        .rests()
                        .map(CutTree::extent)
                        .filter(rest -> Offcuts.isWorthKeeping(rest, current.offcutShort(), current.offcutLong()))
                        .map(rest -> new Rest(cloth, rest)));
    }

    static String pieces(FromCloth from) {
        return from.pieces().stream()
                .map(piece -> piece.count() == 1
                        ? piece.key().letter()
                        : piece.count() + " of " + piece.key().letter())
                .collect(Collectors.joining(", "));
    }

    /** From what they are cut, in a sentence. */
    static String says(FromCloth from, Choice choice, Shelves shelves, Settings current) {
        ViewWriter writer = current.writer();
        String cuts = choice.layout().cloths().stream()
                .map(cloth -> pieces(cloth) + " from " + source(cloth, from, shelves, current))
                .collect(Collectors.joining("; "));
        String rests =
                rests(choice, current).map(rest -> size(rest.extent(), writer)).collect(Collectors.joining(", "));
        return cuts + (rests.isEmpty() ? "." : ". Kept of it: " + rests + ".");
    }

    private static String pieces(ClothLayout cloth) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        cloth.pieces().forEach(piece -> counts.merge(piece.key().letter(), 1, Integer::sum));
        return counts.entrySet().stream()
                .map(entry -> entry.getValue() == 1 ? entry.getKey() : entry.getValue() + " of " + entry.getKey())
                .collect(Collectors.joining(" and "));
    }

    private static String source(ClothLayout cloth, FromCloth from, Shelves shelves, Settings current) {
        if (cloth.isOfAnySheet()) {
            return "another sheet";
        }
        ViewWriter writer = current.writer();
        String lot = shelves.nameOf(from.materialId(), LotId.valueOf(cloth.lot()));
        return cloth.isBolt()
                ? "roll " + lot + ", a strip of " + writer.text(new Value.OnTheShelf(taken(cloth, from, current)))
                : "offcut " + lot + ", " + size(new Extent(cloth.width(), cloth.length()), writer);
    }

    /** What leaves a roll: what is cut from it and what squares its end, before it shrinks. */
    private static Length taken(ClothLayout cloth, FromCloth from, Settings current) {
        return from.cloth()
                .shrinkage()
                .toTake(cloth.length().plus(current.cutting().squaring()));
    }

    private static String size(Extent extent, ViewWriter writer) {
        return writer.text(new Value.OnTheShelf(extent.width())) + " × "
                + writer.text(new Value.OnTheShelf(extent.height()));
    }
}
