package mardun.app.cutting;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SheetPaperTest {

    @ParameterizedTest
    @CsvSource({
        "10 \u00bd in, 10 1/2 in",
        "10\u00bd in, 10 1/2 in",
        "3 5\u204416 in, 3 5/16 in",
        "\u2248 7 \u215e in, about 7 7/8 in",
        "Al\u00e7a {n} & Co, Al\u00e7a {n} &amp; Co"
    })
    void measuresAreWrittenInLettersThatTheFontsHave(String text, String printed) {
        assertThat(SheetPaper.plain(text)).isEqualTo(printed);
    }
}
