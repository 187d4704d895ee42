package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StepUsesTest {

    private static final Set<String> LETTERS = Set.of("A", "B", "C", "D1", "Z", "2a", "5", "xA");

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    2A, 2B, C    | A2 B2 C1
                    4 A + Z      | A4 Z1
                    2×A; D1      | A2 D11
                    2xA          | A2
                    2 x A        | A2
                    2a           | 2a1
                    3 2a         | 2a3
                    5            | 51
                    2x5          | 52
                    xA           | xA1
                    A            | A1
                    Q            | Q1
                    """)
    void isReadAsItIsTyped(String typed, String uses) {
        assertThat(StepUses.read(typed, LETTERS).orElseThrow().stream()
                        .map(use -> use.letter() + use.layers())
                        .collect(Collectors.joining(" ")))
                .isEqualTo(uses);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    2A, 2B, C  | 2W, 2B, C
                    2xA + xA   | 2W + xA
                    A;A        | W;W
                    2 x A, 2a  | 2W, 2a
                    """)
    void aLetterIsRenamedWhereverItStands(String typed, String renamed) {
        assertThat(StepUses.renamed(typed, LETTERS, letter -> letter.equals("A") ? "W" : letter))
                .isEqualTo(renamed);
    }

    @Test
    void aDigitDoesNotRunIntoItsLayers() {
        String renamed = StepUses.renamed("2A", LETTERS, letter -> "7");
        assertThat(renamed).isEqualTo("2x7");
        assertThat(StepUses.read(renamed, Set.of("7")).orElseThrow()).containsExactly(new Step.Use("7", 2));
    }

    @Test
    void whatIsNoLetterIsToldAsItStands() {
        assertThat(StepUses.read("2A, strap one", LETTERS)).isEmpty();
        assertThat(StepUses.unreadable("2A, strap one", LETTERS)).isEqualTo("strap one");
    }
}
