package mardun.app.show;

import java.util.Locale;

/** What is typed to find something, as the database compares it. */
public final class SearchWords {

    private SearchWords() {}

    /**
     * A pattern for {@code like ... escape '!'} over small letters: the words in their order, with anything between them;
     * what would be a wildcard stands for itself.
     */
    public static String like(String query) {
        String escaped = query.strip()
                .toLowerCase(Locale.ROOT)
                .replace("!", "!!")
                .replace("%", "!%")
                .replace("_", "!_");
        return "%" + String.join("%", escaped.split("\\s+")) + "%";
    }
}
