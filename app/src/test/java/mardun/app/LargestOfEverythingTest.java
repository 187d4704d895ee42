package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A slip of the keys: the largest of everything that is taken, many times. Every screen goes on, and all can be mended. */
class LargestOfEverythingTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static final Map<String, Long> SHELF = new LinkedHashMap<>();
    private static final int TIMES = 3;
    private static long shop;
    private static long design;

    @BeforeAll
    static void aWorkroom() {
        assertThat(APP.put("/api/settings", APP.settings("METRIC")).status()).isEqualTo(200);
        SHELF.put("outer", enter(APP.material("CLOTH", "Cloth", "5 m", "1000000", "1 m", "")));
        SHELF.put("lining", enter(APP.material("CLOTH", "Lining", "1 m", "1000000", "1 m", "")));
        SHELF.put("interfacing", enter(APP.material("CLOTH", "Fusible", "1 m", "1000000", "1 m", "")));
        SHELF.put("zip", enter(APP.material("TRIM", "Tape", "", "1000000", "1 m", "")));
        SHELF.put("slider", enter(APP.material("NOTION", "Slider", "", "1000000", "1", "")));
        SHELF.put("label", enter(APP.material("NOTION", "Label", "", "1000000", "1", "")));
        SHELF.put("beads", enter(APP.material("FILLING_BY_VOLUME", "Beads", "", "1000000", "1 l", "")));
        SHELF.put("nuts", enter(APP.material("FILLING_BY_WEIGHT", "Shells", "", "1000000", "1 kg", "")));
        shop = APP.post(
                        "/api/suppliers",
                        Map.of("requestId", UUID.randomUUID(), "version", 0, "name", "Shop", "postage", "1000000"))
                .id();
        design = APP.post("/api/designs", Map.of("requestId", UUID.randomUUID(), "name", "Pouch"))
                .id();
    }

    private static long enter(Map<String, Object> form) {
        Answer made = APP.post("/api/materials", form);
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        return made.id();
    }

    private static Map<String, Object> delivery(long material, String packs, String content, String price) {
        Map<String, Object> line =
                new HashMap<>(Map.of("materialId", material, "packs", packs, "content", content, "price", price));
        for (String empty : List.of("dyeLot", "place", "measuredWidth", "pieceWidth", "pieceHeight")) {
            line.put(empty, "");
        }
        return Map.of(
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
                price,
                "lines",
                List.of(line));
    }

    private static Map<String, Object> batch(String units) {
        Map<String, Object> form = new HashMap<>(Map.of(
                "requestId",
                UUID.randomUUID(),
                "version",
                0,
                "designId",
                design,
                "sizeName",
                "medium",
                "units",
                units,
                "ownPrice",
                "1000000",
                "forWhat",
                ""));
        form.put(
                "materials",
                SHELF.entrySet().stream()
                        .limit(6)
                        .map(slot -> Map.of("slot", slot.getKey(), "materialId", slot.getValue()))
                        .toList());
        return RunningApp.oneLine(form);
    }

    private static void everyScreenIsThere(String after) {
        List<String> screens = new ArrayList<>(List.of(
                "/api/bench",
                "/api/materials",
                "/api/designs",
                "/api/batches",
                "/api/buying",
                "/api/deliveries",
                "/api/stock-take",
                "/api/stock-value",
                "/api/finished-goods",
                "/api/scrap",
                "/api/fairs"));
        SHELF.values().forEach(id -> {
            screens.add("/api/materials/" + id);
            screens.add("/api/materials/" + id + "/shelf");
            screens.add("/api/materials/" + id + "/movements");
            screens.add("/api/in-hand?material=" + id);
        });
        for (String screen : screens) {
            long began = System.nanoTime();
            assertThat(APP.get(screen).status()).as(after + ": " + screen).isEqualTo(200);
            assertThat(Duration.ofNanos(System.nanoTime() - began))
                    .as(after + ": " + screen)
                    .isLessThan(Duration.ofSeconds(20));
        }
        for (String list : List.of("materials", "lots", "movements")) {
            assertThat(APP.text("/api/lists/" + list + ".csv"))
                    .as(after + ": " + list)
                    .contains("Cloth");
        }
    }

    @Test
    void theLargestOfEverythingManyTimes() {
        List<String> amounts =
                List.of("10000 m", "10000 m", "10000 m", "10000 m", "1000000", "1000000", "1000 l", "1000 kg");
        for (int i = 0; i < TIMES; i++) {
            int at = 0;
            for (Map.Entry<String, Long> one : SHELF.entrySet()) {
                String amount = amounts.get(at++);
                mayBeRefused(APP.post("/api/deliveries", delivery(one.getValue(), "100000", amount, "1000000")));
                mayBeRefused(APP.post("/api/deliveries", delivery(one.getValue(), "100", amount, "1000000")));
                for (String kind : List.of("BOUGHT", "GIVEN", "USED", "COUNTED")) {
                    mayBeRefused(APP.post(
                            "/api/materials/" + one.getValue() + "/movements",
                            Map.of(
                                    "requestId",
                                    UUID.randomUUID(),
                                    "kind",
                                    kind,
                                    "amount",
                                    amount,
                                    "reason",
                                    "a slip")));
                }
            }
            mayBeRefused(APP.post(
                    "/api/materials/" + SHELF.get("outer") + "/pieces",
                    Map.of(
                            "requestId", UUID.randomUUID(),
                            "width", "5 m",
                            "height", "5 m",
                            "count", "10000",
                            "place", "",
                            "given", false)));
            if (i == 0) {
                mayBeRefused(APP.post("/api/batches", batch("5000")));
            }
        }
        everyScreenIsThere("after all entries");
        List<String> right = List.of("3", "3", "3", "3", "3", "3", "3 l", "3 kg");
        int which = 0;
        for (long id : SHELF.values()) {
            String there = right.get(which++);
            Answer counted = APP.post(
                    "/api/materials/" + id + "/movements",
                    Map.of("requestId", UUID.randomUUID(), "kind", "COUNTED", "amount", there, "reason", "set right"));
            assertThat(counted.status()).as(counted.body().toString()).isIn(200, 201);
        }
        everyScreenIsThere("after it was set right");
    }

    /** Taken, or refused with a sentence; never an error. */
    private static void mayBeRefused(Answer answer) {
        assertThat(answer.status()).as(answer.body().toString()).isIn(200, 201, 422);
        if (answer.status() == 422) {
            assertThat(answer.detail()).endsWith(".");
        }
    }

    @Test
    void whatNobodyHasIsRefusedWithTheLimit() {
        Answer refused = APP.post("/api/deliveries", delivery(SHELF.get("lining"), "100000", "10000 m", "1"));
        assertThat(refused.on("lines.0.packs")).contains("the most that a shelf holds");
        Map<String, Object> dear = APP.material("TRIM", "Dear", "", "1000000", "1 mm", "");
        assertThat(APP.post("/api/materials", dear).on("pricePer")).contains("would cost more than a million");
    }
}
