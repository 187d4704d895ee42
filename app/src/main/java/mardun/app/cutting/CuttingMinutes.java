package mardun.app.cutting;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import mardun.app.batch.BatchStage;
import mardun.app.batch.CuttableBatches;
import mardun.app.batch.PlannedDesigns;
import mardun.app.cutting.CuttingViews.ClothView;
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

    private static final BigDecimal SECONDS_PER_MINUTE = BigDecimal.valueOf(60);

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
     * What both say; empty until all cloths are laid out, if the design has no step at the cutting table, and for a batch of several
     * designs, of which nobody can say whose minutes they are.
     */
    static Optional<MinutesView> of(List<ClothView> cloths, Planned planned, ViewWriter writer) {
        boolean severalDesigns = planned.lines().stream()
                        .map(line -> line.chosen().designId())
                        .distinct()
                        .count()
                > 1;
        if (severalDesigns) {
            return Optional.empty();
        }
        CuttingTime time =
                CuttingTime.of(planned.first().design().steps(), planned.plan().units());
        boolean laidOut = !cloths.isEmpty() && cloths.stream().noneMatch(cloth -> cloth.bill() == null);
        if (!laidOut || time.steps().isEmpty()) {
            return Optional.empty();
        }
        Duration sheet = Duration.ofSeconds(cloths.stream()
                .mapToLong(cloth -> cloth.bill().time().seconds())
                .sum());
        return Optional.of(new MinutesView(
                writer.time(sheet),
                writer.time(time.total()),
                time.steps().stream().map(Step::name).toList(),
                time.meets(sheet)));
    }

    /** Gives the design's steps the sheets' minutes. */
    @Transactional
    public CuttingView takeUp(BatchId batchId, MinutesForm form) {
        MinutesView now = cutting.get(batchId).minutes();
        boolean asShown = now != null
                && now.sheet().seconds() == form.sheetSeconds()
                && now.steps().seconds() == form.stepsSeconds();
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
        if (batches.get(batchId).stage() == BatchStage.PLANNED) {
            plannedDesigns.take(batchId, designId);
        }
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
        return row.taking(typed(minutes.perUnit()), typed(minutes.perBatch()));
    }

    private static String typed(Duration duration) {
        return BigDecimal.valueOf(duration.toSeconds())
                .divide(SECONDS_PER_MINUTE, 2, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }
}
