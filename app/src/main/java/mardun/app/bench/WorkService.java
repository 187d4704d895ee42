package mardun.app.bench;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.batch.BatchWork;
import mardun.app.batch.BatchWork.AtWork;
import mardun.app.bench.WorkViews.DoneTurn;
import mardun.app.bench.WorkViews.RefusedEntry;
import mardun.app.bench.WorkViews.WorkForm;
import mardun.app.bench.WorkViews.WorkPart;
import mardun.app.bench.WorkViews.WorkPiece;
import mardun.app.bench.WorkViews.WorkTurn;
import mardun.app.bench.WorkViews.WorkView;
import mardun.app.design.SheetWriter;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.log.LogEntry;
import mardun.app.material.MaterialService;
import mardun.app.material.ShelfMaterial;
import mardun.app.plan.OuterCloth;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.LengthView;
import mardun.core.design.Letters;
import mardun.core.making.Operation;
import mardun.core.making.Step;
import mardun.core.making.WorkOrder.Turn;
import mardun.core.measure.Dimension;
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

    private final BatchWork batches;
    private final MaterialService materials;
    private final SettingsService settings;

    WorkService(BatchWork batches, MaterialService materials, SettingsService settings) {
        this.batches = batches;
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
        Map<MaterialId, String> colours =
                materials.onShelf().stream().collect(Collectors.toMap(ShelfMaterial::id, ShelfMaterial::colour));
        return new WorkView(
                at.work().id(),
                at.work().name(),
                at.work().forWhat(),
                at.work().dueOn().orElse(null),
                at.isOpen(),
                writer.time(at.work().left()),
                at.turns().stream()
                        .map(turn -> turn(turn, at.planned(), colours, writer))
                        .toList(),
                at.done().stream()
                        .map(done -> new DoneTurn(done.step().name(), done.lines(), done.units()))
                        .toList(),
                refused);
    }

    private static WorkTurn turn(Turn turn, Planned planned, Map<MaterialId, String> colours, ViewWriter writer) {
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
                        .map(part -> part(part, planned, colours, writer))
                        .toList(),
                writer.time(turn.once()),
                writer.time(operation.passive()),
                operation.timing().bags(),
                seam(turn, planned, writer),
                pieces(turn, planned, writer),
                operation.text(Step::check),
                operation.text(Step::caution),
                operation.text(Step::note));
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
            Operation.Part part, Planned planned, Map<MaterialId, String> colours, ViewWriter writer) {
        PlannedLine line = planned.line(part.line());
        OuterCloth cloth = OuterCloth.of(planned, line);
        int started = Math.max(line.chosen().started(), part.units());
        return new WorkPart(
                part.line(),
                line.chosen().designId(),
                part.step().key(),
                line.design().name() + (line.sizeName().isEmpty() ? "" : ", " + line.sizeName()),
                cloth.name(),
                cloth.materialId().map(colours::get).orElse(""),
                started,
                started - part.units(),
                writer.time(part.step().perUnit()));
    }
}
