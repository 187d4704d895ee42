package mardun.app.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.demo.DemoDesigns.DemoDesign;
import mardun.app.design.DesignService;
import mardun.app.design.FormKind;
import mardun.core.construction.BoxingSchool;
import mardun.core.construction.StrapSchool;
import mardun.core.construction.ZipSchool;
import mardun.core.design.Design;
import mardun.core.design.Finding;
import mardun.core.design.Mark;
import mardun.core.design.Shape;
import mardun.core.design.SizedDesign;
import mardun.core.design.Sizing;
import mardun.core.design.TrimNeed;
import mardun.core.material.ClothKind;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.LengthWriter;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.measure.UnitSystem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.json.JsonMapper;

/** The demo's product range: sound, worked out by hand on paper, and wide enough to show every construction. */
class DemoDesignsTest {

    private static final List<DemoDesign> DESIGNS =
            DemoDesigns.read(JsonMapper.builder().build());

    static Stream<DemoDesign> designs() {
        return DESIGNS.stream();
    }

    @ParameterizedTest
    @MethodSource("designs")
    void canBeSewnAndNothingIsLeftToLookAt(DemoDesign demo) {
        Design design = DesignService.stored(demo.document());
        for (int size = 0; size < design.sizes().size(); size++) {
            SizedDesign sized = Sizing.of(design, size);
            assertThat(sized.findings())
                    .as("%s %s", design.name(), sized.size())
                    .filteredOn(finding -> finding.setAside().isEmpty())
                    .extracting(Finding::place, f -> f.what().words())
                    .isEmpty();
            assertThat(sized.finished()).isPresent();
        }
        assertThat(demo.materials().keySet())
                .isEqualTo(
                        demo.document().slots().stream().map(slot -> slot.key()).collect(Collectors.toSet()));
    }

