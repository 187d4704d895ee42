package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Deliveries with all that can be wrong in them, and lists that come in beside materials. */
class DeliveriesTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static long shop;
    private static long cloth;
    private static long ring;

    @BeforeAll
    static void aShop() {
        assertThat(APP.put("/api/settings", APP.settings("METRIC")).status()).isEqualTo(200);
        shop = APP.post(
                        "/api/suppliers",
                        Map.of("requestId", UUID.randomUUID(), "version", 0, "name", "A shop", "postage", "0"))
                .id();
        cloth = APP.post("/api/materials", APP.material("CLOTH", "Twill", "110 cm", "9.00", "1 m", ""))
                .id();
        ring = APP.post("/api/materials", APP.material("NOTION", "Ring", "", "2.00", "10", ""))
                .id();
    }

    private static Map<String, Object> line(long material, Map<String, Object> more) {
        Map<String, Object> line = new HashMap<>(Map.of(
                "materialId",
                material,
                "packs",
                "1",
                "content",
                "1",
                "price",
                "1.00",
                "dyeLot",
                "",
                "place",
                "",
                "measuredWidth",
                "",
                "pieceWidth",
                "",
                "pieceHeight",
                ""));
        line.putAll(more);
        return line;
    }

    private static Map<String, Object> delivery(String total, List<?> lines, Map<String, Object> more) {
        Map<String, Object> form = new HashMap<>(Map.of(
                "requestId",
                UUID.randomUUID(),
                "supplierId",
                shop,
                "paperNumber",
                "",
                "cameOn",
                LocalDate.now().toString(),
                "postage",
                "",
                "duty",
                "",
                "total",
                total,
                "lines",
                lines));
        form.putAll(more);
        return form;
    }

    private static Answer enter(Map<String, Object> form) {
        return APP.post("/api/deliveries", form);
    }

    private static JsonNode lots(long material) {
        return APP.get("/api/materials/" + material + "/shelf").body().get("lots");
    }

    @Test
    void everySlipOnThePaperIsToldAtOnceAndNothingIsStored() {
        Answer refused = enter(delivery(
                "a lot",
                List.of(
                        line(ring, Map.of("packs", "0", "price", "-1", "pieceWidth", "5 cm", "pieceHeight", "5 cm")),
                        line(cloth, Map.of("content", "2 birds", "measuredWidth", "9 m", "dyeLot", "x".repeat(61)))),
                Map.of("cameOn", LocalDate.now().plusDays(1).toString(), "paperNumber", "9".repeat(61))));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.on("lines.0.packs")).contains("is less than 1");
        assertThat(refused.on("lines.0.price")).contains("less than 0");
        assertThat(refused.on("lines.0.pieceWidth")).contains("Only cloth comes in pieces");
        assertThat(refused.on("lines.1.content")).contains("2 birds");
        assertThat(refused.on("lines.1.measuredWidth")).contains("more than can be");
        assertThat(refused.on("lines.1.dyeLot")).contains("at most 60");
        assertThat(refused.on("cameOn")).contains("still to come");
        assertThat(refused.on("paperNumber")).contains("at most 60");
        assertThat(refused.on("total")).contains("a lot");
        assertThat(APP.get("/api/deliveries").body().get("items")).isEmpty();
        assertThat(lots(ring)).isEmpty();
    }

    @Test
    void precutsComeInPiecesAndGiveAPlan() {
        Answer entered = enter(delivery(
                "12.00",
                List.of(line(
                        cloth,
                        Map.of(
                                "packs", "2",
                                "content", "5",
                                "price", "12.00",
                                "pieceWidth", "55 cm",
                                "pieceHeight", "45",
                                "place", "basket"))),
                Map.of()));
        assertThat(entered.status()).as(entered.body().toString()).isEqualTo(201);
        JsonNode pieces = null;
        for (JsonNode lot : lots(cloth)) {
            pieces = lot.has("size") ? lot : pieces;
        }
        assertThat(pieces.get("left").get("count").asLong()).isEqualTo(10);
        assertThat(pieces.get("height").get("metric").asString()).isEqualTo("45 cm");
        assertThat(pieces.get("place").asString()).isEqualTo("basket");
        JsonNode material = APP.get("/api/materials/" + cloth).body();
        assertThat(material.get("pieces").asLong()).isEqualTo(10);
        assertThat(material.get("onHand").get("value").asLong()).isNotNegative();
    }

    @Test
    void whatCameEarlierIsThereOnItsDay() {
        LocalDate lastMonth = LocalDate.now().minusDays(30);
        long bell = APP.post("/api/materials", APP.material("NOTION", "Bell", "", "2.00", "10", ""))
                .id();
        enter(delivery(
                "4.00",
                List.of(line(bell, Map.of("packs", "2", "content", "10", "price", "4.00"))),
                Map.of("cameOn", lastMonth.toString())));
        String shelf = "/api/materials/" + bell + "/shelf?on=";
        assertThat(APP.get(shelf + lastMonth.minusDays(1))
                        .body()
                        .get("onHand")
                        .get("value")
                        .asLong())
                .isZero();
        assertThat(APP.get(shelf + lastMonth).body().get("onHand").get("value").asLong())
                .isEqualTo(20);
    }

    @Test
    void aLotSaysMoreLaterAndTwoWhoSayItAtOnceAreTold() {
        long canvas = APP.post("/api/materials", APP.material("CLOTH", "Canvas", "140 cm", "9.00", "1 m", "3 m"))
                .id();
        JsonNode lot = lots(canvas).get(0);
        String path = "/api/lots/" + lot.get("id").asLong();
        Map<String, Object> form =
                new HashMap<>(Map.of("version", 0, "dyeLot", "77", "place", "shelf 2", "measuredWidth", "138.5"));
        assertThat(APP.put(path, form).status()).isEqualTo(200);
        assertThat(lots(canvas).get(0).get("measuredWidth").get("exact").asString())
                .isEqualTo("138.5 cm");
        assertThat(APP.put(path, form).status()).isEqualTo(409);
        form.put("version", 1);
        form.put("measuredWidth", "wide");
        assertThat(APP.put(path, form).on("measuredWidth")).contains("wide");
        assertThat(lots(canvas).get(0).get("dyeLot").asString()).isEqualTo("77");
    }

    private static JsonNode settled(String list, String csv) throws InterruptedException {
        return settled(APP.upload("/api/imports?list=" + list, csv.getBytes(StandardCharsets.UTF_8))
                .body()
                .get("id")
                .asString());
    }

    private static JsonNode settled(String id) throws InterruptedException {
        JsonNode job = APP.get("/api/imports/" + id).body();
        while (job.get("state").asString().endsWith("ING")) {
            Thread.sleep(20);
            job = APP.get("/api/imports/" + id).body();
        }
        return job;
    }

    private static JsonNode entered(JsonNode job) throws InterruptedException {
        APP.post("/api/imports/" + job.get("id").asString() + "/enter", "");
        return settled(job.get("id").asString());
    }

    @Test
    void lotsComeInAndOldOnesSayMore() throws InterruptedException {
        long felt = APP.post("/api/materials", APP.material("CLOTH", "Felt", "90 cm", "9.00", "1 m", "2 m"))
                .id();
        long old = lots(felt).get(0).get("id").asLong();
        JsonNode job = settled(
                "lots",
                "number,material,how,quantity,paid,dye lot,came on,piece width,piece height\n"
                        + old + ",Felt,counted,2 m,,D-1,,,\n"
                        + ",felt,bought,3 m,\"21,00\",D-2," + LocalDate.now().minusDays(5) + ",,\n"
                        + ",Felt,given,4,,,,30 cm,40 cm\n");
        assertThat(job.get("adds").asInt()).as(job.toString()).isEqualTo(2);
        assertThat(job.get("changes").asInt()).isEqualTo(1);
        assertThat(entered(job).get("state").asString()).isEqualTo("ENTERED");
        JsonNode lots = lots(felt);
        assertThat(lots).hasSize(3);
        assertThat(lots.get(0).get("worth").get("amount").asString()).isEqualTo("21.00");
        assertThat(lots.get(0).get("dyeLot").asString()).isEqualTo("D-2");
        JsonNode bad = settled(
                "lots",
                "number,material,how,quantity,came on,piece width,piece height\n"
                        + "99999,Felt,bought,1 m,,,\n"
                        + ",Felt,used,1 m,,,\n"
                        + ",Felt,bought,1 m,tomorrow,,\n"
                        + ",Felt,bought,0 m,,,\n"
                        + ",Felt,bought,1,,30 cm,\n"
                        + ",Nothing like it,bought,1 m,,,\n");
        assertThat(bad.get("refused").asInt()).isEqualTo(6);
        assertThat(bad.get("lines").toString())
                .contains("There is no lot 99999 of “Felt”")
                .contains("A lot comes by being bought")
                .contains("“tomorrow” isn't a day")
                .contains("A lot of nothing is no lot")
                .contains("A piece has a width and a height")
                .contains("There is no material called “Nothing like it”");
    }

    @Test
    void packsAndShopsComeInAndChangeTheirPrices() throws InterruptedException {
        entered(settled("shops", "name,postage\nMail order,4.90\n"));
        JsonNode packs = settled(
                "packs", "material,shop,one pack holds,price\nRing,Mail order,10,2.40\nRing,mail ORDER,50,9.00\n");
        assertThat(packs.get("adds").asInt()).isEqualTo(2);
        entered(packs);
        JsonNode again = settled(
                "packs",
                "material,shop,one pack holds,price\nRing,Mail order,10,2.60\nRing,Mail order,10,2.70\n"
                        + "Ring,Nobody,10,1\nRing,Mail order,0,1\n");
        assertThat(again.get("changes").asInt()).isEqualTo(1);
        assertThat(again.get("refused").asInt()).isEqualTo(3);
        assertThat(again.get("lines").toString())
                .contains("stands in the file twice")
                .contains("There is no shop called “Nobody”")
                .contains("less than any shop sells");
        entered(settled("packs", "material,shop,one pack holds,price\nRing,Mail order,10,2.60\n"));
        assertThat(APP.get("/api/materials/" + ring + "/offers").body().toString())
                .contains("2.60")
                .doesNotContain("2.40");
    }

    @Test
    void bagsFromBeforeComeIn() throws InterruptedException {
        JsonNode job = settled(
                "finished-bags",
                "design,size,units,unit cost,price,place,finished on\nOld tote,large,7,\"11,20\",24.50,stall box,"
                        + LocalDate.now().minusDays(100) + "\n");
        entered(job);
        JsonNode bags = APP.get("/api/finished-goods?query=OLD")
                .body()
                .get("page")
                .get("items")
                .get(0);
        assertThat(bags.get("places").get(0).get("place").asString()).isEqualTo("stall box");
        assertThat(bags.get("unitCost").get("minor").asLong()).isEqualTo(1120);
        assertThat(bags.has("batchId")).isFalse();
        JsonNode bad = settled("finished-bags", "design,units,unit cost,price,finished on\n,0,x,1,2199-01-01\n");
        assertThat(bad.get("lines").get(0).get("reasons")).hasSize(4);
    }

    @Test
    void aFileThatIsGivenUpIsNotEntered() throws InterruptedException {
        JsonNode job = settled("shops", "name,postage\nNever,1\n");
        String id = job.get("id").asString();
        assertThat(APP.delete("/api/imports/" + id).status()).isEqualTo(204);
        assertThat(APP.get("/api/imports/" + id).body().get("state").asString()).isEqualTo("GIVEN_UP");
        assertThat(APP.post("/api/imports/" + id + "/enter", "").status()).isEqualTo(422);
        assertThat(APP.get("/api/imports/nothing").status()).isEqualTo(404);
    }
}
