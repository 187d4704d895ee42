package mardun.app.bench;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.batch.BatchSheetWriter;
import mardun.app.batch.BatchWork;
import mardun.app.batch.BatchWork.AtWork;
import mardun.app.batch.CutAgainViews.CutAgainView;
import mardun.app.bench.WorkViews.DoneTurn;
import mardun.app.bench.WorkViews.RefusedEntry;
import mardun.app.bench.WorkViews.WorkForm;
import mardun.app.bench.WorkViews.WorkMaterial;
import mardun.app.bench.WorkViews.WorkSlip;
import mardun.app.bench.WorkViews.WorkView;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.log.BenchLog;
import mardun.app.log.LogEntry;
import mardun.app.material.ColouredMaterial;
import mardun.app.material.MaterialService;
import mardun.app.note.NoteAbout;
import mardun.app.note.NoteService;
import mardun.app.note.NoteViews.NoteView;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.app.upkeep.UpkeepService;
import mardun.core.making.Workplace;
import mardun.core.material.ClothKind;
import org.springframework.stereotype.Service;

/** The screen beside the machine: it tells what happened, and is told how the batch stands. */
@Service
class WorkService {

    private static final int MOST_REASONS = 14;

    private static final List<String> USUAL_REASONS = List.of(
            "zip cut short",
            "hole at the corner",
            "cut wrong",
            "puckered",
            "hardware crooked",
            "ran off the edge",
            "wrong side out",
            "layer not caught",
            "print upside down",
            "scorched");

    private final BatchWork batches;
    private final BenchLog log;
    private final NoteService notes;
    private final UpkeepService upkeep;
    private final StepPhotos photos;
    private final MaterialService materials;
    private final SettingsService settings;

    WorkService(
            BatchWork batches,
            BenchLog log,
            NoteService notes,
            UpkeepService upkeep,
            StepPhotos photos,
            MaterialService materials,
            SettingsService settings) {
        this.batches = batches;
        this.log = log;
        this.notes = notes;
        this.upkeep = upkeep;
        this.photos = photos;
        this.materials = materials;
        this.settings = settings;
    }

    /** Keeps what happened, batch by batch, and tells how one of them stands. What can't be kept holds up nothing else. */
    WorkView work(WorkForm form) {
        batches.checkThere(form.batchId());
        Map<BatchId, List<LogEntry>> byBatch = new LinkedHashMap<>();
        form.entries()
                .forEach(entry -> byBatch.computeIfAbsent(entry.batchId(), id -> new ArrayList<>())
                        .add(entry));
        List<RefusedEntry> refused = new ArrayList<>();
        byBatch.forEach((id, entries) ->
                batches.keep(id, entries).forEach((entry, reason) -> refused.add(new RefusedEntry(entry, reason))));
        return view(batches.of(form.batchId()), refused);
    }

    CutAgainView cutAgain(BatchId batch, int line, List<String> pieces, boolean whole, int bags) {
        return batches.cutAgain(batch, line, pieces, whole, bags);
    }

    private WorkView view(AtWork at, List<RefusedEntry> refused) {
        ViewWriter writer = settings.current().writer();
        Set<DesignId> designs = at.planned().lines().stream()
                .map(line -> line.chosen().designId())
                .collect(Collectors.toSet());
        List<NoteView> about = notes.about(
                designs,
                at.planned().supplies().stream()
                        .map(supply -> MaterialId.valueOf(supply.key()))
                        .collect(Collectors.toSet()));
        Map<MaterialId, String> colours =
                materials.coloured().stream().collect(Collectors.toMap(ColouredMaterial::id, ColouredMaterial::colour));
        return new WorkView(
                at.work().id(),
                at.work().name(),
                at.work().forWhat(),
                at.work().dueOn().orElse(null),
                at.isOpen(),
                writer.time(at.work().left()),
                new TurnWriter(at, about, colours, photos.of(designs), due(at), writer).turns(),
                at.done().stream()
                        .map(done -> new DoneTurn(done.step().name(), done.lines(), done.units()))
                        .toList(),
                at.slips().stream()
                        .map(slip -> slip(slip, at.recuts().getOrDefault(slip.id(), List.of()), writer))
                        .toList(),
                at.isOneFirst(),
                at.isOneFirst() && at.firstIsSewn(),
                about.stream()
                        .filter(note -> note.pin().about() == NoteAbout.DESIGN
                                || note.pin().about() == NoteAbout.MATERIAL)
                        .toList(),
                BatchSheetWriter.cautions(at.planned()),
                at.planned().supplies().stream()
                        .map(supply -> new WorkMaterial(MaterialId.valueOf(supply.key()), supply.name()))
                        .toList(),
                reasons(),
                refused);
    }

    private static WorkSlip slip(BenchLog.Slip slip, List<BenchLog.Recut> recuts, ViewWriter writer) {
        return new WorkSlip(
                slip.id(),
                slip.line(),
                slip.step(),
                slip.stepName(),
                slip.bags(),
                slip.outcome(),
                slip.reason(),
                writer.time(slip.mending()),
                recuts.stream().map(BenchLog.Recut::says).toList(),
                slip.at());
    }

    /** From what things went wrong before, and after that from what they usually do. */
    private List<String> reasons() {
        List<String> own = log.slipReasons(MOST_REASONS);
        return Stream.concat(
                        own.stream(),
                        USUAL_REASONS.stream()
                                .filter(usual -> own.stream().noneMatch(reason -> reason.equalsIgnoreCase(usual))))
                .limit(MOST_REASONS)
                .toList();
    }

    /** What at a place has had its time for the cloth of a batch; asked once for each place. */
    private Function<Workplace, List<String>> due(AtWork at) {
        List<ClothKind> cloths = at.planned().supplies().stream()
                .flatMap(supply -> supply.cloth().stream())
                .toList();
        Map<Workplace, List<String>> known = new HashMap<>();
        return place -> known.computeIfAbsent(place, its -> upkeep.due(its, cloths));
    }
}
