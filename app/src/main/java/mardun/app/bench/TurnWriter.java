package mardun.app.bench;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import mardun.app.batch.BatchWork.AtWork;
import mardun.app.bench.WorkViews.WorkPart;
import mardun.app.bench.WorkViews.WorkPiece;
import mardun.app.bench.WorkViews.WorkPrompt;
import mardun.app.bench.WorkViews.WorkTake;
import mardun.app.bench.WorkViews.WorkTurn;
import mardun.app.design.SheetWriter;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.note.NotePin;
import mardun.app.note.NoteViews.NoteView;
import mardun.app.plan.OuterCloth;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.LengthView;
import mardun.core.batch.Need;
import mardun.core.design.Letters;
import mardun.core.design.SizedDesign.PromptOf;
import mardun.core.design.TrimNeed;
import mardun.core.making.Counted.Place;
import mardun.core.making.Operation;
import mardun.core.making.Prompt;
import mardun.core.making.Step;
import mardun.core.making.StepsBefore;
import mardun.core.making.WorkOrder.Turn;
import mardun.core.making.Workplace;
import mardun.core.material.Part;
import mardun.core.measure.Dimension;
import mardun.core.measure.Length;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.picture.SeamPicture;
import mardun.core.working.Figure;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.UriUtils;

/** Writes the operations of a batch that are still to be done, as the screen beside the machine shows them. */
final class TurnWriter {

    /** What the allowance of most seams is called in a design's formulas. */
    private static final String SEAM = "seam";

    private final AtWork at;
    private final Planned planned;
    private final List<NoteView> notes;
    private final Map<MaterialId, String> colours;
    private final Map<StepPhoto.Key, String> photos;
    private final Function<Workplace, List<String>> due;
    private final ViewWriter writer;

    /**
     * A writer for one batch.
     *
     * @param notes about all that is in it, and about machines
     * @param colours of the materials
     * @param photos of steps, by their names
     * @param due what at a place has had its time, in sentences
     */
    TurnWriter(
            AtWork at,
            List<NoteView> notes,
            Map<MaterialId, String> colours,
            Map<StepPhoto.Key, String> photos,
            Function<Workplace, List<String>> due,
            ViewWriter writer) {
        this.at = at;
        this.planned = at.planned();
        this.notes = notes;
        this.colours = colours;
        this.photos = photos;
        this.due = due;
        this.writer = writer;
    }

    /** All of them, in their order. */
    List<WorkTurn> turns() {
        Map<Place, Integer> left = new HashMap<>();
        at.turns().stream()
                .flatMap(turn -> turn.parts().stream())
                .forEach(part -> left.merge(place(part), part.units(), Integer::sum));
        Map<Place, Integer> here = new HashMap<>();
        return at.turns().stream()
                .map(turn -> {
                    turn.parts().forEach(part -> here.merge(place(part), part.units(), Integer::sum));
                    return turn(turn, part -> goal(part, left, here));
                })
                .toList();
    }

    private static Place place(Operation.Part part) {
        return new Place(part.line(), part.step().key());
    }

    /** How far a step is done, and up to where it is here. */
    private record Goal(int done, int here, int all) {}

    private Goal goal(Operation.Part part, Map<Place, Integer> left, Map<Place, Integer> here) {
        PlannedLine line = planned.line(part.line());
        int lost = planned.counted()
                .lostTo(
                        part.line(),
                        part.step().key(),
                        StepsBefore.all(line.design().steps()));
        int all = Math.max(line.chosen().started() - lost, left.get(place(part)));
        int done = all - left.get(place(part));
        return new Goal(done, done + here.get(place(part)), all);
    }

    private WorkTurn turn(Turn turn, Function<Operation.Part, Goal> goal) {
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
                turn.parts().stream().map(part -> part(part, goal.apply(part))).toList(),
                writer.time(turn.once()),
                writer.time(operation.passive()),
                operation.timing().bags(),
                seam(turn),
                pieces(turn),
                lies(turn),
                operation.text(Step::check),
                operation.text(Step::caution),
                operation.text(Step::note),
                due.apply(turn.at()),
                notes.stream().filter(note -> isAbout(note.pin(), turn)).toList());
    }

    private boolean isAbout(NotePin pin, Turn turn) {
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

    private @Nullable LengthView seam(Turn turn) {
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

    private List<String> lies(Turn turn) {
        return SeamPicture.lies(
                turn.step(), planned.line(turn.parts().get(0).line()).plan().sized());
    }

    private List<WorkPiece> pieces(Turn turn) {
        PlannedLine line = planned.line(turn.parts().get(0).line());
        SheetWriter sheets = new SheetWriter(writer, planned.workroom());
        Letters letters = new Letters(line.design(), line.plan().sized());
        List<WorkPiece> pieces = new ArrayList<>();
        for (Step.Use use : turn.step().uses()) {
            Set<String> its = letters.parts(use.letter());
            line.plan().sized().pieces().stream()
                    .filter(piece -> its.contains(piece.piece().letter()))
                    .map(piece -> new WorkPiece(
                            sheets.piece(piece),
                            use.layers(),
                            // An edge of a panel isn't one of each of its pieces.
                            piece.piece().letter().equals(use.letter()) ? use.along() : Set.of()))
                    .forEach(pieces::add);
        }
        return pieces;
    }

    private WorkPart part(Operation.Part part, Goal goal) {
        PlannedLine line = planned.line(part.line());
        OuterCloth cloth = OuterCloth.of(planned, line);
        Set<String> been =
                StepsBefore.all(line.design().steps()).getOrDefault(part.step().key(), Set.of());
        return new WorkPart(
                part.line(),
                line.chosen().designId(),
                part.step().key(),
                line.design().name() + (line.sizeWords().isEmpty() ? "" : ", " + line.sizeWords()),
                cloth.name(),
                cloth.materialId().map(colours::get).orElse(""),
                goal.here(),
                goal.all(),
                goal.done(),
                been,
                prompts(part.step(), line),
                takes(part.step(), been, line),
                photo(line.chosen().designId(), part.step()),
                writer.time(part.step().perUnit()));
    }

    /** Another photo has another address, so that a browser may keep each. */
    private @Nullable String photo(DesignId design, Step step) {
        String name = photos.get(new StepPhoto.Key(design, step.key()));
        return name == null
                ? null
                : "/api/bench/step-photo?design=" + design + "&step="
                        + UriUtils.encode(step.key(), StandardCharsets.UTF_8) + "&name=" + name;
    }

    private List<WorkPrompt> prompts(Step step, PlannedLine line) {
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
    private List<WorkTake> takes(Step step, Set<String> been, PlannedLine line) {
        List<Need> needs = at.takes().get(line.number());
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
