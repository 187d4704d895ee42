package mardun.core.season;

import static org.assertj.core.api.Assertions.assertThat;

import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.junit.jupiter.api.Test;

class TableSpaceTest {

    private static Length centimetres(long number) {
        return Length.of(number, LengthUnit.CENTIMETRE);
    }

    @Test
    void letsABagStandAndWhatIsFlatLieInPilesOfFive() {
        assertThat(TableSpace.ofBag(centimetres(40), centimetres(12), centimetres(35)))
                .isEqualTo(40 * 12);
        assertThat(TableSpace.ofBag(centimetres(20), centimetres(2), centimetres(15)))
                .isEqualTo(20 * 15 / 5);
        assertThat(TableSpace.ofBag(centimetres(20), centimetres(3), centimetres(15)))
                .isEqualTo(20 * 3);
        assertThat(TableSpace.ofBag(centimetres(1), centimetres(0), centimetres(1)))
                .isEqualTo(1);
    }

    @Test
    void countsWhatWaitsUnderTheTable() {
        assertThat(TableSpace.ofTable(centimetres(180), centimetres(75))).isEqualTo(3 * 180 * 75);
    }
}
