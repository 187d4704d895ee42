package mardun.bench;

import java.net.http.HttpResponse;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A bag more is counted of a step of a batch whose cloth is cut, and one less the next time. */
final class TouchAtTheBench implements Runnable {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int MILLIS = 300_000;

    private final MardunUnderLoad mardun;
    private final long batch;
    private final JsonNode turn;
    private final JsonNode part;
    private boolean isCounted;

    TouchAtTheBench(MardunUnderLoad mardun) {
        this.mardun = mardun;
        for (JsonNode row :
                JSON.readTree(mardun.get("/api/batches?list=CUT").body()).get("items")) {
            if (!row.get("stage").asString().equals("CUT")) {
                continue;
            }
            long id = row.get("id").asLong();
            for (JsonNode one : tell(id, List.of()).get("turns")) {
                JsonNode its = one.get("parts").get(0);
                boolean isLookedAtFirst = its.get("prompts")
                        .valueStream()
                        .anyMatch(prompt -> prompt.get("gate").asBoolean());
                if (!isLookedAtFirst && its.get("done").asInt() < its.get("all").asInt()) {
                    batch = id;
                    turn = one;
                    part = its;
                    return;
                }
            }
        }
        throw new IllegalStateException("no batch waits at the bench for a step that is just counted");
    }

    @Override
    public void run() {
        JsonNode told = tell(
                batch,
                List.of(Map.ofEntries(
                        Map.entry("id", UUID.randomUUID()),
                        Map.entry("batchId", batch),
                        Map.entry("kind", "WORKED"),
                        Map.entry("line", part.get("line").asInt()),
                        Map.entry("step", part.get("step").asString()),
                        Map.entry("stepName", turn.get("name").asString()),
                        Map.entry("place", turn.get("place").asString()),
                        Map.entry("bags", isCounted ? -1 : 1),
                        Map.entry("millis", isCounted ? 0 : MILLIS),
                        Map.entry("at", Instant.now().toString()),
                        Map.entry("reason", ""),
                        Map.entry("slow", false))));
        if (!told.get("refused").isEmpty()) {
            throw new IllegalStateException("the bench doesn't take it: " + told.get("refused"));
        }
        isCounted = !isCounted;
    }

    private JsonNode tell(long batchId, List<Map<String, Object>> entries) {
        HttpResponse<String> answer =
                mardun.post("/api/bench/work", JSON.writeValueAsString(Map.of("batchId", batchId, "entries", entries)));
        if (answer.statusCode() / 100 != 2) {
            throw new IllegalStateException("the bench answers " + answer.statusCode() + ": " + answer.body());
        }
        return JSON.readTree(answer.body());
    }
}
