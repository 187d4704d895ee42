package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;

/** Cloth that is bought by the sheet: felt, precuts. */
class SheetsTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    @BeforeAll
    static void aWorkroomInInches() {
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
    }

    private static String worth(long id) {
        return APP.get("/api/materials/" + id + "/shelf")
                .body()
                .get("worth")
                .get("amount")
                .asString();
    }

    private static Map<String, Object> sheets(String name, String width, String height, String price, String onHand) {
        Map<String, Object> form = new HashMap<>(APP.material("SHEET", name, width, price, "1", onHand));
        form.put("sheetHeight", height);
        return form;
    }

    @Test
    void whatIsBoughtByTheSheetHasAPriceAndAPackOfItsOwn() {
        long felt = APP.enter(sheets("Felt sheets", "11 in", "8 in", "0.80", "30"));
        assertThat(worth(felt)).isEqualTo("24.00");
        Map<String, Long> shelf = APP.pouchShelf("9 yd");
        shelf.put("outer", felt);
        long design = APP.pouch("Of felt");
        Answer planned = APP.post("/api/batches", RunningApp.batch(design, "20", shelf, List.of()));
        assertThat(planned.status()).as(planned.body().toString()).isEqualTo(201);
        JsonNode need = planned.body()
                .get("sheet")
                .get("needs")
                .valueStream()
                .filter(one -> one.get("materialId").asLong() == felt)
                .findFirst()
                .orElseThrow();
        long sheets = need.get("needed").get("count").asLong();
        assertThat(sheets).isGreaterThan(30);
        assertThat(need.get("shortBy").get("count").asLong()).isEqualTo(sheets - 30);
        assertThat(need.get("kind").asString()).isEqualTo("SHEET");

        JsonNode cloths =
                APP.get("/api/batches/" + planned.id() + "/cutting").body().get("cloths");
        assertThat(cloths.valueStream())
                .noneMatch(cloth -> cloth.get("materialId").asLong() == felt);
        assertThat(APP.get("/api/buying").body().get("nowhere").valueStream()).anySatisfy(want -> {
            assertThat(want.get("materialId").asLong()).isEqualTo(felt);
            assertThat(want.get("toBuy").get("count").asLong()).isEqualTo(sheets - 30);
        });

        Answer came = APP.post(
                "/api/materials/" + felt + "/movements",
                Map.of(
                        "requestId", UUID.randomUUID(),
                        "kind", "BOUGHT",
                        "amount", Long.toString(sheets - 30),
                        "reason", "",
                        "paid", "5.00"));
        assertThat(came.status()).as(came.body().toString()).isLessThan(300);
        JsonNode now = APP.get("/api/batches/" + planned.id()).body();
        Answer cut = APP.post(
                "/api/batches/" + planned.id() + "/cut",
                Map.of(
                        "version", now.get("version").asLong(),
                        "mark", now.get("sheet").get("mark").asString(),
                        "reason", "",
                        "goodUnits", "",
                        "kept", List.of()));
        assertThat(cut.status()).as(cut.body().toString()).isEqualTo(200);
        assertThat(APP.get("/api/materials/" + felt)
                        .body()
                        .get("onHand")
                        .get("count")
                        .asLong())
                .isZero();
    }

    @Test
    void aSheetHasTwoSides() {
        Answer refused = APP.post("/api/materials", sheets("Half said", "11 in", "", "0.80", "30"));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.on("sheetHeight")).isNotEmpty();
    }
}
