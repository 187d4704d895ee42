package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

class DemoWorkroomTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp(RunningApp.DEMO);

    @Test
    void aFairIsComingAndABatchIsHalfDone() {
        JsonNode bench = APP.get("/api/bench").body();
        assertThat(bench.get("today").asString()).isEqualTo(LocalDate.now().toString());
        assertThat(bench.has("firstSteps")).isFalse();
        assertThat(bench.get("tape").get("pins").toString()).contains("Lantern Quay");
        assertThat(bench.get("lanes")).hasSize(7);
        assertThat(bench.get("lanes").toString()).contains("\"stage\":\"CUT\"").contains("\"stage\":\"PLANNED\"");
        assertThat(bench.get("shortages")).isNotEmpty();
        assertThat(bench.get("tape").get("laid")).isNotEmpty();
    }

    /**
     * Three batches of pouches; then key fobs in two cloths, one as seconds, and hand warmers; wash bags and pouches in part; and some that
     * nobody takes.
     */
    private static final int GOODS = 3 + 4 + 3 + 1 + 1;

    @Test
    void batchesOfSeveralLinesAreInEveryStage() {
        JsonNode batches = APP.get("/api/batches").body().get("items");
        assertThat(batches.valueStream()
                        .filter(batch -> batch.get("lineCount").asInt() > 1)
                        .map(batch -> batch.get("stage").asString()))
                .contains("PLANNED", "CUTTING", "CUT", "FINISHED");
        assertThat(batches.valueStream().filter(batch -> batch.get("paused").asBoolean()))
                .hasSize(1);
    }

    @Test
    void someBagsWereCutAndNotSewn() {
        JsonNode pieces = APP.get("/api/cut-pieces").body().get("page").get("items");
        assertThat(pieces).isNotEmpty().allSatisfy(piece -> {
            assertThat(piece.get("designName").asString()).isEqualTo("Eider hand warmer");
            assertThat(piece.get("pieces").asLong())
                    .isEqualTo(4 * piece.get("perBag").asLong());
        });
    }

    @Test
    void aSeasonLiesBehindWithSpoiledUnits() {
        JsonNode goods = APP.get("/api/finished-goods").body().get("page").get("items");
        assertThat(goods).hasSize(GOODS);
        JsonNode batches = APP.get("/api/batches").body().get("items");
        assertThat(batches)
                .anySatisfy(batch -> assertThat(batch.get("doneUnits").asInt())
                        .isLessThan(batch.get("units").asInt()));
        assertThat(APP.get("/api/materials/1/movements")
                        .body()
                        .get("items")
                        .get(0)
                        .get("movedAt")
                        .asString())
                .isLessThan(LocalDate.now().toString());
    }

    @Test
    void nothingOnTheShelfIsLessThanNothing() {
        assertThat(APP.get("/api/materials").body().get("items"))
                .isNotEmpty()
                .allSatisfy(material ->
                        assertThat(material.get("onHand").get("value").asLong()).isNotNegative());
    }

    @Test
    void aSecondStartKeepsTheData() {
        APP.stop();
        APP.start();
        assertThat(APP.get("/api/finished-goods").body().get("page").get("items"))
                .hasSize(GOODS);
    }

    @Test
    void halfOfItIsntTakenForTheWhole() throws IOException {
        Path whole = APP.folder().resolve("demo-is-whole.txt");
        Path years = APP.folder().resolve("demo-years-begun.json");
        assertThat(whole).exists();
        APP.stop();
        Files.delete(whole);
        try {
            assertThatThrownBy(APP::start).hasStackTraceContaining("was begun and never finished");
            Files.writeString(years, "{}");
            assertThatThrownBy(APP::start)
                    .as("busy years are gone on with only by who lives them")
                    .hasStackTraceContaining("was begun and never finished");
        } finally {
            Files.deleteIfExists(years);
            Files.writeString(whole, "");
            APP.start();
        }
    }

    @Test
    void smallOldOffcutsAreProposedForTheScrapBag() {
        assertThat(APP.get("/api/scrap").body()).isEmpty();
        ObjectNode settings = (ObjectNode) APP.get("/api/settings").body();
        ((ObjectNode) settings.get("shelf")).put("offcutDays", "30");
        assertThat(APP.put("/api/settings", settings).status()).isEqualTo(200);
        JsonNode scrap = APP.get("/api/scrap").body();
        assertThat(scrap).isNotEmpty();
        long lot = scrap.get(0).get("lotId").asLong();
        long material = scrap.get(0).get("materialId").asLong();
        JsonNode rest = APP.post("/api/scrap", Map.of("requestId", UUID.randomUUID(), "lotIds", List.of(lot)))
                .body();
        assertThat(rest).hasSize(scrap.size() - 1);
        assertThat(APP.get("/api/materials/" + material + "/movements")
                        .body()
                        .get("items")
                        .get(0)
                        .get("kind")
                        .asString())
                .isEqualTo("SCRAPPED");
    }
}
