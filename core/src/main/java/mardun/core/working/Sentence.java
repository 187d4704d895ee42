package mardun.core.working;

import java.util.List;

/**
 * A sentence with values in it, still without a unit system: {@code "The cut-out of {0} is smaller than {1}."}.
 *
 * @param template the words, with {@code {0}}, {@code {1}} … where the values stand
 */
public record Sentence(String template, List<Value> values) {

    public static Sentence of(String template, Value... values) {
        return new Sentence(template, List.of(values));
    }
}
