package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;

/**
 * Thousands of requests that are wrong in all the ways that a generator thinks of, drawn with a fixed seed for every operation of the
 * API's description. Each is refused with problem details and a sentence, soon, and leaves nothing behind; or it was a right one after
 * all.
 */
class WrongRequestsTest {

    @RegisterExtension
    static final RunningApp APP = new RunningApp("--mardun.shop.seconds=0");

    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    private static final JsonMapper MAPPER = JsonMapper.builder().build();
    private static final int OF_EACH = 14;
    private static final int WITHOUT_BODY = 4;
    private static final int AT_LEAST = 3000;
    private static final long LONGEST_NS = 1_000_000_000L;
    private static final int DEEP = 5000;

    /** A sentence tells what was read, but never more of it than a line. */
    private static final int LONGEST_DETAIL = 400;

    private static final List<String> NAMES = List.of(
            "0",
            "-1",
            "999999999999",
            "9223372036854775808",
            "1.5",
            "x",
            "%00",
            "..%2f..%2fetc%2fpasswd",
            "%F0%9F%A7%B5",
            "'%20or%201=1",
            "NaN",
            UUID.randomUUID().toString());

    private static final List<JsonNode> VALUES = List.of(
            JSON.nullNode(),
            JSON.stringNode(""),
            JSON.stringNode(" "),
            JSON.stringNode("\u202E{0}\u0000 “\\ $1 \uD83E\uDDF5"),
            JSON.stringNode("=cmd|' /C calc'!A0"),
            JSON.stringNode("<img src=x onerror=alert(1)>"),
            JSON.stringNode("1e999999999"),
            JSON.stringNode("-0"),
            JSON.stringNode("1/0"),
            JSON.stringNode("9".repeat(70_000)),
            JSON.stringNode("0000-00-00"),
            JSON.stringNode("not-one-of-them"),
            JSON.numberNode(Long.MAX_VALUE),
            JSON.numberNode(Long.MIN_VALUE),
            JSON.numberNode(0),
            JSON.numberNode(-1),
            JSON.numberNode(1e308),
            JSON.booleanNode(true),
            JSON.objectNode(),
            JSON.arrayNode(),
            JSON.arrayNode().addNull().add(1).add("x").addObject(),
            many());

    private static JsonNode many() {
        ArrayNode many = JSON.arrayNode();
        for (int i = 0; i < 3000; i++) {
            many.add(i);
        }
        return many;
    }

    private static JsonNode api;
    private static RequestExamples examples;

    private final Random random = new Random(1129);
    private final List<String> wrong = new ArrayList<>();
    private final JdbcTemplate tables = APP.part(JdbcTemplate.class);
    private String counting;
    private int asked;
    private int refused;

    @BeforeAll
    static void aWorkroomWithOneOfEach() {
        assertThat(APP.put("/api/settings", APP.settings("INCH")).status()).isEqualTo(200);
        APP.post(
                "/api/suppliers", Map.of("requestId", UUID.randomUUID(), "version", 0, "name", "Shop", "postage", "0"));
        APP.post("/api/fairs", Map.of("requestId", UUID.randomUUID(), "name", "Harbour fair", "heldOn", "2027-05-04"));
        long design = APP.pouch("Pouch");
        Map<String, Long> shelf = APP.pouchShelf("30 yd");
        APP.post("/api/batches", RunningApp.batch(design, "4", shelf, List.of()));
        api = MAPPER.readTree(APP.text("/v3/api-docs"));
        JsonNode document = APP.get("/api/designs/" + design).body().get("document");
        examples = new RequestExamples(api, () -> document);
    }

    @Test
    void eachIsRefusedWithASentenceAndLeavesNothingBehind() {
        for (Map.Entry<String, JsonNode> path : api.get("paths").properties()) {
            for (Map.Entry<String, JsonNode> operation : path.getValue().properties()) {
                int turns = takesNothing(path.getKey(), operation.getValue()) ? WITHOUT_BODY : OF_EACH;
                for (int i = 0; i < turns; i++) {
                    ask(operation.getKey().toUpperCase(java.util.Locale.ROOT), path.getKey(), operation.getValue(), i);
                }
            }
        }
        assertThat(wrong).isEmpty();
        assertThat(asked).isGreaterThan(AT_LEAST);
        assertThat(refused).isGreaterThan(AT_LEAST * 3 / 4);
        for (String screen : List.of("/api/bench", "/api/materials", "/api/designs", "/api/batches", "/api/year")) {
            assertThat(APP.get(screen).status()).as(screen).isEqualTo(200);
        }
    }

    /** Where nothing is sent, only the token, the media type and the method can be wrong. */
    private static boolean takesNothing(String path, JsonNode operation) {
        return !path.contains("{")
                && operation.path("requestBody").isMissingNode()
                && operation.path("parameters").isEmpty();
    }

