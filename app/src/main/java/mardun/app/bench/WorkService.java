package mardun.app.bench;

import java.util.ArrayList;
import java.util.Arrays;
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
import mardun.app.bench.WorkViews.DoneTurn;
import mardun.app.bench.WorkViews.RefusedEntry;
import mardun.app.bench.WorkViews.WorkForm;
import mardun.app.bench.WorkViews.WorkMaterial;
import mardun.app.bench.WorkViews.WorkPart;
import mardun.app.bench.WorkViews.WorkPiece;
import mardun.app.bench.WorkViews.WorkPrompt;
import mardun.app.bench.WorkViews.WorkSlip;
import mardun.app.bench.WorkViews.WorkTake;
import mardun.app.bench.WorkViews.WorkTurn;
import mardun.app.bench.WorkViews.WorkView;
import mardun.app.design.SheetWriter;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.log.BenchLog;
import mardun.app.log.LogEntry;
import mardun.app.material.MaterialService;
import mardun.app.material.ShelfMaterial;
import mardun.app.note.NoteAbout;
import mardun.app.note.NotePin;
import mardun.app.note.NoteService;
import mardun.app.note.NoteViews.NoteView;
import mardun.app.plan.OuterCloth;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.LengthView;
import mardun.app.upkeep.UpkeepService;
import mardun.core.batch.Need;
import mardun.core.design.Letters;
import mardun.core.design.SizedDesign.PromptOf;
import mardun.core.design.TrimNeed;
import mardun.core.making.Counted.Place;
import mardun.core.making.Operation;
import mardun.core.making.Prompt;
import mardun.core.making.Stage;
import mardun.core.making.Step;
import mardun.core.making.StepsBefore;
import mardun.core.making.WorkOrder.Turn;
import mardun.core.making.Workplace;
import mardun.core.material.ClothKind;
import mardun.core.material.Part;
import mardun.core.measure.Dimension;
import mardun.core.measure.Length;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.working.Figure;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** The screen beside the machine: it tells what happened, and is told how the batch stands. */
@Service
class WorkService {

    /** What the allowance of most seams is called in a design's formulas. */
    private static final String SEAM = "seam";

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
    private final MaterialService materials;
    private final SettingsService settings;

    WorkService(
            BatchWork batches,
            BenchLog log,
            NoteService notes,
            UpkeepService upkeep,
            MaterialService materials,
            SettingsService settings) {
        this.batches = batches;
        this.log = log;
        this.notes = notes;
        this.upkeep = upkeep;
        this.materials = materials;
        this.settings = settings;
    }

    /** Keeps what happened, batch by batch, and tells how one of them stands. What can't be kept holds up nothing else. */
    WorkView work(WorkForm form) {
        Map<BatchId, List<LogEntry>> byBatch = new LinkedHashMap<>();
        form.entries()
                .forEach(entry -> byBatch.computeIfAbsent(entry.batchId(), id -> new ArrayList<>())
                        .add(entry));
        List<RefusedEntry> refused = new ArrayList<>();
        byBatch.forEach((id, entries) ->
                batches.keep(id, entries).forEach((entry, reason) -> refused.add(new RefusedEntry(entry, reason))));
        return view(batches.of(form.batchId()), refused);
    }

    private WorkView view(AtWork at, List<RefusedEntry> refused) {
        ViewWriter writer = settings.current().writer();
        List<NoteView> about = notes.about(
                at.planned().lines().stream()
                        .map(line -> line.chosen().designId())
                        .collect(Collectors.toSet()),
                at.planned().supplies().stream()
                        .map(supply -> MaterialId.valueOf(supply.key()))
                        .collect(Collectors.toSet()));
        Map<MaterialId, String> colours =
                materials.onShelf().stream().collect(Collectors.toMap(ShelfMaterial::id, ShelfMaterial::colour));
        return new WorkView(
                at.work().id(),
                at.work().name(),
                at.work().forWhat(),
                at.work().dueOn().orElse(null),
                at.isOpen(),
                writer.time(at.work().left()),
                turns(at, about, colours, writer),
                at.done().stream()
                        .map(done -> new DoneTurn(done.step().name(), done.lines(), done.units()))
                        .toList(),
                at.slips().stream().map(slip -> slip(slip, writer)).toList(),
                at.isOneFirst(),
                at.isOneFirst() && at.firstIsSewn(),
                about.stream()
                        .filter(note -> note.pin().about() == NoteAbout.DESIGN
                                || note.pin().about() == NoteAbout.MATERIAL)
                        .toList(),
                Arrays.stream(Stage.values())
                        .flatMap(stage -> BatchSheetWriter.cautions(at.planned(), stage))
                        .toList(),
                at.planned().supplies().stream()
                        .map(supply -> new WorkMaterial(MaterialId.valueOf(supply.key()), supply.name()))
                        .toList(),
                reasons(),
                refused);
    }