    /** Worked out on paper from the rules, size by size. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    Heron pouch              | 1 | A | 10 1/2 in | 7 13/16 in
                    Tern tote                | 0 | A | 15 3/4 in | 4 7/8 in
                    Tern tote                | 0 | B | 15 3/4 in | 20 3/4 in
                    Tern tote                | 0 | P | 15 3/4 in | 29 in
                    Tern tote                | 0 | C | 15 3/4 in | 29 in
                    Tern tote                | 1 | C | 18 3/4 in | 34 in
                    Wren wallet              | 0 | A | 12.9 cm   | 26.4 cm
                    Wren wallet              | 0 | B | 12.9 cm   | 45.9 cm
                    Wren wallet              | 0 | F | 12.9 cm   | 16.4 cm
                    Plover drawstring bag    | 0 | B | 14 cm     | 14 cm
                    Curlew backpack          | 0 | A | 16 in     | 18 1/2 in
                    Curlew backpack          | 0 | D | 2 in      | 5 in
                    Dipper wash bag          | 0 | A | 20 cm     | 36.4 cm
                    Dipper wash bag          | 1 | A | 26 cm     | 44.4 cm
                    Swift two-zip pouch      | 0 | C | 11 in     | 4 in
                    Swift two-zip pouch      | 0 | P | 11 in     | 8 1/4 in
                    Grebe basket             | 0 | B | 32 cm     | 24.5 cm
                    Grebe basket             | 1 | C | 10 cm     | 32 cm
                    Lapwing shoulder bag     | 0 | A | 10 1/2 in | 8 3/4 in
                    Lapwing shoulder bag     | 0 | S | 50 1/2 in | 2 in
                    Kittiwake clear pouch    | 0 | A | 26 cm     | 17.2 cm
                    Kittiwake clear pouch    | 0 | B | 7.8 cm    | 2.9 cm
                    Puffin key fob           | 0 | A | 2 in      | 10 3/4 in
                    Gannet tool roll         | 0 | C | 55.2 cm   | 30 cm
                    Skua sleeve              | 2 | A | 29.4 cm   | 39.4 cm
                    Eider hand warmer        | 0 | A | 11.4 cm   | 11.4 cm
                    Knot gift bag            | 1 | A | 27 cm     | 36.5 cm
                    Avocet glasses case      | 0 | A | 10.4 cm   | 18.4 cm
                    Avocet glasses case      | 0 | C | 9 cm      | 17 cm
                    """)
    void measuresWhatItDoesOnPaper(String name, int size, String letter, String width, String height) {
        SizedDesign sized = Sizing.of(design(name), size);
        var extent = sized.extent(letter).orElseThrow();
        assertThat(LengthWriter.exactly(extent.width(), UnitSystem.INCH)
                        + " × "
                        + LengthWriter.exactly(extent.height(), UnitSystem.INCH))
                .isEqualTo(text(width) + " × " + text(height));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    Heron pouch           | 0 | Z | 6 3/4 in
                    Tern tote             | 0 | W | 27 in
                    Curlew backpack       | 0 | K | 63 in
                    Dipper wash bag       | 0 | Z | 20 cm
                    Swift two-zip pouch   | 0 | Z | 9 1/2 in
                    Grebe basket          | 0 | R | 61.4 cm
                    Gannet tool roll      | 1 | E | 54 cm
                    Kittiwake clear pouch | 0 | V | 60.4 cm
                    Knot gift bag         | 0 | K | 62 cm
                    """)
    void itsTrimsAreAsLongAsOnPaper(String name, int size, String letter, String length) {
        SizedDesign sized = Sizing.of(design(name), size);
        assertThat(LengthWriter.exactly(
                        sized.trim(letter).orElseThrow().length().value(), UnitSystem.INCH))
                .isEqualTo(text(length));
    }

    @Test
    void everyFinishedBagIsWhatWasWanted() {
        for (DemoDesign demo : DESIGNS) {
            Design design = DesignService.stored(demo.document());
            for (int size = 0; size < design.sizes().size(); size++) {
                SizedDesign sized = Sizing.of(design, size);
                var finished = sized.finished().orElseThrow();
                Map<String, Quantity> wanted = sized.measurements().entrySet().stream()
                        .collect(Collectors.toMap(
                                Map.Entry::getKey, e -> e.getValue().value()));
                String what = design.name() + " " + sized.size();
                if (demo.document().form().kind() != FormKind.FREE && wanted.containsKey("height")) {
                    assertThat(millimetres(finished.height().value()))
                            .as(what)
                            .isEqualTo(millimetres(wanted.get("height")));
                }
                if (wanted.containsKey("depth")) {
                    assertThat(finished.depth().value()).as(what).isEqualTo(wanted.get("depth"));
                }
            }
        }
    }

    private static long millimetres(Quantity quantity) {
        return quantity.toLength(ShownRounding.NEAREST).nanometres() / 10;
    }

    @Test
    void theRangeUsesEveryConstructionSchoolShapeAndKindOfMaterial() {
        assertThat(DESIGNS).hasSizeGreaterThanOrEqualTo(10);
        assertThat(all(d -> Stream.of(d.document().form().kind()))).containsExactlyInAnyOrder(FormKind.values());
        assertThat(DESIGNS.stream()
                        .filter(d -> d.document().form().kind() == FormKind.BOXED)
                        .map(d -> d.document().form().school())
                        .collect(Collectors.toSet()))
                .containsExactlyInAnyOrder(BoxingSchool.values());
        assertThat(all(d -> d.document().zips().stream().map(z -> z.school())))
                .containsExactlyInAnyOrder(ZipSchool.values());
        assertThat(all(d -> d.document().straps().stream().map(s -> s.school())))
                .containsExactlyInAnyOrder(StrapSchool.values());
        assertThat(all(d -> d.document().pieces().stream()
                        .flatMap(p -> p.shapes().stream())
                        .map(shape -> shape.kind())))
                .contains(
                        Shape.Kind.CORNERS_CUT,
                        Shape.Kind.NOTCHED,
                        Shape.Kind.ROUNDED,
                        Shape.Kind.TAPERED,
                        Shape.Kind.CIRCLE);
        assertThat(all(d -> d.document().trims().stream().map(t -> t.kind())))
                .containsExactlyInAnyOrder(TrimNeed.Kind.values());
        assertThat(all(d -> d.document().pieces().stream()
                        .flatMap(p -> p.marks().stream())
                        .map(m -> m.kind())))
                .containsExactlyInAnyOrder(Mark.Kind.values());
        Set<ClothKind> cloths = all(d -> d.document().slots().stream().flatMap(s -> s.cloths().stream()));
        assertThat(cloths).contains(ClothKind.CLEAR_VINYL, ClothKind.LEATHER_LIKE, ClothKind.FOAM, ClothKind.LAMINATE);
        assertThat(all(d -> d.document().fillings().stream())).hasSize(2);
    }

    private static <T> Set<T> all(Function<DemoDesign, Stream<T>> of) {
        return DESIGNS.stream().flatMap(of).collect(Collectors.toCollection(HashSet::new));
    }

    private static Design design(String name) {
        return DESIGNS.stream()
                .filter(d -> d.document().name().equals(name))
                .findFirst()
                .map(d -> DesignService.stored(d.document()))
                .orElseThrow();
    }

    private static String text(String typed) {
        return LengthWriter.exactly(LengthReader.read(typed, LengthUnit.INCH), UnitSystem.INCH);
    }
}
