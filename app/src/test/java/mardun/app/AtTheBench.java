package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.RunningApp.Answer;
import tools.jackson.databind.JsonNode;

/** Somebody who sews batches of pouches, and tells it as the bench does. */
final class AtTheBench {

    private final RunningApp app;
    private final Map<String, Long> shelf;

    AtTheBench(RunningApp app, String cloth) {
        this.app = app;
        this.shelf = app.pouchShelf(cloth);
    }

    Map<String, Long> shelf() {
        return shelf;
    }

    JsonNode ok(Answer answer) {
        assertThat(answer.status()).as(answer.body().toString()).isBetween(200, 201);
        return answer.body();
    }

    long batch(long pouch, String units) {
        return ok(app.post("/api/batches", RunningApp.batch(pouch, units, shelf, List.of())))
                .get("id")
                .asLong();
    }

    JsonNode work(long batch, List<Map<String, Object>> entries) {
        return ok(app.post("/api/bench/work", Map.of("batchId", batch, "entries", entries)));
    }

    JsonNode turn(JsonNode work, String name) {
        return work.get("turns")
                .valueStream()
                .filter(turn -> turn.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    Map<String, Object> entry(long batch, JsonNode turn, String kind, int bags, long seconds) {
        Map<String, Object> entry = new HashMap<>();
        entry.put("id", UUID.randomUUID().toString());
        entry.put("batchId", batch);
        entry.put("line", 1);
        entry.put("step", turn.get("parts").get(0).get("step").asString());
        entry.put("stepName", turn.get("name").asString());
        entry.put("kind", kind);
        entry.put("bags", bags);
        entry.put("millis", seconds * 1000);
        entry.put("slow", false);
        entry.put("at", Instant.now().toString());
        entry.put("place", turn.get("place").asString());
        entry.put("reason", "");
        entry.put(
                "confirmed",
                turn.get("parts")
                        .get(0)
                        .get("prompts")
                        .valueStream()
                        .filter(prompt -> prompt.get("gate").asBoolean())
                        .map(prompt -> prompt.get("text").asString())
                        .toList());
        if (kind.equals("SET_UP")) {
            entry.put("puts", turn.get("setUp"));
        }
        return entry;
    }

    Map<String, Object> worked(long batch, JsonNode turn, int bags, long seconds) {
        return entry(batch, turn, "WORKED", bags, seconds);
    }

    /** All cloth of a batch is cut. */
    JsonNode cut(long batch) {
        JsonNode planned = ok(app.get("/api/batches/" + batch));
        return ok(app.post(
                "/api/batches/" + batch + "/cut",
                Map.of(
                        "version", planned.get("version").asLong(),
                        "mark", planned.get("sheet").get("mark").asString(),
                        "reason", "")));
    }
}
