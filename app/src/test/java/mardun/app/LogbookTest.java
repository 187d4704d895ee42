package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** The book tells what happened, by day; what was measured wrongly is put right in it, and notes come back. */
class LogbookTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static AtTheBench bench;

    @BeforeAll
    static void shelf() {
        bench = new AtTheBench(APP, "900 yd");
    }

    private static List<JsonNode> lines(String query) {
        List<JsonNode> lines = new ArrayList<>();
        bench.ok(APP.get("/api/logbook" + query))
                .get("days")
                .forEach(day -> day.get("lines").forEach(lines::add));
        return lines;
    }

    private static List<String> sentences(String query) {
        return lines(query).stream()
                .map(line -> line.get("sentence").asString())
                .toList();
    }

    private static String words(String query) {
        return "?query=" + URLEncoder.encode(query, StandardCharsets.UTF_8);
    }

    private static Map<String, Object> on(Map<String, Object> entry, LocalDate day, int hour) {
        entry.put(
                "at",
                day.atTime(hour, 0).atZone(ZoneId.systemDefault()).toInstant().toString());
        return entry;
    }

    @Test
    void aDayIsToldInSentences() {
        long batch = bench.batch(APP.pouch("Told pouch"), "6");
        JsonNode turn = bench.turn(bench.work(batch, List.of()), "Topstitch along the zip");
        LocalDate day = LocalDate.of(2025, 3, 9);
        bench.work(
                batch,
                List.of(
                        on(bench.entry(batch, turn, "SET_UP", 0, 120), day, 9),
                        on(bench.worked(batch, turn, 2, 300), day, 10),
                        on(bench.worked(batch, turn, 1, 150), day, 11),
                        on(bench.worked(batch, turn, 1, 150), day.plusDays(1), 8)));
        JsonNode book = bench.ok(APP.get("/api/logbook?before=2025-03-10"));
        assertThat(book.get("days")).hasSize(1);
        JsonNode told = book.get("days").get(0);
        assertThat(told.get("day").asString()).isEqualTo("2025-03-09");
        assertThat(told.get("worked").get("seconds").asLong()).isEqualTo(570);
        assertThat(told.get("lines")
                        .valueStream()
                        .map(line -> line.get("sentence").asString()))
                .containsExactly(
                        "Topstitch along the zip: 3 of Told pouch medium, 7.5 min, 2.5 min each.",
                        "Set up for “Topstitch along the zip”, Told pouch medium, 2 min.");
        assertThat(told.get("lines").get(0).get("time").asString()).isEqualTo("11:00");
        assertThat(book.path("next").isNull() || book.path("next").isMissingNode())
                .isTrue();
    }

    @Test
    void whatIsLookedForIsFoundWhateverItIs() {
        long pouch = APP.pouch("Sought {pouch} ç 🧵");
        long batch = bench.batch(pouch, "6");
        bench.cut(batch);
        JsonNode turn = bench.turn(bench.work(batch, List.of()), "Box the corners");
        Map<String, Object> slip = bench.entry(batch, turn, "SLIPPED", 1, 240);
        slip.put("reason", "100 % puckered");
        slip.put("slip", Map.of("outcome", "MENDED", "usedUp", List.of()));
        bench.work(batch, List.of(slip));
        assertThat(sentences(words("100 % puckered")))
                .containsExactly(
                        "Box the corners: 1 of Sought {pouch} ç 🧵 medium went wrong, 100 % puckered; mended in 4 min.");
        assertThat(sentences(words("{pouch} ç 🧵"))).hasSize(3);
        bench.batch(pouch, "2");
        assertThat(sentences(words("{pouch} ç 🧵"))).as("one more is planned").hasSize(4);
        assertThat(sentences(words("nothing of the kind"))).isEmpty();
        assertThat(lines(words("tape")).stream()
                        .map(line -> line.get("kind").asString())
                        .distinct())
                .containsExactly("STOCK");
        assertThat(lines("?kind=SLIP"))
                .allMatch(line -> line.get("kind").asString().equals("SLIP"));
        assertThat(APP.get("/api/logbook?before=never").status()).isEqualTo(400);
    }

    /** A clock ran through the night: the time is put right, the estimate follows, and the book says so. */
    @Test
    void aTimeIsPutRightOrLeftOut() {
        long pouch = APP.pouch("Corrected pouch");
        long batch = bench.batch(pouch, "12");
        JsonNode turn = bench.turn(bench.work(batch, List.of()), "Turn and close the gap");
        Map<String, Object> night = bench.worked(batch, turn, 4, 40_000);
        bench.work(batch, List.of(night, bench.worked(batch, turn, 4, 800)));
        String sitting = "?batch=" + batch + "&line=1&step=close&day=" + LocalDate.now(ZoneId.systemDefault());
        List<JsonNode> times =
                bench.ok(APP.get("/api/logbook/times" + sitting)).valueStream().toList();
        assertThat(times).hasSize(2);
        Map<String, Object> form = new HashMap<>(Map.of(
                "id", UUID.randomUUID(), "event", night.get("id"), "leftOut", false, "minutes", "soon", "reason", ""));
        assertThat(APP.post("/api/logbook/corrections", form).on("minutes")).contains("soon");
        assertThat(APP.post("/api/logbook/corrections", form).on("reason")).contains("Say why");
        form.put("minutes", "13.5");
        form.put("reason", "the clock ran on");
        assertThat(APP.post("/api/logbook/corrections", form).status()).isEqualTo(204);
        assertThat(APP.post("/api/logbook/corrections", form).status())
                .as("sent twice")
                .isEqualTo(204);
        JsonNode right = bench.ok(APP.get("/api/logbook/times" + sitting)).get(0);
        assertThat(right.get("millis").asLong()).isEqualTo(810_000);
        assertThat(right.get("putRight").asBoolean()).isTrue();
        assertThat(right.get("reason").asString()).isEqualTo("the clock ran on");
        assertThat(sentences(words("Corrected pouch")).get(0))
                .contains(": 8 of Corrected pouch medium, 27 min")
                .endsWith("put right later.");
        form.put("id", UUID.randomUUID());
        form.put("leftOut", true);
        assertThat(APP.post("/api/logbook/corrections", form).status()).isEqualTo(204);
        assertThat(bench.ok(APP.get("/api/logbook/times" + sitting))
                        .get(0)
                        .get("leftOut")
                        .asBoolean())
                .isTrue();
        assertThat(bench.turn(bench.work(batch, List.of()), "Turn and close the gap")
                        .get("parts")
                        .get(0)
                        .get("done")
                        .asInt())
                .as("the bags are there all the same")
                .isEqualTo(8);
        form.put("event", UUID.randomUUID());
        form.put("id", UUID.randomUUID());
        assertThat(APP.post("/api/logbook/corrections", form).status()).isEqualTo(404);
    }

    /** From the bench or from a desk: it comes back where it is pinned, and nowhere else, until it is put away. */
    @Test
    void notesComeBackWhereTheyArePinned() {
        long pouch = APP.pouch("Noted pouch");
        long batch = bench.batch(pouch, "6");
        JsonNode turn = bench.turn(bench.work(batch, List.of()), "Box the corners");
        Map<String, Object> note = bench.entry(batch, turn, "NOTED", 0, 0);
        note.put("reason", "Pull the corner flat before you pin.");
        note.put("pin", pin(Map.of("about", "STEP", "designId", pouch, "step", "box", "stepName", "Box the corners")));
        JsonNode after = bench.work(batch, List.of(note, note));
        assertThat(after.get("refused")).isEmpty();
        assertThat(bench.turn(after, "Box the corners").get("notes")).hasSize(1);
        assertThat(bench.turn(after, "Topstitch along the zip").get("notes")).isEmpty();
        Map<String, Object> form = Map.of(
                "id", UUID.randomUUID(),
                "pin", pin(Map.of("about", "DESIGN", "designId", pouch)),
                "text", "The lining wants 1/8 in less.");
        assertThat(APP.post("/api/notes", form).status()).isEqualTo(204);
        assertThat(APP.post("/api/notes", form).status()).isEqualTo(204);
        long next = bench.batch(pouch, "2");
        JsonNode again = bench.work(next, List.of());
        assertThat(again.get("notes")).hasSize(1);
        JsonNode back = bench.turn(again, "Box the corners").get("notes").get(0);
        assertThat(back.get("text").asString()).isEqualTo("Pull the corner flat before you pin.");
        assertThat(back.get("batchId").asLong()).isEqualTo(batch);
        assertThat(bench.turn(bench.work(bench.batch(APP.pouch("Other pouch"), "2"), List.of()), "Box the corners")
                        .get("notes"))
                .isEmpty();
        String id = back.get("id").asString();
        assertThat(APP.put("/api/notes/" + id + "/put-away", Map.of("putAway", true))
                        .status())
                .isEqualTo(204);
        assertThat(bench.turn(bench.work(next, List.of()), "Box the corners").get("notes"))
                .isEmpty();
        assertThat(bench.ok(APP.get("/api/notes"))
                        .valueStream()
                        .map(one -> one.get("putAway").asBoolean()))
                .as("those that stand come first")
                .isSortedAccordingTo(Boolean::compare);
        Map<String, Object> empty =
                Map.of("id", UUID.randomUUID(), "pin", pin(Map.of("about", "DESIGN", "designId", pouch)), "text", " ");
        assertThat(APP.post("/api/notes", empty).on("text")).contains("says something");
        Map<String, Object> loose =
                Map.of("id", UUID.randomUUID(), "pin", pin(Map.of("about", "MATERIAL")), "text", "?");
        assertThat(APP.post("/api/notes", loose).status()).isEqualTo(422);
    }

    /** What was learnt changes the design: a measure, or a check at the step; and the note has had its day. */
    @Test
    void aNoteBecomesAChange() {
        long pouch = APP.pouch("Learning pouch");
        JsonNode width = measurement(pouch, "width");
        String now = width.get("values").get(0).asString();
        String figure = now.split(" ")[0];
        String unit = now.split(" ")[1];
        String note = note(pouch, "Too narrow at the base: " + figure + " -> 9");
        JsonNode lesson = bench.ok(APP.get("/api/notes/" + note + "/lesson"));
        JsonNode offer = lesson.get("measures").get(0);
        assertThat(offer.get("symbol").asString()).isEqualTo("width");
        assertThat(offer.get("then").asString()).isEqualTo("9 " + unit);
        Map<String, Object> take = Map.of("symbol", "width", "size", 0, "then", "9 " + unit);
        assertThat(APP.post("/api/notes/" + note + "/lesson", take).status()).isEqualTo(204);
        assertThat(measurement(pouch, "width").get("values").get(0).asString()).isEqualTo("9 " + unit);
        assertThat(APP.get("/api/notes/about?design=" + pouch).body()).isEmpty();

        String check = note(pouch, "Pull the corners flat, then pin.");
        assertThat(bench.ok(APP.get("/api/notes/" + check + "/lesson"))
                        .get("steps")
                        .valueStream()
                        .map(step -> step.get("step").asString()))
                .contains("box");
        assertThat(APP.post("/api/notes/" + check + "/lesson", Map.of("step", "box", "size", 0, "then", ""))
                        .status())
                .isEqualTo(204);
        assertThat(bench.turn(bench.work(bench.batch(pouch, "2"), List.of()), "Box the corners")
                        .get("parts")
                        .get(0)
                        .get("prompts")
                        .valueStream()
                        .map(prompt -> prompt.get("text").asString()))
                .contains("Pull the corners flat, then pin.");
        assertThat(APP.post("/api/notes/" + check + "/lesson", Map.of("step", "gone", "size", 0, "then", ""))
                        .status())
                .isEqualTo(404);
    }

    private static JsonNode measurement(long design, String symbol) {
        return bench.ok(APP.get("/api/designs/" + design))
                .get("document")
                .get("measurements")
                .valueStream()
                .filter(one -> one.get("symbol").asString().equals(symbol))
                .findFirst()
                .orElseThrow();
    }

    private static String note(long design, String text) {
        String id = UUID.randomUUID().toString();
        assertThat(APP.post(
                                "/api/notes",
                                Map.of(
                                        "id",
                                        id,
                                        "pin",
                                        pin(Map.of("about", "DESIGN", "designId", design)),
                                        "text",
                                        text))
                        .status())
                .isEqualTo(204);
        return id;
    }

    private static Map<String, Object> pin(Map<String, Object> said) {
        Map<String, Object> pin = new HashMap<>(Map.of("step", "", "stepName", "", "letter", "", "machine", ""));
        pin.putAll(said);
        return pin;
    }

    /** The needle has had its time by the hours at its machine, sooner with canvas; a new one is one touch, and stands in the book. */
    @Test
    void whatWearsIsCountedFromTheBench() {
        long batch = bench.batch(APP.pouch("Wearing pouch"), "40");
        JsonNode turn = bench.turn(bench.work(batch, List.of()), "Sew zip to outer and lining");
        String place = turn.get("place").asString();
        double before =
                Double.parseDouble(wear(place, "NEEDLE").get("since").asString().replace(" h", ""));
        JsonNode after = bench.work(batch, List.of(bench.worked(batch, turn, 20, 9 * 3600)));
        double worn =
                Double.parseDouble(wear(place, "NEEDLE").get("since").asString().replace(" h", ""));
        assertThat(worn - before).isBetween(8.9, 9.1);
        assertThat(wear(place, "NEEDLE").get("isDue").asBoolean()).isTrue();
        assertThat(bench.turn(after, "Sew zip to outer and lining").get("upkeep"))
                .isNotEmpty();
        Map<String, Object> done =
                Map.of("id", UUID.randomUUID(), "place", place, "kind", "NEEDLE", "note", "80 universal");
        bench.ok(APP.post("/api/upkeep", done));
        bench.ok(APP.post("/api/upkeep", done));
        assertThat(wear(place, "NEEDLE").get("since").asString()).isEqualTo("0 h");
        assertThat(wear(place, "NEEDLE").get("also").asString()).isEmpty();
        assertThat(sentences(words("80 universal"))).hasSize(1);
        Map<String, Object> limits = Map.of("limits", List.of(Map.of("kind", "OIL", "limit", "often")));
        assertThat(APP.put("/api/upkeep/limits", limits).on("limits.OIL")).contains("often");
        bench.ok(APP.put("/api/upkeep/limits", Map.of("limits", List.of(Map.of("kind", "OIL", "limit", "12.5")))));
        assertThat(wear(place, "OIL").get("limit").asString()).isEqualTo("12.5 h");
        // A medium panel is 27.4 cm wide: twenty of them are 5.48 m.
        bench.work(batch, List.of(bench.worked(batch, turn, 20, 600)));
        assertThat(wear(place, "NEEDLE").get("also").asString()).isEqualTo("about 5.5 m of seam");
    }

    /** A blade's limit is typed in yards where cloth is bought in yards, and comes back as it was typed. */
    @Test
    void theBladeWearsByTheYard() {
        assertThat(wear("CUTTING_TABLE", "BLADE").get("limit").asString()).isEqualTo("40 m");
        bench.ok(APP.put("/api/settings", APP.settings("INCH").put("usualSeam", "1 cm")));
        assertThat(wear("CUTTING_TABLE", "BLADE").get("limit").asString()).isEqualTo("43.7 yd");
        bench.ok(APP.put("/api/upkeep/limits", Map.of("limits", List.of(Map.of("kind", "BLADE", "limit", "50")))));
        assertThat(wear("CUTTING_TABLE", "BLADE").get("limit").asString()).isEqualTo("50 yd");
        long batch = bench.batch(APP.pouch("Cut pouch"), "4");
        JsonNode turn = bench.turn(bench.work(batch, List.of()), "Cut all pieces");
        bench.work(batch, List.of(bench.worked(batch, turn, 4, 1800)));
        assertThat(wear("CUTTING_TABLE", "BLADE").get("also").asString()).isEqualTo("0.5 h at the table");
        bench.ok(APP.put("/api/settings", APP.settings("METRIC").put("usualSeam", "1 cm")));
        assertThat(wear("CUTTING_TABLE", "BLADE").get("limit").asString()).isEqualTo("45.7 m");
    }

    private static JsonNode wear(String place, String kind) {
        return bench.ok(APP.get("/api/upkeep"))
                .get("machines")
                .valueStream()
                .filter(machine -> machine.get("place").asString().equals(place))
                .flatMap(machine -> machine.get("wears").valueStream())
                .filter(wear -> wear.get("kind").asString().equals(kind))
                .findFirst()
                .orElseThrow();
    }
}
