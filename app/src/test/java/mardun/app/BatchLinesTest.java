package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Batches of several designs, sizes and cloths, from the table to finished bags. */
class BatchLinesTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static long pouch;
    private static long tote;
    private static Map<String, Long> shelf;
    private static long rust;

    @BeforeAll
    static void shelf() {
        ObjectNode settings = APP.settings("INCH");
        settings.set("freeHours", RunningApp.JSON.valueToTree(List.of("3", "3", "3", "3", "3", "3", "3")));
        done(APP.put("/api/settings", settings));
        shelf = APP.pouchShelf("90 yd");
        rust = APP.enter(APP.cloth("Rust", "44 in", "11.00", "60 yd"));
        pouch = APP.pouch("Lined pouch");
        tote = APP.pouch("Other pouch");
    }

    private static Map<String, Object> line(Object number, long design, String size, String units, long outer) {
        Map<String, Long> materials = new LinkedHashMap<>(shelf);
        materials.put("outer", outer);
        Map<String, Object> line = new HashMap<>(Map.of(
                "designId",
                design,
                "sizeName",
                size,
                "units",
                units,
                "ownPrice",
                "",
                "materials",
                materials.entrySet().stream()
                        .map(slot -> Map.of("slot", slot.getKey(), "materialId", slot.getValue()))
                        .toList()));
        if (number != null) {
            line.put("number", number);
        }
        return line;
    }

    private static Map<String, Object> form(long version, List<Map<String, Object>> lines) {
        return new HashMap<>(Map.of(
                "requestId",
                UUID.randomUUID(),
                "version",
                version,
                "forWhat",
                "",
                "offcuts",
                List.of(),
                "lines",
                lines));
    }

    private static Map<String, Object> form(Map<String, Object> line) {
        return form(0, List.of(line));
    }

    /** Five lines: two sizes of a pouch in two cloths, and another design beside them. */
    private static Map<String, Object> fiveLines() {
        long outer = shelf.get("outer");
        return form(
                0,
                List.of(
                        line(null, pouch, "small", "12", outer),
                        line(null, pouch, "small", "8", rust),
                        line(null, pouch, "medium", "8", outer),
                        line(null, pouch, "medium", "4", rust),
                        line(null, tote, "medium", "6", outer)));
    }

    private static JsonNode made(Map<String, Object> form) {
        Answer made = APP.post("/api/batches", form);
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        return made.body();
    }

    private static JsonNode batch(long id) {
        return APP.get("/api/batches/" + id).body();
    }

    private static JsonNode done(Answer answer) {
        assertThat(answer.status()).as(answer.body().toString()).isIn(200, 201);
        return answer.body();
    }

    private static long minor(JsonNode money) {
        return money.get("minor").asLong();
    }

    private static long sumOfLines(JsonNode batch) {
        return batch.get("sheet")
                .get("lines")
                .valueStream()
                .mapToLong(line -> minor(line.get("total")))
                .sum();
    }

    private static List<String> texts(JsonNode list, String field) {
        return list.valueStream().map(one -> one.get(field).asString()).toList();
    }

    @Test
    void whatTheLinesShareIsOneJobAndTheirCostsAreTheWhole() {
        JsonNode batch = made(fiveLines());
        JsonNode sheet = batch.get("sheet");
        assertThat(sheet.get("units").asInt()).isEqualTo(38);
        assertThat(texts(sheet.get("needs"), "name")).doesNotHaveDuplicates().contains("Outer", "Rust", "Lining");
        assertThat(sumOfLines(batch)).isEqualTo(minor(sheet.get("total")));
        JsonNode lining = sheet.get("cutList")
                .valueStream()
                .filter(row -> row.get("from").asString().equals("Lining")
                        && row.get("lines").toString().equals("[1,2]"))
                .findFirst()
                .orElseThrow();
        assertThat(lining.get("label").asString()).startsWith("1");
        assertThat(lining.get("count").asInt()).isEqualTo(2 * 20);
        assertThat(sheet.get("steps").get(0).get("lines").toString()).isEqualTo("[1,2,3,4,5]");
        JsonNode needs = sheet.get("needs");
        JsonNode sliders = needs.valueStream()
                .filter(need -> need.get("name").asString().equals("Slider"))
                .findFirst()
                .orElseThrow();
        assertThat(sliders.get("shares")).hasSize(5);
        assertThat(sliders.get("shares").get(1).get("amount").get("count").asInt())
                .isEqualTo(8);
    }

    @Test
    void eachLineHasItsTicketBeforeAndAfterItIsKept() {
        Map<String, Object> form = fiveLines();
        JsonNode previewed = done(APP.post("/api/batches/preview/ticket?line=2", form));
        JsonNode batch = made(form);
        JsonNode kept = done(APP.get("/api/batches/" + batch.get("id") + "/tickets/3"));
        assertThat(kept).isEqualTo(previewed);
        JsonNode third = batch.get("sheet").get("lines").get(2);
        assertThat(third.has("ticket")).isFalse();
        assertThat(kept.get("cost").get("value")).isEqualTo(third.get("each"));
        assertThat(kept.get("material").get("working").toString()).contains("share of this line");
        assertThat(APP.get("/api/batches/" + batch.get("id") + "/tickets/9").status())
                .isEqualTo(404);
    }

    @Test
    void whatIsWrongWithALineIsSaidAtItsField() {
        Map<String, Object> form = fiveLines();
        List<Map<String, Object>> lines = new ArrayList<>();
        for (Object line : (List<?>) form.get("lines")) {
            @SuppressWarnings("unchecked")
            Map<String, Object> its = (Map<String, Object>) line;
            lines.add(its);
        }
        lines.get(0).put("units", "many");
        lines.get(1).put("units", "0");
        lines.get(2).put("units", "-3");
        lines.get(3).put("units", "10000");
        lines.get(4).put("started", "5");
        form.put("lines", lines);
        for (String path : List.of("/api/batches", "/api/batches/preview")) {
            Answer refused = APP.post(path, form);
            assertThat(refused.status()).isEqualTo(422);
            assertThat(refused.on("lines.0.units")).contains("isn't a number");
            assertThat(refused.on("lines.1.units")).contains("is less than 1");
            assertThat(refused.on("lines.2.units")).contains("is less than 1");
            assertThat(refused.on("lines.3.units")).contains("is more than 5000");
            assertThat(refused.on("lines.4.started")).contains("6 are wanted, and only 5");
        }
        form.put("lines", List.of());
        assertThat(APP.post("/api/batches", form).detail()).contains("from 1 to 60 lines");
    }

    @Test
    void aLineWithoutClothIsNamedAndNothingIsStored() {
        Map<String, Object> bare = line(null, tote, "medium", "3", rust);
        bare.put("materials", List.of());
        int before = APP.get("/api/batches").body().get("total").asInt();
        Answer refused = APP.post("/api/batches", form(0, List.of(line(null, pouch, "small", "2", rust), bare)));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).startsWith("Other pouch, medium (line 2): Nothing is chosen for");
        assertThat(APP.get("/api/batches").body().get("total").asInt()).isEqualTo(before);
    }

    /** One cloth today, the others tomorrow; ten on Saturday, the others next week: all goods together are what the batch cost. */
    @Test
    void clothByClothAndBagByBagTheGoodsTieToTheCent() {
        JsonNode batch = made(fiveLines());
        long id = batch.get("id").asLong();
        done(APP.post(
                "/api/batches/" + id + "/reserve",
                Map.of("version", batch.get("version").asLong())));
        long before = onHand(rust);
        batch = cut(batch(id), List.of(rust));
        assertThat(batch.get("stage").asString()).isEqualTo("CUTTING");
        assertThat(onHand(rust)).isLessThan(before);
        assertThat(held(rust)).isZero();
        assertThat(held(shelf.get("outer"))).isPositive();
        Answer tooEarly = APP.post("/api/batches/" + id + "/finish", finish(batch, Map.of(1, "1/0/0")));
        assertThat(tooEarly.detail()).contains("must be cut first");
        Answer twice = APP.post(
                "/api/batches/" + id + "/cut",
                Map.of("version", batch.get("version").asLong(), "reason", "", "cloths", List.of(rust)));
        assertThat(twice.detail()).contains("or it is cut already");
        batch = cut(batch, null);
        assertThat(batch.get("stage").asString()).isEqualTo("CUT");
        assertThat(held(shelf.get("outer"))).isZero();

        long sliders = onHand(shelf.get("slider"));
        batch = done(APP.post("/api/batches/" + id + "/finish", finish(batch, Map.of(1, "9/1/0", 3, "4/0/1"))));
        assertThat(batch.get("stage").asString()).isEqualTo("CUT");
        assertThat(onHand(shelf.get("slider"))).isEqualTo(sliders - 15);
        assertThat(held(shelf.get("slider"))).isEqualTo(23);
        assertThat(sumOfLines(batch)).isEqualTo(minor(batch.get("sheet").get("total")));
        Answer tooMany = APP.post("/api/batches/" + id + "/finish", finish(batch, Map.of(1, "2/1/0")));
        assertThat(tooMany.detail() + tooMany.body()).contains("These are 3 together, and 2 are still to come");
        batch = done(APP.post(
                "/api/batches/" + id + "/finish",
                finish(batch, Map.of(1, "2/0/0", 2, "8/0/0", 3, "3/0/0", 4, "3/0/1", 5, "5/1/0"))));
        assertThat(batch.get("stage").asString()).isEqualTo("FINISHED");
        assertThat(onHand(shelf.get("slider"))).isEqualTo(sliders - 38);
        assertThat(held(shelf.get("slider"))).isZero();
        assertThat(sumOfLines(batch)).isEqualTo(minor(batch.get("sheet").get("total")));
        List<JsonNode> goods = goodsOf(id);
        assertThat(goods.stream().mapToLong(one -> minor(one.get("totalCost"))).sum())
                .isEqualTo(minor(batch.get("sheet").get("total")));
        assertThat(goods.stream().mapToInt(one -> one.get("units").asInt()).sum())
                .isEqualTo(36);
        assertThat(goods.stream().filter(one -> one.get("quality").asString().equals("SECOND")))
                .hasSize(2);
    }

    /** Parting bags off and putting them back again, in any order, is as if nothing had happened; holds follow. */
    @Test
    void splittingAndJoiningAgainIsTheIdentity() {
        JsonNode whole = made(fiveLines());
        long id = whole.get("id").asLong();
        done(APP.post(
                "/api/batches/" + id + "/reserve",
                Map.of("version", whole.get("version").asLong())));
        whole = batch(id);
        long heldBefore = held(shelf.get("slider"));
        Random random = new Random(4);
        for (int round = 0; round < 4; round++) {
            JsonNode now = batch(id);
            List<Map<String, Object>> going = new ArrayList<>();
            for (JsonNode line : now.get("lines")) {
                int wanted = line.get("wanted").asInt();
                String units = switch (random.nextInt(3)) {
                    case 0 -> "";
                    case 1 -> Integer.toString(1 + random.nextInt(wanted - 1));
                    default -> going.isEmpty() ? Integer.toString(wanted) : "1";
                };
                going.add(Map.of("number", line.get("number").asInt(), "units", units));
            }
            going.set(4, Map.of("number", 5, "units", "1"));
            JsonNode other = done(APP.post(
                    "/api/batches/" + id + "/split",
                    Map.of(
                            "requestId",
                            UUID.randomUUID(),
                            "version",
                            now.get("version").asLong(),
                            "lines",
                            going)));
            assertThat(batch(id).get("sheet").get("units").asInt()
                            + other.get("sheet").get("units").asInt())
                    .isEqualTo(38);
            assertThat(held(shelf.get("slider"))).isEqualTo(heldBefore);
            JsonNode joined = done(APP.post(
                    "/api/batches/" + id + "/join",
                    Map.of(
                            "version",
                            batch(id).get("version").asLong(),
                            "otherId",
                            other.get("id").asLong(),
                            "otherVersion",
                            other.get("version").asLong())));
            assertThat(joined.get("lines")).isEqualTo(whole.get("lines"));
            assertThat(joined.get("sheet").get("needs"))
                    .isEqualTo(whole.get("sheet").get("needs"));
            assertThat(joined.get("sheet").get("total"))
                    .isEqualTo(whole.get("sheet").get("total"));
            assertThat(APP.get("/api/batches/" + other.get("id")).status()).isEqualTo(404);
            assertThat(held(shelf.get("slider"))).isEqualTo(heldBefore);
        }
        Answer all = APP.post(
                "/api/batches/" + id + "/split",
                Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "version",
                        batch(id).get("version").asLong(),
                        "lines",
                        batch(id)
                                .get("lines")
                                .valueStream()
                                .map(line -> Map.of(
                                        "number",
                                        line.get("number").asInt(),
                                        "units",
                                        line.get("started").asString()))
                                .toList()));
        assertThat(all.detail()).contains("none would stay");
        done(APP.post(
                "/api/batches/" + id + "/release",
                Map.of("version", batch(id).get("version").asLong())));
    }

    @Test
    void whatIsCutIsntJoinedToAnother() {
        JsonNode planned = made(form(line(null, pouch, "small", "3", rust)));
        JsonNode other = made(form(line(null, pouch, "small", "2", rust)));
        JsonNode cut = cut(other, null);
        Answer refused = APP.post(
                "/api/batches/" + planned.get("id") + "/join",
                Map.of(
                        "version",
                        planned.get("version").asLong(),
                        "otherId",
                        cut.get("id").asLong(),
                        "otherVersion",
                        cut.get("version").asLong()));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("only what was parted off a batch can be put back into it");
        Answer itself = APP.post(
                "/api/batches/" + planned.get("id") + "/join",
                Map.of(
                        "version",
                        planned.get("version").asLong(),
                        "otherId",
                        planned.get("id").asLong(),
                        "otherVersion",
                        planned.get("version").asLong()));
        assertThat(itself.detail()).contains("can't be joined to itself");
    }

    @Test
    void aBatchThatIsPutAsideIsLaidOnNoDay() {
        Map<String, Object> soon = form(line(null, pouch, "small", "1", rust));
        soon.put("dueOn", LocalDate.now().plusDays(1).toString());
        JsonNode planned = made(soon);
        long id = planned.get("id").asLong();
        JsonNode paused = done(APP.post(
                "/api/batches/" + id + "/pause",
                Map.of("version", planned.get("version").asLong())));
        assertThat(paused.get("paused").asBoolean()).isTrue();
        assertThat(lane(id).has("ready")).isFalse();
        assertThat(lane(id).get("late").asBoolean()).isFalse();
        done(APP.post(
                "/api/batches/" + id + "/resume",
                Map.of("version", paused.get("version").asLong())));
        assertThat(lane(id).has("ready")).isTrue();
    }

    /** The lining's thread is said; what matches is sewn cloth by cloth, and what is done isn't shown any more. */
    @Test
    void theOrderOfWorkChangesLessThanLineAfterLine() {
        JsonNode batch = made(fiveLines());
        String path = "/api/batches/" + batch.get("id") + "/order";
        JsonNode order = done(APP.get(path));
        assertThat(order.get("circle")).isEmpty();
        assertThat(order.get("proven").asBoolean()).isTrue();
        assertThat(order.get("changing").get("seconds").asLong())
                .isLessThan(order.get("lineByLine").get("seconds").asLong());
        JsonNode feet = order.get("kinds")
                .valueStream()
                .filter(kind -> kind.get("kind").asString().equals("FOOT"))
                .findFirst()
                .orElseThrow();
        assertThat(feet.get("now").asInt()).isLessThan(feet.get("lineByLine").asInt());
        assertThat(order.get("turns").get(0).get("lines").toString()).isEqualTo("[1,2,3,4,5]");
        assertThat(order.get("turns").toString()).contains("thread matching Outer", "thread matching Rust");
        long changes = order.get("turns")
                .valueStream()
                .mapToLong(turn -> turn.get("changes").size())
                .sum();
        long counted = order.get("kinds")
                .valueStream()
                .mapToLong(kind -> kind.get("now").asLong())
                .sum();
        assertThat(changes).isEqualTo(counted);
        JsonNode cut = cut(batch(batch.get("id").asLong()), null);
        done(APP.post("/api/batches/" + batch.get("id") + "/finish", finish(cut, Map.of(2, "8/0/0"))));
        JsonNode rest = done(APP.get(path));
        assertThat(texts(rest.get("turns"), "stage")).doesNotContain("CUT");
        assertThat(rest.get("turns")
                        .valueStream()
                        .flatMap(turn -> turn.get("lines").valueStream()))
                .isNotEmpty()
                .noneMatch(line -> line.asInt() == 2);
    }

    @Test
    void aBatchThatIsGivenUpIsTakenUpAgainAsItWas() {
        JsonNode planned = made(fiveLines());
        long id = planned.get("id").asLong();
        String path = "/api/batches/" + id;
        done(APP.post(
                path + "/reserve", Map.of("version", planned.get("version").asLong())));
        planned = batch(id);
        long heldBefore = held(shelf.get("slider"));
        JsonNode gone = done(APP.post(
                path + "/give-up", Map.of("version", planned.get("version").asLong())));
        assertThat(gone.get("stage").asString()).isEqualTo("DROPPED");
        assertThat(held(shelf.get("slider"))).isEqualTo(heldBefore - 38);
        assertThat(ids("/api/batches?list=OPEN")).doesNotContain(id);
        assertThat(ids("/api/batches?list=FINISHED")).contains(id);
        long version = gone.get("version").asLong();
        assertThat(APP.post(path + "/cut", Map.of("version", version, "reason", ""))
                        .status())
                .isEqualTo(422);
        assertThat(APP.post(path + "/take-up", Map.of("version", version, "line", 1, "units", "1"))
                        .status())
                .isEqualTo(422);
        JsonNode again = done(APP.post(path + "/plan-again", Map.of("version", version)));
        assertThat(again.get("stage").asString()).isEqualTo("PLANNED");
        assertThat(again.get("lines")).isEqualTo(planned.get("lines"));
        assertThat(again.get("sheet").get("total"))
                .isEqualTo(planned.get("sheet").get("total"));
        assertThat(APP.post(
                                path + "/plan-again",
                                Map.of("version", again.get("version").asLong()))
                        .detail())
                .contains("isn't given up");
        long last = done(APP.post(
                        path + "/give-up",
                        Map.of("version", again.get("version").asLong())))
                .get("version")
                .asLong();
        assertThat(APP.delete(path + "?version=" + last).status()).isEqualTo(204);
        assertThat(APP.get(path).status()).isEqualTo(404);
    }

    private static JsonNode lane(long id) {
        return APP.get("/api/bench")
                .body()
                .get("lanes")
                .valueStream()
                .filter(lane -> lane.get("batch").get("id").asLong() == id)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void oneMoreAndOneFewerOfALineAreSaidAsTheyAre() {
        Answer answer = APP.post("/api/batches/marginal?line=1", fiveLines());
        JsonNode more = done(answer).get("more");
        assertThat(more.get("money").asString()).startsWith("+");
        assertThat(more.get("time").asString()).startsWith("+");
        assertThat(more.get("materials").toString()).contains("Slider +1").doesNotContain("Outer ");
        assertThat(answer.body().get("fewer").get("money").asString()).startsWith("−");
        assertThat(answer.body().get("fewer").get("materials").toString()).contains("Slider −1");
        assertThat(APP.post("/api/batches/marginal?line=7", fiveLines()).status())
                .isEqualTo(404);
    }

    @Test
    void aBatchThatIsChangedDoesNotQueueBehindItself() {
        Map<String, Object> form = fiveLines();
        form.put("dueOn", "2020-01-06");
        String alone = done(APP.post("/api/batches/marginal?line=1", form))
                .get("more")
                .get("ready")
                .asString();
        JsonNode kept = made(form);
        form.put("batchId", kept.get("id").asLong());
        assertThat(done(APP.post("/api/batches/marginal?line=1", form))
                        .get("more")
                        .get("ready")
                        .asString())
                .isEqualTo(alone);
        assertThat(APP.delete("/api/batches/" + kept.get("id").asLong() + "?version="
                                + kept.get("version").asLong())
                        .status())
                .isEqualTo(204);
    }

    @Test
    void aLineIsFoundByItsDesignItsPurposeAndItsStage() {
        Map<String, Object> form = form(line(null, tote, "small", "2", rust));
        form.put("forWhat", "Lantern {Quay} ç");
        long id = made(form).get("id").asLong();
        assertThat(ids("/api/batches?q=lantern%20%7Bquay%7D%20%C3%A7")).containsExactly(id);
        assertThat(ids("/api/batches?q=other%20pouch&list=PLANNED")).contains(id);
        assertThat(ids("/api/batches?list=OPEN&design=" + tote)).contains(id);
        assertThat(ids("/api/batches?for=Lantern%20%7BQuay%7D%20%C3%A7")).containsExactly(id);
        assertThat(ids("/api/batches?for=Lantern")).isEmpty();
        assertThat(ids("/api/batches?list=FINISHED")).doesNotContain(id);
        assertThat(ids("/api/batches?q=nothing%20of%20that%20name")).isEmpty();
    }

    private static List<Long> ids(String path) {
        return APP.get(path)
                .body()
                .get("items")
                .valueStream()
                .map(one -> one.get("id").asLong())
                .toList();
    }

    private static JsonNode cut(JsonNode batch, List<Long> cloths) {
        Map<String, Object> form = new HashMap<>(Map.of(
                "version",
                batch.get("version").asLong(),
                "mark",
                batch.get("sheet").get("mark").asString(),
                "reason",
                "",
                "keep",
                List.of()));
        if (cloths != null) {
            form.put("cloths", cloths);
        }
        return done(APP.post("/api/batches/" + batch.get("id") + "/cut", form));
    }

    /** Bags that are done: by line, “good/seconds/scrap”. */
    private static Map<String, Object> finish(JsonNode batch, Map<Integer, String> lines) {
        return Map.of(
                "version",
                batch.get("version").asLong(),
                "reason",
                "",
                "lines",
                lines.entrySet().stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(line -> {
                            String[] counts = line.getValue().split("/");
                            return Map.of(
                                    "number",
                                    line.getKey(),
                                    "good",
                                    counts[0],
                                    "seconds",
                                    counts[1],
                                    "scrap",
                                    counts[2]);
                        })
                        .toList());
    }

    private static List<JsonNode> goodsOf(long batch) {
        return APP.get("/api/finished-goods?size=100")
                .body()
                .get("page")
                .get("items")
                .valueStream()
                .filter(one -> one.path("batchId").asLong(0) == batch)
                .toList();
    }

    private static long onHand(long material) {
        return amount(material, "onHand");
    }

    private static long held(long material) {
        return amount(material, "onHand") - amount(material, "free");
    }

    private static long amount(long material, String which) {
        return APP.get("/api/materials/" + material)
                .body()
                .get(which)
                .get("value")
                .asLong();
    }
}
