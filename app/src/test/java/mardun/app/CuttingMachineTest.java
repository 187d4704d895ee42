package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Shapes of a batch on the mats of the simulated cutting machine, and the machine itself with all its moods. */
class CuttingMachineTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static final String MACHINE = "/api/simulated/cutting-machine";

    private static long outer;
    private static String mats;

    @BeforeAll
    static void aBatch() {
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
        Map<String, Long> shelf = APP.pouchShelf("90 yd");
        outer = shelf.get("outer");
        long pouch = APP.pouch("Boxed pouch");
        Answer made = APP.post("/api/batches", RunningApp.batch(pouch, "10", shelf, List.of()));
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        mats = "/api/batches/" + made.body().get("id").asLong() + "/cutting/mats";
    }

    @BeforeEach
    void theMachineIsOnAndEmpty() {
        act("SWITCH_ON");
        passes();
        act("CLEAR_JAM");
        passes();
        act("TAKE_MAT_OUT");
    }

    private static JsonNode act(String what) {
        Answer done = APP.post(MACHINE, Map.of("act", what));
        assertThat(done.status()).as(done.body().toString()).isEqualTo(200);
        return done.body();
    }

    /** An hour goes by. */
    private static void passes() {
        APP.part(JdbcTemplate.class)
                .update("update simulated_cutter set going_since = dateadd('HOUR', -1, going_since)");
    }

    private static Answer send(int number, String... pieces) {
        return APP.post(
                mats + "/sent",
                Map.of(
                        "number",
                        number,
                        "of",
                        Map.of("materialId", outer, "pieces", Arrays.asList(pieces), "mat", "long")));
    }

    private static JsonNode laid(String more) {
        Answer read = APP.get(mats + "?materialId=" + outer + more);
        assertThat(read.status()).as(read.body().toString()).isEqualTo(200);
        return read.body();
    }

    private static String doing() {
        return APP.get(MACHINE).body().get("doing").asString();
    }

    @Test
    void whatHasACurveOrASlantLiesOnAsFewMatsAsItNeeds() {
        JsonNode all = laid("");
        assertThat(all.get("blade").asString()).isEqualTo("rolling blade");
        JsonNode outerPiece = all.get("kinds").get(0);
        assertThat(outerPiece.get("shaped").asBoolean()).isTrue();
        assertThat(outerPiece.get("chosen").asBoolean()).isTrue();
        long wanted = outerPiece.get("count").asLong();
        long there = all.get("mats")
                .valueStream()
                .mapToLong(mat -> mat.get("pieces").asLong())
                .sum();
        assertThat(there).isEqualTo(wanted).isEqualTo(20);
        JsonNode larger = laid("&mat=wide");
        assertThat(larger.get("mats").size()).isLessThan(all.get("mats").size());
        JsonNode tabs = laid("&piece=D");
        assertThat(tabs.get("mats")).hasSize(1);
        assertThat(tabs.get("kinds").get(0).get("chosen").asBoolean()).isFalse();
    }

    @Test
    void aMatIsADrawingTrueToSize() {
        String svg = APP.text(mats + "/1/job.svg?materialId=" + outer + "&mat=long");
        assertThat(svg).contains("width=\"300.000mm\" height=\"600.000mm\" viewBox=\"0 0 300.000 600.000\"");
        List<String> paths = Pattern.compile("<path d=\"([^\"]+)\"")
                .matcher(svg)
                .results()
                .map(found -> found.group(1))
                .toList();
        assertThat(paths)
                .hasSize(laid("&mat=long").get("mats").get(0).get("pieces").asInt());
        for (String path : paths) {
            double[] numbers = Pattern.compile("-?[0-9.]+")
                    .matcher(path)
                    .results()
                    .map(MatchResult::group)
                    .mapToDouble(Double::parseDouble)
                    .toArray();
            for (int i = 0; i < numbers.length; i += 2) {
                assertThat(numbers[i]).isBetween(0.0, 300.0);
                assertThat(numbers[i + 1]).isBetween(0.0, 600.0);
            }
        }
    }

    @Test
    void theMachineWantsAMatAndSaysWhenItIsCut() {
        Answer none = send(1, "D");
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.detail()).contains("No mat is in the machine");
        act("LAY_MAT_IN");
        assertThat(doing()).isEqualTo("READY");
        assertThat(send(1, "D").status()).isEqualTo(200);
        assertThat(doing()).isEqualTo("CUTTING");
        assertThat(APP.post(MACHINE, Map.of("act", "TAKE_MAT_OUT")).detail()).contains("The blade is moving");
        assertThat(send(1, "A").detail()).contains("still has another mat");
        passes();
        JsonNode done = APP.get(MACHINE).body();
        assertThat(done.get("doing").asString()).isEqualTo("DONE");
        assertThat(done.get("done").asInt()).isEqualTo(20);
        assertThat(laid("&piece=D&mat=long").get("mats").get(0).get("cut").asBoolean())
                .isTrue();
    }

    /** The answer was lost, or somebody pressed twice: the mat is cut once, also long after it was taken out. */
    @Test
    void aMatThatIsSentTwiceIsCutOnce() {
        act("LAY_MAT_IN");
        assertThat(send(2, "A").status()).isEqualTo(200);
        assertThat(send(2, "A").status()).isEqualTo(200);
        passes();
        act("TAKE_MAT_OUT");
        act("LAY_MAT_IN");
        assertThat(send(2, "A").status()).isEqualTo(200);
        assertThat(doing()).isEqualTo("READY");
        assertThat(laid("&piece=A&mat=long").get("mats").get(1).get("cut").asBoolean())
                .isTrue();
    }

    @Test
    void aCaughtBladeGoesOnWhereItWasCaught() {
        act("LAY_MAT_IN");
        act("JAM_NEXT");
        send(3, "A");
        passes();
        JsonNode jammed = APP.get(MACHINE).body();
        assertThat(jammed.get("doing").asString()).isEqualTo("JAMMED");
        assertThat(jammed.get("trouble").asString()).contains("what is cut isn't cut again");
        assertThat(jammed.get("done").asInt()).isEqualTo(jammed.get("pieces").asInt() * 2 / 5);
        assertThat(send(3, "A").detail()).contains("The blade is caught");
        act("CLEAR_JAM");
        assertThat(doing()).isEqualTo("CUTTING");
        passes();
        assertThat(doing()).isEqualTo("DONE");
    }

    @Test
    void withoutCurrentItStandsStill() {
        act("LAY_MAT_IN");
        send(4, "A");
        act("SWITCH_OFF");
        passes();
        assertThat(doing()).isEqualTo("OFFLINE");
        assertThat(send(4, "A").detail()).contains("is offline");
        act("SWITCH_ON");
        assertThat(doing()).isEqualTo("CUTTING");
    }

    @Test
    void whatIsNotThereIsToldInASentence() {
        assertThat(APP.get(mats + "?materialId=" + outer + "&mat=round").detail())
                .contains("no such mat");
        assertThat(APP.get(mats + "?materialId=9999").detail()).contains("Nothing of this batch");
        assertThat(send(999, "D").detail()).contains("There is no mat 999");
    }
}
