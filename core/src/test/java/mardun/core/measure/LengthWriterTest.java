package mardun.core.measure;

import static mardun.core.measure.ShownRounding.DOWN;
import static mardun.core.measure.ShownRounding.NEAREST;
import static mardun.core.measure.ShownRounding.UP;
import static mardun.core.measure.UnitSystem.INCH;
import static mardun.core.measure.UnitSystem.METRIC;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LengthWriterTest {

    private final LengthWriter eighths = new LengthWriter(InchStep.EIGHTH);
    private final LengthWriter sixteenths = new LengthWriter(InchStep.SIXTEENTH);

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    10 1/2 in   | NEAREST | 10 ½ in
                    3/8 in      | NEAREST | ⅜ in
                    7 in        | NEAREST | 7 in
                    0           | NEAREST | 0 in
                    10 1/16 in  | UP      | ≈ 10 ⅛ in
                    10 1/16 in  | DOWN    | ≈ 10 in
                    10 1/16 in  | NEAREST | ≈ 10 ⅛ in
                    7 63/64 in  | UP      | ≈ 8 in
                    26.7 cm     | UP      | ≈ 10 ⅝ in
                    """)
    void showsInchesToTheEighth(String text, ShownRounding rounding, String shown) {
        Length length = LengthReader.read(text, LengthUnit.INCH);
        assertThat(eighths.write(length, INCH, rounding).marked()).isEqualTo(shown);
    }

    @Test
    void showsSixteenthsWhereTheMakerWantsThem() {
        Length length = LengthReader.read("3 5/16", LengthUnit.INCH);
        assertThat(sixteenths.write(length, INCH, NEAREST).marked()).isEqualTo("3 5⁄16 in");
        assertThat(eighths.write(length, INCH, NEAREST).marked()).isEqualTo("≈ 3 ⅜ in");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    26.7 cm   | NEAREST | 26.7 cm
                    24 cm     | NEAREST | 24 cm
                    6 mm      | NEAREST | 6 mm
                    1/4 in    | UP      | ≈ 7 mm
                    1/4 in    | DOWN    | ≈ 6 mm
                    10 1/2 in | UP      | ≈ 26.7 cm
                    10 1/2 in | DOWN    | ≈ 26.6 cm
                    0 cm      | UP      | 0 cm
                    0.1 mm    | DOWN    | ≈ 0 cm
                    """)
    void showsMetricToTheMillimetre(String text, ShownRounding rounding, String shown) {
        Length length = LengthReader.read(text, LengthUnit.CENTIMETRE);
        assertThat(eighths.write(length, METRIC, rounding).marked()).isEqualTo(shown);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    1 1/4 yd  | 1 yd 9 in | ≈ 1.14 m
                    2 m       | ≈ 2 yd 6 ¾ in | 2.00 m
                    2 yd      | 2 yd | ≈ 1.83 m
                    13 in     | 13 in | ≈ 33 cm
                    """)
    void showsLengthsFromTheShelfInYardsAndMetres(String text, String inches, String metric) {
        Length length = LengthReader.read(text, LengthUnit.INCH);
        assertThat(eighths.writeLong(length, INCH, NEAREST).marked()).isEqualTo(inches);
        assertThat(eighths.writeLong(length, METRIC, NEAREST).marked()).isEqualTo(metric);
    }

    @Test
    void aShortageKeepsItsSignAndItsDirection() {
        Length less = new Length(-Length.of(1, 16, LengthUnit.INCH).nanometres());
        assertThat(eighths.write(less, INCH, UP).marked()).isEqualTo("≈ 0 in");
        assertThat(eighths.write(less, INCH, DOWN).marked()).isEqualTo("≈ −⅛ in");
        assertThat(eighths.writeLong(new Length(-2_500_000_000L), METRIC, NEAREST)
                        .text())
                .isEqualTo("−2.50 m");
    }

    @Test
    void aThirdThatNanometresCannotHoldIsMarked() {
        BigFraction third = BigFraction.of(17 * LengthUnit.INCH.nanometres(), 3);
        assertThat(eighths.write(third, INCH, UP).marked()).isEqualTo("≈ 5 ¾ in");
        assertThat(eighths.write(third, METRIC, DOWN).marked()).isEqualTo("≈ 14.3 cm");
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {11, 12, 13})
    void whatIsShownReadsBackAndIsOnTheRightSide(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 3000; i++) {
            Length length = LengthReaderTest.anyLength(random);
            for (UnitSystem system : UnitSystem.values()) {
                for (ShownRounding rounding : ShownRounding.values()) {
                    Shown shown = eighths.write(length, system, rounding);
                    Length read = LengthReader.read(shown.text(), system.smallUnit());
                    long off = read.nanometres() - length.nanometres();
                    assertThat(shown.rounded()).isEqualTo(off != 0);
                    if (rounding == UP) {
                        assertThat(off).as("%s up to %s", length, shown).isNotNegative();
                    } else if (rounding == DOWN) {
                        assertThat(off).as("%s down to %s", length, shown).isNotPositive();
                    }
                    assertThat(Math.abs(off)).isLessThan(system == INCH ? 3_175_000 : 1_000_000);
                }
            }
        }
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    1 yd     | INCH   | 1 yd
                    2.25 yd  | INCH   | 2 ¼ yd
                    1 m      | INCH   | 1 m
                    2.5 m    | METRIC | 2.5 m
                    1 yd     | METRIC | 1 yd
                    50 cm    | METRIC | 50 cm
                    40 in    | INCH   | 40 in
                    137 cm   | METRIC | 137 cm
                    """)
    void theFieldOfAShelfKeepsWholeYardsAndMetres(String text, UnitSystem system, String field) {
        Length length = LengthReader.read(text, LengthUnit.INCH);
        assertThat(LengthWriter.exactlyLong(length, system)).isEqualTo(field);
        assertThat(LengthReader.read(field, LengthUnit.INCH)).isEqualTo(length);
    }

    @Test
    void theFieldOfAMakerInInchesKeepsCentimetresThatWereTyped() {
        assertThat(LengthWriter.exactly(Length.of(21, 2, LengthUnit.INCH), INCH))
                .isEqualTo("10 ½ in");
        assertThat(LengthWriter.exactly(Length.of(1, 64, LengthUnit.INCH), INCH))
                .isEqualTo("1⁄64 in");
        assertThat(LengthWriter.exactly(Length.of(267, LengthUnit.MILLIMETRE), INCH))
                .isEqualTo("26.7 cm");
        assertThat(LengthWriter.exactly(Length.of(1, 4, LengthUnit.INCH), METRIC))
                .isEqualTo("¼ in");
        assertThat(LengthWriter.exactly(Length.of(1, LengthUnit.INCH), METRIC)).isEqualTo("2.54 cm");
    }
}
