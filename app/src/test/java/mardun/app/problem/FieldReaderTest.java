package mardun.app.problem;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.joda.money.CurrencyUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FieldReaderTest {

    private static final Length METRE = Length.of(1, LengthUnit.METRE);
    private final FieldReader fields = new FieldReader();

    @Test
    void aCleanFormIsTaken() {
        assertThat(fields.positiveLength("width", "44 1/2", LengthUnit.INCH, Length.of(5, LengthUnit.METRE)))
                .isEqualTo(Length.of(89, 2, LengthUnit.INCH));
        assertThat(fields.money("price", "12,50", CurrencyUnit.EUR)).isEqualTo(1250);
        assertThat(fields.money("price", "1250", CurrencyUnit.JPY)).isEqualTo(1250);
        assertThat(fields.share("share", "8")).isEqualByComparingTo("0.08");
        assertThat(fields.count("units", "24", 1, 100)).isEqualTo(24);
        assertThat(fields.text("name", "  Heron  ", 120)).isEqualTo("Heron");
        fields.check();
    }

    @ParameterizedTest
    @CsvSource({
        "0, is nothing",
        "3 m, is more than can be",
        "-1, less than nothing",
        "wide, doesn't begin with a number",
        "'', is empty"
    })
    void aLengthThatCannotBeIsRefusedOnce(String typed, String why) {
        fields.positiveLength("width", typed, LengthUnit.INCH, METRE);
        assertThat(fields.problems()).singleElement().satisfies(problem -> {
            assertThat(problem.field()).isEqualTo("width");
            assertThat(problem.sentence()).contains(why);
        });
    }

    @ParameterizedTest
    @CsvSource({
        "12.345, more decimals than EUR",
        "-1, less than 0",
        "1000001, more than 1000000",
        "twelve, isn't a number",
        "'1.234,5', both a comma and a point"
    })
    void moneyThatCannotBeIsRefused(String typed, String why) {
        fields.money("price", typed, CurrencyUnit.EUR);
        assertThat(fields.problems().get(0).sentence()).contains(why);
    }

    @Test
    void allSlipsAreToldTogether() {
        fields.text("name", " ", 120);
        fields.text("note", "x".repeat(30), 20);
        fields.share("share", "100");
        fields.decimal("factor", "0,5", BigDecimal.ONE, BigDecimal.TEN);
        fields.count("units", "1.5", 1, 10);
        assertThatThrownBy(fields::check).isInstanceOfSatisfying(RefusedException.class, refused -> {
            assertThat(refused.problems())
                    .extracting(FieldProblem::field)
                    .containsExactly("name", "note", "share", "factor", "units");
            assertThat(refused.getMessage()).isEqualTo("This is empty. Type a name.");
            assertThat(refused.status().value()).isEqualTo(422);
        });
    }

    @Test
    void anOlderVersionIsToldWithTheStoredOne() {
        ChangedMeanwhileException.check("It", 3, 3);
        assertThatThrownBy(() -> ChangedMeanwhileException.check("“Heron”", 2, 3))
                .isInstanceOfSatisfying(
                        ChangedMeanwhileException.class,
                        changed -> assertThat(changed.currentVersion()).isEqualTo(3))
                .hasMessageStartingWith("“Heron” was changed");
    }
}
