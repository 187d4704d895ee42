package mardun.app.construction;

import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.Map;
import mardun.app.problem.FieldProblem;
import mardun.app.show.Views.LengthView;
import mardun.app.show.Views.WorkingView;
import mardun.core.construction.Subject;
import mardun.core.measure.Dimension;
import org.jspecify.annotations.Nullable;

/** What the interface gets to see of constructions. */
public final class ConstructionViews {

    private ConstructionViews() {}

    /** The constructions of one subject. */
    public record SubjectView(Subject subject, String title, List<WayView> ways) {}

    /**
     * One way of making it.
     *
     * @param cut the rule from what is wanted to what is cut
     * @param wanted the rule back; absent where nobody asks for it
     */
    public record WayView(
            String school, RuleView cut, @Nullable RuleView wanted) {}

    /**
     * A rule as a function for formulas.
     *
     * @param call how it is called: {@code panel_width(width; depth; side)}
     */
    public record RuleView(String name, String sentence, String call, List<ParameterView> parameters) {}

    public record ParameterView(String symbol, String label, Dimension dimension) {}

    /** A function of plain arithmetic. */
    public record FunctionView(String name, String gives) {}

    /** All that formulas may call. */
    public record ConstructionsView(List<SubjectView> subjects, List<FunctionView> functions) {}

    /** A rule to be worked out with values as typed, by the symbols of its parameters. */
    public record RuleQuestion(
            @NotNull String rule, @NotNull Map<String, String> values) {}

    /**
     * What comes out.
     *
     * @param length in both units, if it is a length
     * @param text the result as a text; empty while values are missing or wrong
     * @param problems what is wrong with which value
     */
    public record RuleAnswer(
            @Nullable LengthView length,
            String text,
            @Nullable WorkingView working,
            List<FieldProblem> problems) {}
}