    private static WorkSlip slip(BenchLog.Slip slip, ViewWriter writer) {
        return new WorkSlip(
                slip.id(),
                slip.line(),
                slip.step(),
                slip.stepName(),
                slip.bags(),
                slip.outcome(),
                slip.reason(),
                writer.time(slip.mending()),
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

    private List<WorkTurn> turns(AtWork at, List<NoteView> notes, Map<MaterialId, String> colours, ViewWriter writer) {
        Map<Place, Integer> left = new HashMap<>();
        at.turns().stream()
                .flatMap(turn -> turn.parts().stream())
                .forEach(part -> left.merge(place(part), part.units(), Integer::sum));
        Map<Place, Integer> here = new HashMap<>();
        List<ClothKind> cloths = at.planned().supplies().stream()
                .flatMap(supply -> supply.cloth().stream())
                .toList();
        Map<Workplace, List<String>> due = new HashMap<>();
        return at.turns().stream()
                .map(turn -> {
                    turn.parts().forEach(part -> here.merge(place(part), part.units(), Integer::sum));
                    return turn(
                            turn,
                            at,
                            part -> goal(part, at, left, here),
                            place -> due.computeIfAbsent(place, its -> upkeep.due(its, cloths)),
                            notes,
                            colours,
                            writer);
                })
                .toList();
    }

    private static Place place(Operation.Part part) {
        return new Place(part.line(), part.step().key());
    }

    /** How far a step is done, and up to where it is here. */
    private record Goal(int done, int here, int all) {}

    private static Goal goal(Operation.Part part, AtWork at, Map<Place, Integer> left, Map<Place, Integer> here) {
        PlannedLine line = at.planned().line(part.line());
        int lost = at.planned()
                .counted()
                .lostTo(
                        part.line(),
                        part.step().key(),
                        StepsBefore.all(line.design().steps()));
        int all = Math.max(line.chosen().started() - lost, left.get(place(part)));
        int done = all - left.get(place(part));
        return new Goal(done, done + here.get(place(part)), all);
    }

    private static WorkTurn turn(
            Turn turn,
            AtWork at,
            Function<Operation.Part, Goal> goal,
            Function<Workplace, List<String>> due,
            List<NoteView> notes,
            Map<MaterialId, String> colours,
            ViewWriter writer) {
        Planned planned = at.planned();
        Operation operation = turn.operation();
        return new WorkTurn(
                turn.key(),
                turn.step().name(),
                turn.step().stage(),
                turn.step().station(),
                turn.at().key(),
                turn.at().words(),
                turn.changes().stream().map(turn.setUp()::words).toList(),
                turn.setUp().on(),
                turn.parts().stream()
                        .map(part -> part(part, goal.apply(part), at, colours, writer))
                        .toList(),
                writer.time(turn.once()),
                writer.time(operation.passive()),
                operation.timing().bags(),
                seam(turn, planned, writer),
                pieces(turn, planned, writer),
                operation.text(Step::check),
                operation.text(Step::caution),
                operation.text(Step::note),
                due.apply(turn.at()),
                notes.stream()
                        .filter(note -> isAbout(note.pin(), turn, planned))
                        .toList());
    }

    private static boolean isAbout(NotePin pin, Turn turn, Planned planned) {
        return switch (pin.about()) {
            case STEP ->
                turn.parts().stream()
                        .anyMatch(part -> part.step().key().equals(pin.step()) && isOf(pin, planned.line(part.line())));
            case PIECE ->
                turn.parts().stream()
                        .anyMatch(part -> isOf(pin, planned.line(part.line()))
                                && part.step().uses().stream()
                                        .anyMatch(use -> use.letter().equals(pin.letter())));
            case MACHINE -> pin.machine().equals(turn.at().key());
            case DESIGN, MATERIAL -> false;
        };
    }

    private static boolean isOf(NotePin pin, PlannedLine line) {
        return line.chosen().designId().equals(pin.designId());
    }

    private static @Nullable LengthView seam(Turn turn, Planned planned, ViewWriter writer) {
        Figure<Quantity> seam = planned.line(turn.parts().get(0).line())
                .plan()
                .sized()
                .measurements()
                .get(SEAM);
        return turn.step().station().sews()
                        && seam != null
                        && seam.value().dimension().equals(Dimension.LENGTH)
                ? writer.length(seam.value().value(), ShownRounding.NEAREST)
                : null;
    }

    private static List<WorkPiece> pieces(Turn turn, Planned planned, ViewWriter writer) {
        PlannedLine line = planned.line(turn.parts().get(0).line());
        SheetWriter sheets = new SheetWriter(writer, planned.workroom());
        Letters letters = new Letters(line.design(), line.plan().sized());
        List<WorkPiece> pieces = new ArrayList<>();
        for (Step.Use use : turn.step().uses()) {
            Set<String> its = letters.parts(use.letter());
            line.plan().sized().pieces().stream()
                    .filter(piece -> its.contains(piece.piece().letter()))
                    .map(piece -> new WorkPiece(sheets.piece(piece), use.layers()))
                    .forEach(pieces::add);
        }
        return pieces;
    }

    private static WorkPart part(
            Operation.Part part, Goal goal, AtWork at, Map<MaterialId, String> colours, ViewWriter writer) {
        Planned planned = at.planned();
        PlannedLine line = planned.line(part.line());
        OuterCloth cloth = OuterCloth.of(planned, line);
        Set<String> been =
                StepsBefore.all(line.design().steps()).getOrDefault(part.step().key(), Set.of());
        return new WorkPart(
                part.line(),
                line.chosen().designId(),
                part.step().key(),
                line.design().name() + (line.sizeName().isEmpty() ? "" : ", " + line.sizeName()),
                cloth.name(),
                cloth.materialId().map(colours::get).orElse(""),
                goal.here(),
                goal.all(),
                goal.done(),
                been,
                prompts(part.step(), line, writer),
                takes(part.step(), been, line, at.takes().get(part.line()), writer),
                writer.time(part.step().perUnit()));
    }

    private static List<WorkPrompt> prompts(Step step, PlannedLine line, ViewWriter writer) {
        List<WorkPrompt> prompts = new ArrayList<>();
        for (int i = 0; i < step.prompts().size(); i++) {
            Prompt prompt = step.prompts().get(i);
            if (!prompt.text().isBlank()) {
                Length mark = line.plan().sized().prompted().get(new PromptOf(step.key(), i));
                prompts.add(new WorkPrompt(
                        prompt.kind(),
                        prompt.text(),
                        mark == null ? null : writer.length(mark, ShownRounding.NEAREST),
                        prompt.from(),
                        prompt.isGate(),
                        prompt.seconds(),
                        prompt.times()));
            }
        }
        return prompts;
    }

    /** What one bag takes beside cloth: a trim is in it once a step that it goes through is done. */
    private static List<WorkTake> takes(
            Step step, Set<String> been, PlannedLine line, List<Need> needs, ViewWriter writer) {
        Set<String> through = line.design().steps().stream()
                .filter(one -> one.key().equals(step.key()) || been.contains(one.key()))
                .flatMap(one -> one.uses().stream().map(Step.Use::letter))
                .collect(Collectors.toSet());
        Set<String> slots = line.design().trims().stream()
                .filter(trim -> through.contains(trim.letter()))
                .map(TrimNeed::slot)
                .collect(Collectors.toSet());
        Set<MaterialId> there = line.chosen().materials().entrySet().stream()
                .filter(slot -> slots.contains(slot.getKey()))
                .map(Map.Entry::getValue)
                .collect(Collectors.toSet());
        return needs.stream()
                .map(need -> {
                    MaterialId material = MaterialId.valueOf(need.supply().key());
                    return new WorkTake(
                            material,
                            need.part(),
                            need.supply().name()
                                    + (need.part() == Part.WHOLE
                                            ? ""
                                            : ", " + need.part().words()),
                            writer.amount(need.amount()),
                            there.contains(material));
                })
                .toList();
    }
}
