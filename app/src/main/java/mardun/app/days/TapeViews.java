package mardun.app.days;

import java.time.LocalDate;
import java.util.List;
import mardun.app.batch.BatchStage;
import mardun.app.id.BatchId;
import mardun.app.id.FairId;
import mardun.app.show.Views.TimeView;
import org.jspecify.annotations.Nullable;

/** The tape as the interface gets to see it: days as its marks, with what lies on them. */
public final class TapeViews {

    private TapeViews() {}

    /** The days to come with the hours that are free and what lies on them. */
    public record TapeView(
            List<DayView> days, List<LaidView> laid, List<PinView> pins, TimeView free, TimeView planned) {}

    public record DayView(LocalDate date, TimeView free) {}

    /**
     * A batch's work on the tape, in days from the first one; a quarter into a day is 0.25.
     *
     * @param batchId absent for a batch that isn't kept yet
     * @param from where it begins
     * @param to where it ends
     * @param worker who does it, from 1
     */
    public record LaidView(
            @Nullable BatchId batchId, String label, BatchStage stage, double from, double to, int worker) {}

    /** Something with a day: a fair, or the day a batch is due. */
    public record PinView(
            Kind kind,
            String label,
            LocalDate date,
            @Nullable BatchId batchId,
            @Nullable FairId fairId) {

        /** What is pinned. */
        public enum Kind {
            FAIR,
            DUE
        }
    }
}
