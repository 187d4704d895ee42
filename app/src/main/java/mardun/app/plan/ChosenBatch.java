package mardun.app.plan;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import mardun.app.id.BatchId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import org.jspecify.annotations.Nullable;

/**
 * A batch as it is planned from: its lines, and what was frozen when its first cloth was cut.
 *
 * @param id absent for one that isn't stored yet
 * @param lines one or more, in the order in which they are shown
 * @param offcuts the lots of offcuts and precuts that it is cut from first
 * @param finished all of it is done; its figures stay as they are
 */
public record ChosenBatch(
        @Nullable BatchId id,
        List<ChosenLine> lines,
        List<LotId> offcuts,
        Optional<FrozenInputs> frozen,
        boolean finished) {

    public ChosenBatch {
        lines = List.copyOf(lines);
        offcuts = List.copyOf(offcuts);
    }

    /** Its number is enough to find it among others: all that was frozen of it would be much to go through. */
    @Override
    public int hashCode() {
        return Objects.hashCode(id);
    }

    /** Whether a cloth is cut. */
    public boolean isCut(MaterialId materialId) {
        return frozen.map(FrozenInputs::cut).orElse(List.of()).contains(materialId);
    }
}
