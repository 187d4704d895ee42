package mardun.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Colours as eyes see them. */
class ColourTest {

    /** Pairs that are published with the formula, to four places. */
    @ParameterizedTest
    @CsvSource({
        "50, 2.6772, -79.7751, 50, 0, -82.7485, 2.0425",
        "50, -1.3802, -84.2814, 50, 0, -82.7485, 1.0",
        "50, 0, 0, 50, -1, 2, 2.3669",
        "50, 2.49, -0.001, 50, -2.49, 0.0009, 7.1792",
        "50, 2.5, 0, 73, 25, -18, 27.1492",
        "60.2574, -34.0099, 36.2677, 60.4626, -34.1751, 39.4387, 1.2644",
        "22.7233, 20.0904, -46.694, 23.0331, 14.973, -42.5619, 2.0373",
        "2.0776, 0.0795, -1.135, 0.9033, -0.0636, -0.5514, 0.9082"
    })
    void areAsFarApartAsThePublishedPairs(
            double l1, double a1, double b1, double l2, double a2, double b2, double distance) {
        Colour one = new Colour(l1, a1, b1);
        Colour other = new Colour(l2, a2, b2);
        assertThat(one.distance(other)).isCloseTo(distance, within(0.0001));
        assertThat(other.distance(one)).isCloseTo(distance, within(0.0001));
        assertThat(one.distance(one)).isZero();
    }

    @Test
    void areReadAsScreensWriteThem() {
        Colour white = Colour.of("#ffffff");
        assertThat(white.lightness()).isCloseTo(100, within(0.01));
        assertThat(white.greenRed()).isCloseTo(0, within(0.01));
        Colour red = Colour.of("#FF0000");
        assertThat(red.lightness()).isCloseTo(53.24, within(0.01));
        assertThat(red.greenRed()).isCloseTo(80.09, within(0.01));
        assertThat(red.blueYellow()).isCloseTo(67.20, within(0.01));
        assertThatThrownBy(() -> Colour.of("navy")).hasMessage("not a colour: navy");
    }
}
