package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The maker's machines: an operation is done at one that can, and what none can do is named. */
class MachinesTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static Map<String, Long> shelf;

    @BeforeAll
    static void shelf() {
        shelf = APP.pouchShelf("90 yd");
    }

    private static JsonNode ok(Answer answer) {
        assertThat(answer.status()).as(answer.body().toString()).isBetween(200, 201);
        return answer.body();
    }

    private static ObjectNode settings() {
        return (ObjectNode) ok(APP.get("/api/settings"));
    }

    private static Map<String, Object> machine(String name, boolean zigzag, String thickest) {
        return Map.of(
                "name",
                name,
                "kind",
                "MACHINE",
                "zigzag",
                zigzag,
                "walkingFoot",
                false,
                "freeArm",
                false,
                "thickest",
                thickest);
    }

    private static Answer machines(List<Map<String, Object>> machines) {
        ObjectNode form = settings();
        ArrayNode all = form.putArray("machines");
        machines.forEach(one -> all.addPOJO(one));
        return APP.put("/api/settings", form);
    }

    private static List<String> names(JsonNode order) {
        List<String> names = new ArrayList<>();
        order.get("turns").forEach(turn -> names.add(turn.get("machine").asString()));
        return names;
    }

    private static JsonNode order(long batch) {
        return ok(APP.get("/api/batches/" + batch + "/order"));
    }

    @Test
    void aStepIsDoneAtTheMachineThatCanOrThatItNames() {
        long pouch = APP.pouch("Machined pouch");
        ok(machines(List.of(machine("Straight", false, "9 mm"), machine("Wide", true, "3 mm"))));
        JsonNode stored = settings().get("machines");
        int straight = stored.get(0).get("id").asInt();
        int wide = stored.get(1).get("id").asInt();
        assertThat(stored.get(0).get("thickest").asString()).isEqualTo("0.9 cm");
        long batch = ok(APP.post("/api/batches", RunningApp.batch(pouch, "6", shelf, List.of())))
                .get("id")
                .asLong();
        assertThat(names(order(batch))).containsOnly("", "Straight", "Wide");

        ObjectNode design = (ObjectNode) ok(APP.get("/api/designs/" + pouch)).get("document");
        ObjectNode sewn = design.get("steps")
                .valueStream()
                .filter(step -> step.get("station").asString().equals("MACHINE"))
                .map(ObjectNode.class::cast)
                .findFirst()
                .orElseThrow();
        ObjectNode details = (ObjectNode) sewn.get("details");
        details.put("width", "3 mm").put("bobbin", "white");
        sewn.put("uses", "");
        save(pouch, design);
        take(batch, pouch);
        JsonNode zigzagged = order(batch);
        assertThat(names(zigzagged)).contains("Straight", "Wide");
        assertThat(zigzagged
                        .get("kinds")
                        .valueStream()
                        .map(one -> one.get("kind").asString()))
                .contains("BOBBIN", "WIDTH");
        assertThat(zigzagged.get("lacks")).isEmpty();

        details.put("machine", straight);
        save(pouch, design);
        take(batch, pouch);
        assertThat(order(batch).get("lacks").get(0).asString())
                .isEqualTo("“" + sewn.get("name").asString()
                        + "” needs a machine that sews zigzag, and none of yours does.");

        ok(machines(List.of(Map.of(
                "id",
                wide,
                "name",
                "Wide",
                "kind",
                "MACHINE",
                "zigzag",
                true,
                "walkingFoot",
                false,
                "freeArm",
                false,
                "thickest",
                ""))));
        assertThat(order(batch).get("lacks").get(0).asString()).contains("isn't there any more");
        ok(machines(List.of(machine("Another", true, ""))));
        assertThat(settings().get("machines").get(0).get("id").asInt())
                .as("a new machine never takes the number of one that is gone")
                .isGreaterThan(wide);
        assertThat(order(batch).get("lacks").get(0).asString()).contains("isn't there any more");
        ok(machines(List.of()));
        assertThat(order(batch).get("lacks")).isEmpty();
    }

    private static void save(long pouch, ObjectNode design) {
        JsonNode now = ok(APP.get("/api/designs/" + pouch));
        ok(APP.put("/api/designs/" + pouch, Map.of("version", now.get("version").asLong(), "document", design)));
    }

    private static void take(long batch, long pouch) {
        JsonNode now = ok(APP.get("/api/batches/" + batch));
        ok(APP.post(
                "/api/batches/" + batch + "/take-design",
                Map.of("version", now.get("version").asLong(), "designId", pouch)));
    }

    @Test
    void whatCannotBeIsRefusedAtItsField() {
        Map<String, Object> table = new HashMap<>(machine("Table", false, ""));
        table.put("kind", "WORK_TABLE");
        Answer refused = machines(
                List.of(machine("One", true, "thick"), machine(" one", true, ""), machine("", true, ""), table));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.body()
                        .get("errors")
                        .valueStream()
                        .map(error -> error.get("field").asString()))
                .contains("machines.0.thickest", "machines.1.name", "machines.2.name", "machines.3.kind");
    }

    @Test
    void secondsAtThePressAreANumber() {
        long pouch = APP.pouch("Pressed pouch");
        JsonNode stored = ok(APP.get("/api/designs/" + pouch));
        ObjectNode design = (ObjectNode) stored.get("document");
        ((ObjectNode) design.get("steps").get(0).get("details")).put("seconds", "a while");
        Answer sheet = APP.put(
                "/api/designs/" + pouch, Map.of("version", stored.get("version").asLong(), "document", design));
        assertThat(sheet.body().toString()).contains("steps.0.seconds", "a while");
    }
}
