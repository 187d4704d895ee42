package mardun.app.logbook;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.show.Views.TimeView;
import org.jspecify.annotations.Nullable;

/** The logbook as it is shown, and what is put right in it. */
public final class LogbookViews {

    private LogbookViews() {}

    /**
     * Some days, the newest first.
     *
     * @param next the day before which the next ones lie; absent where there are none
     */
    public record LogbookView(List<LogDay> days, @Nullable LocalDate next) {}

    /**
     * A day.
     *
     * @param worked how long was worked at the bench
     */
    public record LogDay(LocalDate day, TimeView worked, List<LogLine> lines) {}

    /** What a line of the logbook is about. */
    public enum LogKind {
        WORK,
        SET_UP,
        SLIP,
        NOTE,
        BATCH,
        STOCK,
        GOODS,
        UPKEEP
    }

    /**
     * Something that happened, in a sentence.
     *
     * @param time of the day: 14:05
     * @param sitting what was logged one by one; absent where nothing was
     */
    public record LogLine(
            String time,
            LogKind kind,
            String sentence,
            @Nullable BatchId batchId,
            @Nullable DesignId designId,
            @Nullable MaterialId materialId,
            @Nullable Sitting sitting) {}

    /** What was logged of one step of a line on one day. */
    public record Sitting(BatchId batchId, int line, String step, LocalDate day) {}

    /**
     * A single time that was logged.
     *
     * @param time of the day
     * @param millis how long it took; as it was put right, where it was
     * @param took the same in words
     * @param setUp it went into setting up
     * @param reason why it was put right or left out; empty for neither
     */
    public record LoggedTime(
            UUID id,
            String time,
            int bags,
            long millis,
            String took,
            boolean setUp,
            boolean slow,
            boolean leftOut,
            boolean putRight,
            String reason) {}

    /**
     * A time isn't as it was measured.
     *
     * @param id made by the form when it opens, so that sending it twice does it once
     * @param event which
     * @param leftOut it isn't counted at all
     * @param minutes what it really was, as typed; not looked at where it is left out
     * @param reason why
     */
    public record CorrectionForm(
            @NotNull UUID id,
            @NotNull UUID event,
            boolean leftOut,
            @NotNull @Size(max = 20) String minutes,
            @NotNull @Size(max = 300) String reason) {}
}
