package mardun.app.cutting;

import java.math.RoundingMode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import mardun.app.batch.BatchSheetWriter;
import mardun.app.batch.BatchStage;
import mardun.app.batch.CuttableBatches;
import mardun.app.batch.CuttableBatches.Standing;
import mardun.app.cutting.CuttingSheets.Sheet;
import mardun.app.cutting.CuttingViews.ClothView;
import mardun.app.cutting.CuttingViews.CuttingView;
import mardun.app.cutting.CuttingViews.LineName;
import mardun.app.cutting.CuttingViews.PieceKind;
import mardun.app.cutting.CuttingViews.SearchForm;
import mardun.app.cutting.CuttingViews.SearchView;
import mardun.app.cutting.CuttingViews.SpoiledForm;
import mardun.app.cutting.CuttingViews.TickForm;
import mardun.app.cutting.CuttingViews.TrimLengths;
import mardun.app.cutting.CuttingViews.WhatIfForm;
import mardun.app.cutting.CuttingViews.WhatIfView;
import mardun.app.id.BatchId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialService;
import mardun.app.material.StockShelves;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.CuttingJobs;
import mardun.app.plan.LayoutDocument;
import mardun.app.plan.OuterCloth;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.batch.ClothNeeds;
import mardun.core.batch.CutList.PieceLine;
import mardun.core.batch.CutList.PieceShare;
import mardun.core.batch.CuttingSheet;
import mardun.core.batch.Need;
import mardun.core.batch.ShownMotifs;
import mardun.core.batch.Supply;
import mardun.core.batch.WhatIf;
import mardun.core.cutting.Aim;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.CuttingBill;
import mardun.core.cutting.CuttingJob;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.LayoutCheck;
import mardun.core.cutting.PieceKey;
import mardun.core.cutting.Recut;
import mardun.core.cutting.ShelfCloth;
import mardun.core.design.Finding;
import mardun.core.design.PieceNotes;
import mardun.core.making.Stage;
import mardun.core.material.Amount;
import mardun.core.material.MaterialKind;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.ShownRounding;
import mardun.core.working.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** How batches are cut: their layouts, the cuts in order, and what if. */
@Service
public class CuttingService {

    private static final Length WIDEST = Length.of(5, LengthUnit.METRE);
    private static final Length LONGEST = Length.of(1000, LengthUnit.METRE);

    private static final int MOST_SPOILED = 200;
    private static final Supplier<RefusedException> NOT_LAID_OUT =
            () -> RefusedException.missing("This cloth isn't laid out yet, or not any more.");

    private final CuttableBatches batches;
    private final BatchPlans plans;
    private final CuttingSheets sheets;
    private final LayoutQueue queue;
    private final MaterialService materials;
    private final StockShelves shelves;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final TransactionTemplate writing;

    CuttingService(
            CuttableBatches batches,
            BatchPlans plans,
            CuttingSheets sheets,
            LayoutQueue queue,
            MaterialService materials,
            StockShelves shelves,
            SettingsService settings,
            OnceOnly onceOnly,
            PlatformTransactionManager transactions) {
        this.batches = batches;
        this.plans = plans;
        this.sheets = sheets;
        this.queue = queue;
        this.materials = materials;
        this.shelves = shelves;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.writing = new TransactionTemplate(transactions);
    }

