package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Collectors;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Finished bags: moved together or not at all, found to be seconds without a cent lost, and told from bench to buyer. */
class FinishedGoodsTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static final AtTheStall AT = new AtTheStall(APP);

    @BeforeAll
    static void aWorkroom() {
        assertThat(APP.put("/api/settings", APP.settings("METRIC")).status()).isEqualTo(200);
    }

    private static List<JsonNode> lots(String query) {
        return APP.get("/api/finished-goods?all=true&" + query)
                .body()
                .get("page")
                .get("items")
                .valueStream()
                .toList();
    }

    private static JsonNode lot(String design) {
        return lots("quality=GOOD&query=" + URLEncoder.encode(design, StandardCharsets.UTF_8))
                .get(0);
    }

    private static Map<String, Integer> places(JsonNode lot) {
        return lot.get("places")
                .valueStream()
                .collect(Collectors.toMap(
                        at -> at.get("place").asString(), at -> at.get("units").asInt()));
    }

    private static Map<String, Object> some(JsonNode lot, String units) {
        return Map.of("goodsId", lot.get("id").asLong(), "units", units);
    }

    private static Map<String, Object> several(String from, String to, List<Map<String, Object>> lots) {
        return Map.of("requestId", UUID.randomUUID(), "place", from, "toPlace", to, "lots", lots);
    }

    private static Answer move(JsonNode lot, String kind, String units, String reason) {
        Map<String, Object> form = new HashMap<>();
        form.put("requestId", UUID.randomUUID());
        form.put("kind", kind);
        form.put("place", "home");
        form.put("units", units);
        form.put("reason", reason);
        return APP.post("/api/finished-goods/" + lot.get("id").asLong() + "/movements", form);
    }

    @Test
    void severalLotsGoTogetherOrNotAtAll() throws InterruptedException {
        AT.bags("Moved pouch {ç},small,6,4.00,12.50,home", "Moved tote,large,3,9.10,28.00,home");
        JsonNode pouch = lot("Moved pouch");
        JsonNode tote = lot("Moved tote");

        Answer refused = APP.post(
                "/api/finished-goods/moves", several("home", "Quay shop", List.of(some(pouch, "2"), some(tote, "4"))));
        assertThat(refused.on("lots.1.units")).contains("At “home” are 3");
        assertThat(places(lot("Moved pouch"))).as("nothing was moved").containsExactly(Map.entry("home", 6));
        assertThat(APP.post("/api/finished-goods/moves", several("home", " home ", List.of(some(pouch, "1"))))
                        .on("toPlace"))
                .contains("already");
        assertThat(APP.post(
                                "/api/finished-goods/moves",
                                several("home", "Quay shop", List.of(some(pouch, "1"), some(pouch, "1"))))
                        .on("lots"))
                .contains("twice");

        Map<String, Object> form = several("home", "Quay shop", List.of(some(pouch, "2"), some(tote, "3")));
        List<CompletableFuture<Answer>> both = List.of(
                CompletableFuture.supplyAsync(() -> APP.post("/api/finished-goods/moves", form)),
                CompletableFuture.supplyAsync(() -> APP.post("/api/finished-goods/moves", form)));
        both.forEach(one -> assertThat(one.join().status()).isEqualTo(204));
        assertThat(places(lot("Moved pouch"))).containsOnly(Map.entry("home", 4), Map.entry("Quay shop", 2));
        assertThat(places(lot("Moved tote"))).containsExactly(Map.entry("Quay shop", 3));
        assertThat(lots("place=Quay%20shop")).hasSize(2);
    }

    /** What is found is what a reader of the whole list would pick out, in its order, after each thing that happens to the bags. */
    @Test
    void bagsAreFoundByWordsPlaceAndQuality() throws InterruptedException {
        AT.bags(
                "Finch Case,Small,2,4.00,12.50,home",
                "finch case 100%,Large,1,9.10,28.00,home",
                "Finch_case çanta,Small,3,9.10,28.00,Quay stall");
        assertThat(names("query=FINCH%20case%20large")).containsExactly("finch case 100%");
        assertThat(names("query=100%25")).containsExactly("finch case 100%");
        assertThat(names("query=finch_")).containsExactly("Finch_case çanta");
        assertThat(names("query=%C3%87ANTA")).containsExactly("Finch_case çanta");
        assertThat(names("query=large%20finch")).isEmpty();
        assertThat(names("query=finch")).containsExactly("Finch_case çanta", "finch case 100%", "Finch Case");
        assertThat(names("query=finch&place=Quay%20stall")).containsExactly("Finch_case çanta");

        JsonNode one = lot("finch case 100%");
        assertThat(APP.post("/api/finished-goods/moves", several("home", "Quay stall", List.of(some(one, "1"))))
                        .status())
                .isEqualTo(204);
        assertThat(names("query=finch&place=Quay%20stall")).containsExactly("Finch_case çanta", "finch case 100%");
        assertThat(move(lots("query=finch").get(2), "BECAME_SECONDS", "2", "crooked")
                        .status())
                .isEqualTo(201);
        assertThat(names("query=finch&quality=SECOND")).containsExactly("Finch Case");

        JsonNode left =
                APP.get("/api/finished-goods?query=finch&page=1&size=2").body().get("page");
        assertThat(left.get("total").asInt()).isEqualTo(3);
        assertThat(left.get("items")).hasSize(1);
        assertThat(names("query=finch")).hasSize(4);
        assertThat(APP.get("/api/finished-goods?query=finch&page=100000&size=2")
                        .body()
                        .get("page")
                        .get("items"))
                .isEmpty();
    }

    private static List<String> names(String query) {
        return lots(query).stream().map(lot -> lot.get("designName").asString()).toList();
    }

    @Test
    void bagsThatTurnOutToBeSecondsCarryTheirCostAlong() throws InterruptedException {
        AT.bags("Crooked pouch,small,7,4.13,12.50,home");
        JsonNode lot = lot("Crooked pouch");
        assertThat(move(lot, "BECAME_SECONDS", "2", "").on("reason")).contains("Say why");
        assertThat(move(lot, "BECAME_SECONDS", "8", "crooked zip").on("units")).contains("are 7");
        assertThat(move(lot, "BECAME_SECONDS", "2", "crooked zip").status()).isEqualTo(201);

        JsonNode second = lots("quality=SECOND&query=Crooked").get(0);
        assertThat(places(lot("Crooked pouch"))).containsExactly(Map.entry("home", 5));
        assertThat(places(second)).containsExactly(Map.entry("home", 2));
        assertThat(second.get("totalCost").get("minor").asLong()).isEqualTo(2 * 413);
        assertThat(move(second, "BECAME_SECONDS", "1", "once more").on("kind")).contains("seconds already");

        JsonNode story =
                APP.get("/api/finished-goods/" + second.get("id").asLong()).body();
        assertThat(story.get("from").asLong()).isEqualTo(lot.get("id").asLong());
        assertThat(story.get("moved").get(0).get("reason").asString()).isEqualTo("crooked zip");
        assertThat(APP.get("/api/finished-goods/" + lot.get("id").asLong())
                        .body()
                        .get("seconds")
                        .get(0)
                        .asLong())
                .isEqualTo(second.get("id").asLong());
    }

    @Test
    void whatLayThereOnADayIsWhatHadCome() throws InterruptedException {
        AT.bags("Dated pouch,small,4,3.00,12.50,home");
        LocalDate today = LocalDate.now();
        JsonNode now = APP.get("/api/finished-goods/on/" + today).body();
        JsonNode line = now.get("lines")
                .valueStream()
                .filter(one -> one.get("words").asString().contains("Dated pouch"))
                .findFirst()
                .orElseThrow();
        assertThat(line.get("units").asInt()).isEqualTo(4);
        assertThat(line.get("worth").get("minor").asLong()).isEqualTo(1200);
        JsonNode before =
                APP.get("/api/finished-goods/on/" + today.minusDays(1)).body();
        assertThat(before.get("units").asInt()).isZero();
        assertThat(before.get("worth").get("minor").asLong()).isZero();
        assertThat(APP.get("/api/finished-goods/on/" + today.plusDays(1)).detail())
                .contains("still to come");
        assertThat(APP.get("/api/finished-goods/on/2026-02-30").status()).isEqualTo(400);
        assertThat(APP.get("/api/finished-goods/999999").status()).isEqualTo(404);
    }
}
