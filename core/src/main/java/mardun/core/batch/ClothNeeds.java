package mardun.core.batch;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.core.batch.CutList.PieceLine;
import mardun.core.costing.WasteSchool;
import mardun.core.cutting.CannotBeCutException;
import mardun.core.cutting.ClothNeed;
import mardun.core.cutting.ClothPlanner;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.CutShape;
import mardun.core.cutting.Offcuts;
import mardun.core.cutting.PieceKey;
import mardun.core.cutting.PrintPlace;
import mardun.core.cutting.ShelfCloth;
import mardun.core.material.Amount;
import mardun.core.material.ClothPiece;
import mardun.core.material.Part;
import mardun.core.material.Roll;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;
import org.apache.commons.numbers.fraction.BigFraction;

/** What all lines of a batch take together of one cloth. */
public final class ClothNeeds {

    private final ClothPlanner cloths;
    private final WasteSchool waste;

    ClothNeeds(ClothPlanner cloths, WasteSchool waste) {
        this.cloths = cloths;
        this.waste = waste;
    }

    /**
     * By the cutting sheet where there is one that serves; else offcuts first, then the bolt. Cloth that shrinks before it is
     * cut is narrower then, and more of it is needed.
     */
    Need of(Supply supply, List<PieceLine> kinds, Optional<CuttingSheet> sheet) {
        List<CutPiece> cut = cutPieces(supply, kinds);
        if (supply.sheet().isPresent()) {
            return sheetNeed(supply, kinds, cut, supply.sheet().get(), sheet);
        }
        ShelfCloth cloth = shelfCloth(supply, kinds, supply.pieces());
        Optional<CuttingSheet> serving = sheet.filter(one -> one.serves(cut, cloth));
        if (serving.isPresent()) {
            CuttingSheet by = serving.get();
            return Need.ofCloth(
                    supply,
                    beforeShrinking(by.length(), supply),
                    by.uses(),
                    by.left(),
                    serving,
                    supply.shrinkage().toTake(by.toBuy(cloth)),
                    LineShares.of(by.layout(), kinds, waste));
        }
        Need together = byPencil(supply, kinds);
        boolean isShared = kinds.stream().anyMatch(kind -> kind.shares().size() > 1);
        if (!isShared || !together.offcuts().isEmpty()) {
            return together;
        }
        // A strip may be turned for a few pieces and not for many, so that now and then less is taken line by line.
        Need lineByLine = byPencil(supply, lineByLine(kinds));
        return lineByLine.amount().compareTo(together.amount()) < 0 ? lineByLine : together;
    }

    private static List<PieceLine> lineByLine(List<PieceLine> kinds) {
        return kinds.stream()
                .flatMap(kind ->
                        kind.shares().stream().map(share -> new PieceLine(share.key(), kind.from(), List.of(share))))
                .toList();
    }

    private Need byPencil(Supply supply, List<PieceLine> kinds) {
        ShelfCloth cloth = shelfCloth(supply, kinds, supply.pieces());
        List<CutPiece> cut = cutPieces(supply, kinds);
        Offcuts.Plan plan = Offcuts.first(
                cut.stream().filter(piece -> !cloth.isMetBy(piece)).toList(), supply.pieces());
        List<CutPiece> fromTheRoll = Stream.concat(
                        cut.stream().filter(cloth::isMetBy).map(cloth::asLargeAsItTakes), plan.rest().stream())
                .toList();
        ClothNeed need = cloths.plan(cloth, fromTheRoll);
        return Need.ofCloth(
                supply,
                beforeShrinking(need.length(), supply),
                plan.uses(),
                Offcuts.left(need, cloth),
                Optional.empty(),
                Length.ZERO,
                LineShares.of(need, plan.uses(), kinds));
    }

    /**
     * How many sheets are cut into, by the cutting sheet where there is one that serves; else each is filled before the next.
     * What is left of a sheet isn't counted back, and none becomes a roll.
     */
    private Need sheetNeed(
            Supply supply,
            List<PieceLine> kinds,
            List<CutPiece> pieces,
            Extent size,
            Optional<CuttingSheet> cuttingSheet) {
        ShelfCloth cloth = sheetsOf(supply, size);
        Optional<CuttingSheet> serving = cuttingSheet.filter(one -> one.serves(pieces, cloth));
        if (serving.isPresent()) {
            return Need.ofSheets(
                    supply, serving.get(), LineShares.of(serving.get().layout(), kinds, waste));
        }
        Extent whenCut = whenCut(supply, size);
        long atMost = pieces.stream().mapToLong(CutPiece::count).sum();
        ClothPiece sheets = new ClothPiece(supply.key(), whenCut, atMost, BigFraction.ZERO);
        Offcuts.Plan plan = Offcuts.first(pieces, List.of(sheets));
        plan.rest().stream().findFirst().ifPresent(piece -> {
            throw CannotBeCutException.largerThanASheet(piece, whenCut);
        });
        long count = plan.uses().stream().mapToLong(Offcuts.Use::count).sum();
        return Need.of(
                supply,
                Part.WHOLE,
                Amount.pieces(count),
                Working.of("So many sheets, each filled with pieces before the next is cut into.")
                        .expression("{sheets}")
                        .input("sheets", "sheets for all pieces", Value.of(count))
                        .gives(Value.of(count)),
                LineShares.ofSheets(plan.uses(), kinds));
    }