    private void ask(String method, String path, JsonNode operation, int turn) {
        HttpRequest.Builder request = HttpRequest.newBuilder(
                        URI.create("http://localhost:" + APP.port() + address(path, operation, turn)))
                .header("X-XSRF-TOKEN", turn == 1 ? "somebody-else" : APP.csrfToken());
        String body = body(RequestExamples.address(path), operation, turn);
        request.header("Content-Type", turn == 2 ? "application/x-www-form-urlencoded" : type(operation));
        request.method(
                turn == 3 ? "PATCH" : method, body.isEmpty() ? BodyPublishers.noBody() : BodyPublishers.ofString(body));
        long before = rows();
        long begin = System.nanoTime();
        HttpResponse<String> answer = answer(request.build());
        long took = System.nanoTime() - begin;
        // Other tests run beside this one: what is refused slowly once is asked again before it counts as slow.
        for (int again = 0; again < 2 && answer.statusCode() >= 400 && took > LONGEST_NS; again++) {
            begin = System.nanoTime();
            answer(request.build());
            took = System.nanoTime() - begin;
        }
        asked++;
        String what = method + " " + path + " #" + turn + " " + answer.statusCode() + " ";
        if (answer.statusCode() >= 500) {
            wrong.add(what + shortened(body));
        }
        if (answer.statusCode() >= 400) {
            refused++;
            checkRefusal(what, answer, shortened(body));
            if (took > LONGEST_NS) {
                wrong.add(what + "took " + took / 1_000_000 + " ms " + shortened(body));
            }
            if (rows() != before) {
                wrong.add(what + "left something behind " + shortened(body));
            }
        }
    }

    /** What is refused is answered before all of it has come, and no more of it is read: who still writes then may have to ask again. */
    private static HttpResponse<String> answer(HttpRequest request) {
        try {
            return APP.raw(request);
        } catch (UncheckedIOException closed) {
            return APP.raw(request);
        }
    }

    private void checkRefusal(String what, HttpResponse<String> answer, String sent) {
        boolean isProblem =
                answer.headers().firstValue("Content-Type").orElse("").startsWith("application/problem+json");
        String detail =
                isProblem ? MAPPER.readTree(answer.body()).path("detail").asString("") : "";
        if (detail.isBlank() || detail.length() > LONGEST_DETAIL) {
            wrong.add(what + "says “" + shortened(answer.body()) + "” of " + sent);
        }
    }

    private static String type(JsonNode operation) {
        return operation.at("/requestBody/content").properties().stream()
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse("application/json");
    }

    private String address(String path, JsonNode operation, int turn) {
        String address = path;
        while (address.contains("{")) {
            address = address.replaceFirst("\\{[^}]*}", turn % 2 == 0 ? "1" : drawn(NAMES));
        }
        List<String> questions = new ArrayList<>();
        for (JsonNode parameter : operation.path("parameters")) {
            if (parameter.get("in").asString().equals("query") && random.nextInt(3) > 0) {
                questions.add(parameter.get("name").asString() + "=" + drawn(NAMES));
            }
        }
        return questions.isEmpty() ? address : address + "?" + String.join("&", questions);
    }

    private String body(String address, JsonNode operation, int turn) {
        JsonNode schema = operation.at("/requestBody/content/application~1json/schema");
        if (operation.path("requestBody").isMissingNode()) {
            return "";
        }
        if (schema.isMissingNode() || turn == 4) {
            return "PK\u0003\u0004 not what it seems";
        }
        if (turn == 5) {
            return "[".repeat(DEEP);
        }
        if (turn == 6) {
            return "{\"" + "a".repeat(100_000) + "\":1}";
        }
        if (turn == 7) {
            return "{\"a\":1,\"a\":2";
        }
        // The whole document of a design is asked for by few; a piece of it is spoilt at a time.
        JsonNode request = MAPPER.readTree(examples.example(address, schema).toString());
        List<Consumer<JsonNode>> places = RequestExamples.places(request);
        for (int i = random.nextInt(3); i >= 0 && !places.isEmpty(); i--) {
            drawn(places).accept(drawn(VALUES));
        }
        return places.isEmpty() ? drawn(VALUES).toString() : request.toString();
    }

    private <T> T drawn(List<T> from) {
        return from.get(random.nextInt(from.size()));
    }

    /** How many rows there are in all tables but that of layouts, which are searched and stored beside the requests. */
    private long rows() {
        if (counting == null) {
            counting = tables
                    .queryForList(
                            "select table_name from information_schema.tables where table_schema = 'PUBLIC' and table_type = 'BASE TABLE'",
                            String.class)
                    .stream()
                    .filter(table -> !table.equals("CUTTING_SHEET"))
                    .map(table -> "(select count(*) from \"" + table + "\")")
                    .collect(Collectors.joining(" + ", "select ", ""));
        }
        return tables.queryForObject(counting, Long.class);
    }

    private static String shortened(String text) {
        return text.length() < 300 ? text : text.substring(0, 300);
    }
}
