package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What a maker wants of an order of work is kept, priced, and laid on days. */
class WishesTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static Map<String, Long> shelf;
    private static long pouch;

    private long batch;

    @BeforeAll
    static void shelf() {
        shelf = APP.pouchShelf("90 yd");
        pouch = APP.pouch("Wished pouch");
    }

    @BeforeEach
    void batch() {
        batch = ok(APP.post("/api/batches", RunningApp.batch(pouch, "6", shelf, List.of())))
                .get("id")
                .asLong();
    }

    private static JsonNode ok(Answer answer) {
        assertThat(answer.status()).as(answer.body().toString()).isBetween(200, 201);
        return answer.body();
    }

    private JsonNode order() {
        return ok(APP.get("/api/batches/" + batch + "/order"));
    }

    private Answer wish(
            long version, List<Map<String, String>> before, String thread, List<Map<String, String>> without) {
        return APP.put(
                "/api/batches/" + batch + "/wishes",
                Map.of(
                        "version",
                        version,
                        "wishes",
                        Map.of("before", before, "threadFirst", thread, "without", without)));
    }

    private static int place(JsonNode order, String key) {
        return IntStream.range(0, order.get("turns").size())
                .filter(i -> order.get("turns").get(i).get("key").asString().equals(key))
                .findFirst()
                .orElseThrow();
    }

    /** Two neighbours that may change places. */
    private static int movable(JsonNode order) {
        return IntStream.range(1, order.get("turns").size())
                .filter(i ->
                        order.get("turns").get(i).get("after").valueStream().noneMatch(first -> first.asInt() == i - 1))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aWishIsKeptPricedAndTakenBack() {
        JsonNode best = order();
        int at = movable(best);
        String first = best.get("turns").get(at).get("key").asString();
        String then = best.get("turns").get(at - 1).get("key").asString();
        JsonNode wished =
                ok(wish(best.get("version").asLong(), List.of(Map.of("first", first, "then", then)), "", List.of()));
        assertThat(place(wished, first)).isLessThan(place(wished, then));
        assertThat(wished.get("prices").get(0).get("more").asString()).startsWith("+");
        assertThat(wished.get("prices").get(0).get("asksForNothing").asBoolean())
                .isFalse();
        assertThat(wished.get("changing").get("seconds").asLong())
                .isGreaterThanOrEqualTo(best.get("changing").get("seconds").asLong());
        assertThat(order()).as("it is still wanted tomorrow").isEqualTo(wished);
        assertThat(wish(best.get("version").asLong(), List.of(), "", List.of()).status())
                .as("another tab still has it as it was before")
                .isEqualTo(409);
        JsonNode back = ok(wish(wished.get("version").asLong(), List.of(), "", List.of()));
        assertThat(back.get("turns")).isEqualTo(best.get("turns"));
        assertThat(back.get("prices")).isEmpty();
    }

    @Test
    void whatCannotBeIsRefusedWithItsPlaces() {
        JsonNode best = order();
        JsonNode last = best.get("turns").get(best.get("turns").size() - 1);
        JsonNode cut = best.get("turns").get(0);
        Answer refused = wish(
                best.get("version").asLong(),
                List.of(Map.of(
                        "first",
                        last.get("key").asString(),
                        "then",
                        cut.get("key").asString())),
                "",
                List.of());
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail())
                .startsWith("These wishes can't all be met: ")
                .contains(last.get("name").asString(), "would wait for", "Take one of them back");
        assertThat(order()).isEqualTo(best);
    }

    @Test
    void whatCouldBeDoneWithoutSavesWhatIsSaid() {
        JsonNode best = order();
        JsonNode saving =
                ok(APP.get("/api/batches/" + batch + "/order/savings")).get(0);
        assertThat(saving.get("change").asString()).isNotBlank();
        Map<String, String> without = Map.of(
                "turn", saving.get("without").get("turn").asString(),
                "part", saving.get("without").get("part").asString());
        JsonNode done = ok(wish(best.get("version").asLong(), List.of(), "", List.of(without)));
        assertThat(best.get("changing").get("seconds").asLong()
                        - done.get("changing").get("seconds").asLong())
                .isEqualTo(saving.get("saves").get("seconds").asLong());
        assertThat(done.get("prices").get(0).get("more").asString())
                .isEqualTo("−" + saving.get("saves").get("text").asString());
    }

    @Test
    void aWishAboutWhatIsDoneAsksForNothing() {
        JsonNode best = order();
        ok(wish(
                best.get("version").asLong(),
                List.of(Map.of(
                        "first",
                        "sew the frill|7",
                        "then",
                        best.get("turns").get(1).get("key").asString())),
                "lilac {0}",
                List.of()));
        JsonNode order = order();
        assertThat(order.get("turns")).isEqualTo(best.get("turns"));
        assertThat(order.get("prices").get(0).get("words").asString())
                .isEqualTo("What is sewn with lilac {0} thread first");
        assertThat(order.get("prices").get(1).get("asksForNothing").asBoolean()).isTrue();
    }

    @Test
    void theNearestThreadMatchesUnlessAnotherIsChosen() {
        assertThat(order().get("matches").get(0).get("name").asString()).isEqualTo("matching Outer");
        long near = thread("Near thread", "#3a6b9c");
        long far = thread("Far thread", "#4c5866");
        JsonNode best = order();
        JsonNode match = best.get("matches").get(0);
        assertThat(match.get("thread").asLong()).isEqualTo(near);
        assertThat(match.get("isChosen").asBoolean()).isFalse();
        assertThat(best.get("threads").toString()).contains("Near thread").doesNotContain("matching");
        Map<String, Object> wishes = Map.of(
                "before",
                List.of(),
                "threadFirst",
                "",
                "without",
                List.of(),
                "matching",
                List.of(Map.of("cloth", match.get("cloth").asLong(), "thread", far)));
        JsonNode chosen = ok(APP.put(
                "/api/batches/" + batch + "/wishes",
                Map.of("version", best.get("version").asLong(), "wishes", wishes)));
        assertThat(chosen.get("matches").get(0).get("isChosen").asBoolean()).isTrue();
        assertThat(chosen.get("threads").toString()).contains("Far thread").doesNotContain("Near thread");
    }

    private static long thread(String name, String colour) {
        Map<String, Object> thread = new HashMap<>(APP.material("THREAD", name, "", "3.00", "100 m", ""));
        thread.put("colour", colour);
        return APP.enter(thread);
    }

    @Test
    void aFootThatNobodyHasIsNamed() {
        assertThat(order().get("lacks")).isEmpty();
        JsonNode settings = APP.get("/api/settings").body();
        ((ObjectNode) settings)
                .putObject("equipment")
                .put("feet", "standard foot")
                .put("needles", "");
        JsonNode saved = ok(APP.put("/api/settings", settings));
        assertThat(order().get("lacks").toString()).contains("needs zip foot, which isn't among what you have.");
        ((ObjectNode) saved).putObject("equipment").put("feet", "").put("needles", "");
        ok(APP.put("/api/settings", saved));
        assertThat(order().get("lacks")).isEmpty();
    }

    private Answer doneSo(long version, Map<String, Object> more) {
        Map<String, Object> wishes =
                new HashMap<>(Map.of("before", List.of(), "threadFirst", "", "without", List.of()));
        wishes.putAll(more);
        return APP.put("/api/batches/" + batch + "/wishes", Map.of("version", version, "wishes", wishes));
    }

    @Test
    void bundlesAreKeptPricedAndTakenBack() {
        JsonNode best = order();
        JsonNode bundled = ok(doneSo(best.get("version").asLong(), Map.of("bundle", 3)));
        assertThat(bundled.get("turns").size()).isGreaterThan(best.get("turns").size());
        assertThat(bundled.get("prices").get(0).get("words").asString()).contains("bundles of 3");
        assertThat(bundled.get("prices").get(0).get("more").asString()).startsWith("+");
        assertThat(order()).as("it is still wanted tomorrow").isEqualTo(bundled);
        assertThat(doneSo(bundled.get("version").asLong(), Map.of("bundle", 0)).status())
                .isEqualTo(422);
        JsonNode back = ok(doneSo(bundled.get("version").asLong(), Map.of()));
        assertThat(back.get("turns")).isEqualTo(best.get("turns"));
    }

    @Test
    void oneByOneIsNoBundle() {
        long many = ok(APP.post("/api/batches", RunningApp.batch(pouch, "60", shelf, List.of())))
                .get("id")
                .asLong();
        Answer refused = APP.put(
                "/api/batches/" + many + "/wishes",
                Map.of(
                        "version",
                        ok(APP.get("/api/batches/" + many + "/order"))
                                .get("version")
                                .asLong(),
                        "wishes",
                        Map.of("before", List.of(), "threadFirst", "", "without", List.of(), "bundle", 4)));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("would be 15 for 60 bags").contains("at least 5");
    }

    @Test
    void theOrderOfAPlanIsShownWhileItIsTyped() {
        JsonNode typed = ok(APP.post("/api/batches/order", RunningApp.batch(pouch, "6", shelf, List.of())));
        assertThat(typed.get("turns")).isEqualTo(order().get("turns"));
        assertThat(typed.get("prices")).isEmpty();
        assertThat(APP.post("/api/batches/order", RunningApp.batch(pouch, "many", shelf, List.of()))
                        .status())
                .isEqualTo(422);
    }

    @Test
    void thePressIsGoneToSeldom() {
        JsonNode best = order();
        JsonNode seldom =
                ok(doneSo(best.get("version").asLong(), Map.of("pressInOneGo", true, "apart", List.of("Sew zip"))));
        assertThat(seldom.get("walks").get("now").asInt())
                .isLessThanOrEqualTo(best.get("walks").get("now").asInt());
        assertThat(seldom.get("wishes").get("pressInOneGo").asBoolean()).isTrue();
        assertThat(seldom.get("wishes").get("apart").get(0).asString()).isEqualTo("sewzip");
    }

    /** A step that is sewn with a thread of the shelf says what that is called now; and the thread can't be removed. */
    @Test
    void aThreadOfTheShelfIsKnownWhateverItIsCalled() {
        long thread = thread("Mulberry 40", "#0000ff");
        long own = APP.pouch("Threaded pouch");
        JsonNode stored = ok(APP.get("/api/designs/" + own));
        ObjectNode document = (ObjectNode) stored.get("document");
        document.get("steps").forEach(step -> {
            if (step.get("station").asString().equals("MACHINE")) {
                ((ObjectNode) step).put("thread", "Mulberry 40");
                ((ObjectNode) step.get("details")).put("threadId", thread);
            }
        });
        ok(APP.put(
                "/api/designs/" + own, Map.of("version", stored.get("version").asLong(), "document", document)));
        long planned = ok(APP.post("/api/batches", RunningApp.batch(own, "6", shelf, List.of())))
                .get("id")
                .asLong();
        assertThat(ok(APP.get("/api/batches/" + planned + "/order")).get("threads"))
                .hasToString("[\"Mulberry 40\"]");
        Map<String, Object> renamed = new HashMap<>(APP.material("THREAD", "Plum 40", "", "3.00", "100 m", ""));
        renamed.put("colour", "#0000ff");
        renamed.put(
                "version",
                APP.get("/api/materials/" + thread).body().get("version").asLong());
        ok(APP.put("/api/materials/" + thread, renamed));
        assertThat(ok(APP.get("/api/batches/" + planned + "/order")).get("threads"))
                .hasToString("[\"Plum 40\"]");
        Answer refused = APP.delete("/api/materials/" + thread + "?version="
                + APP.get("/api/materials/" + thread).body().get("version").asLong());
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("Threaded pouch");
    }
}
