package mardun.core.kind;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.design.Design;
import mardun.core.design.SizedDesign;
import mardun.core.design.Sizing;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.UnitSystem;
import org.junit.jupiter.api.Test;

class PaperCheckTest {

    private final Design pouch = Drafting.of(new Brief(
                    Kind.BOXED_POUCH,
                    "Paper pouch",
                    Known.CUT,
                    Map.of(Choice.CORNERS, Option.CUT_OUT_AFTER),
                    Map.of("cut_width", "12 in", "cut_height", "10 in", "corner", "1 1/4 in"),
                    UnitSystem.INCH,
                    "1/4 in"))
            .design();

    private PaperCheck.Checked check(PaperCheck.Says... says) {
        return PaperCheck.of(pouch, List.of(says), UnitSystem.INCH);
    }

    @Test
    void whatAgreesIsNotNamed() {
        PaperCheck.Checked checked = check(says("B", "12 in", "10 in"), says("C", "11 1/2 in", "9 1/2 in"));

        assertThat(checked.disagreements()).isEmpty();
        assertThat(checked.design()).isEqualTo(pouch);
    }

    @Test
    void whatDoesntAgreeIsKeptAsItStandsAndNamed() {
        PaperCheck.Checked checked = check(says("B", "12 in", "9 3/4 in"));
        SizedDesign sized = Sizing.of(checked.design(), 0);

        assertThat(checked.disagreements()).hasSize(1);
        assertThat(checked.disagreements().get(0).toString()).contains("Lining panel");
        assertThat(sized.piece("B").orElseThrow().height().value()).isEqualTo(inch("9 3/4 in"));
        assertThat(sized.piece("B").orElseThrow().piece().width())
                .as("what agrees stays a formula")
                .startsWith("panel_width");
    }

    @Test
    void aZipThatIsTooShortIsNamed() {
        PaperCheck.Checked checked = check(new PaperCheck.Says("Z", Optional.empty(), Optional.of(inch("9 in"))));

        assertThat(checked.disagreements()).hasSize(1);
        assertThat(Sizing.of(checked.design(), 0)
                        .trim("Z")
                        .orElseThrow()
                        .length()
                        .value())
                .isEqualTo(inch("9 in"));
    }

    private static PaperCheck.Says says(String letter, String width, String height) {
        return new PaperCheck.Says(letter, Optional.of(inch(width)), Optional.of(inch(height)));
    }

    private static Length inch(String typed) {
        return LengthReader.read(typed, LengthUnit.INCH);
    }
}
