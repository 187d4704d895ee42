package mardun.app.show;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.Duration;
import java.util.Map;
import mardun.app.show.Views.WorkingView;
import mardun.core.construction.Boxing;
import mardun.core.construction.BoxingSchool;
import mardun.core.material.Amount;
import mardun.core.material.Counting;
import mardun.core.measure.InchStep;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.LengthWriter;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.measure.UnitSystem;
import mardun.core.working.Figure;
import mardun.core.working.Sentence;
import mardun.core.working.Value;
import mardun.core.working.Working;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ViewWriterTest {

    private final ViewWriter inches =
            new ViewWriter(UnitSystem.INCH, new LengthWriter(InchStep.EIGHTH), CurrencyUnit.EUR);
    private final ViewWriter metric =
            new ViewWriter(UnitSystem.METRIC, new LengthWriter(InchStep.EIGHTH), CurrencyUnit.EUR);

    @Test
    void aLengthTravelsExactAndInBothUnits() {
        Views.LengthView view = inches.length(in("10 1/2"), ShownRounding.UP);
        assertThat(view).isEqualTo(new Views.LengthView("10 ½ in", "10 ½ in", "≈ 26.7 cm"));
        assertThat(metric.length(in("10 1/2"), ShownRounding.DOWN))
                .isEqualTo(new Views.LengthView("26.67 cm", "10 ½ in", "≈ 26.6 cm"));
    }

    @ParameterizedTest
    @CsvSource({
        "0, 0 min",
        "30, 0.5 min",
        "90, 1.5 min",
        "570, 9.5 min",
        "600, 10 min",
        "629, 10 min",
        "630, 11 min",
        "3570, 1 h",
        "3900, 1 h 05",
        "50040, 13 h 54"
    })
    void timesAreWrittenAsAMakerSaysThem(long seconds, String text) {
        assertThat(inches.time(Duration.ofSeconds(seconds)).text()).isEqualTo(text);
    }

    @ParameterizedTest
    @CsvSource({"0, 1 kB", "812400, 812 kB", "999499, 999 kB", "999600, 1 MB", "4260000, 4.3 MB", "43000000, 43 MB"})
    void filesAreAsLargeAsOneSaysIt(long bytes, String text) {
        assertThat(inches.size(bytes)).isEqualTo(text);
    }

    @Test
    void moneyHasTheCurrencysCoinsAndATrueMinus() {
        assertThat(inches.money(1145).amount()).isEqualTo("11.45");
        assertThat(inches.money(-5).amount()).isEqualTo("−0.05");
        ViewWriter yen = new ViewWriter(UnitSystem.METRIC, new LengthWriter(InchStep.EIGHTH), CurrencyUnit.JPY);
        assertThat(yen.money(1145).amount()).isEqualTo("1145");
    }

    @ParameterizedTest
    @CsvSource({"1234, 1, 12.34", "3703, 3, 12.3433", "2, 3, 0.0067", "500, 1, 5.00", "1001, 2, 5.005"})
    void moneyBeforeItIsRoundedShowsItsFractions(int numerator, int denominator, String text) {
        Value exact = new Value.ExactSum(BigFraction.of(numerator, denominator), "EUR");
        assertThat(inches.text(exact)).isEqualTo(text);
    }

    @Test
    void valuesOfEveryKindCanBeSaid() {
        assertThat(inches.text(Value.of(12))).isEqualTo("12");
        assertThat(inches.text(new Value.Factor(new BigDecimal("1.50")))).isEqualTo("1.5");
        assertThat(inches.text(new Value.Share(new BigDecimal("0.080")))).isEqualTo("8 %");
        assertThat(inches.text(Value.of(Money.of(CurrencyUnit.EUR, 3)))).isEqualTo("3.00");
        assertThat(inches.text(new Value.OnTheShelf(in("1 yd 9 in")))).isEqualTo("1 yd 9 in");
        assertThat(metric.text(new Value.OnTheShelf(in("1 yd 9 in")))).isEqualTo("≈ 1.14 m");
        Quantity inch = Quantity.of(in("1"));
        assertThat(inches.text(Value.of(inch.times(inch).times(Quantity.of(12)))))
                .isEqualTo("12 in²");
        assertThat(metric.text(Value.of(inch.times(inch)))).isEqualTo("6.45 cm²");
        assertThat(inches.text(Value.of(Quantity.of(3)))).isEqualTo("3");
    }

    @Test
    void aSentenceNamesItsValuesInTheMakersUnits() {
        Sentence sentence = Sentence.of("{1} is less than {0}.", Value.of(in("2 1/2")), Value.of(in("1")));
        assertThat(inches.sentence(sentence)).isEqualTo("1 in is less than 2 ½ in.");
        assertThat(metric.sentence(sentence)).isEqualTo("≈ 2.5 cm is less than ≈ 6.4 cm.");
    }

    @Test
    void aWorkingIsWrittenInWordsAndInNumbers() {
        Quantity quarter = Quantity.of(in("1/4"));
        WorkingView view = inches.working(Boxing.corner(
                        BoxingSchool.CUT_BEFORE_SEWING,
                        Quantity.of(in("2 1/2")),
                        new Boxing.Seams(quarter, quarter, quarter))
                .fromSide()
                .working());
        assertThat(view.expression())
                .isEqualTo("finished depth ÷ 2 + allowance of the edge, 0 at a fold − boxing seam");
        assertThat(view.calculation()).isEqualTo("2 ½ in ÷ 2 + ¼ in − ¼ in");
        assertThat(view.result()).isEqualTo("1 ¼ in");
        assertThat(view.inputs()).extracting(Views.InputView::value).containsExactly("2 ½ in", "¼ in", "¼ in");
    }

    @Test
    void aWorkingKeepsItsSchoolsAndWhatItsInputsCameFrom() {
        Working inner = Working.of("As entered.").gives(Value.of(2));
        Working outer = Working.of("Twice.")
                .expression("2 × {n}")
                .input("n", "units", Value.of(2), inner)
                .rounded("not rounded")
                .school("one", Value.of(4), true)
                .school("other", Value.of(5), false)
                .gives(Value.of(4));
        WorkingView view = inches.working(outer);
        assertThat(view.rounding()).isEqualTo("not rounded");
        assertThat(view.inputs().get(0).working()).isNotNull();
        assertThat(view.schools())
                .containsExactly(new Views.SchoolView("one", "4", true), new Views.SchoolView("other", "5", false));
    }

    @Test
    void aCutSizeSaysThatItIsShownRoundedUp() {
        Figure<Length> width =
                new Figure<>(in("7 13/16"), Working.of("As entered.").gives(Value.of(in("7 13/16"))));
        assertThat(inches.cutSize(width, ShownRounding.UP).working().rounding()).isEqualTo("shown rounded up");
        assertThat(inches.cutSize(width, ShownRounding.UP).working().result()).isEqualTo("≈ 7 ⅞ in");
        assertThat(inches.cutSize(width, ShownRounding.DOWN).working().result()).isEqualTo("≈ 7 ¾ in");
        Figure<Length> whole = new Figure<>(in("8"), Working.of("As entered.").gives(Value.of(in("8"))));
        assertThat(inches.cutSize(whole, ShownRounding.UP).working().rounding()).isNull();
    }

    @Test
    void amountsAreLengthsCountsOrFillings() {
        assertThat(inches.amount(new Amount(Counting.WEIGHT, 120_000_000_000L)))
                .isEqualTo(new Views.AmountView(null, null, "≈ 4.2 oz", "120 g", 120_000_000_000L));
        assertThat(inches.amount(Amount.pieces(7))).isEqualTo(new Views.AmountView(null, 7L, "7", "7", 7));
        assertThat(inches.amount(new Amount(Counting.LENGTH, -914_400_000L))
                        .length()
                        .inch())
                .isEqualTo("−1 yd");
    }

    @Test
    void everyPercentageIsPlain() {
        Map.of("0", "0 %", "0.1", "10 %", "0.125", "12.5 %", "0.9999", "99.99 %")
                .forEach((share, text) ->
                        assertThat(inches.percent(new BigDecimal(share))).isEqualTo(text));
        assertThat(inches.percent(BigDecimal.ONE)).isEqualTo("100 %");
        ViewWriter comma = new ViewWriter(
                UnitSystem.METRIC, new LengthWriter(InchStep.EIGHTH), CurrencyUnit.EUR, DecimalMark.COMMA);
        assertThat(comma.percent(new BigDecimal("0.125"))).isEqualTo("12,5 %");
        assertThat(comma.text(new Value.Factor(new BigDecimal("2.5")))).isEqualTo("2,5");
    }

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }

    @Test
    void aThicknessIsToldToTheTenthOfAMillimetreWhateverTheRuler() {
        assertThat(inches.text(new Value.Thickness(Length.of(66, 10, LengthUnit.MILLIMETRE))))
                .isEqualTo("6.6 mm");
    }
}