    @Transactional(readOnly = true)
    public CuttingView get(BatchId id) {
        Settings current = settings.current();
        Standing batch = batches.get(id);
        Planned planned = plans.of(batch.chosen(), current);
        List<Sheet> all = sheets.all(id);
        List<Supply> cloths = CuttingJobs.cloths(planned);
        Map<MaterialId, String> colours = materials.colours(
                cloths.stream().map(cloth -> MaterialId.valueOf(cloth.key())).toList());
        List<DrawnCloth> drawn = cloths.stream()
                .map(cloth -> cloth(cloth, planned, all, colours, current))
                .toList();
        boolean several = planned.lines().size() > 1;
        return new CuttingView(
                id,
                batch.version(),
                planned.lines().stream()
                        .map(line -> line.design().name())
                        .distinct()
                        .collect(Collectors.joining(", ")),
                several ? "" : planned.first().sizeWords(),
                planned.plan().units(),
                several
                        ? planned.lines().stream()
                                .map(line -> name(line, planned))
                                .toList()
                        : List.of(),
                batch.stage(),
                all.stream().filter(Sheet::chosen).map(Sheet::aim).findFirst().orElse(Aim.MONEY),
                all.stream()
                        .anyMatch(sheet ->
                                !sheet.done().isEmpty() || !sheet.recuts().isEmpty()),
                queue.of(id).map(run -> view(run, current)).orElse(null),
                drawn.stream().map(DrawnCloth::view).toList(),
                trims(planned, current),
                BatchSheetWriter.cautions(planned, Stage.CUT).toList(),
                batch.stage() == BatchStage.PLANNED
                        ? CuttingMinutes.of(drawn.stream().map(DrawnCloth::time).toList(), planned)
                                .map(both -> both.view(current.writer()))
                                .orElse(null)
                        : null);
    }

    /** What the sheets and the steps of a batch say about the minutes of cutting; empty where that can't be told. */
    @Transactional(readOnly = true)
    Optional<CuttingMinutes.Both> minutes(BatchId id) {
        Settings current = settings.current();
        Planned planned = plans.of(batches.get(id).chosen(), current);
        List<Sheet> all = sheets.all(id);
        return CuttingMinutes.of(
                CuttingJobs.cloths(planned).stream()
                        .map(cloth ->
                                cloth(cloth, planned, all, Map.of(), current).time())
                        .toList(),
                planned);
    }

    private static LineName name(PlannedLine line, Planned planned) {
        return new LineName(
                line.number(),
                line.design().name(),
                line.sizeWords(),
                OuterCloth.of(planned, line).name(),
                line.chosen().started());
    }

    /** The trims, with the rolls from which their lengths are cut. */
    private List<TrimLengths> trims(Planned planned, Settings current) {
        List<Need> needs = planned.plan().needs().stream()
                .filter(need -> need.lengths().isPresent())
                .toList();
        Map<MaterialId, String> colours = materials.colours(needs.stream()
                .map(need -> MaterialId.valueOf(need.supply().key()))
                .toList());
        return needs.stream()
                .map(need -> new LengthsWriter(current.writer(), planned.shelves())
                        .trim(
                                need,
                                colours.getOrDefault(
                                        MaterialId.valueOf(need.supply().key()), LengthsWriter.GREY)))
                .toList();
    }

    /** A cloth as it is shown, with how long cutting it takes by its layout; empty where it isn't laid out. */
    private record DrawnCloth(ClothView view, Optional<Duration> time) {}

