package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.junit.jupiter.api.Test;

class SeamSewnTest {

    private static SeamSewn sewn(long centimetres, int bags, long minutes) {
        return new SeamSewn(Length.of(centimetres, LengthUnit.CENTIMETRE), bags, Duration.ofMinutes(minutes));
    }

    @Test
    void whatNoStepSaysIsSewnAtThePaceOfTheOthers() {
        assertThat(SeamSewn.about(List.of(sewn(50, 10, 20)))).isEqualTo(Length.of(5, LengthUnit.METRE));
        assertThat(SeamSewn.about(List.of(sewn(50, 10, 20), sewn(0, 10, 40))))
                .as("three times the time, at the same pace")
                .isEqualTo(Length.of(15, LengthUnit.METRE));
    }

    @Test
    void nothingIsKnownWhereNoStepSaysAnything() {
        assertThat(SeamSewn.about(List.of())).isEqualTo(Length.ZERO);
        assertThat(SeamSewn.about(List.of(sewn(0, 10, 40), sewn(50, -2, 0)))).isEqualTo(Length.ZERO);
    }
}
