package mardun.app.plan;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.plan.ChosenLayouts.ChosenLayout;
import mardun.app.plan.CuttingJobs.Settled;
import mardun.core.batch.BatchLine;
import mardun.core.batch.BatchPlan;
import mardun.core.batch.Need;
import mardun.core.batch.Workroom;

/**
 * The last plan of each batch that isn't finished. A plan follows from its inputs and from nothing else, so it holds for as long as they
 * are the same: a touch at the bench changes the times of one design, and the plans of batches of others needn't be worked out anew.
 */
final class KnownPlans {

    private static final int MOST = 200;

    private final Cache<BatchId, Known> last =
            Caffeine.newBuilder().maximumSize(MOST).build();

    /**
     * All that a plan follows from.
     *
     * @param lines with the designs in their times of now, and the materials as they lie there for this batch
     * @param layouts that were chosen for it, by their materials
     */
    record Inputs(
            ChosenBatch batch,
            List<BatchLine> lines,
            Workroom workroom,
            Map<MaterialId, ChosenLayout> layouts,
            Settled settled) {

        Inputs {
            lines = List.copyOf(lines);
        }
    }

    /** @param toCome what the batch will still take */
    record Worked(BatchPlan plan, List<Need> toCome) {}

    private record Known(Inputs from, Worked worked) {}

    /**
     * What follows from the inputs.
     *
     * @param work works it out; it gets the last plan of the batch in the same workroom, if there is one
     */
    Worked of(Inputs from, BiFunction<Inputs, Optional<BatchPlan>, Worked> work) {
        BatchId id = from.batch().id();
        if (id == null || from.batch().finished()) {
            return work.apply(from, Optional.empty());
        }
        Known known = last.getIfPresent(id);
        if (known == null || !known.from().equals(from)) {
            Optional<BatchPlan> before = Optional.ofNullable(known)
                    .filter(its -> its.from().workroom().equals(from.workroom()))
                    .map(its -> its.worked().plan());
            known = new Known(from, work.apply(from, before));
            last.put(id, known);
        }
        return known.worked();
    }
}
