package mardun.app;

import static mardun.app.AtTheStall.bag;
import static mardun.app.AtTheStall.kind;
import static mardun.app.AtTheStall.sale;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What a year says, from a batch that was timed and sold, and from bags that came from a list. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class YearTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static final AtTheStall AT = new AtTheStall(APP);
    private static final LocalDate TODAY = LocalDate.now();
    private static final String POUCH = "Yearly pouch {ç}";
    private static final UUID TABLET = UUID.randomUUID();

    private static JsonNode year() {
        Answer answer = APP.get("/api/year");
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    private static JsonNode chart(String key) {
        return year().get("charts")
                .valueStream()
                .filter(chart -> chart.get("key").asString().equals(key))
                .findFirst()
                .orElseThrow();
    }

    /** The cell of a row, by the name that its first cell has, in a column. */
    private static JsonNode cell(JsonNode table, String row, String column) {
        int place = 0;
        while (!table.get("columns").get(place).get("name").asString().equals(column)) {
            place++;
        }
        int at = place;
        return table.get("rows")
                .valueStream()
                .filter(one -> one.get("cells").get(0).get("text").asString().equals(row))
                .map(one -> one.get("cells").get(at))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no row “" + row + "” in " + table));
    }

    private static JsonNode books() {
        Answer answer = APP.get("/api/year/books?from=" + TODAY.withDayOfYear(1));
        assertThat(answer.status()).as(answer.body().toString()).isEqualTo(200);
        return answer.body();
    }

    @Test
    @Order(1)
    void saysThatNothingWasSold() {
        JsonNode year = year();
        assertThat(year.get("sold").asInt()).isZero();
        assertThat(year.path("firstSale").isMissingNode()).isTrue();
        assertThat(year.get("charts"))
                .hasSize(12)
                .allSatisfy(chart -> assertThat(chart.get("answer").asString()).isNotBlank());
        assertThat(chart("FLOW").get("answer").asString()).isEqualTo("Nothing was sold in these months.");
        assertThat(chart("FAIRS").get("answer").asString()).isEqualTo("You went to no fair in these months.");
        assertThat(APP.get("/api/year/remarks").body().path("remark").isMissingNode())
                .isTrue();
        assertThat(cell(books().get("table"), "together", "paid by buyers")
                        .get("exact")
                        .asString())
                .isEqualTo("0.00");
    }

    /** 117.00 were sold this year: near a sum of 140.00, from which tax has to be asked for, and beyond one of 117.00. */
    @Test
    @Order(3)
    void theBookTellsWhenTaxIsNear() {
        assertThat(taxNear("146.26").isMissingNode())
                .as("less than four fifths")
                .isTrue();
        JsonNode near = taxNear("140");
        assertThat(near.get("sold").get("amount").asString()).isEqualTo("117.00");
        assertThat(near.get("reached").asBoolean()).isFalse();
        assertThat(taxNear("117").get("reached").asBoolean()).isTrue();
        assertThat(taxNear("").isMissingNode()).isTrue();
    }

    private static JsonNode taxNear(String threshold) {
        ObjectNode choice = (ObjectNode) APP.get("/api/prices/choice").body();
        choice.put("taxThreshold", threshold);
        assertThat(APP.put("/api/prices/choice", choice).status()).isEqualTo(200);
        return APP.get("/api/prices/book").body().path("tax");
    }

    /** Fourteen pouches of which each step took what was planned; thirteen came out well and are sold for 9.00 each at a fair. */
    @Test
    @Order(2)
    void anHourEarnsWhatSalesLeaveBesideMaterial() {
        ObjectNode settings = APP.settings("INCH");
        settings.put("hourlyRate", "25").put("overheadPerHour", "1.20");
        assertThat(APP.put("/api/settings", settings).status()).isEqualTo(200);
        AtTheBench bench = new AtTheBench(APP, "900 yd");
        bench.ok(APP.post(
                "/api/materials/" + bench.shelf().get("outer") + "/movements",
                Map.of(
                        "requestId",
                        UUID.randomUUID(),
                        "kind",
                        "BOUGHT",
                        "amount",
                        "3 yd",
                        "reason",
                        "",
                        "paid",
                        "27.30")));
        long batch = bench.batch(APP.pouch(POUCH), "14");
        bench.cut(batch);
        List<Map<String, Object>> entries = new ArrayList<>();
        bench.work(batch, List.of()).get("turns").forEach(turn -> {
            long each = turn.get("parts").get(0).get("each").get("seconds").asLong();
            entries.add(bench.worked(batch, turn, 14, 14 * each));
        });
        bench.work(batch, entries);
        JsonNode read = bench.ok(APP.get("/api/batches/" + batch));
        bench.ok(APP.post(
                "/api/batches/" + batch + "/finish",
                Map.of(
                        "version",
                        read.get("version").asLong(),
                        "reason",
                        "",
                        "lines",
                        List.of(Map.of("number", 1, "good", "13", "seconds", "1", "scrap", "")))));
        long fair = AT.fair("Weir green", TODAY);
        String key = goodsKey(fair);
        AT.pack(fair, key, 13);
        List<Map<String, Object>> told = new ArrayList<>();
        for (int i = 0; i < 13; i++) {
            told.add(sale("CASH", 900, List.of(bag(key, 1, 900))));
        }
        assertThat(AT.tell(fair, TABLET, told).status()).isEqualTo(200);

        JsonNode earns = chart("EARNS_BY_DESIGN");
        JsonNode table = earns.get("table");
        assertThat(cell(table, POUCH, "bags").get("exact").asString()).isEqualTo("13");
        assertThat(cell(table, POUCH, "paid").get("exact").asString()).isEqualTo("117.00");
        JsonNode hour = cell(table, POUCH, "an hour");
        // What the working says is what was paid less tax, fees, material and overheads, by the hours.
        List<String> inputs = hour.get("working")
                .get("inputs")
                .valueStream()
                .map(input -> input.get("symbol").asString())
                .toList();
        assertThat(inputs).containsExactly("paid", "tax", "fees", "bought", "hours");
        double hours = cell(table, POUCH, "making these").get("size").asDouble() / 3600;
        String bought =
                hour.get("working").get("inputs").get(3).get("value").asString().replaceAll("[^0-9.]", "");
        assertThat(hour.get("size").asDouble())
                .isCloseTo((11_700 - 100 * Double.parseDouble(bought)) / hours, within(0.51));
        assertThat(earns.get("answer").asString()).startsWith(POUCH + " earned ");
        assertThat(earns.get("note").asString()).isEmpty();
        assertThat(cell(chart("EARNS_BY_CHANNEL").get("table"), channel(), "bags")
                        .get("exact")
                        .asString())
                .isEqualTo("13");
    }

    private static String channel() {
        return chart("EARNS_BY_CHANNEL")
                .get("table")
                .get("rows")
                .get(0)
                .get("cells")
                .get(0)
                .get("text")
                .asString();
    }

    /** The key of the pouches that came out well. */
    private static String goodsKey(long fair) {
        return APP.get("/api/fairs/" + fair + "/packing")
                .body()
                .get("rows")
                .valueStream()
                .map(row -> row.get("bag").get("key").asString())
                .filter(key -> key.endsWith("/GOOD"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    @Order(3)
    void whereTheMoneyWentAddsUpToWhatWasPaid() {
        JsonNode table = chart("FLOW").get("table");
        long all = table.get("rows")
                .valueStream()
                .mapToLong(row -> row.get("cells").get(1).get("size").asLong())
                .sum();
        assertThat(all).isEqualTo(11_700);
        assertThat(cell(table, "your work", "amount").get("size").asLong()).isPositive();
        assertThat(cell(table, "material", "amount").get("size").asLong()).isPositive();
        // Overheads are 1.20 an hour and work is 25: they go together, to the coins that each bag is rounded to.
        assertThat(cell(table, "overheads", "amount").get("size").asDouble() / 1.20)
                .isCloseTo(cell(table, "your work", "amount").get("size").asDouble() / 25, within(13.0));
    }

    @Test
    @Order(4)
    void bagsFromAListCountButNotForTheHour() throws InterruptedException {
        String before = cell(chart("EARNS_BY_DESIGN").get("table"), POUCH, "an hour")
                .get("exact")
                .asString();
        AT.bags(POUCH + ",small,4,4.00,15.00,home");
        long fair = AT.fair("Weir green", TODAY.minusDays(2));
        String key = kind(POUCH, "small");
        AT.pack(fair, key, 4);
        AT.tell(fair, TABLET, List.of(sale("CARD", 4000, List.of(bag(key, 3, 1500)))));

        JsonNode earns = chart("EARNS_BY_DESIGN");
        assertThat(cell(earns.get("table"), POUCH, "bags").get("exact").asString())
                .isEqualTo("16");
        assertThat(cell(earns.get("table"), POUCH, "an hour").get("exact").asString())
                .isEqualTo(before);
        assertThat(earns.get("note").asString()).startsWith("How long they took isn’t known of 3 of the bags");
        assertThat(chart("FLOW").get("note").asString()).startsWith("Of 3 bags it isn’t known");
    }

    @Test
    @Order(5)
    void saysHowTheBatchKeptItsTimesAndWhatWasSpoiled() {
        JsonNode times = chart("TIMES").get("table");
        assertThat(times.get("rows")).hasSize(1);
        assertThat(times.get("rows").get(0).get("cells").get(0).get("text").asString())
                .endsWith(POUCH);
        // Each step took what was planned for it; nothing of the set-ups was timed, so they count as planned.
        assertThat(times.get("rows").get(0).get("cells").get(4).get("exact").asString())
                .isEqualTo("0");
        assertThat(chart("SPOILED").get("answer").asString())
                .isEqualTo("1 of 14 bags didn’t come out well; most often " + POUCH + ", 1 of 14.");
        assertThat(chart("HOURS").get("table").toString()).contains("sewing");
    }

    @Test
    @Order(6)
    void eachAnswerIsASheetToo() {
        String csv = APP.text("/api/year/EARNS_BY_DESIGN.csv");
        assertThat(csv).contains("design,bags,paid (");
        assertThat(csv).contains(POUCH + ",16,157.00,");
        for (JsonNode chart : year().get("charts")) {
            assertThat(APP.text("/api/year/" + chart.get("key").asString() + ".csv"))
                    .contains(
                            chart.get("table").get("columns").get(0).get("name").asString());
        }
    }

    @Test
    @Order(7)
    void theBooksOpenToTheirEntries() {
        LocalDate first = TODAY.minusDays(2).withDayOfMonth(1);
        JsonNode books = APP.get("/api/year/books?from=" + first).body();
        JsonNode table = books.get("table");
        assertThat(table.get("rows")).hasSize(13);
        assertThat(cell(table, "together", "sales").get("exact").asString()).isEqualTo("14");
        assertThat(cell(table, "together", "paid by buyers").get("exact").asString())
                .isEqualTo("157.00");
        JsonNode sales =
                APP.get("/api/year/books/SALES?from=" + first + "&months=12").body();
        assertThat(sales.get("rows")).hasSize(14);
        assertThat(sales.get("rows")
                        .valueStream()
                        .mapToLong(row -> row.get("cells").get(4).get("size").asLong())
                        .sum())
                .isEqualTo(15_700);
        long bought = APP.get("/api/year/books/PURCHASES?from=" + first)
                .body()
                .get("rows")
                .valueStream()
                .mapToLong(row -> row.get("cells").get(4).get("size").asLong())
                .sum();
        assertThat(cell(table, "together", "purchases").get("size").asLong())
                .isEqualTo(bought)
                .isEqualTo(2730);
        assertThat(APP.get("/api/year/books/FAIRS?from=" + first).body().get("rows"))
                .hasSize(2);
        assertThat(APP.text("/api/year/books/HOURS.csv?from=" + first)).contains("at the bench");
        assertThat(APP.text("/api/year/books.csv?from=" + first)).contains("together,14,157.00");
    }

    /** What lies there at the end is what came less what went: the shelf of materials says the same, and the bags that are left. */
    @Test
    @Order(8)
    void theStockAtTheEndIsWhatLiesThere() {
        JsonNode stock = books().get("stock");
        JsonNode shelf = APP.get("/api/stock-value?on=" + TODAY).body();
        long bags = APP.get("/api/finished-goods")
                .body()
                .get("page")
                .get("items")
                .valueStream()
                .mapToLong(lot -> lot.get("unitCost").get("minor").asLong()
                        * lot.get("units").asLong())
                .sum();
        JsonNode rows = stock.get("rows");
        JsonNode together = rows.get(rows.size() - 1).get("cells");
        assertThat(together.get(2).get("size").asLong())
                .isEqualTo(shelf.get("total").get("minor").asLong() + bags);
        assertThat(together.get(1).get("size").asLong()).isZero();
    }

    @Test
    @Order(9)
    void saysOneThingThatDeservesItUntilItIsPutAway() {
        JsonNode remark = APP.get("/api/year/remarks").body().get("remark");
        assertThat(remark.get("sentence").asString()).contains(POUCH).contains("over the last 13 sold, and you want");
        assertThat(APP.post(
                                "/api/year/remarks/away",
                                Map.of("key", remark.get("key").asString()))
                        .status())
                .isEqualTo(204);
        assertThat(APP.get("/api/year/remarks").body().path("remark").isMissingNode())
                .isTrue();
        assertThat(APP.post("/api/year/remarks/away", Map.of("key", " ")).status())
                .isEqualTo(422);
    }

    @Test
    @Order(10)
    void refusesWhatIsNoYear() {
        assertThat(APP.get("/api/year?from=1200-01-01").detail()).contains("can’t be used");
        assertThat(APP.get("/api/year/books?from=9999-12-01").detail()).contains("can’t be used");
        for (String wrong : List.of(
                "/api/year/books/SALES?from=2026-01-01&months=13",
                "/api/year/books/WISHES?from=2026-01-01",
                "/api/year?from=soon",
                "/api/year/books")) {
            Answer refused = APP.get(wrong);
            assertThat(refused.status()).as(wrong).isBetween(400, 422);
            assertThat(refused.detail()).as(wrong).isNotBlank();
        }
    }
}
