package mardun.core.construction;

import static mardun.core.construction.BoxingTest.inches;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import mardun.core.formula.Rule;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ZipsAndInterfacingTest {

    @ParameterizedTest
    @CsvSource({
        "zip_inset,           10 1/2, 1/4, 1/4, 9 1/2",
        "zip_inset,           10 1/2, 1/4, 1/8, 9 3/4",
        "zip_tabs_to_edge,    10 1/2, 1, 1/4, 9",
        "zip_opening,         9 1/2, 1/2, 3/4, 7 3/4",
        "interfacing,         10 1/2, 1/4, '', 10",
        "interfacing_basted,  10 1/2, '', '', 10 1/2",
        "zip_full_length,     10 1/2, '', '', 10 1/2",
        "tab_folded_width,    1 1/4, '', '', 1 1/4",
        "tab_tube_width,      1 1/4, 1/4, '', 3",
        "below_zip,           6 1/4, 3/8, '', 6 1/16"
    })
    void byExample(String rule, String first, String second, String third, String result) {
        Quantity[] arguments = List.of(first, second, third).stream()
                .filter(text -> !text.isEmpty())
                .map(BoxingTest::inches)
                .toArray(Quantity[]::new);
        assertThat(rule(rule).apply(arguments).value()).isEqualTo(inches(result));
    }

    @Test
    void theZipThatClosesTheTopAddsHalfToEachFaceAndTakesItOffAgain() {
        Quantity panel = rule("below_zip").apply(inches("7"), inches("3/8")).value();
        assertThat(rule("with_zip").apply(panel, inches("3/8")).value()).isEqualTo(inches("7"));
    }

    @Test
    void aNylonZipIsCutDownFromTheNextLongerAndAMetalOneMustMatch() {
        List<Length> sold = List.of(in(7), in(9), in(10), in(12));
        assertThat(Zips.closedEnd(Length.of(19, 2, LengthUnit.INCH), sold, true))
                .contains(in(10));
        assertThat(Zips.closedEnd(in(9), sold, true)).contains(in(9));
        assertThat(Zips.closedEnd(Length.of(19, 2, LengthUnit.INCH), sold, false))
                .isEmpty();
        assertThat(Zips.closedEnd(in(12), sold, false)).contains(in(12));
        assertThat(Zips.closedEnd(in(13), sold, true)).isEmpty();
    }

    @Test
    void everyRuleHasASentenceAndANameOfItsOwn() {
        assertThat(Constructions.ALL).allSatisfy(rule -> {
            assertThat(rule.sentence()).endsWith(".");
            assertThat(rule.formula().names())
                    .isSubsetOf(rule.parameters().stream()
                            .map(Rule.Parameter::symbol)
                            .collect(Collectors.toSet()));
        });
        assertThat(Constructions.ALL).extracting(Rule::name).doesNotHaveDuplicates();
    }

    private static Rule rule(String name) {
        return Constructions.ALL.stream()
                .filter(rule -> rule.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static Length in(int inches) {
        return Length.of(inches, LengthUnit.INCH);
    }
}
