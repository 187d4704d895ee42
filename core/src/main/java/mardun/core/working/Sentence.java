package mardun.core.working;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A sentence with values in it, still without a unit system: {@code "The cut-out of {0} is smaller than {1}."}.
 *
 * @param template the words, with {@code {0}}, {@code {1}} … where the values stand; what a maker typed is one of the values
 *     and never a part of the words, unless there are no values at all: then the words are said as they are
 */
public record Sentence(String template, List<Value> values) {

    private static final Pattern PLACE = Pattern.compile("\\{(\\d+)}");

    /** The words with the texts among the values in their places; measures stay as {@code {0}}, {@code {1}} …. */
    public String words() {
        if (values.isEmpty()) {
            return template;
        }
        Matcher place = PLACE.matcher(template);
        StringBuilder words = new StringBuilder();
        while (place.find()) {
            Value value = values.get(Integer.parseInt(place.group(1)));
            place.appendReplacement(
                    words, Matcher.quoteReplacement(value instanceof Value.Text text ? text.text() : place.group()));
        }
        return place.appendTail(words).toString();
    }

    public static Sentence of(String template, Value... values) {
        return new Sentence(template, List.of(values));
    }
}
