package mardun.app.plan;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import mardun.app.id.MaterialId;
import mardun.app.plan.ChosenLayouts.ChosenLayout;
import mardun.app.settings.Settings;
import mardun.core.batch.ClothNeeds;
import mardun.core.batch.CutList;
import mardun.core.batch.CutList.PieceLine;
import mardun.core.batch.CuttingSheet;
import mardun.core.batch.ShownMotifs;
import mardun.core.batch.Supply;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.CuttingBill;
import mardun.core.cutting.CuttingJob;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.CuttingTerms;
import mardun.core.cutting.OffcutUse;
import mardun.core.cutting.PieceKey;
import mardun.core.cutting.Recut;
import mardun.core.cutting.ShelfCloth;
import mardun.core.making.WorkKind;
import mardun.core.material.ClothKind;
import mardun.core.material.ClothPiece;
import mardun.core.measure.Area;
import mardun.core.measure.Length;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.Money;

/** What has to be cut for a batch, from each of its cloths. */
public final class CuttingJobs {

    private static final int SECONDS_PER_HOUR = 3600;

    /** Of a cloth of which the maker didn't say how many layers are cut at once. */
    private static final int USUAL_LAYERS = 2;

    private CuttingJobs() {}

    /** The cloths that a batch is cut from. */
    public static List<Supply> cloths(Planned planned) {
        return planned.supplies().stream()
                .filter(supply -> supply.kind().isCloth())
                .filter(cloth -> !planned.plan().piecesFrom(cloth).isEmpty())
                .toList();
    }

    /** The pieces that are cut from a cloth. */
    public static List<CutPiece> pieces(Supply cloth, Planned planned) {
        return ClothNeeds.cutPieces(cloth, planned.plan().piecesFrom(cloth));
    }

    /** What the pieces of some cloths cover. */
    public static Map<MaterialId, Area> covered(Planned planned, Set<MaterialId> materialIds) {
        Map<MaterialId, Area> covered = new HashMap<>();
        cloths(planned).stream()
                .filter(cloth -> materialIds.contains(MaterialId.valueOf(cloth.key())))
                .forEach(cloth -> covered.put(
                        MaterialId.valueOf(cloth.key()),
                        pieces(cloth, planned).stream()
                                .map(piece -> piece.extent().area().times(piece.count()))
                                .reduce(Area.ZERO, Area::plus)));
        return covered;
    }

    /** The job for a cloth, from its bolt and from these offcuts and precuts. */
    public static CuttingJob job(Supply cloth, Planned planned, List<ClothPiece> sheets, Settings current) {
        int layers =
                planned.shelves().layersAtOnce(MaterialId.valueOf(cloth.key())).orElse(USUAL_LAYERS);
        List<PieceLine> kinds = planned.plan().piecesFrom(cloth);
        return new CuttingJob(
                ClothNeeds.cutPieces(cloth, kinds),
                ClothNeeds.shelfCloth(cloth, kinds, sheets),
                terms(cloth, kinds, layers, Settled.of(current)),
                CutList.bags(kinds),
                planned.chosenPieces());
    }

    /** A cloth as it lies there for this batch, with these offcuts and precuts. */
    public static ShelfCloth shelfCloth(Supply cloth, Planned planned, List<ClothPiece> sheets) {
        return ClothNeeds.shelfCloth(cloth, planned.plan().piecesFrom(cloth), sheets);
    }

    /** What the maker settled of cutting, as far as the worth of a layout follows from it. */
    record Settled(
            Settings.Cutting cutting,
            Money hourOfCutting,
            Length offcutShort,
            Length offcutLong,
            OffcutUse offcutUse,
            boolean offcutsArePaid) {

        static Settled of(Settings current) {
            return new Settled(
                    current.cutting(),
                    current.workroom().rates().of(WorkKind.CUTTING),
                    current.offcutShort(),
                    current.offcutLong(),
                    current.offcutUse(),
                    current.valuing().offcutsArePaid());
        }
    }

    /** Sheets are paid whole, so a length of such a cloth costs nothing and no rest of it goes back. */
    private static CuttingTerms terms(Supply cloth, List<PieceLine> kinds, int layers, Settled settled) {
        Settings.Cutting cutting = settled.cutting();
        boolean bySheet = cloth.sheet().isPresent();
        return new CuttingTerms(
                bySheet
                        ? BigFraction.ZERO
                        : BigFraction.of(
                                cloth.price().price().getAmountMinorLong(),
                                cloth.price().per().value()),
                BigFraction.of(settled.hourOfCutting().getAmountMinorLong(), SECONDS_PER_HOUR),
                cutting.ruler(),
                cutting.cut(),
                cutting.piece(),
                layers,
                ShownMotifs.squaring(cloth, kinds, cutting.squaring()),
                settled.offcutShort(),
                settled.offcutLong(),
                use(cloth, settled.offcutUse()),
                !bySheet && !settled.offcutsArePaid(),
                cutting.curves());
    }

    /** What lies hidden inside a bag may be pieced together, so its offcuts are used whatever their size. */
    private static OffcutUse use(Supply cloth, OffcutUse use) {
        boolean hidden = cloth.cloth()
                .filter(kind -> kind == ClothKind.FUSIBLE || kind == ClothKind.BATTING || kind == ClothKind.FOAM)
                .isPresent();
        return hidden ? new OffcutUse(use.large(), use.large()) : use;
    }

    /** A stored layout with the pieces that are cut once more. */
    public static CuttingLayout whole(CuttingLayout layout, List<Recut> recuts, ShelfCloth cloth) {
        return Recut.with(layout, recuts, cloth);
    }

    /** A stored layout as the plan takes it; {@code kinds} are cut from this cloth. */
    static CuttingSheet sheet(ChosenLayout chosen, Supply cloth, List<PieceLine> kinds, Settled settled) {
        CuttingLayout whole = whole(chosen.layout(), chosen.recuts(), ClothNeeds.shelfCloth(cloth, kinds, List.of()));
        CuttingTerms terms = terms(cloth, kinds, 1, settled);
        CuttingBill bill = CuttingBill.of(whole, cloth.pieces(), List.of(), terms);
        return new CuttingSheet(whole, terms.squaring(), extra(chosen.recuts()), bill.back());
    }

    /** How many pieces of each kind are cut once more. */
    public static Map<PieceKey, Long> extra(List<Recut> recuts) {
        Map<PieceKey, Long> extra = new HashMap<>();
        recuts.forEach(recut -> extra.merge(recut.piece().key(), 1L, Long::sum));
        return extra;
    }
}
