package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Predicate;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Batches under random sequences of all that can be done to them: what was on the shelf is on the shelf, cut and not sewn, in bags, or spoiled,
 * in number and in money. An hour of work costs nothing here, so that a bag costs just what its materials cost.
 */
class NothingIsLostTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    /** All that can be done; a sequence goes on until each was done at least once. */
    private static final Set<String> ALL = Set.of(
            "bring",
            "cut",
            "cut one cloth",
            "cut short",
            "finish",
            "give up",
            "hold",
            "join",
            "pause",
            "plan",
            "put back",
            "give away",
            "split",
            "split cut",
            "take up",
            "throw away");

    private static final int STEPS = 90;

    private final Random random = new Random(25);
    private final Map<String, Integer> done = new TreeMap<>();
    private Map<String, Long> shelf;
    private long rust;
    private List<Long> designs;
    private Map<String, Long> perBag;

    /** Pieces of all cloths that were ever cut, and those that left by hand or were thrown away unsewn. */
    private long cutPieces;

    /** Batches with pieces that came for a cloth that isn't cut yet: which of their bags these are for can't be seen. */
    private final Set<Long> partlyBrought = new HashSet<>();

    private long goneByHand;
    private long thrownAway;
    private long goneMinor;

    @Test
    void underAnyCommands() {
        ObjectNode settings = APP.settings("INCH");
        settings.put("hourlyRate", "0").put("overheadPerHour", "0");
        ok(APP.put("/api/settings", settings));
        shelf = APP.pouchShelf("90 yd");
        rust = APP.enter(APP.cloth("Rust", "44 in", "11.13", "60 yd"));
        designs = List.of(APP.pouch("Lined pouch"), APP.pouch("Other pouch"));
        perBag = piecesOfOne();
        long sliders = onHand(shelf.get("slider"));
        long worth = worth();
        for (int step = 0; step < STEPS || !done.keySet().equals(ALL) && step < 4 * STEPS; step++) {
            String what = step();
            if (step % 22 == 21) {
                assertNumbers(sliders, "step " + step + ", " + what);
            }
        }
        while (rows("OPEN").stream()
                .anyMatch(row -> !row.get("stage").asString().equals("PLANNED"))) {
            for (JsonNode row : rows("OPEN")) {
                switch (row.get("stage").asString()) {
                    case "CUTTING" -> cut(batch(row), true);
                    case "CUT" -> finish(batch(row), true);
                    default -> {}
                }
            }
        }
        assertThat(partlyBrought).isEmpty();
        assertNumbers(sliders, "at the end");
        long borne = 0;
        List<JsonNode> closed = rows("FINISHED");
        for (JsonNode row : closed) {
            long total = row.get("total").get("minor").asLong();
            borne += total;
            if (row.get("doneUnits").asInt() > 0) {
                assertThat(goodsOf(row.get("id").asLong()))
                        .as("goods of batch %s", row.get("id"))
                        .isEqualTo(total);
            }
        }
        // A cent for what is rounded once: each batch's cost, and each material's worth.
        assertThat(worth() + borne + goneMinor).isCloseTo(worth, offset((long) closed.size() + 7));
        assertThat(done.keySet()).isEqualTo(ALL);
    }

    private String step() {
        List<JsonNode> open = rows("OPEN");
        if (open.size() < 3) {
            return plan();
        }
        JsonNode batch = batch(open.get(random.nextInt(open.size())));
        boolean planned = batch.get("stage").asString().equals("PLANNED");
        boolean many = open.size() > 5;
        return switch (random.nextInt(20)) {
            case 0, 1, 2 -> many ? finish(batch, true) : plan();
            case 3 -> random.nextBoolean() ? hold(batch) : pause(batch);
            case 4, 5 -> planned ? split(batch, "split") : cut(batch, true);
            case 6 -> join(open);
            case 7 -> planned ? giveUp(batch) : putBack(open);
            case 8 -> putBack(open);
            case 9, 10 -> cut(batch, false);
            case 11 -> cut(batch, true);
            case 12 -> planned ? cut(batch, true) : split(batch, "split cut");
            case 13, 14, 15 -> cutShort(batch);
            case 16 -> takeUp();
            case 17 -> byHand();
            default -> finish(batch, false);
        };
    }

    private String counted(String what) {
        done.merge(what, 1, Integer::sum);
        return what;
    }

    private String plan() {
        List<Map<String, Object>> lines = new ArrayList<>();
        for (int i = 0; i <= random.nextInt(3); i++) {
            Map<String, Long> materials = new LinkedHashMap<>(shelf);
            if (random.nextBoolean()) {
                materials.put("outer", rust);
            }
            lines.add(new HashMap<>(Map.of(
                    "designId",
                    designs.get(random.nextInt(2)),
                    "sizeName",
                    random.nextInt(3) == 0 ? "small" : "medium",
                    "units",
                    Integer.toString(1 + random.nextInt(6)),
                    "ownPrice",
                    "",
                    "materials",
                    materials.entrySet().stream()
                            .map(slot -> Map.of("slot", slot.getKey(), "materialId", slot.getValue()))
                            .toList())));
        }
        Map<String, Object> form = new HashMap<>(Map.of(
                "requestId", UUID.randomUUID(), "version", 0, "forWhat", "", "offcuts", List.of(), "lines", lines));
        JsonNode offers = ok(APP.post("/api/batches/preview", form)).get("cutBefore");
        Map<Integer, List<Map<String, Object>>> brought = new HashMap<>();
        for (JsonNode offer : offers) {
            if (random.nextInt(3) > 0) {
                brought.computeIfAbsent(offer.get("line").asInt() - 1, line -> new ArrayList<>())
                        .add(Map.of(
                                "materialId",
                                offer.get("materialId").asLong(),
                                "bags",
                                1 + random.nextInt(offer.get("bags").asInt())));
            }
        }
        brought.forEach((line, its) -> lines.get(line).put("brought", its));
        ok(APP.post("/api/batches", form));
        return counted(brought.isEmpty() ? "plan" : "bring");
    }

    private String hold(JsonNode batch) {
        String way = random.nextInt(3) == 0 ? "/release" : "/reserve";
        ok(APP.post(path(batch) + way, Map.of("version", batch.get("version").asLong())));
        return counted("hold");
    }

    private String pause(JsonNode batch) {
        String way = batch.get("paused").asBoolean() ? "/resume" : "/pause";
        ok(APP.post(path(batch) + way, Map.of("version", batch.get("version").asLong())));
        return counted("pause");
    }

    private String giveUp(JsonNode batch) {
        Answer gone =
                APP.delete(path(batch) + "?version=" + batch.get("version").asLong());
        assertThat(gone.status()).isEqualTo(204);
        return counted("give up");
    }

    private String cut(JsonNode batch, boolean all) {
        List<Long> uncut = batch.get("cloths")
                .valueStream()
                .filter(cloth -> !cloth.get("cut").asBoolean())
                .map(cloth -> cloth.get("materialId").asLong())
                .toList();
        String stage = batch.get("stage").asString();
        if (!stage.equals("PLANNED") && !stage.equals("CUTTING")) {
            return "nothing to cut";
        }
        List<Long> now = all || uncut.size() < 2 ? uncut : List.of(uncut.get(random.nextInt(uncut.size())));
        List<String> names = batch.get("cloths")
                .valueStream()
                .filter(cloth -> now.contains(cloth.get("materialId").asLong()))
                .map(cloth -> cloth.get("name").asString())
                .toList();
        for (JsonNode row : batch.get("sheet").get("cutList")) {
            if (names.contains(row.get("from").asString())) {
                cutPieces += row.get("count").asLong();
            }
        }
        boolean brought = batch.get("lines")
                .valueStream()
                .anyMatch(line -> !line.get("brought").isEmpty());
        if (now.size() == uncut.size()) {
            partlyBrought.remove(batch.get("id").asLong());
        } else if (brought) {
            partlyBrought.add(batch.get("id").asLong());
        }
        ok(APP.post(
                path(batch) + "/cut",
                Map.of(
                        "version",
                        batch.get("version").asLong(),
                        "mark",
                        batch.get("sheet").get("mark").asString(),
                        "reason",
                        "",
                        "keep",
                        List.of(),
                        "cloths",
                        now)));
        return counted(now.size() < uncut.size() ? "cut one cloth" : "cut");
    }

    private String finish(JsonNode batch, boolean all) {
        if (!batch.get("stage").asString().equals("CUT")) {
            return "nothing to finish";
        }
        List<Map<String, Object>> lines = new ArrayList<>();
        for (JsonNode line : batch.get("lines")) {
            int open = line.get("open").asInt();
            int its = all || open == 0 ? open : random.nextInt(open + 1);
            int good = its == 0 ? 0 : random.nextInt(its + 1);
            int seconds = its == good ? 0 : random.nextInt(its - good + 1);
            if (all) {
                good = its;
                seconds = 0;
            }
            lines.add(Map.of(
                    "number",
                    line.get("number").asInt(),
                    "good",
                    Integer.toString(good),
                    "seconds",
                    Integer.toString(seconds),
                    "scrap",
                    Integer.toString(its - good - seconds)));
        }
        Answer answer = APP.post(
                path(batch) + "/finish",
                Map.of("version", batch.get("version").asLong(), "reason", "", "lines", lines));
        if (answer.status() != 200) {
            assertThat(answer.detail()).contains("Nothing is said to be done");
            return "nothing finished";
        }
        return counted("finish");
    }

    private List<Map<String, Object>> some(JsonNode batch, String of) {
        List<Map<String, Object>> lines = new ArrayList<>();
        for (JsonNode line : batch.get("lines")) {
            int most = line.get(of).asInt();
            lines.add(Map.of(
                    "number",
                    line.get("number").asInt(),
                    "units",
                    most == 0 || random.nextBoolean() ? "" : Integer.toString(1 + random.nextInt(most))));
        }
        return lines;
    }

    private String split(JsonNode batch, String what) {
        Answer answer = APP.post(
                path(batch) + "/split",
                Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "version",
                        batch.get("version").asLong(),
                        "lines",
                        some(batch, "open")));
        if (answer.status() != 200) {
            assertThat(answer.body().toString())
                    .containsAnyOf(
                            "none would stay", "Nothing is said to go", "are wanted and", "Cut that cloth first");
            return "no split";
        }
        return counted(what);
    }

    private Answer joined(JsonNode into, JsonNode other) {
        return APP.post(
                path(into) + "/join",
                Map.of(
                        "version",
                        into.get("version").asLong(),
                        "otherId",
                        other.get("id").asLong(),
                        "otherVersion",
                        other.get("version").asLong()));
    }

    private String join(List<JsonNode> open) {
        List<JsonNode> planned = open.stream()
                .filter(row -> row.get("stage").asString().equals("PLANNED"))
                .toList();
        if (planned.size() < 2) {
            return "nothing to join";
        }
        ok(joined(batch(planned.get(0)), batch(planned.get(1))));
        return counted("join");
    }

    /** What was parted off goes back, and both are then as the whole was. */
    private String putBack(List<JsonNode> open) {
        for (JsonNode row : open) {
            JsonNode part = batch(row);
            if (part.hasNonNull("partedFrom")) {
                JsonNode whole = APP.get(
                                "/api/batches/" + part.get("partedFrom").asLong())
                        .body();
                Answer answer = joined(whole, part);
                if (answer.status() == 200) {
                    return counted("put back");
                }
                assertThat(answer.detail()).containsAnyOf("They stay apart", "is finished; nothing is put back");
            }
        }
        return "nothing to put back";
    }

    private String cutShort(JsonNode batch) {
        boolean throwAway = random.nextInt(3) == 0;
        long before = throwAway ? unsewn().count() : 0;
        long made = throwAway ? madeOrBegun(all()) : 0;
        Answer answer = APP.post(
                path(batch) + "/cut-short",
                Map.of(
                        "version",
                        batch.get("version").asLong(),
                        "throwAway",
                        throwAway,
                        "reason",
                        "",
                        "lines",
                        some(batch, "open")));
        if (answer.status() != 200) {
            assertThat(answer.body().toString())
                    .containsAnyOf("Nothing is said to go", "is cut yet", "Cut that cloth first");
            return "not cut short";
        }
        if (throwAway) {
            assertThat(unsewn().count()).isEqualTo(before);
            thrownAway += made - madeOrBegun(all());
        }
        return counted("cut short");
    }

    private String takeUp() {
        Optional<JsonNode> found =
                pick(piece -> true).map(piece -> batch(piece.get("batchId").asLong()));
        if (found.isEmpty()) {
            return "nothing to take up";
        }
        JsonNode batch = found.get();
        for (JsonNode line : batch.get("lines")) {
            if (line.get("putBy").asInt() > 0) {
                Answer answer = APP.post(
                        path(batch) + "/take-up",
                        Map.of(
                                "version",
                                batch.get("version").asLong(),
                                "line",
                                line.get("number").asInt(),
                                "units",
                                Integer.toString(
                                        1 + random.nextInt(line.get("putBy").asInt()))));
                if (answer.status() == 200) {
                    return counted("take up");
                }
                assertThat(answer.detail())
                        .containsAnyOf("takes nothing more up", "was cut without these bags", "Cut that cloth first");
            }
        }
        return "nothing taken up";
    }

    private String byHand() {
        Optional<JsonNode> found =
                pick(piece -> piece.get("pieces").asLong() > piece.get("held").asLong());
        if (found.isEmpty()) {
            return "nothing to sell";
        }
        JsonNode piece = found.get();
        boolean given = random.nextBoolean();
        Unsewn before = unsewn();
        Answer answer = APP.post(
                "/api/cut-pieces/movements",
                Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "kind",
                        given ? "GIVEN_AWAY" : "THROWN_AWAY",
                        "ids",
                        List.of(piece.get("id").asLong()),
                        "count",
                        "1",
                        "forBags",
                        false,
                        "reason",
                        "moth"));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(204);
        Unsewn after = unsewn();
        assertThat(after.count()).isEqualTo(before.count() - 1);
        goneByHand++;
        goneMinor += before.minor() - after.minor();
        return counted(given ? "give away" : "throw away");
    }

    private Optional<JsonNode> pick(Predicate<JsonNode> wanted) {
        List<JsonNode> pieces = APP.get("/api/cut-pieces?size=200")
                .body()
                .get("page")
                .get("items")
                .valueStream()
                .filter(wanted)
                .toList();
        return pieces.isEmpty() ? Optional.empty() : Optional.of(pieces.get(random.nextInt(pieces.size())));
    }

    private record Unsewn(long count, long minor) {}

    private static Unsewn unsewn() {
        JsonNode view = APP.get("/api/cut-pieces?size=200").body();
        JsonNode items = view.get("page").get("items");
        long minor = items.valueStream()
                .mapToLong(one -> one.get("worth").get("minor").asLong())
                .sum();
        assertThat(view.get("total").get("minor").asLong()).isEqualTo(minor);
        return new Unsewn(
                items.valueStream().mapToLong(one -> one.get("pieces").asLong()).sum(), minor);
    }

    private static List<JsonNode> all() {
        return rows("ALL").stream().map(NothingIsLostTest::batch).toList();
    }

    /** Pieces of cut cloths in the bags of all batches, made or begun. */
    private long madeOrBegun(List<JsonNode> batches) {
        long pieces = 0;
        for (JsonNode batch : batches) {
            if (batch.get("stage").asString().equals("PLANNED")) {
                continue;
            }
            for (JsonNode line : batch.get("lines")) {
                pieces += line.get("started").asLong() * piecesOfABag(line, batch);
            }
        }
        return pieces;
    }

    /** How many pieces of one bag of a line are cut. */
    private long piecesOfABag(JsonNode line, JsonNode batch) {
        long pieces = 0;
        for (JsonNode slot : line.get("materials")) {
            String key = slot.get("slot").asString();
            boolean isCut = batch.get("cloths")
                    .valueStream()
                    .anyMatch(cloth -> cloth.get("materialId").equals(slot.get("materialId"))
                            && cloth.get("cut").asBoolean());
            if (isCut) {
                pieces += perBag.getOrDefault(key, 0L);
            }
        }
        return pieces;
    }

    /** How many pieces of each slot one bag has: what one bag of a plan is cut from. */
    private Map<String, Long> piecesOfOne() {
        JsonNode sheet = ok(APP.post("/api/batches/preview", RunningApp.batch(designs.get(0), "1", shelf, List.of())));
        Map<String, Long> pieces = new HashMap<>();
        for (JsonNode row : sheet.get("cutList")) {
            pieces.merge(
                    row.get("from").asString().toLowerCase(), row.get("count").asLong(), Long::sum);
        }
        return pieces;
    }

    private void assertNumbers(long sliders, String when) {
        long bags = 0;
        List<JsonNode> batches = all();
        for (JsonNode batch : batches) {
            for (JsonNode line : batch.get("lines")) {
                bags += line.get("good").asLong()
                        + line.get("seconds").asLong()
                        + line.get("scrap").asLong();
            }
            if (batch.get("sheet").hasNonNull("total")) {
                long lines = batch.get("sheet")
                        .get("lines")
                        .valueStream()
                        .mapToLong(line -> line.get("total").get("minor").asLong())
                        .sum();
                assertThat(lines)
                        .as(when)
                        .isEqualTo(batch.get("sheet").get("total").get("minor").asLong());
            }
        }
        assertThat(onHand(shelf.get("slider"))).as(when).isEqualTo(sliders - bags);
        if (!partlyBrought.isEmpty()) {
            return;
        }
        assertThat(madeOrBegun(batches) + unsewn().count() + thrownAway + goneByHand)
                .as(when)
                .isEqualTo(cutPieces);
    }

    private static List<JsonNode> rows(String list) {
        return APP.get("/api/batches?size=200" + (list.equals("ALL") ? "" : "&list=" + list))
                .body()
                .get("items")
                .valueStream()
                .toList();
    }

    private static JsonNode batch(JsonNode row) {
        return batch(row.get("id").asLong());
    }

    private static JsonNode batch(long id) {
        return APP.get("/api/batches/" + id).body();
    }

    private static String path(JsonNode batch) {
        return "/api/batches/" + batch.get("id").asLong();
    }

    private static JsonNode ok(Answer answer) {
        assertThat(answer.status()).as(answer.body().toString()).isIn(200, 201);
        return answer.body();
    }

    private static long goodsOf(long batch) {
        return APP.get("/api/finished-goods?size=200&all=true")
                .body()
                .get("page")
                .get("items")
                .valueStream()
                .filter(one -> one.path("batchId").asLong(0) == batch)
                .mapToLong(one -> one.get("totalCost").get("minor").asLong())
                .sum();
    }

    private static long onHand(long material) {
        return APP.get("/api/materials/" + material)
                .body()
                .get("onHand")
                .get("value")
                .asLong();
    }

    private static long worth() {
        return APP.get("/api/stock-value").body().get("total").get("minor").asLong();
    }
}
