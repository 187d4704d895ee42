package mardun.app.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.RecordComponent;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import mardun.app.design.DesignDocument.StepRow;
import mardun.app.problem.FieldProblem;
import mardun.app.problem.FieldReader;
import mardun.core.design.Design;
import mardun.core.design.FillingNeed;
import mardun.core.design.Measurement;
import mardun.core.design.Panel;
import mardun.core.design.Strap;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.making.Step;
import mardun.core.measure.UnitSystem;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.json.JsonMapper;

/** Documents become designs, blocks go in and come out, and what can't be read is told field by field. */
class DocumentReaderTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static DesignDocument pouch;

    @BeforeAll
    static void readThePouch() throws IOException {
        try (InputStream in = DocumentReaderTest.class.getResourceAsStream("/designs/boxed-zip-pouch.json")) {
            pouch = JSON.readValue(in, DesignDocument.class);
        }
    }

    private static StepRow step(String perUnit, String uses) {
        return new StepRow(
                "own",
                "A step of my own",
                Stage.SEW,
                Station.MACHINE,
                "",
                "",
                "",
                "",
                perUnit,
                "0",
                "0",
                "",
                "",
                "",
                List.of(),
                uses,
                null,
                null,
                null,
                null);
    }

    private static DesignDocument withStep(StepRow step) {
        BlockDocument block = new BlockDocument(
                List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), List.of(step), List.of());
        return BlockMerge.into(pouch, block);
    }

    private static Step lastStep(DesignDocument document, FieldReader fields) {
        Design design = DocumentReader.read(document, fields);
        return design.steps().get(design.steps().size() - 1);
    }

    @ParameterizedTest
    @CsvSource({"5, 300", "'0,75', 45", "12/h, 300", "40 an hour, 90", "60 per hour, 60", "7/h, 514"})
    void labourIsSaidInMinutesOrAsSoManyAnHour(String typed, long seconds) {
        FieldReader fields = new FieldReader();
        assertThat(lastStep(withStep(step(typed, "")), fields).perUnit()).isEqualTo(Duration.ofSeconds(seconds));
        assertThat(fields.problems()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"-1", "0/h", "soon", "7000"})
    void labourThatCantBeIsTold(String typed) {
        FieldReader fields = new FieldReader();
        lastStep(withStep(step(typed, "")), fields);
        assertThat(fields.problems()).extracting(FieldProblem::field).containsExactly("steps.11.minutesPerUnit");
    }

    @Test
    void bareNumbersAreKeptWithTheMakersUnits() {
        DesignDocument typed = pouch.measured(List.of(
                new Measurement("width", " Width ", Measurement.Kind.FINISHED, List.of("12,5"), List.of()),
                new Measurement("slant", "Slant", Measurement.Kind.ANGLE, List.of("45"), List.of()),
                new Measurement("parts", "Parts", Measurement.Kind.COUNT, List.of("3"), List.of()),
                new Measurement("half", "Half", Measurement.Kind.FINISHED, List.of("width / 2"), List.of())));
        assertThat(DocumentReader.kept(typed, UnitSystem.METRIC).measurements())
                .extracting(m -> m.values().get(0))
                .containsExactly("12,5 cm", "45°", "3", "width / 2");
        assertThat(DocumentReader.kept(typed, UnitSystem.INCH).measurements().get(0))
                .isEqualTo(new Measurement("width", "Width", Measurement.Kind.FINISHED, List.of("12,5 in"), List.of()));
    }

    @Test
    void sizesAndNamesThatCantBeAreTold() {
        List<Measurement> measurements = List.of(
                Measurement.of("width", "Width", Measurement.Kind.FINISHED, "1 in", "2 in"),
                Measurement.of("width", "Again", Measurement.Kind.FINISHED, "1 in"),
                Measurement.of("2nd", "Second", Measurement.Kind.FINISHED, "1 in"),
                Measurement.of("pi", "Pi", Measurement.Kind.FACTOR, "3"));
        DesignDocument wrong = pouch.sized(
                List.of("one", "one", " "),
                List.of("s1", "s2", "s3"),
                measurements,
                List.of(new FillingNeed("Beads", "beads", List.of("1 g", "2 g"))));
        FieldReader fields = new FieldReader();
        DocumentReader.read(wrong, fields);
        Set<String> told = fields.problems().stream().map(FieldProblem::field).collect(Collectors.toSet());
        assertThat(told)
                .containsExactlyInAnyOrder(
                        "sizes.1",
                        "sizes.2",
                        "fillings.0",
                        "measurements.width",
                        "measurements.2nd",
                        "measurements.pi");
    }

    @Test
    void aBlockTakenOutBringsWhatItsFormulasNeedAndNoMore() {
        BlockDocument block = BlockMerge.from(pouch, Set.of("tabs"));
        assertThat(block.steps()).extracting(StepRow::key).containsExactly("tabs");
        assertThat(block.steps().get(0).after()).isEmpty();
        assertThat(block.pieces()).extracting(DesignDocument.PieceRow::letter).containsExactly("D");
        assertThat(block.trims()).hasSize(1);
        assertThat(block.measurements())
                .extracting(Measurement::symbol)
                .contains("tape", "tab", "seam", "clearance")
                .doesNotContain("inset", "shows");
        assertThat(block.slots())
                .allSatisfy(slot -> assertThat(slot.materialId()).isNull());
    }

    @Test
    void aBlockPutInTwiceGetsLettersAndKeysOfItsOwn() {
        BlockDocument block = BlockMerge.from(pouch, Set.of("tabs"));
        DesignDocument twice = BlockMerge.into(BlockMerge.into(pouch, block), block);
        assertThat(twice.pieces()).extracting(DesignDocument.PieceRow::letter).doesNotHaveDuplicates();
        assertThat(twice.steps())
                .extracting(StepRow::key)
                .contains("tabs", "tabs-2", "tabs-3")
                .doesNotHaveDuplicates();
        String letter = twice.pieces().get(twice.pieces().size() - 1).letter();
        assertThat(twice.steps().get(twice.steps().size() - 1).uses()).startsWith("4" + letter);
        assertThat(twice.measurements()).hasSameSizeAs(pouch.measurements());
        FieldReader fields = new FieldReader();
        DocumentReader.read(twice, fields);
        assertThat(fields.problems()).isEmpty();
    }

    @Test
    void nothingMayBeMissingOrTooLong() {
        FieldReader fields = new FieldReader();
        DocumentLimits.check(pouch.named("x".repeat(2000)), fields);
        DocumentLimits.check(
                pouch.measured(Collections.nCopies(201, pouch.measurements().get(0))), fields);
        DocumentLimits.check(pouch.named(null), fields);
        assertThat(fields.problems()).extracting(FieldProblem::field).containsExactly("name", "measurements", "name");
    }

    @Test
    void everyBareLengthIsKeptWithTheMakersUnit() {
        DesignDocument typed = DocumentTexts.mapped(
                pouch, (kind, text) -> kind == DocumentTexts.Kind.LENGTH && !text.isBlank() ? "3/4" : text);
        List<String> kept = new ArrayList<>();
        DocumentTexts.mapped(DocumentReader.kept(typed, UnitSystem.INCH), (kind, text) -> {
            if (kind == DocumentTexts.Kind.LENGTH && !text.isBlank()) {
                kept.add(text);
            }
            return text;
        });
        assertThat(kept).hasSizeGreaterThan(20).allMatch("3/4 in"::equals);
    }

    /** A new part of a design has to say what its texts are, or they'd be forgotten when something is renamed. */
    @Test
    void everyTextOfADesignIsInTheTable() {
        Set<Class<?>> seen = new LinkedHashSet<>();
        List<String> unknown = new ArrayList<>();
        look(DesignDocument.class, seen, unknown);
        assertThat(unknown).isEmpty();
        assertThat(seen).hasSizeGreaterThan(15);
    }

    private static void look(Class<?> record, Set<Class<?>> seen, List<String> unknown) {
        if (!seen.add(record)) {
            return;
        }
        for (RecordComponent component : record.getRecordComponents()) {
            String type = component.getGenericType().getTypeName();
            if (type.matches(".*\\bjava\\.lang\\.String\\b.*")
                    && DocumentTexts.kindOf(record, component.getName()) == null) {
                unknown.add(record.getSimpleName() + "." + component.getName());
            }
            Matcher named = Pattern.compile("mardun\\.[\\w.$]+").matcher(type);
            while (named.find()) {
                try {
                    Class<?> part = Class.forName(named.group());
                    if (part.isRecord()) {
                        look(part, seen, unknown);
                    }
                } catch (ClassNotFoundException missing) {
                    throw new AssertionError(missing);
                }
            }
        }
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    {"kind": "RECTANGLE", "place": "BOTTOM", "across": "", "along": ""}                    | 0
                    {"kind": "ROUNDED", "place": "TOP", "across": "1 in", "along": ""}                     | 1
                    """)
    void aPieceThatWasStoredWithOneShapeHasThatOne(String shape, int shapes) throws IOException {
        String stored = JSON.writeValueAsString(pouch.pieces().get(0))
                .replaceFirst("\"shapes\":\\[[^]]*]", Matcher.quoteReplacement("\"shape\": " + shape));
        assertThat(stored).contains("\"shape\":");
        assertThat(JSON.readValue(stored, DesignDocument.PieceRow.class).shapes())
                .hasSize(shapes);
    }

    @Test
    void aStrapAndAPanelThatWereStoredBeforeSayNothingNew() throws IOException {
        Strap strap = JSON.readValue("""
                {"of": "S", "school": "TUBE", "width": "1 in", "seam": "", "ring": "", "shortest": "", "longest": ""}""", Strap.class);
        assertThat(strap.choice()).isEmpty();
        assertThat(strap.schools()).isEmpty();
        assertThat(JSON.readValue("{\"letter\": \"A\", \"shows\": \"\"}", Panel.Part.class)
                        .tuck())
                .isEmpty();
    }
}
