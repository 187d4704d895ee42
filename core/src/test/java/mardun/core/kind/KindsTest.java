package mardun.core.kind;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import mardun.core.design.Design;
import mardun.core.design.Finding;
import mardun.core.design.SizedDesign;
import mardun.core.design.SizedPiece;
import mardun.core.design.SizedTrim;
import mardun.core.design.Sizing;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.Quantity;
import mardun.core.measure.UnitSystem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Each kind of bag, made in the ways that it offers. */
class KindsTest {

    private static final int SAMPLES = 40;

    @ParameterizedTest
    @EnumSource(Kind.class)
    void comesOutAsAskedInEveryWayThatIsOffered(Kind kind) {
        for (Map<Choice, Option> chosen : ways(kind)) {
            for (UnitSystem system : UnitSystem.values()) {
                Brief brief = brief(kind, Known.FINISHED, chosen, Map.of(), system);
                SizedDesign sized = Sizing.of(Drafting.of(brief).design(), 0);

                assertThat(findings(sized)).as("%s %s %s", kind, system, chosen).isEmpty();
                kind.measures()
                        .forEach(asked -> assertThat(measured(sized, asked.symbol()))
                                .as(asked.symbol())
                                .isEqualTo(length(system == UnitSystem.INCH ? asked.inch() : asked.metric(), system)));
            }
        }
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void isTheSameBagFromAPaperOrMeasuredOnTheTable(Kind kind) {
        for (Map<Choice, Option> chosen : ways(kind)) {
            isTheSame(kind, Known.CUT, chosen);
        }
        isTheSame(kind, Known.ON_THE_TABLE, Map.of());
    }

    private static void isTheSame(Kind kind, Known known, Map<Choice, Option> chosen) {
        Brief finished = brief(kind, Known.FINISHED, chosen, Map.of(), UnitSystem.INCH);
        Brief paper = brief(
                kind,
                known,
                chosen,
                Drafting.known(brief(kind, known, chosen, Map.of(), UnitSystem.INCH)),
                UnitSystem.INCH);
        SizedDesign wanted = Sizing.of(Drafting.of(finished).design(), 0);
        SizedDesign made = Sizing.of(Drafting.of(paper).design(), 0);

        assertThat(findings(made)).as("%s %s", kind, chosen).isEmpty();
        assertThat(finished(made)).as("%s %s", kind, chosen).isEqualTo(finished(wanted));
        assertThat(pieces(made)).as("%s %s", kind, chosen).isEqualTo(pieces(wanted));
        assertThat(trims(made)).as("%s %s", kind, chosen).isEqualTo(trims(wanted));
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void keepsWhatThePaperSaysToTheNanometre(Kind kind) {
        Random random = new Random(kind.ordinal());
        Map<Choice, Option> usual = Map.of();
        Map<String, String> sizes = Drafting.known(brief(kind, Known.CUT, usual, Map.of(), UnitSystem.INCH));
        Map<String, String> other = sizes.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        entry -> length(entry.getValue(), UnitSystem.INCH)
                                        .plus(new Length(random.nextInt(1, 9) * 396_875L))
                                        .nanometres()
                                + " nm"));
        other.replaceAll((symbol, nanometres) -> inSixtyFourths(nanometres));
        SizedDesign made = Sizing.of(
                Drafting.of(brief(kind, Known.CUT, usual, other, UnitSystem.INCH))
                        .design(),
                0);

        other.forEach((symbol, said) ->
                assertThat(measured(made, symbol)).as(symbol).isEqualTo(length(said, UnitSystem.INCH)));
        if (other.containsKey("cut_width") && other.containsKey("cut_height")) {
            Extent wanted = new Extent(
                    length(other.get("cut_width"), UnitSystem.INCH), length(other.get("cut_height"), UnitSystem.INCH));
            assertThat(made.pieces())
                    .as("%s %s", kind, other)
                    .anyMatch(piece -> piece.sewnExtent().equals(wanted));
        }
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void hasStepsWithTimesAndWhatGoesThroughThem(Kind kind) {
        for (Map<Choice, Option> chosen : ways(kind)) {
            Design design = Drafting.of(brief(kind, Known.FINISHED, chosen, Map.of(), UnitSystem.METRIC))
                    .design();

            assertThat(design.steps()).as("%s", chosen).isNotEmpty().allSatisfy(step -> {
                assertThat(step.perUnit()).as(step.name()).isPositive();
                assertThat(step.name()).isNotBlank();
            });
            assertThat(design.steps().stream().map(step -> step.key()).toList()).doesNotHaveDuplicates();
            assertThat(design.slots()).isNotEmpty();
        }
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void canBeSewnInAnyLikelySize(Kind kind) {
        Random random = new Random(kind.ordinal());
        for (int i = 0; i < 40; i++) {
            Map<String, String> measures = kind.measures().stream()
                    .collect(Collectors.toMap(
                            Asked::symbol,
                            asked -> inSixtyFourths(
                                    length(asked.inch(), UnitSystem.INCH).nanometres() * random.nextInt(8, 25) / 10
                                            + " nm")));
            SizedDesign sized = Sizing.of(
                    Drafting.of(brief(kind, Known.FINISHED, Map.of(), measures, UnitSystem.INCH))
                            .design(),
                    0);

            assertThat(sized.canBeSewn())
                    .as("%s %s: %s", kind, measures, findings(sized))
                    .isTrue();
            measures.forEach(
                    (symbol, typed) -> assertThat(measured(sized, symbol)).isEqualTo(length(typed, UnitSystem.INCH)));
        }
    }

    @Test
    void aBoxedPouchIsCutAsByHand() {
        Design design = Drafting.of(brief(
                        Kind.BOXED_POUCH,
                        Known.FINISHED,
                        Map.of(),
                        Map.of("width", "8 in", "height", "6 in", "depth", "3 in"),
                        UnitSystem.INCH))
                .design();
        SizedDesign sized = Sizing.of(design, 0);

        // 8 + 3 + 2/4 wide; 6 - 3/16 + 1/4 + 1/4 + 1 1/2 high; corners 1 1/2 + 1/4 - 1/4.
        assertThat(pieces(sized).get("A")).isEqualTo(extent("11 1/2 in", "7 13/16 in"));
        assertThat(sized.corner().orElseThrow().fromSide().value()).isEqualTo(Quantity.of(inch("1 1/2 in")));
        assertThat(trims(sized).get("Z")).isEqualTo(inch("10 3/4 in"));
        assertThat(pieces(sized).get("C")).isEqualTo(extent("11 in", "7 5/16 in"));
    }

    @Test
    void aPaperTellsWhatTheBagWillMeasure() {
        Design design = Drafting.of(brief(
                        Kind.BOXED_POUCH,
                        Known.CUT,
                        Map.of(Choice.CORNERS, Option.CUT_OUT_AFTER),
                        Map.of("cut_width", "12 in", "cut_height", "10 in", "corner", "1 1/4 in"),
                        UnitSystem.INCH))
                .design();
        SizedDesign sized = Sizing.of(design, 0);

        // 2 x (1 1/4 + 1/4) deep; 12 - 1/2 - 3 wide; 10 - 1/4 - 1/4 - 1 1/2 + 3/16 high.
        assertThat(finished(sized))
                .isEqualTo(List.of(
                        Quantity.of(inch("8 1/2 in")), Quantity.of(inch("8 3/16 in")), Quantity.of(inch("3 in"))));
        assertThat(pieces(sized).get("A")).isEqualTo(extent("12 in", "10 in"));
    }

    @Test
    void whatCantBeTogetherIsLeftOut() {
        Brief brief = brief(
                Kind.BOXED_POUCH,
                Known.FINISHED,
                Map.of(
                        Choice.LINING, Option.UNLINED,
                        Choice.POCKET, Option.ZIP_POCKET,
                        Choice.CORNERS, Option.BOXED_AS_ONE),
                Map.of(),
                UnitSystem.INCH);

        assertThat(Drafting.of(brief).chosen())
                .containsEntry(Choice.LINING, Option.UNLINED)
                .containsEntry(Choice.POCKET, Option.NO_POCKET)
                .containsEntry(Choice.CORNERS, Option.CUT_OUT_FIRST);
    }

    /** All ways of making a kind, or a seeded sample where there are more than can be tried. */
    private static List<Map<Choice, Option>> ways(Kind kind) {
        long all = kind.offers().values().stream().mapToLong(List::size).reduce(1, (a, b) -> a * b);
        if (all <= SAMPLES) {
            List<Map<Choice, Option>> ways = new ArrayList<>(List.of(Map.of()));
            kind.offers().forEach((choice, options) -> {
                List<Map<Choice, Option>> longer = ways.stream()
                        .flatMap(way -> options.stream().map(option -> with(way, choice, option)))
                        .toList();
                ways.clear();
                ways.addAll(longer);
            });
            return ways;
        }
        Random random = new Random(kind.ordinal());
        List<Map<Choice, Option>> ways = new ArrayList<>();
        for (int i = 0; i < SAMPLES; i++) {
            Map<Choice, Option> way = new EnumMap<>(Choice.class);
            kind.offers().forEach((choice, options) -> way.put(choice, options.get(random.nextInt(options.size()))));
            ways.add(way);
        }
        kind.offers().forEach((choice, options) -> options.forEach(option -> ways.add(Map.of(choice, option))));
        return ways;
    }

    private static Map<Choice, Option> with(Map<Choice, Option> way, Choice choice, Option option) {
        Map<Choice, Option> longer = new EnumMap<>(Choice.class);
        longer.putAll(way);
        longer.put(choice, option);
        return longer;
    }

    private static Brief brief(
            Kind kind, Known known, Map<Choice, Option> chosen, Map<String, String> measures, UnitSystem system) {
        return new Brief(kind, "Test", known, chosen, measures, system, system == UnitSystem.INCH ? "1/4 in" : "7 mm");
    }

    private static List<String> findings(SizedDesign sized) {
        return sized.findings().stream().map(KindsTest::told).toList();
    }

    private static String told(Finding finding) {
        return finding.place() + ": " + finding.what() + " " + finding.remedy();
    }

    private static List<Quantity> finished(SizedDesign sized) {
        var finished = sized.finished().orElseThrow();
        return List.of(
                finished.width().value(),
                finished.height().value(),
                finished.depth().value());
    }

    private static Map<String, Extent> pieces(SizedDesign sized) {
        return sized.pieces().stream()
                .collect(Collectors.toMap(piece -> piece.piece().letter(), SizedPiece::sewnExtent));
    }

    private static Map<String, Length> trims(SizedDesign sized) {
        return sized.trims().stream()
                .collect(Collectors.toMap(
                        trim -> trim.trim().letter(),
                        (SizedTrim trim) -> trim.length().value()));
    }

    private static Length measured(SizedDesign sized, String symbol) {
        return sized.measurements().get(symbol).value().toLength(mardun.core.measure.ShownRounding.NEAREST);
    }

    private static String inSixtyFourths(String nanometres) {
        return Long.parseLong(nanometres.replace(" nm", "")) / 396_875 + "/64 in";
    }

    private static Length inch(String typed) {
        return length(typed, UnitSystem.INCH);
    }

    private static Length length(String typed, UnitSystem system) {
        return LengthReader.read(typed, system.smallUnit());
    }

    private static Extent extent(String width, String height) {
        return new Extent(inch(width), inch(height));
    }
}
