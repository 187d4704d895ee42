package mardun.app.days;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import mardun.app.batch.BatchStage;
import mardun.app.id.BatchId;
import mardun.app.show.Views.TimeView;
import mardun.core.making.Station;
import org.jspecify.annotations.Nullable;

/** What the interface gets to see of the days to come. */
public final class DayViews {

    private DayViews() {}

    /**
     * The days to come, and when each batch is done.
     *
     * @param notedOn when the maker last took note of the days; absent for never
     * @param slipped what has moved since then
     */
    public record DaysView(
            LocalDate today,
            int people,
            List<DayPlanView> days,
            List<OutlookView> batches,
            @Nullable LocalDate notedOn,
            List<SlippedBatch> slipped) {}

    /**
     * A batch that is done on another day than when the maker last took note.
     *
     * @param before absent where it couldn't be laid then
     * @param now absent where it can't be laid now
     * @param waits what it waits for now, in a sentence; empty for nothing
     */
    public record SlippedBatch(
            BatchId batchId,
            String name,
            @Nullable LocalDate before,
            @Nullable LocalDate now,
            String waits) {}

    /**
     * A day at the bench.
     *
     * @param begins the time of day, for instance {@code 18:00}
     * @param free how much time there is
     * @param hours the same in hours, as it is typed
     * @param worked how much of that can be worked, by one
     * @param laid how much work lies on it
     * @param isOther it isn't as usual on that day of the week
     * @param note why
     * @param stop where to stop in the evening, when something goes on the next time; empty where nothing does
     * @param lies what lies half made in the evening and can't be put away, in sentences; empty for nothing
     * @param pins what is on that day: fairs, and batches that are due
     */
    public record DayPlanView(
            LocalDate date,
            String begins,
            TimeView free,
            String hours,
            TimeView worked,
            TimeView laid,
            boolean isOther,
            String note,
            List<StretchView> stretches,
            String stop,
            String lies,
            List<String> pins) {}

    /**
     * Work on an operation.
     *
     * @param from the time of day, for instance {@code 18:05}
     * @param goesOn it was begun before
     * @param bagsFrom the first bag of it, from 1
     * @param machine what it is done at, by its name; empty where no machines are listed
     * @param bagsTo the last bag that is done in it; less than {@code bagsFrom} where none is finished
     * @param bags how many bags the operation is for
     * @param onlySetUp no bag is begun yet, only what is done once
     * @param changes what has to be changed on the machine, and only that
     * @param dries what needs no hands after it; absent for nothing
     * @param worker who does it, from 1
     */
    public record StretchView(
            BatchId batchId,
            String batch,
            BatchStage stage,
            String name,
            Station station,
            String machine,
            String from,
            String to,
            TimeView hands,
            boolean goesOn,
            int bagsFrom,
            int bagsTo,
            int bags,
            boolean onlySetUp,
            List<String> changes,
            String check,
            String caution,
            @Nullable TimeView dries,
            int worker) {}

    /**
     * When a batch is done.
     *
     * @param version that the batch was read at
     * @param first the maker does it before all others
     * @param left hands-on time still to come
     * @param from in eight of ten cases it takes at least so long
     * @param to and at most so long
     * @param ready the day on which it is done; absent while something of it can't be laid
     * @param likely the day by which it is done in eight of ten cases
     * @param surePercent how sure it is that it is done by the day it is wanted; absent where no day is said
     * @param lastBegin the last day on which it can be begun; absent where it is late, begun, or wanted by no day
     * @param missing so much more free time would bring it in time; absent where it isn't late
     * @param inTimeWithout batches each of which, if it were put off, would bring it in time
     * @param waits what it waits for, in a sentence; empty for nothing
     * @param putAway what it costs that its days end only where it can be put away, in a sentence; empty where that isn't wanted
     */
    public record OutlookView(
            BatchId batchId,
            long version,
            boolean first,
            String name,
            BatchStage stage,
            @Nullable LocalDate due,
            String forWhat,
            TimeView left,
            TimeView from,
            TimeView to,
            @Nullable LocalDate ready,
            @Nullable LocalDate likely,
            boolean late,
            @Nullable Integer surePercent,
            @Nullable LocalDate lastBegin,
            @Nullable TimeView missing,
            List<OtherBatch> inTimeWithout,
            String waits,
            String putAway) {}

    public record OtherBatch(BatchId batchId, String name) {}

    /** Another length of a day, as typed, to see what it would change. */
    public record WhatIfDay(
            @NotNull LocalDate day, @NotNull @Size(max = 20) String hours) {}

    /** A batch that would be done on another day, or surer. */
    public record MovedBatch(
            BatchId batchId,
            String name,
            @Nullable LocalDate ready,
            @Nullable LocalDate then,
            @Nullable Integer surePercent,
            @Nullable Integer sureThen) {}
}
