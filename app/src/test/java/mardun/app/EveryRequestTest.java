package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import mardun.app.RunningApp.Answer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.JsonNodeFactory;

/**
 * Every request that the API's description knows, with every part of it set to something that can't be: it is refused with a
 * sentence and never ends in an error of the application's own.
 */
class EveryRequestTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    private static final String DESIGN = "/api/designs/1";

    private static JsonNode api;
    private static RequestExamples examples;

    @BeforeAll
    static void aWorkroomWithOneOfEach() {
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
        APP.post("/api/materials", APP.cloth("Outer", "44 in", "9.00", "30 yd"));
        APP.post(
                "/api/suppliers", Map.of("requestId", UUID.randomUUID(), "version", 0, "name", "Shop", "postage", "0"));
        APP.post("/api/designs", Map.of("requestId", UUID.randomUUID(), "name", "Pouch"));
        api = JsonMapper.builder().build().readTree(APP.text("/v3/api-docs"));
        examples = new RequestExamples(api, () -> APP.get(DESIGN).body().get("document"));
    }

    @Test
    void everyPartThatCanNotBeIsRefused() {
        List<String> broken = new ArrayList<>();
        int asked = 0;
        for (Map.Entry<String, JsonNode> path : api.get("paths").properties()) {
            for (Map.Entry<String, JsonNode> operation : path.getValue().properties()) {
                String method = operation.getKey();
                JsonNode body = operation.getValue().at("/requestBody/content/application~1json/schema");
                if (method.equals("delete") || body.isMissingNode()) {
                    continue;
                }
                String address =
                        RequestExamples.address(path.getKey()) + RequestExamples.query(operation.getValue(), "1");
                for (JsonNode spoilt : spoilt(address, body)) {
                    asked++;
                    Answer answer = method.equals("put") ? APP.put(address, spoilt) : APP.post(address, spoilt);
                    if (answer.status() >= 500) {
                        broken.add(method + " " + address + " " + shortened(spoilt.toString()));
                    }
                }
            }
        }
        assertThat(broken).isEmpty();
        assertThat(asked).isGreaterThan(800);
        for (String screen : List.of("/api/bench", "/api/materials", "/api/designs", "/api/batches", "/api/buying")) {
            assertThat(APP.get(screen).status()).as(screen).isEqualTo(200);
        }
    }

    private static String shortened(String text) {
        return text.length() < 400 ? text : text.substring(0, 400);
    }

    @Test
    void everyAddressThatCanNotBeIsRefused() {
        List<String> broken = new ArrayList<>();
        for (Map.Entry<String, JsonNode> path : api.get("paths").properties()) {
            JsonNode get = path.getValue().get("get");
            if (get == null) {
                continue;
            }
            for (String value : List.of(
                    "2147483647", "-1", "%2B999999999-12-31", "-999999999-01-01", "%00", "%FF", "%ED%A0%80", "x", "")) {
                String address = RequestExamples.address(path.getKey()) + RequestExamples.query(get, value);
                Answer answer = APP.get(address);
                if (answer.status() >= 500) {
                    broken.add(address);
                }
            }
        }
        assertThat(broken).isEmpty();
    }

    /** The whole request with one of its parts after the other set to something that can't be. */
    private static List<JsonNode> spoilt(String address, JsonNode schema) {
        List<JsonNode> all = new ArrayList<>();
        all.add(JSON.arrayNode());
        Supplier<JsonNode> whole = () -> examples.example(address, schema);
        int places = RequestExamples.places(whole.get()).size();
        for (int i = 0; i < places; i++) {
            for (JsonNode value : List.of(JSON.nullNode(), IMPOSSIBLE.get(i % IMPOSSIBLE.size()))) {
                JsonNode request = whole.get();
                RequestExamples.places(request).get(i).accept(value);
                all.add(request);
            }
        }
        return all;
    }

    private static final List<JsonNode> IMPOSSIBLE = List.of(
            JSON.arrayNode().addNull(),
            JSON.numberNode(Long.MAX_VALUE),
            JSON.numberNode(-1),
            JSON.stringNode("+999999999-12-31"),
            JSON.stringNode("{\u0000\uD800 {0} \\ $1 “"),
            JSON.stringNode("9".repeat(3000)));
}
