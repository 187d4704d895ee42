package mardun.app.cutting;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import mardun.app.batch.BatchStage;
import mardun.app.batch.CuttableBatches;
import mardun.app.batch.PlannedDesigns;
import mardun.app.cutting.CuttingViews.CuttingView;
import mardun.app.cutting.CuttingViews.MinutesForm;
import mardun.app.cutting.CuttingViews.MinutesView;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignDocument.StepRow;
import mardun.app.design.DesignService;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.plan.ChosenLine;
import mardun.app.plan.Planned;
import mardun.app.problem.RefusedException;
import mardun.app.show.ViewWriter;
import mardun.core.making.CuttingTime;
import mardun.core.making.Step;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The minutes of cutting as the sheets reckon them and as the design's steps say: each can be set by the other. */
@Service
public class CuttingMinutes {

    private final CuttingService cutting;
    private final CuttableBatches batches;
    private final DesignService designs;
    private final PlannedDesigns plannedDesigns;

    CuttingMinutes(
            CuttingService cutting, CuttableBatches batches, DesignService designs, PlannedDesigns plannedDesigns) {
        this.cutting = cutting;
        this.batches = batches;
        this.designs = designs;
        this.plannedDesigns = plannedDesigns;
    }

    /**
     * What both say.
     *
     * @param sheet what the cuts of all cloths take
     * @param steps what the design's steps at the cutting table take for as many bags
     */
    record Both(Duration sheet, CuttingTime steps) {

        MinutesView view(ViewWriter writer) {
            return new MinutesView(
                    writer.time(sheet),
                    writer.time(steps.total()),
                    steps.steps().stream().map(Step::name).toList(),
                    steps.meets(sheet));
        }
    }

    /**
     * What both say; empty until all cloths are laid out, if the design has no step at the cutting table, and for a batch of several
     * designs, of which nobody can say whose minutes they are.
     *
     * @param cloths how long cutting each cloth takes by its layout; empty for one that isn't laid out
     */
    static Optional<Both> of(List<Optional<Duration>> cloths, Planned planned) {
        boolean severalDesigns = planned.lines().stream()
                        .map(line -> line.chosen().designId())
                        .distinct()
                        .count()
                > 1;
        boolean laidOut = !cloths.isEmpty() && cloths.stream().allMatch(Optional::isPresent);
        if (severalDesigns || !laidOut) {
            return Optional.empty();
        }
        CuttingTime steps =
                CuttingTime.of(planned.first().design().steps(), planned.plan().units());
        Duration sheet = cloths.stream().flatMap(Optional::stream).reduce(Duration.ZERO, Duration::plus);
        return steps.steps().isEmpty() ? Optional.empty() : Optional.of(new Both(sheet, steps));
    }

    /** Gives the design's steps the sheets' minutes. */
    @Transactional
    public CuttingView takeUp(BatchId batchId, MinutesForm form) {
        boolean asShown = batches.get(batchId).stage() == BatchStage.PLANNED
                && cutting.minutes(batchId)
                        .filter(now -> now.sheet().toSeconds() == form.sheetSeconds())
                        .filter(now -> now.steps().total().toSeconds() == form.stepsSeconds())
                        .isPresent();
        if (!asShown) {
            throw RefusedException.conflict(
                    "The sheets or the steps say something else by now. Nothing was changed; look at both again.");
        }
        List<ChosenLine> lines = batches.get(batchId).chosen().lines();
        DesignId designId = lines.get(0).designId();
        int units = lines.stream().mapToInt(ChosenLine::started).sum();
        designs.change(designId, document -> {
            CuttingTime time = CuttingTime.of(DesignService.stored(document).steps(), units);
            return withMinutes(document, time.meeting(Duration.ofSeconds(form.sheetSeconds())));
        });
        plannedDesigns.take(batchId, designId);
        return cutting.get(batchId);
    }

    private static DesignDocument withMinutes(DesignDocument document, List<CuttingTime.Minutes> minutes) {
        Map<String, CuttingTime.Minutes> byKey =
                minutes.stream().collect(Collectors.toMap(CuttingTime.Minutes::key, Function.identity()));
        return document.withSteps(document.steps().stream()
                .map(row -> Optional.ofNullable(byKey.get(row.key()))
                        .map(one -> timed(row, one))
                        .orElse(row))
                .toList());
    }

    private static StepRow timed(StepRow row, CuttingTime.Minutes minutes) {
        return row.taking(minutes.perUnit(), minutes.perBatch());
    }
}
