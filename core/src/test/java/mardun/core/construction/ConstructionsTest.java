package mardun.core.construction;

import static mardun.core.construction.BoxingTest.inches;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.core.formula.Formula;
import mardun.core.formula.Rule;
import mardun.core.formula.Scope;
import mardun.core.measure.Dimension;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class ConstructionsTest {

    private static Quantity worked(String formula) {
        return Formula.parse(formula, Constructions.BY_NAME)
                .evaluate(Scope.EMPTY)
                .value();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    zip_inset(10 1/2 in; 1/4 in; 1/4 in)          | 9 1/2 in
                    zip_inset(10 1/2 in; 1/4 in; 1/8 in)          | 9 3/4 in
                    zip_tabs_to_edge(10 1/2 in; 1 in; 1/4 in)     | 9 in
                    zip_full_length(10 1/2 in)                    | 10 1/2 in
                    zip_opening(9 1/2 in; 1/2 in; 3/4 in)         | 7 3/4 in
                    zip_for_opening(7 3/4 in; 1/2 in; 3/4 in)     | 9 1/2 in
                    below_zip(6 1/4 in; 3/8 in)                   | 6 1/16 in
                    with_zip_across(9 in; 3/8 in; 1/4 in)         | 8 7/8 in
                    tab_folded_width(1 1/4 in)                    | 1 1/4 in
                    tab_tube_width(1 1/4 in; 1/4 in)              | 3 in
                    tab_tube_length(1 in; 1/4 in; 3/8 in)         | 1 5/8 in
                    interfacing(10 1/2 in; 1/4 in)                | 10 in
                    interfacing_basted(10 1/2 in)                 | 10 1/2 in
                    joined(6 in; 4 in; 1/4 in)                    | 9 1/2 in
                    part_of(9 1/2 in; 6 in; 1/4 in)               | 4 in
                    even_part(9 in; 3; 1/4 in)                    | 10 in / 3
                    strap_four_fold(1 in)                         | 4 in
                    strap_tube(1 in; 1/4 in)                      | 2 1/2 in
                    strap_edges_to_centre(1 in)                   | 2 in
                    strap_one_layer(1 in)                         | 1 in
                    strap_faced(1 1/2 in; 1/4 in)                 | 2 in
                    webbing_length(40 in; 1 1/2 in)               | 43 in
                    strap_joined_length(60 in; 1/2 in; 1)         | 61 in
                    strap_slanted(20 in; 1 in; 45°)               | 21 in
                    cord(10 in; 5 in; 2 in)                       | 32 in
                    cord_backpack(12 in; 16 in; 3 in)             | 59 in
                    casing_flat(1 in; 1/4 in)                     | 1 1/4 in
                    casing_gap(1 1/2 in; 3/8 in)                  | 1 7/8 in
                    rim_stiffener(30 in; 1/4 in; 1 in)            | 30 3/4 in
                    lining_rolled(9 in; 3/4 in)                   | 10 1/2 in
                    pocket_folded(5 in; 1/4 in)                   | 10 1/2 in
                    pocket_hemmed(5 in; 1 in; 1/4 in)             | 6 1/4 in
                    pocket_division(17 in; 3)                     | 17 in / 3
                    slots_pleated(4 in; 2 in; 3)                  | 16 in
                    graduated(3 in; 1/2 in; 3)                    | 4 in
                    gathered_width(10 in; 1.5; 1/4 in)            | 15 1/2 in
                    elastic_length(10 in; 1/2 in)                 | 11 in
                    fob_cover_width(1 in; 3/8 in)                 | 1 3/4 in
                    fob_cover_length(10 in; 1/2 in)               | 11 in
                    wrap(4 in; 1 in; 1/4 in; 3/8 in)              | 12 1/8 in
                    wrap_width(12 1/8 in; 1 in; 1/4 in; 3/8 in)   | 4 in
                    depth_of_fold(1 in)                           | 2 in
                    wrap_length(9 in; 1/4 in)                     | 8 1/2 in
                    cut_out_between(3 in; 10 in)                  | 4 in
                    shoulder(4 in; 10 in)                         | 3 in
                    gusset_width(3 in; 1/4 in)                    | 3 1/2 in
                    gusset_length(10 in; 8 in; 0 in; 1/4 in)      | 26 1/2 in
                    round_base(6 in; 1/4 in)                      | 6 1/2 in
                    notch_sewn_depth(4 in; 1/4 in; 60°)           | 4 1/2 in
                    """)
    void byExample(String formula, String result) {
        assertThat(worked(formula)).isEqualTo(worked(result));
    }

    @ParameterizedTest
    @CsvSource({
        "strap_joins(40 in; 44 in; 1/2 in), 0",
        "strap_joins(44 in; 44 in; 1/2 in), 0",
        "strap_joins(60 in; 44 in; 1/2 in), 1",
        "strap_joins(87 in; 44 in; 1/2 in), 1",
        "strap_joins(88 in; 44 in; 1/2 in), 2"
    })
    void aStrapIsJoinedAsOftenAsItsStripsNeedToReach(String formula, long joins) {
        assertThat(worked(formula)).isEqualTo(Quantity.of(joins));
    }

    @Test
    void whatHasNoFiniteFormIsRightToTheNanometre() {
        assertThat(worked("casing_round(5 mm; 6 mm)").value().doubleValue())
                .isCloseTo(5e6 * Math.PI / 2 + 6e6, within(0.01));
        assertThat(worked("round_body(15 cm; 1 cm)").value().doubleValue())
                .isCloseTo(15e7 * Math.PI + 2e7, within(0.01));
        assertThat(worked("notch_angle(4 in; 2 in)")).isEqualTo(worked("90°"));
        assertThat(worked("gusset_length(10 in; 8 in; 2 in; 0 in)").value().doubleValue())
                .isCloseTo((26 - (4 - Math.PI) * 2) * 25.4e6, within(0.01));
    }

    static Stream<Construction> reversible() {
        return Constructions.ALL.stream().filter(c -> c.wanted().isPresent());
    }

    @ParameterizedTest
    @MethodSource("reversible")
    void fromWhatIsWantedToWhatIsCutAndBackIsTheSame(Construction construction) {
        Random random = new Random(construction.cut().name().hashCode());
        for (int i = 0; i < 200; i++) {
            Map<String, Quantity> values = anyValues(construction.cut(), random);
            Quantity wanted = values.get(construction.cut().parameters().get(0).symbol());
            Quantity cut = apply(construction.cut(), values);
            Rule back = construction.wanted().orElseThrow();
            values.put(back.parameters().get(0).symbol(), cut);
            assertThat(apply(back, values))
                    .as("%s of %s", construction.school(), values)
                    .isEqualTo(wanted);
        }
    }

    static Stream<Construction> all() {
        return Constructions.ALL.stream();
    }

    @ParameterizedTest
    @MethodSource("all")
    void twiceAsLargeIsTwiceAsLargeAllThrough(Construction construction) {
        Random random = new Random(7);
        for (int i = 0; i < 50; i++) {
            Map<String, Quantity> values = anyValues(construction.cut(), random);
            Map<String, Quantity> larger = new LinkedHashMap<>();
            values.forEach((symbol, value) ->
                    larger.put(symbol, value.dimension() == Dimension.LENGTH ? value.times(Quantity.of(2)) : value));
            Quantity result = apply(construction.cut(), values);
            Quantity expected = result.dimension() == Dimension.LENGTH ? result.times(Quantity.of(2)) : result;
            assertThat(apply(construction.cut(), larger)).isEqualTo(expected);
        }
    }

    @ParameterizedTest
    @EnumSource(Subject.class)
    void everySubjectHasAWay(Subject subject) {
        assertThat(Constructions.ALL).anyMatch(c -> c.subject() == subject);
    }

    private static Map<String, Quantity> anyValues(Rule rule, Random random) {
        Map<String, Quantity> values = new LinkedHashMap<>();
        for (int i = 0; i < rule.parameters().size(); i++) {
            Rule.Parameter parameter = rule.parameters().get(i);
            int sixtyFourths = i == 0 ? 640 + random.nextInt(1280) : 1 + random.nextInt(160);
            values.put(
                    parameter.symbol(),
                    switch (parameter.dimension()) {
                        case NUMBER -> Quantity.of(1 + random.nextInt(6));
                        case ANGLE -> Quantity.angle(BigDecimal.valueOf(20 + random.nextInt(50)));
                        default -> Quantity.of(Length.of(sixtyFourths, 64, LengthUnit.INCH));
                    });
        }
        return values;
    }

    private static Quantity apply(Rule rule, Map<String, Quantity> values) {
        List<Rule.Argument> arguments = new ArrayList<>();
        rule.parameters().forEach(p -> arguments.add(new Rule.Argument(values.get(p.symbol()), Optional.empty())));
        return rule.applyTo(arguments).value();
    }

    @Test
    void theZipThatClosesTheTopAddsHalfToEachFaceAndTakesItOffAgain() {
        Quantity panel = worked("below_zip(7 in; 3/8 in)");
        assertThat(Constructions.BY_NAME
                        .get("with_zip")
                        .apply(panel, inches("3/8"))
                        .value())
                .isEqualTo(inches("7"));
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
    void everyRuleHasASentenceAndItsFormulaUsesOnlyWhatIsGiven() {
        assertThat(Constructions.BY_NAME.values()).hasSizeGreaterThan(70).allSatisfy(rule -> {
            assertThat(rule.sentence()).endsWith(".");
            assertThat(rule.formula().names())
                    .isEqualTo(rule.parameters().stream()
                            .map(Rule.Parameter::symbol)
                            .collect(Collectors.toSet()));
        });
    }

    private static Length in(int inches) {
        return Length.of(inches, LengthUnit.INCH);
    }
}
