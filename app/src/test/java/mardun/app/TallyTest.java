package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** What became of a batch follows from what was logged of it, and the true cost stays with its bags. */
class TallyTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static AtTheBench bench;

    @BeforeAll
    static void shelf() {
        bench = new AtTheBench(APP, "900 yd");
    }

    private static JsonNode tally(long batch) {
        return bench.ok(APP.get("/api/batches/" + batch + "/tally"));
    }

    private static JsonNode step(JsonNode tally, String name) {
        return tally.get("steps")
                .valueStream()
                .filter(one -> one.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static long minor(JsonNode money) {
        return money.get("minor").asLong();
    }

    private static void finish(long batch, String good) {
        JsonNode read = bench.ok(APP.get("/api/batches/" + batch));
        bench.ok(APP.post(
                "/api/batches/" + batch + "/finish",
                Map.of(
                        "version",
                        read.get("version").asLong(),
                        "reason",
                        "",
                        "lines",
                        List.of(Map.of("number", 1, "good", good, "seconds", "", "scrap", "")))));
    }

    private static List<JsonNode> goods(String design) {
        return bench.ok(APP.get("/api/finished-goods?query=" + design))
                .get("page")
                .get("items")
                .valueStream()
                .toList();
    }

    @Test
    void aBatchOfWhichNothingWasTimedTookWhatWasPlanned() {
        long batch = bench.batch(APP.pouch("Untimed pouch"), "6");
        bench.cut(batch);
        finish(batch, "6");
        JsonNode tally = tally(batch);
        assertThat(tally.get("timed").asBoolean()).isFalse();
        assertThat(tally.get("took")).isEqualTo(tally.get("planned"));
        assertThat(minor(tally.get("lines").get(0).get("cost")))
                .as("but for the cent of a zip that is paid for by the yard")
                .isBetween(
                        minor(tally.get("lines").get(0).get("plannedCost")) - 1,
                        minor(tally.get("lines").get(0).get("plannedCost")) + 1);
    }

    /** Every step takes twice as long as was planned, set-ups as planned: the labour doubles but for them, and the cost follows. */
    @Test
    void whatWasTimedIsWhatItCost() {
        long batch = bench.batch(APP.pouch("Slow pouch"), "6");
        bench.cut(batch);
        List<Map<String, Object>> entries = new ArrayList<>();
        JsonNode planned = bench.work(batch, List.of());
        planned.get("turns").forEach(turn -> {
            long each = turn.get("parts").get(0).get("each").get("seconds").asLong();
            for (int i = 0; i < 6; i++) {
                entries.add(bench.worked(batch, turn, 1, 2 * each));
            }
        });
        bench.work(batch, entries);
        JsonNode open = tally(batch);
        assertThat(open.get("open").asBoolean()).isTrue();
        JsonNode zip = step(open, "Sew zip to outer and lining");
        long each = bench.turn(planned, "Sew zip to outer and lining")
                .get("parts")
                .get(0)
                .get("each")
                .get("seconds")
                .asLong();
        assertThat(zip.get("timed").asInt()).isEqualTo(6);
        assertThat(zip.get("tookMore").asLong()).isEqualTo(6 * each);
        finish(batch, "6");
        JsonNode done = tally(batch);
        JsonNode line = done.get("lines").get(0);
        assertThat(minor(line.get("cost"))).isGreaterThan(minor(line.get("plannedCost")));
        assertThat(done.get("steps")).isEqualTo(open.get("steps"));
        assertThat(goods("Slow").get(0).get("unitCost")).isEqualTo(line.get("cost"));
        assertThat(done.get("learnt").valueStream().map(JsonNode::asString))
                .anyMatch(one -> one.startsWith("“Sew zip to outer and lining” is planned with"));
        assertThat(done.get("materials"))
                .isNotEmpty()
                .allSatisfy(
                        material -> assertThat(material.get("used").get("value").asLong())
                                .as(material.get("name").asString())
                                .isEqualTo(material.get("planned").get("value").asLong()));
    }

    /** Two come on Saturday at what was planned; when the others are done all six cost the same, and together what the batch did. */
    @Test
    void bagsThatCameEarlierCostWhatTheOthersDo() {
        long batch = bench.batch(APP.pouch("Parted pouch"), "6");
        bench.cut(batch);
        finish(batch, "2");
        JsonNode turn = bench.turn(bench.work(batch, List.of()), "Box the corners");
        Map<String, Object> slip = bench.entry(batch, turn, "SLIPPED", 1, 1800);
        slip.put("reason", "hole at the corner");
        slip.put("slip", Map.of("outcome", "MENDED", "usedUp", List.of()));
        bench.work(batch, List.of(bench.worked(batch, turn, 4, 4000), slip));
        finish(batch, "4");
        List<JsonNode> lots = goods("Parted");
        assertThat(lots).hasSize(2);
        assertThat(Math.abs(
                        minor(lots.get(0).get("unitCost")) - minor(lots.get(1).get("unitCost"))))
                .isLessThanOrEqualTo(1);
        JsonNode tally = tally(batch);
        assertThat(lots.stream().mapToLong(lot -> minor(lot.get("totalCost"))).sum())
                .isEqualTo(minor(tally.get("cost")));
        assertThat(tally.get("slips").get(0).get("reason").asString()).isEqualTo("hole at the corner");
        assertThat(step(tally, "Box the corners").get("tookMore").asLong()).isGreaterThan(1800);
    }
}
