package mardun.app.cutter;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.batch.BatchSheetWriter;
import mardun.app.batch.CuttableBatches;
import mardun.app.cutter.CutterViews.CutMatView;
import mardun.app.cutter.CutterViews.MatForm;
import mardun.app.cutter.CutterViews.MatPathView;
import mardun.app.cutter.CutterViews.MatPieceKind;
import mardun.app.cutter.CutterViews.MatSizeView;
import mardun.app.cutter.CutterViews.MatsView;
import mardun.app.cutter.CutterViews.SentMatForm;
import mardun.app.cutter.CuttingMachine.Mat;
import mardun.app.cutter.CuttingMachine.Trouble;
import mardun.app.id.BatchId;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.CuttingJobs;
import mardun.app.plan.Planned;
import mardun.app.problem.RefusedException;
import mardun.app.request.Fingerprint;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.LengthView;
import mardun.core.batch.CutList.PieceLine;
import mardun.core.batch.Supply;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.CutShape;
import mardun.core.cutting.PieceKey;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.ShownRounding;
import mardun.core.nesting.Blade;
import mardun.core.nesting.MatNesting;
import mardun.core.nesting.MatNesting.Nested;
import mardun.core.nesting.MatShape;
import mardun.core.nesting.MatSize;
import mardun.core.nesting.NestedMat;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lays the shaped pieces of a batch's cloth on the mats of a cutting machine, and sends them there. */
@Service
public class MatService {

    private static final int MOST_SHAPES = 1_000;

    private final CuttableBatches batches;
    private final BatchPlans plans;
    private final SettingsService settings;
    private final CuttingMachine machine;

    MatService(CuttableBatches batches, BatchPlans plans, SettingsService settings, CuttingMachine machine) {
        this.batches = batches;
        this.plans = plans;
        this.settings = settings;
        this.machine = machine;
    }

    /**
     * A cloth's pieces on mats.
     *
     * @param mark tells these mats from those of other pieces or of another number of them
     */
    private record Laid(
            Planned planned, Supply cloth, List<Kind> kinds, Mat mat, Nested nested, Blade blade, String mark) {

        String key(int number) {
            return "batch " + planned.batchId() + " cloth " + cloth.key() + " " + mark + " mat " + number;
        }

        String title(int number) {
            return "Batch " + planned.batchId() + ", " + cloth.name() + ", mat " + number + " of "
                    + nested.mats().size();
        }
    }

    private record Kind(PieceLine line, CutPiece piece, String label, boolean isShaped, boolean isChosen) {}

    /** The mats for some pieces of a cloth. */
    @Transactional(readOnly = true)
    public MatsView mats(BatchId id, MatForm form) {
        Settings current = settings.current();
        Laid laid = laid(id, form, current);
        ViewWriter writer = current.writer();
        MatSize size = laid.mat().size();
        List<NestedMat> mats = laid.nested().mats();
        List<String> keys = new ArrayList<>();
        for (int i = 1; i <= mats.size(); i++) {
            keys.add(laid.key(i));
        }
        Set<String> cut = machine.cut(keys);
        List<CutMatView> views = new ArrayList<>();
        for (int i = 0; i < mats.size(); i++) {
            views.add(view(i + 1, keys.get(i), mats.get(i), cut.contains(keys.get(i)), machine.pace(), writer));
        }
        return new MatsView(
                laid.blade().words(),
                laid.blade().why(),
                machine.mats().stream()
                        .map(mat -> new MatSizeView(
                                mat.key(),
                                length(mat.size().width(), writer),
                                length(mat.size().height(), writer)))
                        .toList(),
                laid.mat().key(),
                size.width(),
                size.height(),
                laid.kinds().stream()
                        .map(kind -> new MatPieceKind(
                                kind.label(),
                                kind.piece().name(),
                                kind.piece().count(),
                                kind.isShaped(),
                                kind.isChosen()))
                        .toList(),
                laid.nested().tooLarge().stream()
                        .map(shape -> shape.key() + " " + shape.name())
                        .toList(),
                views);
    }

    private static LengthView length(double millimetres, ViewWriter writer) {
        return writer.length(Length.of(Math.round(millimetres), LengthUnit.MILLIMETRE), ShownRounding.DOWN);
    }