    private DrawnCloth cloth(
            Supply cloth, Planned planned, List<Sheet> all, Map<MaterialId, String> colours, Settings current) {
        ViewWriter writer = current.writer();
        MaterialId materialId = MaterialId.valueOf(cloth.key());
        Optional<Need> need = planned.plan().needs().stream()
                .filter(one -> one.supply().key().equals(cloth.key()))
                .findFirst();
        CuttingJob job =
                CuttingJobs.job(cloth, planned, planned.shelves().pieces(materialId, planned.batchId()), current);
        List<PieceLine> lines = planned.plan().piecesFrom(cloth);
        boolean several = planned.lines().size() > 1;
        CuttingWriter drawing = new CuttingWriter(
                writer, job, several, lot -> planned.shelves().nameOf(materialId, LotId.valueOf(lot)));
        List<Sheet> its = all.stream()
                .filter(sheet -> sheet.materialId().equals(materialId))
                .toList();
        Optional<Sheet> cutBy = need.flatMap(Need::sheet).map(sheet -> shown(sheet, its, job.cloth(), materialId));
        Map<PieceKey, Long> extra = cutBy.map(Sheet::extra).orElse(Map.of());
        Amount none = Amount.none(cloth.kind().counting());
        Map<PieceKey, Extent> cutAs =
                ClothNeeds.cutPieces(cloth, lines).stream().collect(Collectors.toMap(CutPiece::key, CutPiece::extent));
        boolean cut = planned.batch().isCut(materialId);
        Optional<CuttingLayout> whole =
                cutBy.map(sheet -> CuttingJobs.whole(sheet.layout(), sheet.recuts(), job.cloth()));
        Optional<CuttingBill> bill = whole.map(layout -> CuttingBill.of(layout, job));
        ClothView view = new ClothView(
                materialId,
                cloth.name(),
                colours.getOrDefault(materialId, LengthsWriter.GREY),
                cloth.directional(),
                cloth.sheet().isPresent(),
                writer.length(job.width(), ShownRounding.DOWN),
                writer.amount(need.map(Need::amount).orElse(none)),
                writer.amount(need.map(one -> one.stock().free()).orElse(none)),
                need.filter(one -> !cut && one.isShort())
                        .map(one -> writer.amount(one.shortBy()))
                        .orElse(null),
                cut,
                need.isPresent() ? null : trouble(cloth, planned, writer),
                cloth.shrinkage().isAfter()
                        ? "It shrinks by "
                                + writer.percent(cloth.shrinkage().share())
                                + " after cutting, so all pieces are cut larger than the design says."
                        : null,
                ShownMotifs.of(cloth, lines)
                        .beginning()
                        .map(beginning -> squaredAt(beginning, job, writer))
                        .orElse(null),
                whole.filter(job.cloth()::isOfSeveralDyes).isPresent(),
                lines.stream()
                        .map(line -> new PieceKind(
                                BatchSheetWriter.label(line.key(), several),
                                line.name(),
                                line.piece().piece().role(),
                                writer.length(cutAs.get(line.key()).width(), ShownRounding.UP),
                                writer.length(cutAs.get(line.key()).height(), ShownRounding.UP),
                                line.count(),
                                line.piece().count(),
                                extra.getOrDefault(line.key(), 0L),
                                line.shares().stream().map(PieceShare::line).toList(),
                                PieceNotes.of(line.piece()).stream()
                                        .map(writer::sentence)
                                        .toList()))
                        .toList(),
                cutBy.map(drawing::mats).orElse(List.of()),
                whole.map(drawing::bill).orElse(null),
                cutBy.isPresent() ? its.stream().map(drawing::aim).toList() : List.of());
        return new DrawnCloth(view, bill.map(CuttingBill::time));
    }

    private static String squaredAt(ShownMotifs.Beginning beginning, CuttingJob job, ViewWriter writer) {
        return "The end is squared " + writer.text(Value.of(beginning.above())) + " above the middle of “"
                + beginning.motif().name() + "”; up to "
                + writer.text(Value.of(job.terms().squaring()))
                + " is cut off for that.";
    }

    /** The stored layout by which the plan goes; of a batch that is cut, perhaps only what was frozen then. */
    private static Sheet shown(CuttingSheet sheet, List<Sheet> stored, ShelfCloth cloth, MaterialId materialId) {
        return stored.stream()
                .filter(Sheet::chosen)
                .filter(one ->
                        CuttingJobs.whole(one.layout(), one.recuts(), cloth).equals(sheet.layout()))
                .findFirst()
                .orElse(new Sheet(materialId, Aim.MONEY, true, sheet.layout(), List.of(), List.of()));
    }

    private static String trouble(Supply cloth, Planned planned, ViewWriter writer) {
        return planned.plan().findings().stream()
                .filter(Finding::isRefused)
                .filter(finding -> finding.place().equals("materials." + cloth.key()))
                .findFirst()
                .map(finding -> writer.sentence(finding.what()) + " " + writer.sentence(finding.remedy()))
                .orElse("The plan isn't complete yet. Finish it first.");
    }

