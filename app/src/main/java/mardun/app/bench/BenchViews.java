package mardun.app.bench;

import java.time.LocalDate;
import java.util.List;
import mardun.app.batch.BatchViews.BatchRow;
import mardun.app.batch.BatchViews.ShortLine;
import mardun.app.days.TapeViews.TapeView;
import mardun.app.id.BatchId;
import mardun.app.material.MaterialView;
import mardun.app.show.Views.TimeView;
import org.jspecify.annotations.Nullable;

/** What the bench shows: what is coming, what to do next, what is short. */
public final class BenchViews {

    private BenchViews() {}

    /**
     * The home screen.
     *
     * @param firstSteps for an empty workroom, what to do first; absent once all of it was done
     * @param low some of the materials of which there is less than the maker wants to have
     * @param lowTogether how many they are together
     * @param next what to do next; absent if nothing is planned
     */
    public record BenchView(
            LocalDate today,
            TapeView tape,
            @Nullable NextView next,
            List<LaneView> lanes,
            List<ShortLine> shortages,
            List<MaterialView> low,
            int lowTogether,
            @Nullable List<FirstStep> firstSteps) {}

    /**
     * What to do next.
     *
     * @param day on which; absent for today, or where it isn't laid
     * @param changes what has to be on the machine
     * @param atTheMachine it is counted and timed at the bench
     * @param waits it can't go on: something is short
     */
    public record NextView(
            BatchId batchId,
            String place,
            @Nullable LocalDate day,
            String title,
            String subject,
            List<String> changes,
            String check,
            TimeView left,
            String action,
            boolean atTheMachine,
            boolean waits) {}

    /**
     * A batch under way.
     *
     * @param ready the day when its work is done if the free hours are used; absent if a year isn't enough, or while it waits
     * @param waits what material it waits for, in a sentence; empty for none
     */
    public record LaneView(BatchRow batch, @Nullable LocalDate ready, boolean late, String waits) {}

    /** One of the first things to do in an empty workroom. */
    public record FirstStep(Key key, boolean done) {

        /** What is to be done. */
        public enum Key {
            SETTINGS,
            MATERIALS,
            DESIGN,
            BATCH
        }
    }
}
