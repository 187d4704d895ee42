package mardun.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NumberReaderTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = "19.00|19.00\n19,5|19.5\n.5|0.5\n 7 |7\n5.|5.0\n-2|-2\n1 250|1250")
    void readsPointAndComma(String text, BigDecimal number) {
        assertThat(NumberReader.read(text)).isEqualByComparingTo(number);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock = "1.234,5|both a comma and a point\nten|isn't a number\n''|is empty\n1e9|isn't a number")
    void saysWhatIsWrong(String text, String why) {
        assertThatThrownBy(() -> NumberReader.read(text))
                .isInstanceOfSatisfying(
                        MeasureException.class, bad -> assertThat(bad.why()).contains(why));
    }

    @Test
    void aCountIsWholeAndInRange() {
        assertThat(NumberReader.readCount("24", 1, 5000)).isEqualTo(24);
        assertThat(NumberReader.readCount("24.0", 1, 5000)).isEqualTo(24);
        assertThatThrownBy(() -> NumberReader.readCount("2x", 1, 5000))
                .hasMessageContaining("isn't a number. Type a whole number from 1 to 5000");
        assertThatThrownBy(() -> NumberReader.readCount(" ", 1, 5000))
                .hasMessageContaining("is empty. Type a whole number from 1 to 5000");
        assertThatThrownBy(() -> NumberReader.readCount("2.5", 1, 5000)).hasMessageContaining("isn't a whole number");
        assertThatThrownBy(() -> NumberReader.readCount("0", 1, 5000)).hasMessageContaining("is less than 1");
        assertThatThrownBy(() -> NumberReader.readCount("-4", 1, 5000)).hasMessageContaining("is less than 1");
        assertThatThrownBy(() -> NumberReader.readCount("100000000000", 1, 5000))
                .hasMessageContaining("is more than 5000");
    }
}