    /** Begins to search for the layouts of the cloths of which nothing is cut yet. */
    @Transactional(readOnly = true)
    public SearchView search(BatchId id, SearchForm form) {
        Settings current = settings.current();
        Planned planned = plans.of(batches.uncut(id).chosen(), current);
        List<Sheet> all = sheets.all(id);
        List<LayoutRun.Task> tasks = new ArrayList<>();
        for (Supply cloth : CuttingJobs.cloths(planned)) {
            MaterialId materialId = MaterialId.valueOf(cloth.key());
            boolean begun = all.stream()
                    .anyMatch(sheet -> sheet.materialId().equals(materialId)
                            && !(sheet.done().isEmpty() && sheet.recuts().isEmpty()));
            if (!begun && !planned.batch().isCut(materialId)) {
                tasks.add(new LayoutRun.Task(
                        materialId,
                        CuttingJobs.job(
                                cloth,
                                planned,
                                form.fromOffcuts() ? planned.shelves().pieces(materialId, id) : List.of(),
                                current)));
            }
        }
        return view(queue.begin(id, tasks, form.aim(), form.seconds(), put -> keep(id, put)), current);
    }

    /** Keeps what a search found, unless the batch was cut or given up meanwhile. */
    private void keep(BatchId id, Runnable put) {
        writing.executeWithoutResult(status -> batches.ifStillUncut(id, put));
    }

    @Transactional(readOnly = true)
    public SearchView searching(BatchId id) {
        Settings current = settings.current();
        return queue.of(id).map(run -> view(run, current)).orElse(new SearchView(false, false, 1, null));
    }

    @Transactional(readOnly = true)
    public SearchView stop(BatchId id) {
        queue.stop(id);
        return searching(id);
    }

    private static SearchView view(LayoutRun run, Settings current) {
        ViewWriter writer = current.writer();
        LayoutRun.Found best = run.best();
        String words = null;
        if (best != null) {
            words = (best.sheets() > 0
                            ? writer.text(Amount.pieces(best.sheets()).shown()) + " sheets"
                            : writer.text(new Value.OnTheShelf(best.length())))
                    + ", "
                    + writer.percent(best.overLeast().bigDecimalValue(3, RoundingMode.HALF_UP))
                    + " over the least possible";
        }
        return new SearchView(run.state() != LayoutRun.State.ENDED, run.hasFailed(), run.progress(), words);
    }

    @Transactional
    public CuttingView choose(BatchId id, Aim aim) {
        Standing batch = batches.uncutForChange(id);
        sheets.choose(id, aim, batch.chosen()::isCut);
        batches.holdsFollow(id);
        return get(id);
    }

    /** Says that a step is cut, or isn't after all. */
    @Transactional
    public CuttingView tick(BatchId id, TickForm form) {
        batches.uncutForChange(id).refuseIfCut(form.materialId());
        boolean isKnown = get(id).cloths().stream()
                .filter(cloth -> cloth.materialId().equals(form.materialId()))
                .flatMap(cloth -> cloth.mats().stream())
                .flatMap(mat -> mat.steps().stream())
                .anyMatch(step -> step.key().equals(form.step()));
        if (!isKnown) {
            throw NOT_LAID_OUT.get();
        }
        sheets.tick(id, form.materialId(), form.step(), form.done());
        return get(id);
    }

    /** Finds room for pieces that were spoiled: in the rests first, the smallest that holds them. */
    public CuttingView spoiled(BatchId id, SpoiledForm form) {
        onceOnly.make(form.requestId(), "spoiled in batch " + id, form, () -> {
            cutOnceMore(id, form);
            return id.value();
        });
        return get(id);
    }

