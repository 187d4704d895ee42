package mardun.core.formula;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import mardun.core.construction.Constructions;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.working.Figure;
import mardun.core.working.Working;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class FormulaTest {

    private static final Map<String, String> BAG =
            Map.of("width", "7 1/2 in", "depth", "2 1/2 in", "seam", "1/4 in", "side", "1/4 in");

    private static final Scope SCOPE = symbol -> Optional.ofNullable(BAG.get(symbol))
            .map(text -> new Scope.Entry(
                    "the " + symbol, Quantity.of(LengthReader.read(text, LengthUnit.INCH)), Optional.empty()));

    private static Length length(String formula) {
        return Formula.parse(formula, Constructions.BY_NAME)
                .evaluate(SCOPE)
                .value()
                .toLength(ShownRounding.NEAREST);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    width + depth + 2*seam          | 10 1/2
                    width+depth+2*seam              | 10 1/2
                    (width + depth) / 2             | 5
                    width - (depth - seam)          | 5 1/4
                    width - depth - seam            | 4 3/4
                    10 1/2 in                       | 10 1/2
                    10½ in - ½ in                   | 10
                    1/4 in + 2,54 cm                | 1 1/4
                    2 * 1/4 in                      | 1/2
                    width / depth * 1 in            | 3
                    13-1/2 in                       | 13 1/2
                    width + 13-½ in                 | 21
                    2 * width-1/2 in                | 14 1/2
                    (13-1/2 in) * 2                 | 27
                    width * 2-1/2 in                | 14 1/2
                    -seam + width                   | 7 1/4
                    width − 2 × seam ÷ 2            | 7 1/4
                    panel_width(width; depth; seam) | 10 1/2
                    panel_width(width, depth, 1/4 in) | 10 1/2
                    max(width; depth) + seam        | 7 3/4
                    min(width, depth, 3 in)         | 2 1/2
                    """)
    void worksOut(String formula, String inches) {
        assertThat(length(formula)).isEqualTo(LengthReader.read(inches, LengthUnit.INCH));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    width +              | 7  | ends where
                    width + * 2          | 8  | has “*”
                    (width + depth       | 0  | isn't closed
                    width depth          | 6  | an operation such as + is missing
                    width + hight        | 8  | there is no such measurement
                    2 * boxed(width)     | 4  | which there isn't
                    3 miles              | 2  | has “miles”
                    width + $            | 8  | has “$”
                    panel_width(width    | 17 | isn't closed
                    """)
    void saysWhereAndWhyAFormulaIsBad(String formula, int position, String why) {
        assertThatThrownBy(() -> length(formula)).isInstanceOfSatisfying(FormulaException.class, bad -> {
            assertThat(bad.getMessage()).contains(why);
            assertThat(bad.position()).hasValue(position);
        });
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    width + 2              | can't add
                    width * depth + seam   | can't add
                    width * depth          | gives an area
                    width / (depth - depth)| divides by nothing
                    1 / width              | measures nothing
                    panel_width(width)     | takes 3 values
                    max(width)             | takes two values
                    max(width; 2)          | can't compare
                    """)
    void checksDimensions(String formula, String why) {
        assertThatThrownBy(() -> length(formula)).hasMessageContaining(why);
    }

    @Test
    void deepNestingAndGreatLengthAreRefusedNotCrashed() {
        assertThatThrownBy(() -> length("(".repeat(200) + "width" + ")".repeat(200)))
                .isInstanceOf(FormulaException.class)
                .hasMessageContaining("too many brackets");
        assertThatThrownBy(() -> length("1+".repeat(10_000) + "1")).hasMessageContaining("longer than");
        assertThatThrownBy(() -> length("  ")).hasMessageContaining("is empty");
    }

    @Test
    void tellsItsWorkingFromItsTree() {
        Working working = Formula.parse("(width+depth)*2 - seam", Map.of())
                .evaluate(SCOPE)
                .working();
        assertThat(working.expression()).isEqualTo("({width} + {depth}) × 2 − {seam}");
        assertThat(working.inputs())
                .extracting(Working.Input::label)
                .containsExactly("the width", "the depth", "the seam");
    }

    @Test
    void aConstructionRuleTellsItsSentenceAndTheWorkingOfItsArguments() {
        Working working = Formula.parse("panel_width(width - seam; depth; seam)", Constructions.BY_NAME)
                .evaluate(SCOPE)
                .working();
        assertThat(working.rule()).startsWith("A panel is as wide as the finished base");
        assertThat(working.expression()).isEqualTo("{width} + {depth} + 2 × {side}");
        assertThat(working.inputs().get(0).working())
                .get()
                .extracting(Working::expression)
                .isEqualTo("{width} − {seam}");
        assertThat(working.inputs().get(1).working()).isEmpty();
    }

    @Test
    void aRuleWithinAFormulaIsAnInputThatCanBeOpened() {
        Working working = Formula.parse("interfacing(width; seam) + seam", Constructions.BY_NAME)
                .evaluate(SCOPE)
                .working();
        assertThat(working.expression()).isEqualTo("{interfacing(width; seam)} + {seam}");
        assertThat(working.inputs().get(0).symbol()).isEqualTo("interfacing(width; seam)");
        assertThat(working.inputs().get(0).working()).isPresent();
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {21, 22, 23})
    void writingATreeAndReadingItAgainKeepsItsValue(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 500; i++) {
            String text = anyLengthFormula(random, 4);
            Formula formula = Formula.parse(text, Map.of());
            String written = formula.template().replaceAll("[{}]", "");
            assertThat(Formula.parse(written, Map.of()).evaluate(SCOPE).value())
                    .as("%s written as %s", text, written)
                    .isEqualTo(formula.evaluate(SCOPE).value());
        }
    }

    private static String anyLengthFormula(Random random, int depth) {
        if (depth == 0) {
            return new String[] {"width", "depth", "seam", "3/8 in", "2.5 cm"}[random.nextInt(5)];
        }
        String left = anyLengthFormula(random, depth - 1);
        return switch (random.nextInt(5)) {
            case 0 -> "(" + left + " + " + anyLengthFormula(random, depth - 1) + ")";
            case 1 -> left + " - (" + anyLengthFormula(random, depth - 1) + ")";
            case 2 -> "(" + left + ") * " + (1 + random.nextInt(9));
            case 3 -> "(" + left + ") / " + (1 + random.nextInt(9));
            default -> "-(" + left + ")";
        };
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    root(3 in * 3 in)             | 3 in
                    root(9) * 1 in                | 3 in
                    4 in * sin(30°)               | 2 in
                    4 in * cos(60 deg)            | 2 in
                    4 in * tan(45°)               | 4 in
                    1 in * (atan(1) / 1°)         | 45 in
                    whole_up(2.1) * 1 in          | 3 in
                    whole_down(2.9) * 1 in        | 2 in
                    up_to(9 1/4 in; 1 in)         | 10 in
                    up_to(9 in; 1 in)             | 9 in
                    pick(2; 1 in; 5 in; 7 in)     | 5 in
                    (pi - π) * 1 in + 1 in        | 1 in
                    """)
    void plainArithmeticIsThereToo(String formula, String result) {
        assertThat(length(formula)).isEqualTo(length(result));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    sin(2 in)          | sin takes an angle, and a length stands there
                    root(2 in)         | root takes an area or a number, and a length stands there
                    root(0 - 4)        | takes the root of less than nothing
                    whole_up(2; 3)     | whole_up takes one value
                    max(2 in)          | max takes two values or more
                    pick(3; 1 in)      | picks from 1 values
                    60° * 30°          | multiplies an angle by an angle
                    60° + 1 in         | can't add a length to an angle
                    1 in / 60°         | divides a length by an angle
                    """)
    void arithmeticThatMeansNothingIsExplained(String formula, String why) {
        assertThatThrownBy(() -> length(formula)).hasMessageContaining(why);
    }

    @Test
    void aRootWithoutAFiniteFormIsRightToThirtyDigits() {
        Quantity root = Formula.parse("root(2)", Constructions.BY_NAME)
                .evaluate(Scope.EMPTY)
                .value();
        assertThat(root.value().bigDecimalValue(30, java.math.RoundingMode.DOWN).toPlainString())
                .isEqualTo("1.414213562373095048801688724209");
    }

    @Test
    void namesMayHaveAnyLetters() {
        Scope scope = symbol -> symbol.equals("alça")
                ? Optional.of(new Scope.Entry("alça", Quantity.of(Length.of(3, LengthUnit.INCH)), Optional.empty()))
                : Optional.empty();
        Figure<Quantity> figure =
                Formula.parse("2 * alça + 1 in", Constructions.BY_NAME).evaluate(scope);
        assertThat(figure.value().toLength(ShownRounding.NEAREST)).isEqualTo(Length.of(7, LengthUnit.INCH));
    }

    @Test
    void rulesWithinRulesAreAppliedOnceEach() {
        String nested = "width";
        while (nested.length() < 400) {
            nested = "1*boxed_depth_probe(" + nested + ")";
        }
        AtomicInteger asked = new AtomicInteger();
        Rule probe = Rule.named("boxed_depth_probe")
                .says("As it is.")
                .given("a", "a length")
                .is("a");
        Scope counting = symbol -> {
            asked.incrementAndGet();
            return SCOPE.find(symbol);
        };
        Formula.parse(nested, Map.of("boxed_depth_probe", probe)).evaluate(counting);
        assertThat(asked.get()).isLessThan(10);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "sin(60 deg * 99999999999999999999 * 99999999999999999999 * 99999999999999999999 * 99999999999999999999"
                        + " * 99999999999999999999 * 99999999999999999999 * 99999999999999999999 * 99999999999999999999"
                        + " * 99999999999999999999 * 99999999999999999999 * 99999999999999999999 * 99999999999999999999"
                        + " * 99999999999999999999 * 99999999999999999999 * 99999999999999999999 * 99999999999999999999)",
                "tan(1234567890123456789012345678901234567890 deg)",
                "12345678901234567890123456789012345678901234567890 * width"
            })
    void numbersBeyondAllMeasureAreRefused(String formula) {
        assertThatThrownBy(() -> length(formula)).isInstanceOf(FormulaException.class);
    }

    /** Each the square of the one before: the digits would double at each step, and so would the time. */
    @Test
    void aChainOfSquaresEndsInASentence() {
        Quantity number = Quantity.of(new BigDecimal("1.5"));
        Formula square = Formula.parse("a * a", Map.of());
        assertThatThrownBy(() -> {
                    Quantity value = number;
                    for (int i = 0; i < 40; i++) {
                        Quantity before = value;
                        value = square.evaluate(symbol -> Optional.of(new Scope.Entry("a", before, Optional.empty())))
                                .value();
                    }
                })
                .isInstanceOf(FormulaException.class)
                .hasMessageContaining("too many digits");
    }
}
