package mardun.app.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.function.Consumer;
import mardun.app.design.RevisionViews.Difference;
import mardun.app.design.RevisionViews.DifferenceKind;
import mardun.app.design.RevisionViews.FieldDifference;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Whatever is changed in a design is told, where it is, and nothing else. */
class DocumentComparisonTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final ObjectNode pouch = pouch();

    private static ObjectNode pouch() {
        try (InputStream in = DocumentComparisonTest.class.getResourceAsStream("/demo/01-heron-pouch.json")) {
            return (ObjectNode) JSON.readTree(in).get("document");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private List<Difference> after(Consumer<ObjectNode> change) {
        ObjectNode changed = pouch.deepCopy();
        change.accept(changed);
        return DocumentComparison.of(read(pouch), read(changed), JSON, id -> "material " + id);
    }

    private static DesignDocument read(ObjectNode document) {
        return JSON.treeToValue(document, DesignDocument.class);
    }

    private static ArrayNode rows(ObjectNode document, String list) {
        return (ArrayNode) document.get(list);
    }

    private static ObjectNode row(ObjectNode document, String list, int place) {
        return (ObjectNode) rows(document, list).get(place);
    }

    @Test
    void nothingIsOtherInTheSame() {
        assertThat(after(document -> {})).isEmpty();
    }

    @Test
    void aSizeThatIsNewHasItsValues() {
        List<Difference> found = after(document -> {
            rows(document, "sizes").add("large");
            rows(document, "measurements").forEach(row -> ((ArrayNode) row.get("values")).add("9 in"));
        });
        assertThat(found.get(0).part()).isEqualTo("The design");
        assertThat(found.get(0).fields())
                .containsExactly(new FieldDifference("sizes", "small, medium", "small, medium, large"));
        assertThat(found.get(1).fields()).contains(new FieldDifference("large", "", "9 in"));
    }

    @Test
    void stepsThatChangePlacesAreToldByTheirNames() {
        String first = row(pouch, "steps", 0).get("name").asString();
        List<Difference> found = after(document -> {
            var step = rows(document, "steps").remove(0);
            rows(document, "steps").add(step);
        });
        assertThat(found).hasSize(1);
        assertThat(found.get(0).fields().get(0).field()).isEqualTo("order");
        assertThat(found.get(0).fields().get(0).before()).startsWith(first);
        assertThat(found.get(0).fields().get(0).after()).endsWith(first);
    }

    @Test
    void rowsComeAndGo() {
        String notion = row(pouch, "notions", 0).get("name").asString();
        List<Difference> found = after(document -> {
            rows(document, "notions").remove(0);
            ObjectNode piece = row(document, "pieces", 0).deepCopy();
            piece.put("letter", "Z").put("name", "Tassel {ç}");
            rows(document, "pieces").add(piece);
        });
        assertThat(found)
                .extracting(Difference::part, Difference::name, Difference::kind)
                .containsExactlyInAnyOrder(
                        tuple("Pieces", "Z Tassel {ç}", DifferenceKind.ADDED),
                        tuple("Notions", notion, DifferenceKind.GONE));
    }

    @Test
    void valuesAreInAMakersWords() {
        List<Difference> found = after(document -> {
            row(document, "slots", 0).put("materialId", 7);
            row(document, "steps", 1).put("minutesPerUnit", "12/h");
            document.put("forChildren", !document.path("forChildren").asBoolean(false));
        });
        assertThat(found)
                .flatExtracting(Difference::fields)
                .extracting(FieldDifference::field, FieldDifference::after)
                .contains(
                        tuple("usual material", "material 7"),
                        tuple("minutes a bag", "12/h"),
                        tuple("for children", "yes"));
    }
}
