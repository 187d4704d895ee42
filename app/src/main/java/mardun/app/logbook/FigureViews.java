package mardun.app.logbook;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import mardun.app.id.DesignId;
import mardun.app.show.Views.TimeView;

/** What the logbook adds up to. */
public final class FigureViews {

    private FigureViews() {}

    /**
     * What some weeks add up to.
     *
     * @param weeks the oldest first
     * @param worked in all of them
     * @param free in all of them
     * @param reasons why bags went wrong, the most frequent first
     * @param pace how fast designs came out of batches that were finished in these weeks, by name
     */
    public record FiguresView(
            List<WeekView> weeks,
            TimeView worked,
            TimeView free,
            List<ReasonView> reasons,
            SetUpsView setUps,
            List<PaceView> pace) {}

    /**
     * A week.
     *
     * @param monday its first day
     * @param workedHours at the bench, to the tenth
     * @param freeHours that were free for it, to the tenth
     */
    public record WeekView(
            LocalDate monday, TimeView worked, TimeView free, BigDecimal workedHours, BigDecimal freeHours) {}

    /** Of how many bags something went wrong, and how it ended. */
    public record ReasonView(String reason, int mended, int seconds, int scrap) {}

    /**
     * How often machines were set up.
     *
     * @param made how often
     * @param apart how often it would have been with each line of each batch made by itself
     * @param spared how often it wasn't because of that
     */
    public record SetUpsView(int made, int apart, int spared) {}

    /**
     * How fast a design came out.
     *
     * @param bags how many came out
     * @param worked how long was worked on them, setting up and mending in it
     * @param anHour how many that is an hour, to the tenth
     */
    public record PaceView(DesignId designId, String design, int bags, TimeView worked, BigDecimal anHour) {}

    /**
     * How long a step took, and how long it is reckoned with.
     *
     * @param points one for each day and batch, the oldest first
     * @param each what it is reckoned with, in seconds
     * @param atLeast in eight of ten batches it takes at least so many seconds
     * @param atMost in eight of ten batches it takes at most so many seconds
     * @param bags on how many timed bags that rests
     */
    public record StepTimesView(
            String step, List<PointView> points, TimeView reckoned, long each, long atLeast, long atMost, int bags) {}

    /**
     * What was timed on one day in one batch.
     *
     * @param each seconds for each bag
     */
    public record PointView(LocalDate day, long batchId, int bags, long each) {}
}
