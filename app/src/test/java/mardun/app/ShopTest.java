package mardun.app;

import static mardun.app.AtTheStall.kind;
import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import javax.sql.DataSource;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** The online shop: orders that come late, twice and out of order; bags for each of them once; payouts to the cent. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class ShopTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp("--mardun.shop.seconds=0");

    private static final AtTheStall AT = new AtTheStall(APP);
    private static final String LARK = kind("Lark pouch", "small");

    @BeforeAll
    static void aShop() throws InterruptedException {
        APP.put("/api/settings", APP.settings("METRIC"));
        Answer channel = APP.post(
                "/api/channels",
                Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "terms",
                        Map.ofEntries(
                                Map.entry("version", 0),
                                Map.entry("name", "Online"),
                                Map.entry("kind", "BUYERS"),
                                Map.entry(
                                        "fees",
                                        List.of(
                                                fee("shop", "SHARE", "6.5"),
                                                fee("payment", "SHARE", "3"),
                                                fee("each payment", "SALE", "0.30"),
                                                fee("listing", "UNIT", "0.35"))),
                                Map.entry("taxMode", "NONE"),
                                Map.entry("taxRate", ""),
                                Map.entry("unitsPerSale", "1"),
                                Map.entry("postagePaid", "4.50"),
                                Map.entry("postage", "4.20"),
                                Map.entry("packing", "0.40"),
                                Map.entry("packingMinutes", "5"))));
        assertThat(channel.status()).as(channel.body().toString()).isEqualTo(201);
        APP.put("/api/online-shop", Map.of("connected", true, "channelId", channel.id()));
        AT.bags("Lark pouch,small,6,5.00,16.00,home");
        JsonNode offered = APP.put("/api/online-shop/listings", Map.of("kind", LARK, "price", "16", "offered", true))
                .body();
        assertThat(listing(offered).get("told").asInt()).isEqualTo(6);
    }

    private static Map<String, String> fee(String name, String basis, String amount) {
        return Map.of(
                "name",
                name,
                "basis",
                basis,
                "amount",
                amount,
                "above",
                "",
                "then",
                "",
                "least",
                "",
                "most",
                "",
                "likelihood",
                "100");
    }

    private static JsonNode listing(JsonNode shop) {
        for (JsonNode one : shop.get("listings")) {
            if (one.get("kind").asString().equals(LARK)) {
                return one;
            }
        }
        throw new AssertionError("not listed: " + shop);
    }

    private static Answer act(String what) {
        return APP.post("/api/simulated/online-shop", Map.of("act", what));
    }

    private static JsonNode look() {
        return APP.put("/api/online-shop/looked", Map.of()).body();
    }

    private static int at(String place) {
        JsonNode goods = APP.get("/api/finished-goods?all=true&query=lark")
                .body()
                .get("page")
                .get("items");
        for (JsonNode one : goods.get(0).get("places")) {
            if (one.get("place").asString().equals(place)) {
                return one.get("units").asInt();
            }
        }
        return 0;
    }

    private static int all(JsonNode order) {
        return order.get("lines")
                .valueStream()
                .mapToInt(line -> line.get("units").asInt())
                .sum();
    }

    /** Some bags of the first kind of an order came back. */
    private static Answer cameBack(JsonNode order, String ended, String reason, String refund, int units) {
        return cameBack(UUID.randomUUID(), order, ended, reason, refund, units);
    }

    private static Answer cameBack(
            UUID requestId, JsonNode order, String ended, String reason, String refund, int units) {
        String path = "/api/online-shop/orders/" + order.get("id").asLong();
        String kind = APP.get(path + "/buyers-bags")
                .body()
                .valueStream()
                .map(bags -> bags.get("kind").asString())
                .findFirst()
                .orElse("none");
        return APP.post(
                path + "/came-back",
                Map.of(
                        "requestId",
                        requestId,
                        "version",
                        order.get("version").asLong(),
                        "ended",
                        ended,
                        "reason",
                        reason,
                        "refund",
                        refund,
                        "bags",
                        List.of(Map.of("kind", kind, "units", Integer.toString(units)))));
    }

    private static JsonNode order(JsonNode shop, String number) {
        return Stream.concat(shop.get("open").valueStream(), answered(number))
                .filter(one -> one.get("number").asString().equals(number))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no order " + number + " in " + shop));
    }

    /** Orders that don't wait any more, found by some words. */
    private static Stream<JsonNode> answered(String query) {
        return APP.get("/api/online-shop/orders?size=500&query=" + URLEncoder.encode(query, StandardCharsets.UTF_8))
                .body()
                .get("items")
                .valueStream();
    }

    /** What was paid out last, once it was looked. */
    private static JsonNode lastPayout() {
        look();
        return APP.get("/api/online-shop/payouts").body().get("items").get(0);
    }

    private static Answer done(JsonNode order, String what) {
        return APP.put(
                "/api/online-shop/orders/" + order.get("id").asLong() + "/" + what,
                Map.of("version", order.get("version").asLong()));
    }

    @Test
    @Order(1)
    void anOrderGoesFromItsArrivalToItsPayout() {
        act("ORDER");
        JsonNode order = order(look(), "S-1001");
        assertThat(order.get("state").asString()).isEqualTo("RESERVED");
        assertThat(at("online orders")).isEqualTo(1);
        assertThat(at("home")).isEqualTo(5);
        assertThat(done(order, "arrived").detail()).contains("Only what is on its way");
        assertThat(done(order, "forgotten").detail()).contains("address is still needed");
        order = order(done(order, "posted").body(), "S-1001");
        assertThat(order.get("state").asString()).isEqualTo("POSTED");
        assertThat(at("online orders")).isZero();
        assertThat(done(order, "posted").detail()).contains("isn’t waiting");
        order = order(done(order, "arrived").body(), "S-1001");
        act("PAY_OUT");
        JsonNode payout = lastPayout();
        // 20.50 less 6.5 % 1.33, 3 % 0.62, 0.30 and 0.35.
        assertThat(payout.get("total").get("minor").asLong()).isEqualTo(2050 - 133 - 62 - 30 - 35);
        assertThat(payout.get("clean").asBoolean()).as(payout.toString()).isTrue();
        order = order(look(), "S-1001");
        assertThat(order.get("paidOut").asBoolean()).isTrue();
        String buyer = order.get("buyer").get("name").asString();
        String typed = buyer.substring(0, 5).toUpperCase(Locale.ROOT);
        assertThat(answered(typed)).as("found by its buyer, in capitals").hasSize(1);
        assertThat(answered("%")).as("stands for itself").isEmpty();
        order = order(done(order, "forgotten").body(), "S-1001");
        assertThat(answered(typed)).as("nobody is found who is forgotten").isEmpty();
        assertThat(answered("1001")).as("by its number still").hasSize(1);
        assertThat(order.has("buyer")).isFalse();
        assertThat(order.get("paid").get("minor").asLong()).as("figures stay").isEqualTo(2050);
    }

    @Test
    @Order(2)
    void whatIsToldTwiceAndInAnotherOrderIsTheSame() {
        act("TELL_TWICE");
        String number = "S-"
                + (APP.get("/api/simulated/online-shop").body().get("orders").asInt() + 1002);
        act("ORDER");
        act("CANCEL_LAST");
        int home = at("home");
        JsonNode order = order(look(), number);
        assertThat(order.get("state").asString()).isEqualTo("CANCELLED");
        assertThat(order.get("lines")).hasSize(1);
        assertThat(at("home")).isEqualTo(home);
        look();
        assertThat(at("home")).isEqualTo(home);
        act("TELL_ONCE");
    }

    @Test
    @Order(3)
    void aShopThatIsAwayIsLookedAtAgain() {
        act("GO_AWAY");
        act("ORDER");
        assertThat(look().get("trouble").asString()).contains("doesn’t answer");
        act("COME_BACK");
        act("ASK_TOO_OFTEN");
        assertThat(look().get("trouble").asString()).contains("asked too often");
        look();
        look();
        JsonNode shop = look();
        assertThat(shop.get("trouble").asString()).isEmpty();
        assertThat(shop.get("open")).hasSize(1);
        assertThat(listing(shop).get("told").asInt()).isEqualTo(at("home"));
        done(shop.get("open").get(0), "posted");
    }

    @Test
    @Order(4)
    void whatWasSoldElsewhereMeanwhileIsSaidAndFilledLater() {
        int home = at("home");
        act("ORDER");
        move("home", "stall box", home);
        JsonNode order = look().get("open").get(0);
        assertThat(order.get("state").asString()).isEqualTo("SHORT");
        assertThat(order.get("lines").get(0).get("missing").asInt()).isPositive();
        assertThat(done(order, "posted").detail()).contains("Bags of this order are missing");
        move("stall box", "home", home);
        order = look().get("open").get(0);
        assertThat(order.get("state").asString()).isEqualTo("RESERVED");
        done(order, "posted");
    }

    private static void move(String from, String to, int units) {
        long id = APP.get("/api/finished-goods?all=true&query=lark")
                .body()
                .get("page")
                .get("items")
                .get(0)
                .get("id")
                .asLong();
        Answer moved = APP.post(
                "/api/finished-goods/" + id + "/movements",
                Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "kind",
                        "MOVED",
                        "place",
                        from,
                        "toPlace",
                        to,
                        "units",
                        Integer.toString(units),
                        "reason",
                        ""));
        assertThat(moved.status()).as(moved.body().toString()).isEqualTo(201);
    }

    @Test
    @Order(5)
    void whatComesBackGoesIntoStockAndAWrongPayoutIsNamed() {
        look();
        JsonNode order = answered("").findFirst().orElseThrow();
        int home = at("home");
        assertThat(cameBack(order, "INTO_STOCK", " ", "", all(order)).on("reason"))
                .contains("Say why");
        JsonNode back =
                cameBack(order, "INTO_STOCK", "zip jams", "", all(order)).body();
        assertThat(order(back, order.get("number").asString()).get("cameBack").asString())
                .isEqualTo("into stock: zip jams");
        assertThat(at("home")).isGreaterThan(home);
        act("PAY_OUT_WRONG");
        JsonNode payout = lastPayout();
        assertThat(payout.get("clean").asBoolean()).isFalse();
        assertThat(payout.get("lines").get(0).get("finding").asString()).isEqualTo("OTHER_FEE");
        assertThat(payout.get("lines").get(0).get("off").get("minor").asLong()).isEqualTo(-40);
    }

    /** Whatever the shop does, each bag is at one place or with one buyer, and no order is paid out twice. */
    @Test
    @Order(6)
    void noBagIsLostOrSoldTwiceUnderAnyCommands() {
        Random random = new Random(37);
        List<String> acts = List.of(
                "ORDER",
                "ORDER",
                "ORDER",
                "CANCEL_LAST",
                "WANT_LAST_BACK",
                "PAY_OUT",
                "GO_AWAY",
                "COME_BACK",
                "COME_BACK",
                "ASK_TOO_OFTEN",
                "TELL_TWICE",
                "TELL_ONCE");
        count(30);
        int sold = soldBags();
        int all = at("home") + at("online orders") + sold;
        for (int step = 0; step < 160; step++) {
            int what = random.nextInt(5);
            if (what < 3) {
                act(acts.get(random.nextInt(acts.size())));
            } else if (what == 3) {
                JsonNode open = look().get("open");
                if (!open.isEmpty()) {
                    done(open.get(random.nextInt(open.size())), "posted");
                }
            } else {
                look();
            }
            if (step % 20 == 19) {
                act("COME_BACK");
                JsonNode shop = look();
                assertThat(at("home") + at("online orders") + soldBags())
                        .as("after step %s", step)
                        .isEqualTo(all);
                int aside = 0;
                for (JsonNode order : shop.get("open")) {
                    for (JsonNode line : order.get("lines")) {
                        aside += line.get("units").asInt() - line.get("missing").asInt();
                    }
                }
                assertThat(at("online orders"))
                        .as("put aside after step %s", step)
                        .isEqualTo(aside);
            }
        }
        Set<String> paid = new HashSet<>();
        look();
        for (JsonNode payout :
                APP.get("/api/online-shop/payouts?size=500").body().get("items")) {
            for (JsonNode line : payout.get("lines")) {
                boolean isPayment = line.get("paid").get("minor").asLong() > 0;
                if (isPayment && line.get("finding").asString().equals("MATCHES")) {
                    assertThat(paid.add(line.get("order").asString())).isTrue();
                }
            }
        }
    }

    /** It answers, tells everything once, and nothing waits. */
    private static void calm() {
        act("COME_BACK");
        act("TELL_ONCE");
        JsonNode shop = look();
        while (!shop.get("trouble").asString().isEmpty()) {
            shop = look();
        }
        for (JsonNode order : shop.get("open")) {
            done(order, "posted");
        }
        act("PAY_OUT");
        look();
    }

    /** An order of so many bags, reserved. */
    private static JsonNode ordered(int units) {
        while (true) {
            look();
            act("ORDER");
            JsonNode open = look().get("open");
            JsonNode order = open.get(open.size() - 1);
            if (all(order) == units) {
                assertThat(order.get("state").asString()).isEqualTo("RESERVED");
                return order;
            }
        }
    }

    private static JsonNode line(JsonNode payout, String order, boolean isPaidBack) {
        return payout.get("lines")
                .valueStream()
                .filter(line -> line.get("order").asString().equals(order)
                        && line.get("paid").get("minor").asLong() < 0 == isPaidBack)
                .findFirst()
                .orElseThrow(() -> new AssertionError("no line of " + order + " in " + payout));
    }

    private static long saleMinor(String number) {
        Long paid = new JdbcTemplate(APP.part(DataSource.class))
                .queryForObject(
                        "select paid_minor from sale where taken_back_at is null and id ="
                                + " (select sale_id from shop_order where number = ?)",
                        Long.class,
                        number);
        return Objects.requireNonNull(paid);
    }

    @Test
    @Order(7)
    void oneOfTwoBagsComesBackAndItsPayoutKnowsWhatWasPaidBack() {
        calm();
        count(40);
        JsonNode order = ordered(2);
        String number = order.get("number").asString();
        assertThat(cameBack(order, "INTO_STOCK", "zip jams", "", 1).detail()).contains("Only what was posted");
        order = order(done(order, "posted").body(), number);
        act("PAY_OUT");
        look();
        order = order(look(), number);
        assertThat(order.get("paidOut").asBoolean()).isTrue();
        int home = at("home");
        int aside = at("online orders");

        assertThat(cameBack(order, "INTO_STOCK", "zip jams", "", 3).on("bags.0.units"))
                .contains("has 2");
        assertThat(cameBack(order, "INTO_STOCK", "zip jams", "36.51", 1).on("refund"))
                .contains("Paid was 36.50");
        assertThat(cameBack(order, "INTO_STOCK", "zip jams", "a lot", 1).on("refund"))
                .isNotEmpty();
        assertThat(at("home")).isEqualTo(home);

        act("GO_AWAY");
        UUID request = UUID.randomUUID();
        Answer back = cameBack(request, order, "INTO_STOCK", "zip jams {ç}", "16", 1);
        assertThat(back.status()).as(back.body().toString()).isEqualTo(200);
        assertThat(cameBack(request, order, "INTO_STOCK", "zip jams {ç}", "16", 1)
                        .status())
                .as("sent twice, booked once")
                .isEqualTo(200);
        JsonNode kept = order(APP.get("/api/online-shop").body(), number);
        assertThat(kept.get("state").asString()).isEqualTo("POSTED");
        assertThat(kept.get("cameBack").asString()).isEqualTo("1 of 2 into stock: zip jams {ç}");
        assertThat(kept.get("refunded").get("minor").asLong()).isEqualTo(1600);
        assertThat(kept.get("refundTold").asBoolean()).as("the shop is away").isFalse();
        assertThat(at("home")).isEqualTo(home + 1);
        assertThat(at("online orders")).isEqualTo(aside);
        assertThat(saleMinor(number)).isEqualTo(2050);

        act("COME_BACK");
        assertThat(order(look(), number).get("refundTold").asBoolean()).isTrue();
        done(ordered(1), "posted");
        act("PAY_OUT");
        JsonNode payout = lastPayout();
        JsonNode line = line(payout, number, true);
        // 6.5 % of 16.00 are 1.04, 3 % are 0.48.
        assertThat(line.get("paid").get("minor").asLong()).isEqualTo(-1600);
        assertThat(line.get("fee").get("minor").asLong()).isEqualTo(-152);
        assertThat(payout.get("clean").asBoolean()).as(payout.toString()).isTrue();

        JsonNode mended =
                cameBack(order(look(), number), "MENDED", "a thread", "", 1).body();
        assertThat(order(mended, number).get("cameBack").asString())
                .isEqualTo("1 of 2 into stock: zip jams {ç}; mended and given back: a thread");
        assertThat(saleMinor(number)).isEqualTo(2050);
        assertThat(cameBack(order(look(), number), "SCRAPPED", "torn", "16", 1).on("refund"))
                .contains("all that was paid goes back: 20.50");
        JsonNode none =
                order(cameBack(order(look(), number), "SCRAPPED", "torn", "", 1).body(), number);
        assertThat(none.get("state").asString()).isEqualTo("CAME_BACK");
        assertThat(none.get("refunded").get("minor").asLong()).isEqualTo(3650);
        assertThat(at("home") + at("online orders")).as("scrapped").isEqualTo(home + aside);
        assertThat(APP.get("/api/online-shop/orders/" + order.get("id").asLong() + "/buyers-bags")
                        .body())
                .isEmpty();
        done(ordered(1), "posted");
        done(ordered(2), "posted");
        act("PAY_OUT");
        payout = lastPayout();
        assertThat(line(payout, number, true).get("paid").get("minor").asLong()).isEqualTo(-2050);
        assertThat(payout.get("clean").asBoolean()).as(payout.toString()).isTrue();
    }

    @Test
    @Order(8)
    void whatIsCancelledAfterItsPayoutIsTakenBackByTheNext() {
        calm();
        for (boolean twice : List.of(false, true)) {
            if (twice) {
                act("TELL_TWICE");
            }
            JsonNode order = ordered(1);
            String number = order.get("number").asString();
            // Told in another order, the cancelling is heard of before the payout.
            act("PAY_OUT");
            act("CANCEL_LAST");
            JsonNode shop = look();
            assertThat(order(shop, number).get("state").asString()).isEqualTo("CANCELLED");
            assertThat(line(lastPayout(), number, false).get("finding").asString())
                    .isEqualTo(twice ? "CANCELLED" : "MATCHES");
            assertThat(order(shop, number).get("refunded").get("minor").asLong())
                    .isEqualTo(2050);
            act("TELL_ONCE");
            done(ordered(2), "posted");
            act("PAY_OUT");
            JsonNode payout = lastPayout();
            assertThat(line(payout, number, true).get("finding").asString()).isEqualTo("MATCHES");
            assertThat(payout.get("clean").asBoolean()).as(payout.toString()).isTrue();
        }
    }

    @Test
    @Order(9)
    void whatComesBackIsOfTheLotOfWhichItWasSold() throws InterruptedException {
        calm();
        APP.put("/api/online-shop/listings", Map.of("kind", LARK, "price", "16", "offered", false));
        AT.bags("Reed pouch,small,1,5.00,16.00,home");
        String reed = kind("Reed pouch", "small");
        APP.put("/api/online-shop/listings", Map.of("kind", reed, "price", "16", "offered", true));
        String first = posted();
        AT.bags("Reed pouch,small,1,7.00,16.00,home");
        String second = posted();
        cameBack(order(look(), first), "INTO_STOCK", "too small", "", 1);
        // The bag of the first lot waits for another buyer where the second comes back to.
        ordered(1);
        cameBack(order(look(), second), "SECONDS", "askew", "", 1);
        JsonNode seconds = APP.get("/api/finished-goods?quality=SECOND&query=reed")
                .body()
                .get("page")
                .get("items");
        assertThat(seconds).hasSize(1);
        assertThat(seconds.get(0).get("unitCost").get("minor").asLong()).isEqualTo(700);
        AT.placesAddUp();
        done(look().get("open").get(0), "posted");
        APP.put("/api/online-shop/listings", Map.of("kind", reed, "price", "16", "offered", false));
        APP.put("/api/online-shop/listings", Map.of("kind", LARK, "price", "16", "offered", true));
    }

    private static String posted() {
        JsonNode order = ordered(1);
        done(order, "posted");
        return order.get("number").asString();
    }

    /** The last one is sold online, and in the same minute at a stall whose phone has no line: that is a question, and never minus one. */
    @Test
    @Order(10)
    void theLastBagSoldOnlineAndAtTheStallInTheSameMinuteIsAQuestion() throws InterruptedException {
        act("TELL_ONCE");
        APP.put("/api/online-shop/listings", Map.of("kind", LARK, "price", "16", "offered", false));
        AT.bags("Twin pouch,small,1,5.00,18.00,home");
        String twin = kind("Twin pouch", "small");
        APP.put("/api/online-shop/listings", Map.of("kind", twin, "price", "18", "offered", true));
        long fair = AT.fair("Same minute fair", LocalDate.now());
        act("ORDER");
        JsonNode ordered = look().get("open")
                .valueStream()
                .filter(one -> one.toString().contains("Twin pouch"))
                .findFirst()
                .orElseThrow();
        assertThat(ordered.get("state").asString()).isEqualTo("RESERVED");

        assertThat(AT.tell(
                                fair,
                                UUID.randomUUID(),
                                List.of(AtTheStall.sale("CASH", 1800, List.of(AtTheStall.bag(twin, 1, 1800)))))
                        .status())
                .isEqualTo(200);
        JsonNode stall = AT.stall(fair);
        assertThat(stall.get("questions")).hasSize(1);
        assertThat(order(look(), ordered.get("number").asString()).get("state").asString())
                .as("the online order keeps its bag")
                .isEqualTo("RESERVED");
        JsonNode bags = APP.get("/api/finished-goods?all=true&query=twin")
                .body()
                .get("page")
                .get("items")
                .get(0);
        assertThat(bags.get("units").asInt()).isEqualTo(1);
        AT.placesAddUp();
    }

    @Test
    @Order(11)
    void whatNoPayoutNamesForAFortnightIsListed() {
        JsonNode reserved = look().get("open")
                .valueStream()
                .filter(one -> one.get("state").asString().equals("RESERVED"))
                .findFirst()
                .orElseThrow();
        String number = reserved.get("number").asString();
        assertThat(done(reserved, "posted").body().get("unpaid").toString())
                .as("just posted")
                .doesNotContain(number);
        new JdbcTemplate(APP.part(DataSource.class))
                .update(
                        "update shop_order set posted_on = ? where number = ?",
                        LocalDate.now().minusDays(14),
                        number);
        assertThat(APP.get("/api/online-shop").body().get("unpaid").toString()).contains(number);
        act("PAY_OUT");
        assertThat(look().get("unpaid").toString()).doesNotContain(number);
    }

    private static void count(int units) {
        long id = APP.get("/api/finished-goods?all=true&query=lark")
                .body()
                .get("page")
                .get("items")
                .get(0)
                .get("id")
                .asLong();
        APP.post(
                "/api/finished-goods/" + id + "/movements",
                Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "kind",
                        "COUNTED",
                        "place",
                        "home",
                        "units",
                        Integer.toString(units),
                        "reason",
                        "more of them"));
    }

    /** How many bags are with buyers. */
    private static int soldBags() {
        return answered("")
                .filter(order ->
                        Set.of("POSTED", "ARRIVED").contains(order.get("state").asString()))
                .mapToInt(order -> {
                    int units = 0;
                    for (JsonNode line : order.get("lines")) {
                        units += line.get("units").asInt();
                    }
                    return units;
                })
                .sum();
    }

    @AfterAll
    static void placesAddUp() {
        AT.placesAddUp();
    }
}
