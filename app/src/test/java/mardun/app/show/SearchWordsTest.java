package mardun.app.show;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SearchWordsTest {

    /** Both ways of finding agree: in a text that is at hand, and in the database. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "zip             | Sew zip to the lining puckered | true",
                "ZIP puckered    | Sew zip to the lining puckered | true",
                "puckered zip    | Sew zip to the lining puckered | false",
                "'  to   the '   | Sew zip to the lining          | true",
                "100 %           | Steam at 100 % for 12 s        | true",
                "100 %           | Steam at 100 degrees           | false",
                "a_b             | a-b                            | false",
                "(gap            | Leave (gap                     | true",
                "\\E.*            | anything                       | false",
                "größe           | Kleine GRÖSSE, große GRÖßE     | true"
            })
    void findsWordsInTheirOrder(String query, String text, boolean isFound) {
        assertThat(SearchWords.pattern(query).matcher(text).find()).isEqualTo(isFound);
        assertThat(like(SearchWords.like(query), text.toLowerCase(Locale.ROOT))).isEqualTo(isFound);
    }

    /** {@code like} with {@code escape '!'}, as the database has it. */
    private static boolean like(String pattern, String text) {
        if (pattern.isEmpty()) {
            return text.isEmpty();
        }
        char first = pattern.charAt(0);
        if (first == '%') {
            return like(pattern.substring(1), text) || !text.isEmpty() && like(pattern, text.substring(1));
        }
        char wanted = first == '!' ? pattern.charAt(1) : first;
        boolean fits = first == '_' || !text.isEmpty() && text.charAt(0) == wanted;
        return !text.isEmpty() && fits && like(pattern.substring(first == '!' ? 2 : 1), text.substring(1));
    }
}
