package mardun.app.design;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import mardun.app.show.Views.LengthFigure;
import mardun.app.show.Views.LengthView;
import org.jspecify.annotations.Nullable;

/** What a maker asks about a design, and the answers. */
public final class QuestionViews {

    private QuestionViews() {}

    /**
     * A thing that shall go in, by its three sides as typed.
     *
     * @param depth its thickness; empty for none
     * @param ease room round it in a flat bag; empty for the usual centimetre
     */
    public record FitQuestion(
            @NotNull @Valid DesignDocument document,
            @NotNull String size,
            @NotNull String width,
            @NotNull String height,
            @NotNull String depth,
            @NotNull String ease) {}

    /** What is needed against what there is. */
    public record ComparisonView(String label, LengthFigure needed, LengthFigure there, boolean fits) {}

    /**
     * Whether it fits, for the way of putting it in that suits best.
     *
     * @param places the bag's pockets, and the gaps through which it could be put
     */
    public record FitAnswer(
            boolean fits, String sentence, List<ComparisonView> comparisons, List<PlaceAnswer> places) {}

    /**
     * Whether it goes into a pocket, or through a gap.
     *
     * @param more what else is to be said; absent for nothing
     */
    public record PlaceAnswer(
            String name, boolean fits, @Nullable String more, List<ComparisonView> comparisons) {}

    /** What the first bag measures, as typed; an empty text for what wasn't measured. */
    public record DiagnosisQuestion(
            @NotNull @Valid DesignDocument document,
            @NotNull String size,
            @NotNull String width,
            @NotNull String height,
            @NotNull String depth,
            @NotNull String across) {}

    /**
     * Slips that explain the bag.
     *
     * @param slips what happened, one sentence each
     * @param remedies what to do with the rest of the batch
     * @param instead other slips that would make the very same bag
     * @param makes what a bag with these slips measures
     * @param misses by how much that differs from what was measured, at most
     */
    public record ExplanationView(
            List<String> slips, List<String> remedies, List<List<String>> instead, BagSize makes, LengthView misses) {}

    /** A bag's measures in short. */
    public record BagSize(
            LengthView width,
            LengthView height,
            LengthView depth,
            @Nullable LengthView across) {}

    /** Why a bag came out different. */
    public record DiagnosisAnswer(
            boolean asPlanned, String sentence, BagSize planned, List<ExplanationView> explanations) {}
}
