package mardun.app.paper;

import java.util.function.IntFunction;
import mardun.app.show.ViewWriter;
import mardun.core.making.Prompt;
import mardun.core.making.Step;
import mardun.core.measure.Length;
import mardun.core.measure.ShownRounding;
import org.jspecify.annotations.Nullable;

/** What a step's papers say in the same words: what is shown within it, and paragraphs with a label. */
public final class StepPaper {

    private StepPaper() {}

    /**
     * What is shown within a step, each with where it is, and how long and how often something is held.
     *
     * @param marks how far from its edge the mark of each is, by its place from 0; nothing where that isn't said
     * @param inches whether the maker measures in inches, which then stand first
     */
    public static String prompts(Step step, IntFunction<@Nullable Length> marks, ViewWriter writer, boolean inches) {
        StringBuilder html = new StringBuilder();
        for (int i = 0; i < step.prompts().size(); i++) {
            Prompt prompt = step.prompts().get(i);
            if (prompt.text().isBlank()) {
                continue;
            }
            Length mark = marks.apply(i);
            String where = mark == null
                    ? ""
                    : ": " + Paper.both(writer.length(mark, ShownRounding.NEAREST), inches)
                            + (prompt.from().isBlank() ? "" : " from " + prompt.from());
            String held = prompt.seconds() == 0
                    ? ""
                    : " (" + prompt.seconds() + " s" + (prompt.times() > 1 ? ", " + prompt.times() + " times" : "")
                            + ")";
            html.append("<p class=\"")
                    .append(prompt.isGate() ? "must" : "")
                    .append("\">")
                    .append(Paper.plain((prompt.isGate() ? "First look: " : "") + prompt.text() + where + held))
                    .append("</p>");
        }
        return html.toString();
    }

    /** A paragraph that begins with what it is; nothing where there is no text. */
    public static String labelled(String label, String text) {
        return text.isBlank() ? "" : "<p><b>" + label + ":</b> " + Paper.plain(text) + "</p>";
    }
}
