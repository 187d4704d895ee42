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

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    2A top, 2B, C | 2B, C
                    2A + B; Z left | B, Z left
                    A             | ''
                    2a, what?, A  | 2a, what?
                    """)
    void whatIsLeftOutOfTheDesignIsLeftOutOfIt(String typed, String left) {
        assertThat(StepUses.without(typed, LETTERS, Set.of("A"))).isEqualTo(left);
    }

    /** Where a piece is sewn is said in words behind it, and stays when the piece is renamed. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    2A top, B left and right  | A2 TOP, B1 LEFT RIGHT
                    C round                   | C1 BOTTOM LEFT RIGHT TOP
                    2 x A at Top/bottom; Z    | A2 BOTTOM TOP, Z1
                    2a left                   | 2a1 LEFT
                    """)
    void theWordsBehindItSayAlongWhichEdges(String typed, String said) {
        assertThat(StepUses.read(typed, LETTERS).orElseThrow().stream()
                        .map(use -> (use.letter() + use.layers() + " "
                                        + use.along().stream()
                                                .map(Enum::name)
                                                .sorted()
                                                .collect(Collectors.joining(" ")))
                                .strip())
                        .collect(Collectors.joining(", ")))
                .isEqualTo(said);
        assertThat(StepUses.renamed("2A top, B left and right", LETTERS, letter -> letter.equals("A") ? "W" : letter))
                .isEqualTo("2W top, B left and right");
    }

    @Test
    void aWordOfAnEdgeMayBeALetterAndAnotherWordIsNone() {
        assertThat(StepUses.read("top", Set.of("top"))).contains(java.util.List.of(new Step.Use("top", 1)));
        assertThat(StepUses.read("A middle", LETTERS)).isEmpty();
        assertThat(StepUses.unreadable("B, A middle left", LETTERS)).isEqualTo("A middle");
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
