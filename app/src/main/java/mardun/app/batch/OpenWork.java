package mardun.app.batch;

import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.plan.ChosenLine;
import mardun.app.plan.OuterCloth;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.core.making.OrderWishes;
import mardun.core.making.StillToDo;
import mardun.core.planning.Job;
import mardun.core.planning.Missing;

/**
 * What is still to be done of an open batch, to be laid on days.
 *
 * @param name of its designs, with the size where there is only one
 * @param paused it is put aside: nothing of it is laid
 * @param isFirst the maker does it before all others
 * @param bags that it makes, by line
 * @param isBegun something of it was counted at the bench
 * @param matching the thread that matches each line's cloth, in words
 * @param threads what the threads on the shelf are called, by their keys
 * @param wishes what is wanted of its order
 * @param missing what it goes short of
 */
public record OpenWork(
        BatchId id,
        long version,
        String name,
        BatchStage stage,
        boolean paused,
        boolean isFirst,
        Optional<LocalDate> dueOn,
        String forWhat,
        List<Bags> bags,
        StillToDo toDo,
        boolean isBegun,
        Map<Integer, String> matching,
        Map<String, String> threads,
        OrderWishes wishes,
        Missing missing) {

    /**
     * Bags that are made.
     *
     * @param clothId their outer cloth
     * @param toCome how many of those wanted are neither good, seconds nor scrap yet
     */
    public record Bags(
            DesignId designId, Optional<String> sizeKey, Optional<MaterialId> clothId, int started, int toCome) {

        static List<Bags> of(Planned planned) {
            return planned.lines().stream().map(line -> of(planned, line)).toList();
        }

        private static Bags of(Planned planned, PlannedLine line) {
            ChosenLine chosen = line.chosen();
            return new Bags(
                    chosen.designId(),
                    Optional.ofNullable(chosen.sizeKey()),
                    OuterCloth.of(planned, line).materialId(),
                    chosen.started(),
                    Math.max(0, chosen.wanted() - chosen.good() - chosen.seconds() - chosen.scrap()));
        }
    }

    /** The number of a batch that is typed and not kept. */
    static final BatchId NOT_KEPT = new BatchId(0);

    /** Under which number it is kept; empty for one that is only typed. */
    public Optional<BatchId> keptAs() {
        return Optional.of(id).filter(its -> !its.equals(NOT_KEPT));
    }

    /** How many bags are started. */
    public int units() {
        return bags.stream().mapToInt(Bags::started).sum();
    }

    /** Hands-on time still to come. */
    public Duration left() {
        return toDo.time();
    }

    /** As days are laid of its hours alone. */
    public Job hours() {
        return Job.ofHours(id.key(), left(), dueOn).first(isFirst);
    }

    /** Whether it will be done too late, by the day on which it is ready; what is put aside never is. */
    public boolean isLate(Optional<LocalDate> ready) {
        return !paused && hours().isLate(ready);
    }
}
