package mardun.core.material;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.Function;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.junit.jupiter.api.Test;

class ClosedZipTest {

    private static ClosedZip zip(long inches, boolean metal) {
        return new ClosedZip(Length.of(inches, LengthUnit.INCH), metal);
    }

    private static final List<ClosedZip> SOLD = List.of(zip(12, false), zip(7, false), zip(9, true), zip(8, true));

    @Test
    void aNylonZipIsCutDownFromTheNextLongerOne() {
        assertThat(ClosedZip.nearest(Length.of(10, LengthUnit.INCH), SOLD, Function.identity()))
                .contains(zip(12, false));
        assertThat(ClosedZip.nearest(Length.of(7, LengthUnit.INCH), SOLD, Function.identity()))
                .contains(zip(7, false));
        assertThat(ClosedZip.nearest(Length.of(13, LengthUnit.INCH), SOLD, Function.identity()))
                .isEmpty();
    }

    @Test
    void aMetalOneMustMatch() {
        assertThat(ClosedZip.nearest(Length.of(8, LengthUnit.INCH), SOLD, Function.identity()))
                .contains(zip(8, true));
        assertThat(zip(9, true).serves(Length.of(8, LengthUnit.INCH))).isFalse();
        assertThat(zip(9, true).serves(Length.of(9, LengthUnit.INCH))).isTrue();
    }
}
