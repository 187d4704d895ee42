package mardun.core.measure;

import static mardun.core.measure.LengthUnit.CENTIMETRE;
import static mardun.core.measure.LengthUnit.INCH;
import static mardun.core.measure.LengthUnit.METRE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LengthReaderTest {

    private static final long NM_PER_64TH = 396_875;

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
                    13 1/2        | 864
                    13½           | 864
                    13 ½          | 864
                    13-1/2        | 864
                    13 - 1/2      | 864
                    13–1/2        | 864
                    13.5          | 864
                    13,5          | 864
                    13 1/2"       | 864
                    13½″          | 864
                    13 1⁄2 in     | 864
                    13.5 Inches   | 864
                    1/64          | 1
                    27/64 in      | 27
                    .25           | 16
                    ,25 in        | 16
                    9/8           | 72
                    5.            | 320
                    0             | 0
                    1' 3"         | 960
                    2 ft 6 1/2 in | 1952
                    1 1/4 yd      | 2880
                    1 yd 5 in     | 2624
                    ¾ yd          | 1728
                    """)
    void readsInchesToTheSixtyFourth(String text, long sixtyFourths) {
        assertThat(LengthReader.read(text, INCH)).isEqualTo(new Length(sixtyFourths * NM_PER_64TH));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    34.3 cm      | 3430
                    34,3cm       | 3430
                    343mm        | 3430
                    34.3         | 3430
                    0.5 m        | 5000
                    1 m 20 cm    | 12000
                    2,55 Metres  | 25500
                    0.01 cm      | 1
                    0.1\u00a0mm  | 1
                    1/2 cm       | 50
                    """)
    void readsMetricToTheTenthOfAMillimetre(String text, long tenths) {
        assertThat(LengthReader.read(text, CENTIMETRE)).isEqualTo(new Length(tenths * 100_000));
    }

    @Test
    void aBareNumberCountsInTheFieldsUnit() {
        assertThat(LengthReader.read("2", METRE)).isEqualTo(Length.of(200, CENTIMETRE));
        assertThat(LengthReader.read("2 cm", METRE)).isEqualTo(Length.of(2, CENTIMETRE));
    }

    @Test
    void aThirdOfAnInchIsTheNearestNanometre() {
        assertThat(LengthReader.read("1/3", INCH)).isEqualTo(new Length(8_466_667));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
                    ''            | is empty
                    abc           | doesn't begin with a number
                    -3            | is less than nothing
                    3 qm          | has “qm” where a unit stands
                    3 1/0         | over nothing
                    1 9/8         | a whole or more
                    1.234,5       | both a comma and a point
                    3 in 4        | a part without a unit
                    5 in 1 yd     | mixes in and yd
                    1 m 3 in      | mixes m and in
                    2 km          | has “km” where a unit stands
                    10001 m       | longer than ten kilometres
                    1.5 1/2       | can't be read from “1/2” on
                    12 x 13       | has “x” where a unit stands
                    5..5          | can't be read from “.5” on
                    1e5           | has “e” where a unit stands
                    99999999999999999999999 in | longer than ten kilometres
                    """)
    void saysWhatIsWrong(String text, String why) {
        String typed = text.equals("''") ? "" : text;
        assertThatThrownBy(() -> LengthReader.read(typed, INCH)).isInstanceOfSatisfying(MeasureException.class, bad -> {
            assertThat(bad.why()).contains(why);
            assertThat(bad.read()).isEqualTo(typed);
            assertThat(bad.right()).isNotBlank();
        });
    }

    @Test
    void aVeryLongTextIsRefusedAndCutOffInTheSentence() {
        assertThatThrownBy(() -> LengthReader.read("1".repeat(5000), INCH))
                .isInstanceOfSatisfying(
                        MeasureException.class, bad -> assertThat(bad.read()).hasSizeLessThan(50));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
                    18 x 22        | 18 | 22
                    18x22          | 18 | 22
                    18 × 22 in     | 18 | 22
                    18" x 22"      | 18 | 22
                    18 in by 22    | 18 | 22
                    18 1/2 x 22    | 18.5 | 22
                    """)
    void readsExtents(String text, String width, String height) {
        assertThat(LengthReader.readExtent(text, INCH))
                .isEqualTo(new Extent(LengthReader.read(width, INCH), LengthReader.read(height, INCH)));
    }

    @Test
    void aUnitBehindOneSideCountsForBoth() {
        assertThat(LengthReader.readExtent("45 x 60 cm", INCH))
                .isEqualTo(new Extent(Length.of(45, CENTIMETRE), Length.of(60, CENTIMETRE)));
        assertThat(LengthReader.readExtent("45 cm x 60", INCH))
                .isEqualTo(new Extent(Length.of(45, CENTIMETRE), Length.of(60, CENTIMETRE)));
    }

    @ParameterizedTest
    @ValueSource(strings = {"18", "18 x 22 x 3", "x", "18 x"})
    void anExtentNeedsTwoSides(String text) {
        assertThatThrownBy(() -> LengthReader.readExtent(text, INCH)).isInstanceOf(MeasureException.class);
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4, 5})
    void whatIsWrittenExactlyReadsBackTheSame(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 2000; i++) {
            Length length = anyLength(random);
            for (UnitSystem system : UnitSystem.values()) {
                String text = LengthWriter.exactly(length, system);
                assertThat(LengthReader.read(text, system.other().smallUnit()))
                        .as("%s written as %s", length, text)
                        .isEqualTo(length);
            }
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {6, 7, 8})
    void noTextMakesItFailOtherThanWithASentence(long seed) {
        Random random = new Random(seed);
        String alphabet = "0123456789 ./,-½¼\"'xincmyd×⁄\u00a0";
        for (int i = 0; i < 20_000; i++) {
            StringBuilder text = new StringBuilder();
            for (int n = random.nextInt(12); n > 0; n--) {
                text.append(alphabet.charAt(random.nextInt(alphabet.length())));
            }
            try {
                assertThat(LengthReader.read(text.toString(), INCH).nanometres())
                        .as(text.toString())
                        .isNotNegative();
            } catch (MeasureException bad) {
                assertThat(bad.getMessage()).contains("“");
            }
        }
    }

    static Length anyLength(Random random) {
        return switch (random.nextInt(3)) {
            case 0 -> new Length(random.nextInt(64 * 400) * NM_PER_64TH);
            case 1 -> new Length(random.nextInt(100_000) * 100_000L);
            default -> new Length(random.nextLong(50_000_000_000L));
        };
    }
}
