package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.sql.DataSource;
import mardun.app.RunningApp.Answer;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What tests do at a stall, as a device and its maker would. */
final class AtTheStall {

    private final RunningApp app;

    AtTheStall(RunningApp app) {
        this.app = app;
    }

    /** Brings finished bags in from a list: design, size, how many, unit cost, price, place. */
    void bags(String... lines) throws InterruptedException {
        String csv = "design,size,units,unit cost,price,place\n" + String.join("\n", lines) + "\n";
        String id = app.upload("/api/imports?list=finished-bags", csv.getBytes(StandardCharsets.UTF_8))
                .body()
                .get("id")
                .asString();
        settle(id);
        app.post("/api/imports/" + id + "/enter", "");
        assertThat(settle(id).get("state").asString()).isEqualTo("ENTERED");
    }

    private JsonNode settle(String id) throws InterruptedException {
        JsonNode job = app.get("/api/imports/" + id).body();
        while (job.get("state").asString().endsWith("ING")) {
            Thread.sleep(20);
            job = app.get("/api/imports/" + id).body();
        }
        return job;
    }

    /** What is kept of each place is the sum of the movements there. */
    void placesAddUp() {
        assertThat(new JdbcTemplate(app.part(DataSource.class)).queryForList("""
                select m.goods_id, m.place, sum(m.change_units) moved, max(p.units) kept
                from goods_movement m left join goods_place p on p.goods_id = m.goods_id and p.place = m.place
                group by m.goods_id, m.place having sum(m.change_units) <> coalesce(max(p.units), -1)"""))
                .isEmpty();
    }

    /** The key of bags that came from a list. */
    static String kind(String design, String size) {
        return "“" + design + "”/“" + size + "”/“”/GOOD";
    }

    Answer create(String name, LocalDate day) {
        return app.post("/api/fairs", Map.of("requestId", UUID.randomUUID(), "name", name, "heldOn", day.toString()));
    }

    long fair(String name, LocalDate day) {
        Answer made = create(name, day);
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        return made.id();
    }

    /** Types some facts of a fair. */
    Answer type(long fair, Map<String, ?> facts) {
        ObjectNode form = (ObjectNode) app.get("/api/fairs/" + fair).body().get("form");
        facts.forEach((field, value) -> form.putPOJO(field, value));
        return app.put("/api/fairs/" + fair, form);
    }

    Answer pack(long fair, String kind, int units) {
        app.put(
                "/api/fairs/" + fair + "/packing",
                Map.of("kind", kind, "units", Integer.toString(units), "box", "1", "ownPrice", ""));
        return app.put("/api/fairs/" + fair + "/packing/packed", Map.of("kind", kind, "packed", true));
    }

    static Map<String, Object> entry(String what, List<Map<String, Object>> bags) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("id", UUID.randomUUID().toString());
        entry.put("kind", what);
        entry.put("at", Instant.now().toString());
        entry.put("bags", bags);
        entry.put("payment", "");
        entry.put("note", "");
        return entry;
    }

    static Map<String, Object> bag(String kind, int units, long price) {
        return Map.of("kind", kind, "units", units, "priceMinor", price);
    }

    static Map<String, Object> sale(String tender, long paid, List<Map<String, Object>> bags) {
        Map<String, Object> entry = entry("SOLD", bags);
        entry.put("tender", tender);
        entry.put("paidMinor", paid);
        return entry;
    }

    static Map<String, Object> about(String what, Map<String, Object> before) {
        Map<String, Object> entry = entry(what, List.of());
        entry.put("ofEntry", before.get("id"));
        return entry;
    }

    Answer tell(long fair, UUID device, List<Map<String, Object>> entries) {
        return app.post("/api/fairs/" + fair + "/stall", Map.of("device", device, "entries", entries));
    }

    JsonNode stall(long fair) {
        return app.get("/api/fairs/" + fair + "/stall").body();
    }

    static JsonNode tile(JsonNode stall, String kind) {
        for (JsonNode tile : stall.get("tiles")) {
            if (tile.get("bag").get("key").asString().equals(kind)) {
                return tile;
            }
        }
        throw new AssertionError("no tile for " + kind + " in " + stall);
    }

    /** A count of the evening in which all that is at the stall comes home, but for what is said of some kinds. */
    Map<String, Object> count(
            long fair,
            String cash,
            String change,
            Map<String, Integer> home,
            List<Map<String, Object>> gone,
            @Nullable String card) {
        JsonNode shown = app.get("/api/fairs/" + fair + "/settlement").body();
        List<Map<String, Object>> rows = new ArrayList<>();
        shown.get("home").forEach(row -> {
            String key = row.get("bag").get("key").asString();
            rows.add(Map.of(
                    "kind",
                    key,
                    "counted",
                    Integer.toString(home.getOrDefault(key, row.get("expected").asInt()))));
        });
        Map<String, Object> form = new LinkedHashMap<>();
        form.put("requestId", UUID.randomUUID());
        form.put("mark", shown.get("mark").asString());
        form.put("cash", cash);
        form.put("change", change);
        form.put("card", card == null ? "" : card);
        form.put("home", rows);
        form.put("gone", gone);
        form.put("thereHours", shown.get("thereHours").asString());
        form.put("wayHours", shown.get("wayHours").asString());
        form.put("nextTime", "");
        form.put("unpack", true);
        return form;
    }

    static Map<String, Object> gone(String kind, int units, String ended, String paid) {
        return Map.of("kind", kind, "units", Integer.toString(units), "ended", ended, "paid", paid, "note", "");
    }
}