    private void cutOnceMore(BatchId id, SpoiledForm form) {
        Settings current = settings.current();
        Standing batch = batches.uncutForChange(id);
        batch.refuseIfCut(form.materialId());
        Planned planned = plans.of(batch.chosen(), current);
        boolean several = planned.lines().size() > 1;
        FieldReader fields = new FieldReader();
        int count = fields.count("count", form.count(), 1, MOST_SPOILED);
        fields.check();
        Supply cloth = supply(planned, form.materialId());
        CutPiece kind = CuttingJobs.pieces(cloth, planned).stream()
                .filter(piece -> BatchSheetWriter.label(piece.key(), several).equals(form.letter()))
                .findFirst()
                .orElseThrow(() -> RefusedException.missing("No piece " + form.letter() + " is cut from this cloth."));
        ShelfCloth lying = CuttingJobs.shelfCloth(cloth, planned, cloth.pieces());
        CuttingLayout layout = layout(planned, form.materialId());
        boolean severalDyes = lying.isOfSeveralDyes(layout);
        if (severalDyes) {
            checkWhere(form, kind.key(), layout, fields);
        }
        Length squaring = current.cutting().squaring();
        List<Recut> more = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            Recut recut = severalDyes
                    ? Recut.like(form.cloth(), layout, kind, lying, squaring)
                    : Recut.of(layout, kind, lying, squaring);
            more.add(recut);
            layout = Recut.with(layout, List.of(recut), lying);
        }
        sheets.recut(id, form.materialId(), more);
        batches.holdsFollow(id);
    }

    private static void checkWhere(SpoiledForm form, PieceKey kind, CuttingLayout layout, FieldReader fields) {
        boolean isThere = form.cloth() != null
                && form.cloth() >= 0
                && form.cloth() < layout.cloths().size()
                && layout.cloths().get(form.cloth()).pieces().stream()
                        .anyMatch(piece -> piece.key().equals(kind));
        if (!isThere) {
            fields.refuse(
                    "cloth",
                    "",
                    "This cloth is of several dye lots, and all pieces of a bag are of one. Say from which roll or offcut "
                            + form.letter() + " was cut.");
        }
        fields.check();
    }

    /** The layout by which a cloth is cut as things stand. */
    private static CuttingLayout layout(Planned planned, MaterialId materialId) {
        return planned.plan().needs().stream()
                .filter(need -> need.supply().key().equals(materialId.key()))
                .findFirst()
                .flatMap(Need::sheet)
                .map(CuttingSheet::layout)
                .orElseThrow(NOT_LAID_OUT);
    }

    /** The layout of a cloth as it is now, with what is cut once more. */
    @Transactional(readOnly = true)
    public LayoutDocument layout(BatchId id, MaterialId materialId) {
        return LayoutDocument.of(layout(plans.of(batches.get(id).chosen(), settings.current()), materialId));
    }

    /** Takes a layout from a file in the place of all that there are of this cloth. */
    @Transactional
    public CuttingView changeLayout(BatchId id, MaterialId materialId, LayoutDocument document) {
        Settings current = settings.current();
        Standing batch = batches.uncutForChange(id);
        batch.refuseIfCut(materialId);
        Planned planned = plans.of(batch.chosen(), current);
        if (!document.format().equals(LayoutDocument.FORMAT)) {
            throw RefusedException.conflict("The file says that it is “" + document.format() + "”, and “"
                    + LayoutDocument.FORMAT + "” is what can be read here.");
        }
        Supply cloth = supply(planned, materialId);
        CuttingJob job = CuttingJobs.job(cloth, planned, planned.shelves().pieces(materialId, id), current);
        CuttingLayout layout = document.layout();
        List<LayoutCheck.Flaw> flaws = LayoutCheck.flaws(layout, job);
        if (!flaws.isEmpty()) {
            throw RefusedException.conflict("This batch can't be cut by the layout in the file: "
                    + flaws.stream().map(CuttingService::words).collect(Collectors.joining("; ")) + ".");
        }
        Aim aim = sheets.all(id).stream()
                .filter(Sheet::chosen)
                .map(Sheet::aim)
                .findFirst()
                .orElse(Aim.MONEY);
        sheets.put(id, materialId, Map.of(aim, layout), aim);
        batches.holdsFollow(id);
        return get(id);
    }

    private static String words(LayoutCheck.Flaw flaw) {
        return switch (flaw) {
            case UNKNOWN_CLOTH -> "it lies on a cloth of another width, or on an offcut that isn't free";
            case UNKNOWN_PIECE -> "it has a piece that this batch hasn't";
            case WRONG_COUNT -> "it has more or fewer of a piece than this batch takes";
            case WRONG_SIZE -> "a piece has another size";
            case TURNED -> "a piece is turned that has a top";
            case IN_THE_SELVAGE -> "a piece lies in the selvage that may not have it inside";
            case OUT_OF_REPEAT -> "a piece doesn't begin at the height of the print that it has to";
            case OFF_THE_CLOTH -> "a piece lies over the edge of the cloth";
            case OVERLAP -> "two pieces lie over one another";
            case NO_EDGE_TO_EDGE_CUT -> "it doesn't come apart by cuts from edge to edge";
        };
    }

    /** The cutting sheet of a cloth as a drawing. */
    @Transactional(readOnly = true)
    public String drawing(BatchId id, MaterialId materialId) {
        return get(id).cloths().stream()
                .filter(cloth ->
                        cloth.materialId().equals(materialId) && !cloth.mats().isEmpty())
                .findFirst()
                .map(SheetDrawing::svg)
                .orElseThrow(NOT_LAID_OUT);
    }

    /** The cutting sheets of a batch on paper. */
    @Transactional(readOnly = true)
    public byte[] print(BatchId id) {
        CuttingView cutting = get(id);
        if (cutting.cloths().stream().allMatch(cloth -> cloth.mats().isEmpty())) {
            throw NOT_LAID_OUT.get();
        }
        return SheetPaper.pdf(cutting, settings.current().unitSystem());
    }

    /** What would come of another width, of fewer bags, of turned pieces, and of more cloth. */
    @Transactional(readOnly = true)
    public WhatIfView whatIf(BatchId id, WhatIfForm form) {
        Settings current = settings.current();
        Planned planned = plans.of(batches.get(id).chosen(), current);
        Supply cloth = supply(planned, form.materialId());
        if (cloth.sheet().isPresent()) {
            throw RefusedException.conflict(
                    "“" + cloth.name() + "” is bought by the sheet. What if is for cloth that is cut off a roll.");
        }
        FieldReader fields = new FieldReader();
        LengthUnit bare = current.unitSystem().smallUnit();
        Optional<Length> width = form.width().isBlank()
                ? Optional.empty()
                : Optional.of(fields.positiveLength("width", form.width(), bare, WIDEST));
        Optional<Length> more = form.more().isBlank()
                ? Optional.empty()
                : Optional.of(fields.positiveLength("more", form.more(), bare, LONGEST));
        fields.check();
        CuttingJob job = CuttingJobs.job(cloth, planned, List.of(), current);
        int units = job.units();
        WhatIfWriter whatIf = new WhatIfWriter(current.writer(), new WhatIf(cloth, job));
        List<String> sentences = new ArrayList<>();
        width.ifPresent(other -> sentences.add(whatIf.onWidth(other)));
        if (form.fewer() > 0 && form.fewer() < units) {
            sentences.add(whatIf.fewer(form.fewer()));
        }
        if (form.turned()) {
            sentences.add(whatIf.turned());
        }
        if (form.from() != null) {
            sentences.add(whatIf.fromCloth(
                    other(form.from(), cloth, planned), planned.plan().piecesFrom(cloth)));
        }
        Length free = new Length(planned.plan().needs().stream()
                .filter(need -> need.supply().key().equals(cloth.key()))
                .findFirst()
                .map(need -> Math.max(0, need.stock().free().value()))
                .orElse(0L));
        sentences.add(whatIf.from(free, more));
        return new WhatIfView(sentences);
    }

    /** Another cloth as this batch would see it in the place of one of its own. */
    private Supply other(MaterialId materialId, Supply cloth, Planned planned) {
        return shelves.read(List.of(materialId))
                .supply(cloth.slot(), materialId, planned.batchId(), List.of())
                .filter(supply -> supply.kind() == MaterialKind.CLOTH)
                .orElseThrow(() -> RefusedException.missing("There is no such cloth, or no longer."));
    }

    private static Supply supply(Planned planned, MaterialId materialId) {
        return CuttingJobs.cloths(planned).stream()
                .filter(cloth -> cloth.key().equals(materialId.key()))
                .findFirst()
                .orElseThrow(() -> RefusedException.missing("This batch isn't cut from that cloth."));
    }
}
