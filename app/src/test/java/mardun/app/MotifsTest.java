package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Parts of a print: marked on a cloth, asked for by a piece, and where the layout puts it. */
class MotifsTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static final long INCH = 25_400_000;
    private static final Map<String, Object> WHOLE = Map.of("left", 0, "top", 0, "right", 1, "bottom", 1);

    private static Map<String, Long> shelf;
    private static int number;

    @BeforeAll
    static void aShelf() {
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
        shelf = APP.pouchShelf("90 yd");
    }

    private static long printed(String name, String repeat) {
        Map<String, Object> cloth = APP.cloth(name, "44 in", "9.00", "90 yd");
        return APP.enter(StockTest.with(cloth, Map.of("repeat", repeat)));
    }

    private static String path(long cloth) {
        return "/api/materials/" + cloth + "/print";
    }

    private static Map<String, Object> motif(String name, String across, String down) {
        return Map.of("name", name, "across", across, "down", down);
    }

    private static Map<String, Object> print(long cloth, String across, List<Map<String, Object>> motifs) {
        return Map.of(
                "version",
                APP.get(path(cloth)).body().get("version").asLong(),
                "repeatAcross",
                across,
                "frame",
                WHOLE,
                "motifs",
                motifs);
    }

    private static long pouchShowing(String motif) {
        long design = APP.pouch("Pouch " + ++number + " with a " + motif);
        JsonNode there = APP.get("/api/designs/" + design).body();
        ObjectNode document = (ObjectNode) there.get("document").deepCopy();
        ObjectNode piece = (ObjectNode) document.get("pieces").get(0);
        ArrayNode marks = piece.get("marks") instanceof ArrayNode some ? some : piece.putArray("marks");
        ObjectNode mark = marks.addObject();
        mark.put("kind", "MOTIF")
                .put("label", motif)
                .put("from", "RAW")
                .put("across", "")
                .put("down", "3 in");
        mark.put("width", "").put("height", "").put("half", "WHOLE");
        Answer saved = APP.put(
                "/api/designs/" + design, Map.of("version", there.get("version").asLong(), "document", document));
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
        return design;
    }

    private static long batch(long design, long cloth) {
        Map<String, Long> its = new LinkedHashMap<>(shelf);
        its.put("outer", cloth);
        Answer made = APP.post("/api/batches", RunningApp.batch(design, "6", its, List.of()));
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        return made.id();
    }

    private static JsonNode laidOut(long batch, long cloth) {
        String cutting = "/api/batches/" + batch + "/cutting";
        Answer begun = APP.post(cutting + "/search", Map.of("aim", "MONEY", "seconds", 0.1, "fromOffcuts", true));
        assertThat(begun.status()).as(begun.body().toString()).isEqualTo(200);
        long end = System.nanoTime() + Duration.ofSeconds(60).toNanos();
        while (APP.get(cutting + "/search").body().get("running").asBoolean()) {
            assertThat(System.nanoTime()).as("the search ends").isLessThan(end);
        }
        return cutting(batch, cloth);
    }

    /** How a cloth of a batch is cut. */
    private static JsonNode cutting(long batch, long cloth) {
        return APP.get("/api/batches/" + batch + "/cutting")
                .body()
                .get("cloths")
                .valueStream()
                .filter(one -> one.get("materialId").asLong() == cloth)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aPieceLiesWhereThePrintHasItsPart() {
        long cloth = printed("Foxes", "16");
        assertThat(APP.put(path(cloth), print(cloth, "14", List.of(motif("Fox {ç}", "6 1/2", "5"))))
                        .status())
                .isEqualTo(200);
        long batch = batch(pouchShowing("fox {ç}"), cloth);
        JsonNode outer = laidOut(batch, cloth);
        assertThat(outer.get("squaredAt").asString())
                .startsWith("The end is squared 3 in above the middle of “Fox {ç}”")
                .contains("up to 16 ¼ in");
        List<JsonNode> shown = outer.get("mats")
                .valueStream()
                .flatMap(mat -> mat.get("pieces").valueStream())
                .filter(piece -> piece.hasNonNull("shows"))
                .toList();
        assertThat(shown).isNotEmpty().allSatisfy(piece -> {
            JsonNode at = piece.get("shows");
            assertThat((at.get("x").asLong() * 2 - 13 * INCH) % (28 * INCH)).isZero();
            assertThat((at.get("y").asLong() - 3 * INCH) % (16 * INCH)).isZero();
            assertThat(at.get("x").asLong() - piece.get("x").asLong())
                    .isEqualTo(piece.get("width").asLong() / 2);
        });
        assertThat(outer.get("pieces").get(0).get("notes").toString()).contains("“fox {ç}” of the print");
        // Another place in the print: the layout doesn't serve any more, and is searched anew.
        assertThat(APP.put(path(cloth), print(cloth, "14", List.of(motif("Fox {ç}", "7", "5"))))
                        .status())
                .isEqualTo(200);
        assertThat(cutting(batch, cloth).get("mats")).isEmpty();
        assertThat(laidOut(batch, cloth).get("mats")).isNotEmpty();
    }

    @Test
    void whereThePartIsNotMarkedThePlanSaysSo() {
        long cloth = printed("No foxes", "16");
        long batch = batch(pouchShowing("fox"), cloth);
        String findings = APP.get("/api/batches/" + batch)
                .body()
                .get("sheet")
                .get("findings")
                .toString();
        assertThat(findings).contains("has to show “fox”, which isn’t marked on “No foxes”");
        assertThat(APP.put(path(cloth), print(cloth, "", List.of(motif("fox", "", "5"))))
                        .status())
                .isEqualTo(200);
        assertThat(APP.get("/api/batches/" + batch)
                        .body()
                        .get("sheet")
                        .get("findings")
                        .toString())
                .doesNotContain("has to show");
    }

    @Test
    void aPieceThatNeverLiesWholeIsRefusedInTheCloth() {
        long cloth = printed("At the edge", "16");
        assertThat(APP.put(path(cloth), print(cloth, "", List.of(motif("fox", "1", "5"))))
                        .status())
                .isEqualTo(200);
        Map<String, Long> its = new LinkedHashMap<>(shelf);
        its.put("outer", cloth);
        Answer refused = APP.post("/api/batches", RunningApp.batch(pouchShowing("fox"), "6", its, List.of()));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("nowhere across the 44 in of the cloth");
    }

    @Test
    void aPointOfThePhotoIsAPlaceInTheRepeat() {
        long cloth = printed("Pointed at", "16");
        Map<String, Object> at = new HashMap<>(Map.of(
                "repeatAcross",
                "12",
                "frame",
                Map.of("left", 0.25, "top", 0.5, "right", 0.75, "bottom", 1),
                "x",
                0.5,
                "y",
                0.75));
        JsonNode told = APP.post(path(cloth) + "/place", at).body();
        assertThat(told.get("across").asString()).isEqualTo("6 in");
        assertThat(told.get("down").asString()).isEqualTo("8 in");
        // In the repeats beside the shown one it is at the same place, and the end of one is the beginning of the next.
        at.put("x", 0.9);
        at.put("y", 0.1);
        told = APP.post(path(cloth) + "/place", at).body();
        assertThat(told.get("across").asString()).isEqualTo("3 ⅝ in");
        assertThat(told.get("down").asString()).isEqualTo("3 3⁄16 in");
        at.put("x", 0.25);
        at.put("y", 1);
        told = APP.post(path(cloth) + "/place", at).body();
        assertThat(told.get("across").asString()).isEqualTo("0 in");
        assertThat(told.get("down").asString()).isEqualTo("0 in");
        // A print that is there once across the cloth has no repeat beside it.
        at.put("repeatAcross", "");
        at.put("x", 0.1);
        told = APP.post(path(cloth) + "/place", at).body();
        assertThat(told.get("across").asString()).isEqualTo("0 in");
        at.put("x", 1.5);
        assertThat(APP.post(path(cloth) + "/place", at).status()).isIn(400, 422);
    }

    @Test
    void whatIsWrongIsSaidAtItsFieldAndNothingIsStored() {
        long cloth = printed("Wrong", "16");
        Answer refused = APP.put(
                path(cloth),
                print(cloth, "-3", List.of(motif("fox", "60", "16"), motif("FOX", "soon", "2"), motif(" ", "", "2"))));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.on("repeatAcross")).isNotEmpty();
        assertThat(refused.on("motifs.0.down")).contains("less than 16");
        assertThat(refused.on("motifs.1.name")).contains("marked twice");
        assertThat(refused.on("motifs.1.across")).contains("soon");
        assertThat(refused.on("motifs.2.name")).contains("empty");
        assertThat(APP.get(path(cloth)).body().get("motifs")).isEmpty();
        long plain = APP.enter(APP.cloth("Nobody said", "44 in", "9.00", "9 yd"));
        assertThat(APP.put(path(plain), print(plain, "", List.of(motif("fox", "1", "2"))))
                        .on("motifs.0.down"))
                .contains("Nobody said after which height");
        assertThat(APP.post(path(plain) + "/place", Map.of("repeatAcross", "", "frame", WHOLE, "x", 0.5, "y", 0.5))
                        .detail())
                .contains("Nobody said after which height");
        assertThat(APP.get(path(shelf.get("slider"))).status()).isEqualTo(422);
        assertThat(APP.get(path(999_999)).status()).isEqualTo(404);
        Map<String, Object> old = new HashMap<>(print(cloth, "", List.of(motif("fox", "1", "2"))));
        assertThat(APP.put(path(cloth), old).status()).isEqualTo(200);
        assertThat(APP.put(path(cloth), old).status()).isEqualTo(409);
        old.put("version", APP.get(path(cloth)).body().get("version").asLong());
        old.put("frame", Map.of("left", 0.5, "top", 0, "right", 0.5, "bottom", 1));
        assertThat(APP.put(path(cloth), old).on("frame")).contains("nothing between the corners");
    }

    @Test
    void inCentimetresTheSamePartIsToldInThem() {
        long cloth = printed("Metric foxes", "16");
        assertThat(APP.put(path(cloth), print(cloth, "14", List.of(motif("fox", "6 1/2", "5"))))
                        .status())
                .isEqualTo(200);
        assertThat(APP.put("/api/settings", APP.settings("METRIC")).status()).isEqualTo(200);
        try {
            JsonNode told = APP.get(path(cloth)).body();
            assertThat(told.get("motifs").get(0).get("across").asString()).isEqualTo("16.51 cm");
            assertThat(told.get("motifs").get(0).get("downShare").asDouble()).isEqualTo(0.3125);
            assertThat(told.get("widthMm").asDouble()).isEqualTo(355.6);
            // What was typed in inches stays when it is saved as it is told.
            Map<String, Object> again = Map.of(
                    "version",
                    told.get("version").asLong(),
                    "repeatAcross",
                    told.get("repeatAcross").asString(),
                    "frame",
                    WHOLE,
                    "motifs",
                    List.of(motif(
                            "fox",
                            "16.51",
                            told.get("motifs").get(0).get("down").asString())));
            assertThat(APP.put(path(cloth), again).status()).isEqualTo(200);
        } finally {
            assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
        }
        assertThat(APP.get(path(cloth))
                        .body()
                        .get("motifs")
                        .get(0)
                        .get("across")
                        .asString())
                .isEqualTo("6 ½ in");
    }
}
