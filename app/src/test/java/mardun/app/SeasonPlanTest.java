package mardun.app;

import static mardun.app.AtTheStall.bag;
import static mardun.app.AtTheStall.kind;
import static mardun.app.AtTheStall.sale;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What to make: from sales at fairs that were to a batch for one that comes. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class SeasonPlanTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static final AtTheStall AT = new AtTheStall(APP);
    private static final LocalDate TODAY = LocalDate.now();
    private static final UUID TABLET = UUID.randomUUID();
    private static final String POUCH = "Planned pouch {ç}";
    private static long coming;
    private static int planned;
    private static Map<String, Long> shelf = Map.of();

    @BeforeAll
    static void aWorkroom() {
        ObjectNode settings = APP.settings("INCH");
        settings.set("freeHours", RunningApp.JSON.valueToTree(List.of("3", "3", "3", "3", "3", "3", "3")));
        assertThat(APP.put("/api/settings", settings).status()).isEqualTo(200);
    }

    private static JsonNode plan() {
        Answer answer = APP.get("/api/season-plan");
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    /** Asks with some fields typed otherwise. */
    private static Answer ask(Map<String, ?> changed) {
        ObjectNode form = (ObjectNode) plan().get("form").deepCopy();
        changed.forEach((field, value) -> form.set(field, RunningApp.JSON.valueToTree(value)));
        return APP.put("/api/season-plan", form);
    }

    private static JsonNode asked(Map<String, ?> changed) {
        Answer answer = ask(changed);
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    private static JsonNode row(JsonNode plan, String size) {
        for (JsonNode row : plan.get("rows")) {
            if (row.get("size").asString().equals(size)) {
                return row;
            }
        }
        throw new AssertionError("no row for " + size + " in " + plan);
    }

    private static int made(JsonNode plan) {
        int made = 0;
        for (JsonNode row : plan.get("rows")) {
            made += row.get("make").asInt();
        }
        return made;
    }

    private static long minor(JsonNode money) {
        return money.get("minor").asLong();
    }

    @Test
    @Order(1)
    void saysWhatIsMissingBeforeAnythingCanBePlanned() {
        assertThat(plan().get("sentence").asString())
                .isEqualTo("There is nothing that could be made yet: no design has both a cost and a price.");
    }

    @Test
    @Order(2)
    void saysThatNothingIsAhead() {
        shelf = APP.pouchShelf("20 yd");
        fill(APP.pouch(POUCH), shelf);
        assertThat(plan().get("sentence").asString()).startsWith("Nothing is ahead: no fair is chosen");
        assertThat(asked(Map.of("shop", false)).get("sentence").asString())
                .isEqualTo("Nothing is ahead: choose a fair, or count the online shop.");
    }

    private static void fill(long pouch, Map<String, Long> materials) {
        JsonNode design = APP.get("/api/designs/" + pouch).body();
        JsonNode document = design.get("document").deepCopy();
        document.get("slots").forEach(slot -> {
            Long material = materials.get(slot.get("key").asString());
            if (material != null) {
                ((ObjectNode) slot).put("materialId", material);
            }
        });
        Answer saved = APP.put(
                "/api/designs/" + pouch, Map.of("version", design.get("version").asLong(), "document", document));
        assertThat(saved.status()).as(saved.body().toString()).isEqualTo(200);
    }

    @Test
    @Order(3)
    void goesByTheKindAsLongAsNothingWasSold() {
        coming = AT.fair("Lock green", TODAY.plusDays(20));
        JsonNode plan = asked(Map.of("fairs", List.of(coming), "hours", "8", "shop", true));
        assertThat(plan.path("sentence").isMissingNode()).isTrue();
        assertThat(plan.get("rests").asString()).startsWith("Nothing was sold yet");
        assertThat(row(plan, "small").get("rests").asString()).startsWith("It was never offered");
        assertThat(minor(plan.get("outcome").get("badDay")))
                .isLessThanOrEqualTo(minor(plan.get("outcome").get("expected")));
    }

    @Test
    @Order(4)
    void makesMoreOfWhatSoldOutAndSaysOnWhichSalesItRests() throws InterruptedException {
        AT.bags(POUCH + ",small,24,4.00,15.00,home", POUCH + ",medium,24,6.00,15.00,home");
        String small = kind(POUCH, "small");
        String medium = kind(POUCH, "medium");
        for (int weeks = 4; weeks >= 1; weeks--) {
            long fair = AT.fair("Lock green", TODAY.minusWeeks(weeks));
            AT.pack(fair, small, 6);
            AT.pack(fair, medium, 6);
            List<Map<String, Object>> told = new ArrayList<>();
            for (int n = 0; n < 6; n++) {
                told.add(sale("CASH", 1500, List.of(bag(small, 1, 1500))));
            }
            told.add(sale("CASH", 1500, List.of(bag(medium, 1, 1500))));
            assertThat(AT.tell(fair, TABLET, told).status()).isEqualTo(200);
        }
        JsonNode plan = asked(Map.of("hours", "6"));
        assertThat(plan.get("rests").asString()).isEqualTo("It rests on 28 bags sold at 4 fairs.");
        JsonNode its = row(plan, "small");
        assertThat(its.get("rests").asString())
                .matches(
                        "24 sold in 4 fairs or weeks, 24 brought to fairs; sold out 4 times\\. "
                                + "[1-9]\\d? % of the estimate rests on these, the rest on its design, its kind and its cloth\\.");
        assertThat(its.get("have").asInt()).isZero();
        assertThat(row(plan, "medium").get("have").asInt()).isEqualTo(20);
        assertThat(its.get("wanted").asDouble())
                .isGreaterThan(1.5 * row(plan, "medium").get("wanted").asDouble());
        // Fairs of December say less of one in January, and those of November more of one in December.
        assertThat(its.get("wanted").asDouble()).isBetween(2.0, 14.0);
        assertThat(its.get("make").asInt()).isPositive();
        assertThat(row(plan, "medium").get("make").asInt()).isZero();
        assertThat(plan.get("outcome").get("time").get("seconds").asLong()).isLessThanOrEqualTo(6 * 3600);
        assertThat(plan.get("outcome").get("broken")).isEmpty();
        assertThat(minor(plan.get("gap"))).isNotNegative();
    }

    @Test
    @Order(5)
    void judgesByTheMakersOwnFactorAndKeepsItApart() {
        JsonNode before = plan();
        String kind = row(before, "small").get("kind").asString();
        JsonNode after = asked(Map.of("judgements", List.of(Map.of("kind", kind, "percent", 200))));
        assertThat(row(after, "small").get("wanted").asDouble())
                .isCloseTo(2 * row(before, "small").get("wanted").asDouble(), within(0.11));
        assertThat(row(after, "small").get("rests"))
                .isEqualTo(row(before, "small").get("rests"));
        assertThat(row(after, "small").get("judgement").asInt()).isEqualTo(200);
        asked(Map.of("judgements", List.of()));
    }

    @Test
    @Order(6)
    void triesNumbersByHandWithoutKeepingThem() {
        JsonNode plan = plan();
        String small = row(plan, "small").get("kind").asString();
        JsonNode fewer = APP.post("/api/season-plan/try", Map.of("made", List.of(Map.of("kind", small, "units", 0))))
                .body();
        assertThat(minor(fewer.get("less"))).isPositive();
        assertThat(minor(fewer.get("outcome").get("ofMaking"))).isZero();
        JsonNode many = APP.post("/api/season-plan/try", Map.of("made", List.of(Map.of("kind", small, "units", 90))))
                .body();
        assertThat(LocalDate.parse(plan.get("outcome").get("doneOn").asString()))
                .isBetween(TODAY, TODAY.plusDays(2));
        assertThat(plan.get("outcome").get("isLate").asBoolean()).isFalse();
        assertThat(LocalDate.parse(many.get("outcome").get("doneOn").asString()))
                .isAfter(LocalDate.parse(plan.get("outcome").get("doneOn").asString()));
        assertThat(fewer.get("outcome").path("doneOn").isMissingNode()).isTrue();
        assertThat(many.get("outcome").get("broken").get(0).asString()).matches("It takes .+, and 6 h.* are free\\.");
        assertThat(plan()).isEqualTo(plan);
    }

    @Test
    @Order(7)
    void refusesWhatCanNotBeReadAndKeepsWhatWasAsked() {
        JsonNode before = plan().get("form");
        Answer refused = ask(Map.of("hours", "many", "money", "-3", "keeps", "140"));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.on("hours")).contains("“many”");
        assertThat(refused.on("money")).isNotEmpty();
        assertThat(refused.on("keeps")).isNotEmpty();
        assertThat(plan().get("form")).isEqualTo(before);
        Map<String, Object> stale =
                new HashMap<>(Map.of("version", before.get("version").asLong() - 1));
        assertThat(ask(stale).status()).isEqualTo(409);
    }

    @Test
    @Order(8)
    void saysThatThereAreNoFreeHours() {
        assertThat(asked(Map.of("hours", "0")).get("sentence").asString())
                .startsWith("There are no free hours before “Lock green”");
        asked(Map.of("hours", "6"));
    }

    @Test
    @Order(9)
    void countsABagOfAnOccasionUntilItsLastDayOnly() {
        JsonNode before = plan();
        JsonNode small = row(before, "small");
        Map<String, Object> occasion = new HashMap<>(Map.of(
                "designId",
                small.get("designId").asLong(),
                "name",
                " Lock feast {ç} ",
                "lastDay",
                TODAY.plusDays(20).toString(),
                "keeps",
                "0"));
        JsonNode its =
                row(asked(Map.of("occasions", List.of(occasion))), "small").get("occasion");
        assertThat(its.get("name").asString()).isEqualTo("Lock feast {ç}");
        assertThat(its.get("isOver").asBoolean()).isFalse();
        assertThat(its.get("lastSale").asString()).isEqualTo(TODAY.plusDays(20).toString());
        // Less than the hours of three a day that the plan takes, and never on the day of the fair itself.
        assertThat(LocalDate.parse(its.get("beginBy").asString())).isBetween(TODAY.plusDays(17), TODAY.plusDays(19));

        occasion.put("lastDay", TODAY.plusDays(19).toString());
        JsonNode without = asked(Map.of("occasions", List.of(occasion)));
        assertThat(row(without, "small").get("wanted").asDouble()).isZero();
        assertThat(row(without, "small").get("make").asInt()).isZero();
        assertThat(row(without, "small").get("reason").asString())
                .isEqualTo("What it is sold for is over before anything that counts here.");
        occasion.put("lastDay", TODAY.minusDays(1).toString());
        assertThat(row(asked(Map.of("occasions", List.of(occasion))), "small")
                        .get("occasion")
                        .get("isOver")
                        .asBoolean())
                .isTrue();

        occasion.put("lastDay", "9999-12-31");
        assertThat(ask(Map.of("occasions", List.of(occasion))).status()).isEqualTo(400);
        occasion.put("lastDay", TODAY.toString());
        occasion.put("name", "  ");
        occasion.put("keeps", "101");
        Answer refused = ask(Map.of("occasions", List.of(occasion)));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.on("occasions." + small.get("designId").asLong() + ".name"))
                .contains("empty");
        assertThat(refused.on("occasions." + small.get("designId").asLong() + ".keeps"))
                .contains("101");
        assertThat(row(asked(Map.of("occasions", List.of())), "small")
                        .path("occasion")
                        .isMissingNode())
                .isTrue();
    }

    @Test
    @Order(10)
    void expectsMoreBuyersWhereMoreWalkThrough() {
        assertThat(footfall("SMALL")).isLessThan(footfall("MEDIUM"));
        assertThat(footfall("LARGE")).isGreaterThan(footfall("MEDIUM"));
    }

    /** The buyers that are expected of the small one, where so many walk through the coming fair. */
    private static double footfall(String footfall) {
        ObjectNode form =
                (ObjectNode) APP.get("/api/fairs/" + coming).body().get("form").deepCopy();
        assertThat(APP.put("/api/fairs/" + coming, form.put("footfall", footfall))
                        .status())
                .isEqualTo(200);
        return row(plan(), "small").get("wanted").asDouble();
    }

    @Test
    @Order(10)
    void makesSoManyWhateverTheyBringAndSaysWhereLimitsContradictThat() {
        JsonNode before = plan();
        String medium = row(before, "medium").get("kind").asString();
        JsonNode some = asked(Map.of("atLeast", List.of(Map.of("kind", medium, "units", 2))));
        assertThat(row(some, "medium").get("make").asInt()).isEqualTo(2);
        assertThat(row(some, "medium").get("atLeast").asInt()).isEqualTo(2);
        assertThat(some.path("sentence").isMissingNode()).isTrue();
        assertThat(minor(some.get("outcome").get("expected")))
                .isLessThan(minor(before.get("outcome").get("expected")));
        JsonNode many = asked(Map.of("atLeast", List.of(Map.of("kind", medium, "units", 60)), "pieces", "40"));
        assertThat(many.get("sentence").asString())
                .matches(
                        "What is asked contradicts itself: 60 bags are to be made in any case\\. It takes .+, and 6 h.* are"
                                + " free\\. It makes 60 bags, and 40 are the most\\. Ask for fewer of them, or allow more\\.");
        assertThat(row(many, "medium").get("make").asInt()).isEqualTo(60);
        asked(Map.of("atLeast", List.of(), "pieces", ""));
    }

    @Test
    @Order(11)
    void becomesABatchForTheFairOnce() {
        JsonNode plan = plan();
        List<Map<String, Object>> numbers = new ArrayList<>();
        plan.get("rows")
                .forEach(row -> numbers.add(Map.of(
                        "kind",
                        row.get("kind").asString(),
                        "units",
                        row.get("make").asInt())));
        JsonNode laidOut = laidOut(numbers).body();
        assertThat(APP.get("/api/batches").body().get("items"))
                .as("nothing is kept")
                .isEmpty();
        Map<String, Object> form = Map.of("requestId", UUID.randomUUID(), "made", numbers);
        Answer made = APP.post("/api/season-plan/batch", form);
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        long batch = made.body().get("batchId").asLong();
        assertThat(APP.post("/api/season-plan/batch", form)
                        .body()
                        .get("batchId")
                        .asLong())
                .isEqualTo(batch);
        JsonNode shown = APP.get("/api/batches/" + batch).body();
        assertThat(shown.toString())
                .contains("Lock green")
                .contains(TODAY.plusDays(19).toString());
        planned = made(plan);
        agreesWithTheBatch(laidOut, batch, shown);
        // What is in the batch counts as there, so less is to be made now.
        JsonNode after = plan();
        assertThat(row(after, "small").get("have").asInt())
                .isEqualTo(row(plan, "small").get("make").asInt());
        assertThat(made(after)).isLessThan(made(plan));
        assertThat(APP.post("/api/season-plan/batch", Map.of("requestId", UUID.randomUUID(), "made", List.of()))
                        .detail())
                .isEqualTo("No bag is to be made. Type how many of at least one kind.");
    }

    private static Answer laidOut(List<Map<String, Object>> numbers) {
        return APP.post("/api/season-plan/laid-out", Map.of("made", numbers));
    }

    /** Before it was kept it was said to be done on the same day, in the same time, and to take about as much cloth as pieces in rows. */
    private static void agreesWithTheBatch(JsonNode laidOut, long batch, JsonNode shown) {
        JsonNode onDays = APP.get("/api/days").body().get("batches").get(0);
        assertThat(onDays.get("batchId").asLong()).isEqualTo(batch);
        assertThat(laidOut.get("ready")).isEqualTo(onDays.get("ready"));
        assertThat(laidOut.get("late").asBoolean()).isEqualTo(onDays.get("late").asBoolean());
        assertThat(laidOut.get("changing"))
                .isEqualTo(APP.get("/api/batches/" + batch + "/order").body().get("changing"));
        assertThat(laidOut.get("time").get("seconds").asLong())
                .isGreaterThan(laidOut.get("changing").get("seconds").asLong());
        assertThat(laidOut.get("tape").get("laid")).isNotEmpty().allSatisfy(laid -> {
            assertThat(laid.path("batchId").isMissingNode()).isTrue();
            assertThat(laid.get("label").asString()).isEqualTo("These bags");
        });
        Map<String, Long> inRows = new HashMap<>();
        shown.get("sheet")
                .get("needs")
                .forEach(need -> inRows.put(
                        need.get("name").asString(),
                        need.get("needed").get("value").asLong()));
        assertThat(laidOut.get("takes")).hasSizeGreaterThanOrEqualTo(2).allSatisfy(takes -> {
            assertThat(takes.get("laidOut").asBoolean()).isTrue();
            assertThat(takes.get("takes").get("value").asLong())
                    .as("about what rows of pieces take, with what squares the end")
                    .isCloseTo(inRows.get(takes.get("name").asString()), Percentage.withPercentage(30));
        });
    }

    @Test
    @Order(11)
    void laysNothingOutOfNothingAndSaysWhatFallsShort() {
        assertThat(laidOut(List.of()).detail()).isEqualTo("No bag is to be made. Type how many of at least one kind.");
        String small = row(plan(), "small").get("kind").asString();
        JsonNode many = laidOut(List.of(Map.of("kind", small, "units", 900))).body();
        assertThat(many.get("takes"))
                .anySatisfy(takes ->
                        assertThat(takes.path("shortBy").isMissingNode()).isFalse());
        assertThat(many.get("late").asBoolean()).isTrue();
        assertThat(many.get("tape").get("days").size()).isLessThanOrEqualTo(28);
    }

    @Test
    @Order(12)
    void plansForABadDay() {
        JsonNode mean = plan();
        JsonNode careful = asked(Map.of("aim", "BETTER_BAD_DAY"));
        assertThat(minor(careful.get("outcome").get("badDay")))
                .isGreaterThanOrEqualTo(minor(mean.get("outcome").get("badDay")));
    }

    @Test
    @Order(13)
    void makesNoMoreThanALicenceAllows() {
        List<Map<String, Object>> muchMore = new ArrayList<>();
        plan().get("rows")
                .forEach(row -> muchMore.add(Map.of("kind", row.get("kind").asString(), "percent", 400)));
        JsonNode before = asked(Map.of("aim", "BEST_MEAN", "hours", "20", "judgements", muchMore));
        assertThat(made(before)).isGreaterThan(6);
        int have = row(before, "small").get("have").asInt()
                + row(before, "medium").get("have").asInt();
        licence("SO_MANY", have + 400);
        assertThat(made(plan())).isEqualTo(made(before));
        licence("SO_MANY", planned + 3);
        JsonNode few = plan();
        assertThat(made(few)).isEqualTo(3);
        assertThat(few.get("rows").toString()).contains("but its licence allows no more");
        licence("SO_MANY", 1);
        assertThat(plan().get("leftOut").get(0).get("why").asString())
                .isEqualTo("the licence of its pattern allows no more to be sold");
        licence("SO_MANY_A_YEAR", planned + 3);
        assertThat(made(plan())).isEqualTo(3);
        // What was planned last year doesn't count against a licence that goes by the year.
        APP.part(JdbcTemplate.class).update("update batch set created_at = dateadd('YEAR', -1, created_at)");
        licence("SO_MANY_A_YEAR", 4);
        assertThat(made(plan())).isEqualTo(4);
        licence("NOT_FOR_SALE", 0);
        assertThat(plan().get("leftOut")).hasSize(2);
        assertThat(plan().get("rows")).isEmpty();
    }

    @Test
    @Order(14)
    void whatSoldAsASetIsReckonedWithAsOne() throws InterruptedException {
        licence("OWN", 0);
        String fob = "Planned fob 🧵";
        fill(APP.pouch(fob), shelf);
        AT.bags(POUCH + ",small,20,4.00,15.00,home", fob + ",small,20,2.00,9.00,home");
        String small = kind(POUCH, "small");
        String fobs = kind(fob, "small");
        long fair = AT.fair("Lock green", TODAY.minusDays(3));
        AT.pack(fair, small, 12);
        AT.pack(fair, fobs, 12);
        List<Map<String, Object>> told = new ArrayList<>();
        for (int n = 0; n < 4; n++) {
            told.add(sale("CASH", 1500, List.of(bag(small, 1, 1500))));
            told.add(sale("CASH", 2400, List.of(bag(small, 1, 1500), bag(fobs, 1, 900))));
        }
        assertThat(AT.tell(fair, TABLET, told).status()).isEqualTo(200);
        JsonNode plan = plan();
        // Before, 24 and 4 sales of the pouch; now 8 more, of which 4 were with a fob.
        assertThat(plan.get("sets").get(0).asString())
                .isEqualTo("“" + fob + "” went along in 4 of 36 sales of “" + POUCH
                        + "”; the plan reckons with 9 %, in the same cloth where there is one.");
        assertThat(plan.get("rests").asString())
                .isEqualTo("It rests on 36 bags sold at 5 fairs, and on 4 that went along.");
        // None of its buyers came for a fob alone.
        assertThat(plan.get("rows").toString()).contains("0 sold in 1 fair or week, 8 brought");
        // Undone, it was no set.
        for (int n = 1; n < 8; n += 2) {
            assertThat(AT.tell(fair, TABLET, List.of(AtTheStall.about("UNDONE", told.get(n))))
                            .status())
                    .isEqualTo(200);
        }
        assertThat(plan().get("sets")).isEmpty();
    }

    private static void licence(String licence, int most) {
        long pouch =
                APP.get("/api/designs").body().get("items").get(0).get("id").asLong();
        JsonNode design = APP.get("/api/designs/" + pouch).body();
        ObjectNode document = (ObjectNode) design.get("document").deepCopy();
        document.set(
                "source",
                RunningApp.JSON
                        .createObjectNode()
                        .put("licence", licence)
                        .put("designer", "Pat Tern")
                        .put("most", most)
                        .put("credit", ""));
        assertThat(APP.put(
                                "/api/designs/" + pouch,
                                Map.of("version", design.get("version").asLong(), "document", document))
                        .status())
                .isEqualTo(200);
    }
}