    private static Extent whenCut(Supply supply, Extent size) {
        return new Extent(
                supply.shrinkage().whenCut(size.width()), supply.shrinkage().whenCut(size.height()));
    }

    private static ShelfCloth sheetsOf(Supply supply, Extent size) {
        return ShelfCloth.ofSheets(
                whenCut(supply, size),
                BigFraction.of(
                        supply.price().price().getAmountMinorLong(),
                        supply.price().per().value()));
    }

    /**
     * What is cut from a supply, as it may lie on it: larger than the design says, where the cloth shrinks afterwards.
     *
     * @param lines all that is cut from it together
     */
    public static List<CutPiece> cutPieces(Supply supply, List<PieceLine> lines) {
        Map<PieceKey, PrintPlace> shown = ShownMotifs.of(supply, lines).places();
        return lines.stream()
                .map(line -> new CutPiece(
                        line.key(),
                        line.name(),
                        supply.shrinkage().toCut(line.piece().extent()),
                        line.count(),
                        !(supply.directional() && line.piece().piece().directional()),
                        line.piece().piece().meetsPrint(),
                        line.piece().alongTemplate(),
                        line.piece().alongTemplate().isPositive()
                                ? Optional.of(new CutShape(
                                        line.piece().outline(), line.piece().extent()))
                                : Optional.empty(),
                        Optional.ofNullable(shown.get(line.key()))))
                .toList();
    }

    /** The width of a cloth when it is cut: what it shrinks before is gone; its selvages count where any piece may have them. */
    static Length widthToCut(Supply supply, List<PieceLine> kinds) {
        boolean overSelvage =
                kinds.stream().anyMatch(kind -> kind.piece().piece().overSelvage());
        Length wide = supply.usableWidth()
                .orElseThrow()
                .plus(overSelvage ? supply.lie().selvage().times(2) : Length.ZERO);
        return supply.shrinkage().whenCut(wide);
    }

    /**
     * A cloth as it lies there when it is cut, after it has been washed where it is washed first.
     *
     * @param kinds all that are cut from it
     * @param sheets the offcuts and precuts that may be cut into, of cloth that is bought by length
     */
    public static ShelfCloth shelfCloth(Supply supply, List<PieceLine> kinds, List<ClothPiece> sheets) {
        if (supply.sheet().isPresent()) {
            return sheetsOf(supply, supply.sheet().get());
        }
        Supply.Lie lie = supply.lie();
        return new ShelfCloth(
                widthToCut(supply, kinds),
                sheets,
                lie.rolls().stream()
                        .map(roll -> new Roll(
                                roll.key(), roll.dye(), supply.shrinkage().whenCut(roll.length())))
                        .toList(),
                lie.repeat().map(supply.shrinkage()::whenCut),
                lie.repeatAcross().map(supply.shrinkage()::whenCut),
                lie.oneDye(),
                selvages(supply, kinds),
                false);
    }

    private static ShelfCloth.Selvages selvages(Supply supply, List<PieceLine> kinds) {
        Set<PieceKey> between = kinds.stream()
                .filter(kind -> !kind.piece().piece().overSelvage())
                .map(PieceLine::key)
                .collect(Collectors.toSet());
        boolean matters = !between.isEmpty() && between.size() < kinds.size();
        Length usable = supply.shrinkage().whenCut(supply.usableWidth().orElseThrow());
        long both = widthToCut(supply, kinds).minus(usable).nanometres();
        return matters ? new ShelfCloth.Selvages(new Length((both + 1) / 2), between) : ShelfCloth.Selvages.NONE;
    }

    private static Figure<Length> beforeShrinking(Figure<Length> cut, Supply supply) {
        if (!supply.shrinkage().isBefore()) {
            return cut;
        }
        Length bought = supply.shrinkage().toTake(cut.value());
        return new Figure<>(
                bought,
                Working.of("Cloth shrinks when it is washed first: take more of it, by what is left of its length.")
                        .expression("{cut} ÷ (1 − {shrinkage})")
                        .input("cut", "cut from the washed cloth", new Value.OnTheShelf(cut.value()), cut.working())
                        .input(
                                "shrinkage",
                                "shrinkage",
                                new Value.Share(supply.shrinkage().share()))
                        .rounded("rounded up")
                        .gives(new Value.OnTheShelf(bought)));
    }
}
