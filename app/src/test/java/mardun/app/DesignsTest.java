package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The contract of designs of any kind: beginning, finding, sizes, blocks, questions, constructions, licences. */
class DesignsTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    @BeforeAll
    static void aWorkroomInCentimetres() {
        assertThat(APP.put("/api/settings", APP.settings("METRIC").put("usualSeam", "1"))
                        .status())
                .isEqualTo(200);
    }

    private static Answer begin(String name, String pattern) {
        Answer begun =
                APP.post("/api/designs", Map.of("requestId", UUID.randomUUID(), "name", name, "pattern", pattern));
        assertThat(begun.status()).as(begun.body().toString()).isEqualTo(201);
        return begun;
    }

    private static ObjectNode pouch(String name) {
        return (ObjectNode) begin(name, "pouch").body().get("document");
    }

    private static JsonNode sheet(ObjectNode document) {
        Answer answer = APP.post("/api/designs/preview", Map.of("document", document));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    private static ObjectNode measurement(JsonNode document, String symbol) {
        for (JsonNode row : document.get("measurements")) {
            if (row.get("symbol").asString().equals(symbol)) {
                return (ObjectNode) row;
            }
        }
        throw new AssertionError("no " + symbol);
    }

    @Test
    void aBlankDesignIsFilledFromAPaperPattern() {
        Answer begun = begin("From paper", "blank");
        ObjectNode document = (ObjectNode) begun.body().get("document").deepCopy();
        measurement(document, "width").putArray("values").add("21,5");
        ((ObjectNode) document.get("pieces").get(0)).put("height", "17");
        Answer saved = APP.put(
                "/api/designs/" + begun.id(),
                Map.of("version", begun.body().get("version").asLong(), "document", document));
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
        JsonNode piece =
                saved.body().get("sheet").get("sizes").get(0).get("pieces").get(0);
        assertThat(piece.get("width").get("value").get("metric").asString()).isEqualTo("23.5 cm");
        assertThat(piece.get("width").get("value").get("inch").asString()).isEqualTo("≈ 9 ⅜ in");
        assertThat(piece.get("height").get("value").get("metric").asString()).isEqualTo("17 cm");
    }

    @Test
    void whatWasOnTheMachineIsOfferedToOtherDesigns() {
        JsonNode used = APP.get("/api/set-up-words").body();
        begin("Has a zip foot", "pouch");
        assertThat(APP.get("/api/set-up-words").body().get("foot").valueStream().map(JsonNode::asString))
                .contains("zip foot")
                .doesNotHaveDuplicates();
        assertThat(used.has("needle") && used.has("thread") && used.has("stitch"))
                .isTrue();
    }

    @Test
    void aCopyIsADesignOfItsOwn() {
        Answer original = begin("To be copied", "pouch");
        Answer copy = APP.post(
                "/api/designs", Map.of("requestId", UUID.randomUUID(), "name", "The copy", "copyOf", original.id()));
        assertThat(copy.id()).isNotEqualTo(original.id());
        assertThat(copy.body().get("document").get("pieces"))
                .isEqualTo(original.body().get("document").get("pieces"));
    }

    @Test
    void designsAreFoundByNameSortAndPieces() {
        Answer begun = begin("Curlew satchel", "blank");
        ObjectNode document = (ObjectNode) begun.body().get("document").deepCopy();
        document.put("sort", "Satchel");
        ((ObjectNode) document.get("pieces").get(0)).put("name", "Saddle flap");
        APP.put(
                "/api/designs/" + begun.id(),
                Map.of("version", begun.body().get("version").asLong(), "document", document));
        for (String search : List.of("CURLEW", "satchel", "saddle%20flap")) {
            JsonNode found = APP.get("/api/designs?search=" + search).body();
            assertThat(found.get("total").asInt()).as(search).isEqualTo(1);
            assertThat(found.get("items").get(0).get("name").asString()).isEqualTo("Curlew satchel");
        }
        assertThat(APP.get("/api/designs?search=nothing-like-it")
                        .body()
                        .get("total")
                        .asInt())
                .isZero();
    }

    @Test
    void aSizeIsCopiedAndChangedInOneGo() {
        ObjectNode document = pouch("With sizes");
        Map<String, Object> form = Map.of(
                "document",
                document,
                "copyOf",
                1,
                "name",
                "tall",
                "changes",
                List.of(
                        Map.of("symbol", "height", "change", "+ 2 cm"),
                        Map.of("symbol", "seam", "change", "-3 mm"),
                        Map.of("symbol", "width", "change", "")));
        JsonNode taller = APP.post("/api/designs/with-size", form).body();
        assertThat(taller.get("sizes").get(2).asString()).isEqualTo("tall");
        assertThat(measurement(taller, "height").get("values").get(2).asString())
                .isEqualTo("18 cm");
        assertThat(measurement(taller, "width").get("values").get(2).asString()).isEqualTo("19 cm");
        assertThat(measurement(taller, "seam").get("values").toString()).isEqualTo("[\"1 cm\",\"1 cm\",\"0.7 cm\"]");
        assertThat(measurement(taller, "tab").get("values")).hasSize(1);
        JsonNode sizes = sheet((ObjectNode) taller).get("sizes");
        assertThat(sizes.get(2)
                        .get("finished")
                        .get("measures")
                        .get(1)
                        .get("figure")
                        .get("value")
                        .get("metric")
                        .asString())
                .isEqualTo("18 cm");
        Answer refused = APP.post(
                "/api/designs/with-size",
                Map.of(
                        "document",
                        document,
                        "copyOf",
                        0,
                        "name",
                        "small",
                        "changes",
                        List.of(Map.of("symbol", "height", "change", "-2 m"))));
        assertThat(refused.on("name")).contains("There is a size “small” already");
    }

    @Test
    void aBuildingBlockComesWithItsPiecesTimesAndFreeLetters() {
        ObjectNode document = pouch("With a strap");
        JsonNode blocks = APP.get("/api/design-blocks").body();
        assertThat(blocks.toString()).contains("folded in four").contains("two opposing cords");
        JsonNode with = APP.post("/api/designs/with-block", Map.of("document", document, "block", "end-tabs-tube"))
                .body();
        assertThat(with.get("pieces")).hasSize(5);
        assertThat(with.get("pieces").get(4).get("letter").asString()).isEqualTo("E");
        JsonNode step = with.get("steps").get(with.get("steps").size() - 1);
        assertThat(step.get("key").asString()).isEqualTo("tabs-2");
        assertThat(step.get("uses").asString()).isEqualTo("4E");
        assertThat(measurement(with, "tape").get("values")).hasSize(1);
        assertThat(sheet((ObjectNode) with).get("canBeSewn").asBoolean()).isTrue();
        assertThat(APP.post("/api/designs/with-block", Map.of("document", document, "block", "no-such"))
                        .status())
                .isEqualTo(404);
    }

    /** Whatever ships goes into a pouch that can be sewn with it: pieces, halves, washers, steps in an order that holds. */
    @Test
    void eachBlockThatShipsCanBeSewnIn() {
        for (JsonNode block : APP.get("/api/design-blocks").body()) {
            ObjectNode document = pouch("With " + block.get("key").asString());
            String key = block.get("key").asString();
            JsonNode with = APP.post("/api/designs/with-block", Map.of("document", document, "block", key))
                    .body();
            assertThat(sheet((ObjectNode) with).get("canBeSewn").asBoolean())
                    .as(key)
                    .isTrue();
        }
        JsonNode magnet = APP.post(
                        "/api/designs/with-block", Map.of("document", pouch("With a magnet"), "block", "magnet"))
                .body();
        assertThat(magnet.get("notions").toString())
                .contains("SOCKET")
                .contains("STUD")
                .contains("Washer");
        assertThat(magnet.get("pieces").toString())
                .contains("Backing of the magnet")
                .contains("Cover of the prongs");
    }

    @Test
    void stepsAreKeptAsABlockWithAllTheyUse() {
        ObjectNode document = pouch("To keep from");
        Map<String, Object> form = Map.of(
                "requestId",
                UUID.randomUUID(),
                "name",
                "My end tabs",
                "variant",
                "narrow",
                "document",
                document,
                "steps",
                List.of("tabs"));
        Answer kept = APP.post("/api/design-blocks", form);
        assertThat(kept.status()).isEqualTo(201);
        assertThat(APP.post("/api/design-blocks", form).status()).isEqualTo(201);
        JsonNode own = kept.body().get(0);
        assertThat(own.get("own").asBoolean()).isTrue();
        assertThat(own.get("brings").toString()).contains("End tab").contains("Zip");
        ObjectNode blank = (ObjectNode) begin("Takes the tabs", "blank").body().get("document");
        JsonNode with = APP.post(
                        "/api/designs/with-block",
                        Map.of("document", blank, "block", own.get("key").asString()))
                .body();
        assertThat(measurement(with, "tape").get("values").get(0).asString()).isEqualTo("3.2 cm");
        assertThat(sheet((ObjectNode) with).get("canBeSewn").asBoolean()).isTrue();
    }

    @Test
    void whetherAThingFits() {
        ObjectNode document = pouch("Holds things");
        Map<String, Object> question =
                Map.of("document", document, "size", "medium", "width", "18", "height", "15", "depth", "6", "ease", "");
        JsonNode answer = APP.post("/api/designs/fit", question).body();
        assertThat(answer.get("fits").asBoolean()).isFalse();
        assertThat(answer.get("sentence").asString()).contains("through the opening is too little");
        question =
                Map.of("document", document, "size", "medium", "width", "11", "height", "15", "depth", "6", "ease", "");
        assertThat(APP.post("/api/designs/fit", question).body().get("fits").asBoolean())
                .isTrue();
        question =
                Map.of("document", document, "size", "medium", "width", "x", "height", "15", "depth", "", "ease", "");
        assertThat(APP.post("/api/designs/fit", question).on("width")).contains("doesn't begin with a number");
    }

    @Test
    void whyItCameOutDifferent() {
        ObjectNode document = pouch("Came out different");
        Map<String, Object> question = Map.of(
                "document", document, "size", "medium", "width", "17", "height", "15", "depth", "8,4", "across", "");
        JsonNode answer = APP.post("/api/designs/diagnosis", question).body();
        JsonNode first = answer.get("explanations").get(0);
        assertThat(first.get("slips").get(0).asString())
                .isEqualTo("The corners were cut from the stitching, not from the raw edge.");
        assertThat(first.get("remedies").get(0).asString()).contains("3.2 cm from the side");
        question = Map.of("document", document, "size", "medium", "width", "", "height", "", "depth", "", "across", "");
        assertThat(APP.post("/api/designs/diagnosis", question).on("width")).contains("at least one");
    }

    @Test
    void constructionsAreToldAndWorkedOutBothWays() {
        JsonNode all = APP.get("/api/constructions").body();
        assertThat(all.get("subjects")).hasSizeGreaterThan(15);
        assertThat(all.toString()).contains("panel_width(width; depth; side)").contains("\"dimension\":\"ANGLE\"");
        JsonNode cut = APP.post(
                        "/api/constructions/worked",
                        Map.of(
                                "rule",
                                "panel_width",
                                "values",
                                Map.of("width", "19", "depth", "6,4 cm", "side", "3/8 in")))
                .body();
        assertThat(cut.get("length").get("metric").asString()).isEqualTo("≈ 27.3 cm");
        assertThat(cut.get("working").get("rule").asString()).startsWith("A panel is as wide");
        JsonNode wrong = APP.post(
                        "/api/constructions/worked",
                        Map.of(
                                "rule",
                                "strap_slanted",
                                "values",
                                Map.of("length", "20", "width", "x", "slant", "3 cm")))
                .body();
        assertThat(wrong.get("problems")).hasSize(2);
        assertThat(wrong.get("problems").get(1).get("sentence").asString()).contains("is a length, and an angle");
        JsonNode impossible = APP.post(
                        "/api/constructions/worked",
                        Map.of("rule", "gathered_to", "values", Map.of("cloth", "20", "ratio", "0", "seam", "1")))
                .body();
        assertThat(impossible.get("problems").get(0).get("sentence").asString()).contains("divides by nothing");
    }

    @Test
    void aFindingIsSetAsideWithAReason() {
        ObjectNode document = pouch("Set aside");
        ((ObjectNode) document.get("pieces").get(1)).put("width", "21 cm");
        JsonNode finding = sheet(document).get("sizes").get(0).get("findings").get(0);
        assertThat(finding.get("check").asString()).isEqualTo("PANELS_MATCH");
        ((ArrayNode) document.get("setAside"))
                .addObject()
                .put("check", "PANELS_MATCH")
                .put("place", finding.get("place").asString())
                .put("reason", "gathered lining");
        assertThat(sheet(document)
                        .get("sizes")
                        .get(0)
                        .get("findings")
                        .get(0)
                        .get("setAside")
                        .asString())
                .isEqualTo("gathered lining");
    }

    @Test
    void whatIsMissingOrTooMuchIsSaidAndNothingBreaks() {
        ObjectNode document = pouch("Limits");
        ((ObjectNode) document.get("pieces").get(0)).putNull("width");
        Answer missing = APP.post("/api/designs/preview", Map.of("document", document));
        assertThat(missing.status()).isEqualTo(422);
        assertThat(missing.on("pieces.0.width")).contains("is missing");
        document = pouch("Limits two");
        document.put("note", "x".repeat(1001));
        assertThat(APP.post("/api/designs/preview", Map.of("document", document))
                        .on("note"))
                .contains("1001 characters");
        document = pouch("Limits three");
        ((ObjectNode) document.get("pieces").get(0)).put("letter", "B");
        ((ObjectNode) document.get("steps").get(1)).put("uses", "2A, ?");
        JsonNode findings = sheet(document).get("sizes").get(0).get("findings");
        assertThat(findings.toString()).contains("stands for two things").contains("isn't a piece");
        Answer refused = APP.post("/api/designs/preview", "[]");
        assertThat(refused.status()).isEqualTo(400);
    }

    @Test
    void labourMayBeSaidAsSoManyAnHour() {
        ObjectNode document = pouch("So many an hour");
        ((ObjectNode) document.get("steps").get(0)).put("minutesPerUnit", "12/h");
        assertThat(sheet(document).get("sizes").get(0).get("findings")).isEmpty();
        ((ObjectNode) document.get("steps").get(0)).put("minutesPerUnit", "many/h");
        assertThat(sheet(document).get("sizes").get(0).get("findings").toString())
                .contains("steps.0.minutesPerUnit");
    }

    @Test
    void aDesignHasOnlySoManySizes() {
        ObjectNode document = pouch("Forty sizes").deepCopy();
        ArrayNode sizes = document.putArray("sizes");
        for (int i = 0; i < 41; i++) {
            sizes.add("size " + i);
        }
        Answer refused = APP.post("/api/designs/preview", Map.of("document", document));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.on("sizes")).startsWith("There are 41 sizes. A design has at most 40");
    }

    @Test
    void soManyAnHourIsSpreadOverTheSteps() {
        JsonNode document =
                APP.get("/api/designs/" + APP.pouch("Paced pouch")).body().get("document");
        Answer paced = APP.post("/api/designs/paced", Map.of("document", document, "anHour", "4"));
        assertThat(paced.status()).isEqualTo(200);
        double minutes = 0;
        for (JsonNode step : paced.body().get("steps")) {
            minutes += Double.parseDouble(step.get("minutesPerUnit").asString());
        }
        assertThat(minutes).isCloseTo(15, within(0.1));
        for (String bad : List.of("0", "-3", "many", "")) {
            Answer refused = APP.post("/api/designs/paced", Map.of("document", document, "anHour", bad));
            assertThat(refused.status()).as(bad).isEqualTo(422);
            assertThat(refused.on("anHour")).as(bad).isNotBlank();
        }
    }

    @Test
    void severalSizesComeByOneRule() {
        ObjectNode document = pouch("By one rule");
        Answer more = APP.post(
                "/api/designs/with-size",
                Map.of(
                        "document",
                        document,
                        "copyOf",
                        1,
                        "name",
                        " large, larger ,largest",
                        "changes",
                        List.of(Map.of("symbol", "width", "change", "+ 2 cm"))));
        assertThat(more.status()).as(more.body().toString()).isEqualTo(200);
        assertThat(more.body().get("sizes").valueStream().map(JsonNode::asString))
                .containsExactly("small", "medium", "large", "larger", "largest");
        assertThat(measurement(more.body(), "width").get("values").valueStream().map(JsonNode::asString))
                .containsExactly("13 cm", "19 cm", "21 cm", "23 cm", "25 cm");

        Answer twice = APP.post(
                "/api/designs/with-size",
                Map.of("document", document, "copyOf", 0, "name", "tall, tall", "changes", List.of()));
        assertThat(twice.on("name")).contains("There is a size “tall” already");
    }

    @Test
    void whatAStepSewsIsDrawnOnItsPieces() {
        ObjectNode document = pouch("Drawn steps");
        Answer drawn = APP.post("/api/designs/seams", Map.of("document", document, "size", "small"));
        assertThat(drawn.status()).as(drawn.body().toString()).isEqualTo(200);
        JsonNode round = drawn.body()
                .valueStream()
                .filter(seam -> seam.get("step").asString().equals("round"))
                .findFirst()
                .orElseThrow();
        assertThat(round.get("layers").size()).isEqualTo(2);
        assertThat(round.get("layers").get(0).get("sewn").asString()).startsWith("M");
        assertThat(round.get("layers").get(0).get("open").asString()).isEmpty();
        assertThat(round.get("layers").get(1).get("open").asString()).startsWith("M");
        assertThat(APP.post("/api/designs/seams", Map.of("document", document, "size", "no such"))
                        .body()
                        .size())
                .isZero();
    }
}
