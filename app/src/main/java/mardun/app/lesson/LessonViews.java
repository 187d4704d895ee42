package mardun.app.lesson;

import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import mardun.app.id.DesignId;
import org.jspecify.annotations.Nullable;

/** What a note can become, as it is shown and chosen. */
public final class LessonViews {

    private LessonViews() {}

    /** What a note touches in its design. */
    public record LessonView(DesignId designId, String design, List<MeasureOffer> measures, List<StepOffer> steps) {}

    /**
     * A measurement that would be another.
     *
     * @param size the place of the size, from 0
     * @param sizeName what it is called; empty for all sizes
     */
    public record MeasureOffer(String symbol, String label, int size, String sizeName, String now, String then) {}

    /** A step at which the note would be looked at. */
    public record StepOffer(String step, String name) {}

    /**
     * What a note becomes: a measurement with another value, or a check at a step.
     *
     * @param symbol of the measurement; absent for a check
     * @param size the place of the size, from 0
     * @param then the measurement's value from now on, as typed
     * @param step the key of the step; absent for a measurement
     */
    public record TakeForm(
            @Nullable @Size(max = 60) String symbol,
            @Min(0) int size,
            @NotNull @Size(max = 200) String then,
            @Nullable @Size(max = 300) String step) {}
}
