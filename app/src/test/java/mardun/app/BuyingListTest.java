package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpRequest;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer.OrderAnnotation;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Shops, their packs and the list of what to buy, over HTTP and the real database; one shopping trip from top to bottom. */
@TestMethodOrder(OrderAnnotation.class)
class BuyingListTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static long rings;
    private static long tape;
    private static long bells;
    private static long near;
    private static long far;

    @BeforeAll
    static void aShelfThatIsLow() {
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
        rings = low("NOTION", "Ring", "10", "40", "5");
        tape = low("TRIM", "=Tape", "1 m", "5 m", "0.5 m");
        bells = low("NOTION", "Bell", "10", "2", "");
        low("NOTION", "Enough of these", "10", "2", "2");
        near = APP.post("/api/suppliers", shop("Near", "0")).id();
        far = APP.post("/api/suppliers", shop("Far", "4,90")).id();
    }

    private static long low(String kind, String name, String per, String lowAt, String onHand) {
        Map<String, Object> form = new HashMap<>(APP.material(kind, name, "", "2.50", per, onHand));
        form.put("lowAt", lowAt);
        Answer made = APP.post("/api/materials", form);
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        return made.id();
    }

    private static Map<String, Object> shop(String name, String postage) {
        return Map.of("requestId", UUID.randomUUID(), "version", 0, "name", name, "postage", postage);
    }

    private static Answer offer(long material, long shop, String content, String price) {
        return APP.post(
                "/api/materials/" + material + "/offers",
                Map.of("requestId", UUID.randomUUID(), "supplierId", shop, "content", content, "price", price));
    }

    private static JsonNode list() {
        Answer list = APP.get("/api/buying");
        assertThat(list.status()).isEqualTo(200);
        return list.body();
    }

    private static List<String> lines() {
        List<String> lines = new ArrayList<>();
        for (JsonNode shop : list().get("shops")) {
            for (JsonNode line : shop.get("lines")) {
                lines.add(shop.get("supplier").get("name").asString() + ": "
                        + line.get("packs").asInt() + " × "
                        + line.get("content").get("exact").asString() + " "
                        + line.get("want").get("name").asString() + " "
                        + line.get("price").get("amount").asString());
            }
        }
        return lines;
    }

    @Test
    @Order(1)
    void withoutShopsEverythingIsToBeHadNowhere() {
        JsonNode list = list();
        assertThat(list.get("shops")).isEmpty();
        assertThat(list.get("nowhere").findValuesAsString("name")).containsExactlyInAnyOrder("Ring", "=Tape", "Bell");
        assertThat(list.get("total").get("value").get("minor").asLong()).isZero();
    }

    @Test
    @Order(2)
    void theCheapestMixOfCardsIsChosenAndShowsItsWorking() {
        assertThat(offer(rings, near, "5", "1.20").status()).isEqualTo(201);
        offer(rings, near, "10", "2.20");
        offer(rings, near, "50", "9.00");
        offer(tape, near, "1 yd", "1.70");
        assertThat(lines())
                .containsExactlyInAnyOrder(
                        "Near: 5 × 1 yd =Tape 8.50", "Near: 3 × 10 Ring 6.60", "Near: 1 × 5 Ring 1.20");
        JsonNode list = list();
        assertThat(list.get("total").get("value").get("amount").asString()).isEqualTo("16.30");
        assertThat(list.get("total").get("working").get("calculation").asString())
                .isEqualTo("16.30 + 0.00");
        JsonNode want = list.get("shops").get(0).get("lines").get(0).get("want");
        assertThat(want.get("toBuy").get("exact").asString()).isNotEmpty();
        assertThat(list.get("nowhere").findValuesAsString("name")).containsExactly("Bell");
    }

    @Test
    @Order(3)
    void postageDecidesWhetherAShopFarAwayIsWorthIt() {
        offer(rings, far, "10", "1.00");
        assertThat(lines()).noneMatch(line -> line.startsWith("Far"));
        offer(tape, far, "5 m", "5.00");
        assertThat(lines()).containsExactlyInAnyOrder("Far: 4 × 10 Ring 4.00", "Far: 1 × 5 m =Tape 5.00");
        assertThat(list().get("shops").get(0).get("sum").get("amount").asString())
                .isEqualTo("13.90");
        ObjectNode dearer = (ObjectNode) APP.get("/api/suppliers").body().get(0);
        Map<String, Object> form = new HashMap<>(shop("Far", "9.00"));
        form.put("version", dearer.get("version").asLong());
        assertThat(APP.put("/api/suppliers/" + far, form).status()).isEqualTo(200);
        assertThat(lines()).noneMatch(line -> line.startsWith("Far"));
        assertThat(APP.put("/api/suppliers/" + far, form).status()).isEqualTo(409);
    }

    @Test
    @Order(4)
    void theListIsASheetThatNoSpreadsheetRuns() {
        String text = APP.raw(HttpRequest.newBuilder(URI.create("http://localhost:" + APP.port() + "/api/buying.csv"))
                        .build())
                .body();
        assertThat(text).startsWith("\uFEFFshop,material,packs,in one,together,each,price,currency\r\n");
        assertThat(text).contains("Near,'=Tape,5,1 yd,5 yd,1.70,8.50,EUR\r\n");
        assertThat(text).contains(",Bell,,,2,,,\r\n");
    }

    @Test
    @Order(5)
    void theSamePackWithAnotherPriceReplacesTheOneBefore() {
        JsonNode offers = offer(rings, near, "50", "7.00").body();
        assertThat(offers).hasSize(4);
        assertThat(lines()).contains("Near: 1 × 50 Ring 7.00");
        for (JsonNode one : offers) {
            if (one.get("content").get("exact").asString().equals("50")) {
                assertThat(APP.delete("/api/offers/" + one.get("id").asLong()).status())
                        .isEqualTo(204);
            }
        }
        assertThat(lines()).contains("Near: 3 × 10 Ring 6.60");
    }

    @Test
    @Order(6)
    void whatCameTicksOffTheList() {
        Answer came = APP.post(
                "/api/materials/" + rings + "/movements",
                Map.of("requestId", UUID.randomUUID(), "kind", "BOUGHT", "amount", "40", "reason", "Near"));
        assertThat(came.status()).isEqualTo(201);
        assertThat(lines()).noneMatch(line -> line.contains("Ring"));
    }

    @Test
    @Order(7)
    void badShopsAndPacksAreRefusedWithSentences() {
        assertThat(APP.post("/api/suppliers", shop("near", "0")).on("name")).contains("“Near”");
        assertThat(APP.post("/api/suppliers", shop("Third", "free")).on("postage"))
                .contains("free");
        assertThat(offer(bells, near, "0", "1").on("content")).contains("“0” is less than any shop sells");
        assertThat(offer(tape, near, "0.5 mm", "1").on("content")).contains("“0.5 mm” is less than any shop sells");
        assertThat(offer(bells, near, "1 yd", "1").on("content")).contains("1 yd");
        assertThat(offer(bells, 999, "1", "1").status()).isEqualTo(404);
        assertThat(APP.get("/api/materials/" + bells + "/offers").body()).isEmpty();
    }

    @Test
    @Order(8)
    void sentTwiceItIsMadeOnce() {
        Map<String, Object> form = shop("Twice", "0");
        long first = APP.post("/api/suppliers", form).id();
        assertThat(APP.post("/api/suppliers", form).id()).isEqualTo(first);
    }
}
