package mardun.app.show;

import java.util.Arrays;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** What is typed to find something: its words in their order, with anything between them, in large or small letters. */
public final class SearchWords {

    private SearchWords() {}

    /** A pattern for {@code like ... escape '!'} over small letters; what would be a wildcard stands for itself. */
    public static String like(String query) {
        String escaped = query.strip()
                .toLowerCase(Locale.ROOT)
                .replace("!", "!!")
                .replace("%", "!%")
                .replace("_", "!_");
        return "%" + String.join("%", escaped.split("\\s+")) + "%";
    }

    /** The same to be found in a text that is at hand. */
    public static Pattern pattern(String query) {
        return Pattern.compile(
                Arrays.stream(query.strip().split("\\s+")).map(Pattern::quote).collect(Collectors.joining(".*")),
                Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE | Pattern.DOTALL);
    }
}
