package mardun.app.batch;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mardun.app.batch.BatchPlans.Planned;
import mardun.app.cutting.CuttingSheets.Sheet;
import mardun.app.settings.Settings;
import mardun.core.batch.BatchPlan.PieceLine;
import mardun.core.batch.BatchPlanner;
import mardun.core.batch.CuttingSheet;
import mardun.core.batch.Supply;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.CuttingBill;
import mardun.core.cutting.CuttingJob;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.CuttingTerms;
import mardun.core.cutting.OffcutUse;
import mardun.core.cutting.Recut;
import mardun.core.cutting.ShelfCloth;
import mardun.core.design.Piece;
import mardun.core.material.ClothKind;
import mardun.core.material.ClothPiece;
import mardun.core.measure.Area;
import org.apache.commons.numbers.fraction.BigFraction;

/** What has to be cut for a batch, from each of its cloths. */
final class CuttingJobs {

    private static final int SECONDS_PER_HOUR = 3600;

    /** Of a cloth of which the maker didn't say how many layers are cut at once. */
    private static final int USUAL_LAYERS = 2;

    private CuttingJobs() {}

    /** The cloths of a batch, each once, however many slots it fills. */
    static List<Supply> cloths(Planned planned) {
        Map<String, Supply> cloths = new LinkedHashMap<>();
        planned.supplies().stream()
                .filter(supply -> supply.kind().isCloth())
                .forEach(supply -> cloths.putIfAbsent(supply.key(), supply));
        return cloths.values().stream()
                .filter(cloth -> !lines(cloth, planned).isEmpty())
                .toList();
    }

    /** The pieces that are cut from a cloth. */
    static List<CutPiece> pieces(Supply cloth, Planned planned) {
        return BatchPlanner.cutPieces(cloth, lines(cloth, planned));
    }

    /** What the pieces of each cloth cover, those that are cut once more among them. */
    static Map<Long, Area> covered(Planned planned) {
        Map<Long, Area> covered = new HashMap<>();
        cloths(planned)
                .forEach(cloth -> covered.put(
                        Long.parseLong(cloth.key()),
                        pieces(cloth, planned).stream()
                                .map(piece -> piece.extent().area().times(piece.count()))
                                .reduce(Area.ZERO, Area::plus)));
        return covered;
    }

    /** The lines of the cut list that are cut from a cloth. */
    static List<PieceLine> lines(Supply cloth, Planned planned) {
        return planned.plan().pieces().stream()
                .filter(line -> planned.supplies().stream()
                        .anyMatch(supply -> supply.key().equals(cloth.key())
                                && supply.slot().equals(line.piece().piece().slot())))
                .toList();
    }

    /** The job for a cloth, from its bolt and from these offcuts and precuts. */
    static CuttingJob job(Supply cloth, Planned planned, List<ClothPiece> sheets, Settings current) {
        int layers = planned.shelves().layersAtOnce(Long.parseLong(cloth.key())).orElse(USUAL_LAYERS);
        return new CuttingJob(
                pieces(cloth, planned),
                shelfCloth(cloth, planned, sheets),
                terms(cloth, layers, current),
                planned.plan().units(),
                planned.chosenPieces());
    }

    /** A cloth as it lies there for this batch, with these offcuts and precuts. */
    static ShelfCloth shelfCloth(Supply cloth, Planned planned, List<ClothPiece> sheets) {
        return BatchPlanner.shelfCloth(
                cloth,
                lines(cloth, planned).stream().map(line -> line.piece().piece()).toList(),
                sheets);
    }

    /** Sheets are paid whole, so a length of such a cloth costs nothing and no rest of it goes back. */
    private static CuttingTerms terms(Supply cloth, int layers, Settings current) {
        Settings.Cutting cutting = current.cutting();
        boolean bySheet = cloth.sheet().isPresent();
        return new CuttingTerms(
                bySheet
                        ? BigFraction.ZERO
                        : BigFraction.of(
                                cloth.price().price().getAmountMinorLong(),
                                cloth.price().per().value()),
                BigFraction.of(current.workroom().hourlyRate().getAmountMinorLong(), SECONDS_PER_HOUR),
                cutting.ruler(),
                cutting.cut(),
                cutting.piece(),
                layers,
                cutting.squaring(),
                current.offcutShort(),
                current.offcutLong(),
                use(cloth, current),
                !bySheet && !current.valuing().offcutsArePaid());
    }

    /** What lies hidden inside a bag may be pieced together, so its offcuts are used whatever their size. */
    private static OffcutUse use(Supply cloth, Settings current) {
        OffcutUse use = current.offcutUse();
        boolean hidden = cloth.cloth()
                .filter(kind -> kind == ClothKind.FUSIBLE || kind == ClothKind.BATTING || kind == ClothKind.FOAM)
                .isPresent();
        return hidden ? new OffcutUse(use.large(), use.large()) : use;
    }

    /** A stored layout with the pieces that are cut once more. */
    static CuttingLayout whole(Sheet sheet, ShelfCloth cloth) {
        return Recut.with(sheet.layout(), sheet.recuts(), cloth);
    }

    /** A stored layout as the plan takes it; {@code pieces} are those of the design that are cut from this cloth. */
    static CuttingSheet sheet(Sheet sheet, Supply cloth, List<Piece> pieces, Settings current) {
        CuttingLayout whole = whole(sheet, BatchPlanner.shelfCloth(cloth, pieces, List.of()));
        CuttingBill bill = CuttingBill.of(whole, cloth.pieces(), terms(cloth, 1, current));
        return new CuttingSheet(whole, current.cutting().squaring(), sheet.extra(), bill.back());
    }
}
