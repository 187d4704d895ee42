package mardun.app.cutting;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
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
    private static final long WORK = LayoutSearch.USUAL_WORK / 40;
    private static final int KEPT = 300;

    private final Cache<CuttingJob, Optional<CuttingLayout>> layouts =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    /**
     * What a batch takes of each cloth that can be laid out, from the roll: lengths, with what squares the end; or sheets. Offcuts are left
     * where they are.
     */
    public Map<MaterialId, Amount> takes(Planned planned, Settings current) {
        Map<MaterialId, Amount> takes = new HashMap<>();
        for (Supply cloth : CuttingJobs.cloths(planned)) {
            CuttingJob job = CuttingJobs.job(cloth, planned, List.of(), current);
            layouts.get(job, QuickLayouts::layout)
                    .map(layout -> amount(layout, job))
                    .ifPresent(amount -> takes.put(MaterialId.valueOf(cloth.key()), amount));
        }
        return takes;
    }

    /** A cloth of which pieces are too wide isn't laid out; the plan of the batch says so. */
    private static Optional<CuttingLayout> layout(CuttingJob job) {
        try {
            return Optional.of(ShelfSearch.search(job, Aim.MONEY, SEED, Budget.of(WORK, () -> false), better -> {}));
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
