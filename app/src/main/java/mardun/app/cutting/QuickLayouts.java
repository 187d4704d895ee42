package mardun.app.cutting;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.app.id.MaterialId;
import mardun.app.plan.CuttingJobs;
import mardun.app.plan.Planned;
import mardun.app.settings.Settings;
import mardun.core.batch.Supply;
import mardun.core.cutting.Aim;
import mardun.core.cutting.Budget;
import mardun.core.cutting.CannotBeCutException;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.CuttingJob;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.LayoutSearch;
import mardun.core.cutting.ShelfSearch;
import mardun.core.material.Amount;
import org.springframework.stereotype.Component;

/** Lays out the cloths of a batch that isn't kept yet, in the fraction of a second that somebody waits for a plan. */
@Component
public class QuickLayouts {

    private static final long SEED = 1;
    private static final long WORK = LayoutSearch.USUAL_WORK / 8;
    private static final long PATIENCE = 3_000;
    private static final long PATIENCE_FOR_EACH = 50;

    /**
     * What a batch takes of each cloth that can be laid out, from the roll: lengths, with what squares the end; or sheets. Offcuts are left
     * where they are.
     */
    public Map<MaterialId, Amount> takes(Planned planned, Settings current) {
        Map<MaterialId, Amount> takes = new HashMap<>();
        for (Supply cloth : CuttingJobs.cloths(planned)) {
            CuttingJob job = CuttingJobs.job(cloth, planned, List.of(), current);
            layout(job)
                    .map(layout -> amount(layout, job))
                    .ifPresent(amount -> takes.put(MaterialId.valueOf(cloth.key()), amount));
        }
        return takes;
    }

    /** A cloth of which pieces are too wide isn't laid out; the plan of the batch says so. */
    private static Optional<CuttingLayout> layout(CuttingJob job) {
        long pieces = job.pieces().stream().mapToLong(CutPiece::count).sum();
        Budget budget = Budget.patient(WORK, PATIENCE + PATIENCE_FOR_EACH * pieces, () -> false);
        try {
            return Optional.of(ShelfSearch.search(job, Aim.MONEY, SEED, budget, better -> budget.found()));
        } catch (CannotBeCutException impossible) {
            return Optional.empty();
        }
    }

    private static Amount amount(CuttingLayout layout, CuttingJob job) {
        return job.cloth().bySheet()
                ? Amount.pieces(layout.sheets())
                : Amount.of(layout.takenOfRolls(job.terms().squaring()));
    }
}