    private static CutMatView view(int number, String key, NestedMat mat, boolean cut, double pace, ViewWriter writer) {
        return new CutMatView(
                number,
                key,
                mat.laid().size(),
                writer.percent(BigDecimal.valueOf(mat.covered()).setScale(2, RoundingMode.HALF_UP)),
                writer.time(Duration.ofSeconds(Math.round(mat.cutLength() / pace))),
                cut,
                mat.laid().stream()
                        .map(one -> new MatPathView(
                                one.shape().key(),
                                MatSvg.path(one),
                                one.left() + one.contour().width() / 2,
                                one.top() + one.contour().height() / 2))
                        .toList());
    }

    /** The job of a mat as a file. */
    @Transactional(readOnly = true)
    public String job(BatchId id, MatForm form, int number) {
        Laid laid = laid(id, form, settings.current());
        return MatSvg.job(laid.title(number), mat(laid, number), laid.blade());
    }

    private static NestedMat mat(Laid laid, int number) {
        List<NestedMat> mats = laid.nested().mats();
        if (number < 1 || number > mats.size()) {
            throw RefusedException.missing(
                    "There is no mat " + number + "; these pieces lie on " + mats.size() + ". Look again.");
        }
        return mats.get(number - 1);
    }

    /** Sends a mat to the machine. Sent twice, it is cut once. */
    @Transactional(readOnly = true)
    public void send(BatchId id, SentMatForm form) {
        batches.uncut(id).refuseIfCut(form.of().materialId());
        Laid laid = laid(id, form.of(), settings.current());
        NestedMat mat = mat(laid, form.number());
        String title = laid.title(form.number());
        machine.cut(new MatJob(
                        laid.key(form.number()),
                        title,
                        mat.laid().size(),
                        mat.cutLength(),
                        MatSvg.job(title, mat, laid.blade())))
                .map(Trouble::sentence)
                .ifPresent(why -> {
                    throw RefusedException.conflict(why);
                });
    }

    private Laid laid(BatchId id, MatForm form, Settings current) {
        Planned planned = plans.of(batches.get(id).chosen(), current);
        Supply cloth = CuttingJobs.cloths(planned).stream()
                .filter(one -> one.key().equals(form.materialId().key()))
                .findFirst()
                .orElseThrow(() -> RefusedException.missing("Nothing of this batch is cut from this cloth."));
        Mat mat = machine.mats().stream()
                .filter(one -> form.mat() == null || one.key().equals(form.mat()))
                .findFirst()
                .orElseThrow(() -> RefusedException.missing("The machine takes no such mat."));
        List<Kind> kinds =
                kinds(planned, cloth, Optional.ofNullable(form.pieces()).map(Set::copyOf));
        List<MatShape> shapes =
                kinds.stream().filter(Kind::isChosen).map(MatService::shape).toList();
        long together = shapes.stream().mapToLong(MatShape::count).sum();
        if (together > MOST_SHAPES) {
            throw RefusedException.conflict("These are " + together + " pieces; at most " + MOST_SHAPES
                    + " are laid on mats at once. Choose fewer kinds, or cut the batch in parts.");
        }
        return new Laid(
                planned,
                cloth,
                kinds,
                mat,
                MatNesting.of(shapes, mat.size(), machine.gap()),
                cloth.cloth().map(Blade::of).orElse(Blade.ROLLING),
                Fingerprint.of(shapes + " " + mat).substring(0, 12));
    }

    /** What may lie across the grain may lie with its top down too. */
    private static MatShape shape(Kind kind) {
        CutPiece piece = kind.piece();
        return new MatShape(
                kind.label(),
                piece.name(),
                new CutShape(kind.line().piece().outline(), kind.line().piece().extent()).contour(piece.extent()),
                Math.toIntExact(piece.count()),
                piece.mayTurn(),
                piece.mayTurn());
    }

    private static List<Kind> kinds(Planned planned, Supply cloth, Optional<Set<String>> chosen) {
        Map<PieceKey, CutPiece> pieces =
                CuttingJobs.pieces(cloth, planned).stream().collect(Collectors.toMap(CutPiece::key, piece -> piece));
        boolean several = planned.lines().size() > 1;
        return planned.plan().piecesFrom(cloth).stream()
                .filter(line -> pieces.containsKey(line.key()))
                .map(line -> {
                    String label = BatchSheetWriter.label(line.key(), several);
                    boolean isShaped = pieces.get(line.key()).alongTemplate().isPositive();
                    return new Kind(
                            line,
                            pieces.get(line.key()),
                            label,
                            isShaped,
                            chosen.map(its -> its.contains(label)).orElse(isShaped));
                })
                .toList();
    }
}
