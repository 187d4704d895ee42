package mardun.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Starts the real application on a free port and a scratch folder for a test class, and speaks HTTP to it. */
public final class RunningApp implements BeforeAllCallback, AfterAllCallback {

    /** Held, so that its level is. */
    private static final Logger SERVER = Logger.getLogger("org.apache");

    static {
        // Applications that start at the same time would set up one logging between them.
        System.setProperty("org.springframework.boot.logging.LoggingSystem", "none");
        SERVER.setLevel(Level.WARNING);
    }

    public static final JsonMapper JSON = JsonMapper.builder().build();

    private static final String DATABASE = "mardun.mv.db";

    /** Fills a workroom that nobody has begun with invented data. */
    public static final String DEMO = "--mardun.demo=true";

    /** What of a workroom's folder the next start goes by. */
    private static final List<String> WORKROOM = List.of(DATABASE, "workroom.txt");

    private static Path begun;

    private final List<String> arguments;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();
    private Path folder;
    private ConfigurableApplicationContext context;

    public RunningApp(String... arguments) {
        this.arguments = List.of(arguments);
    }

    /** The application on a folder that is there, begun where nothing is in it; whoever starts it stops it. */
    public static RunningApp on(Path folder) throws IOException {
        if (Files.notExists(folder.resolve(DATABASE))) {
            begin(folder);
        }
        return started(folder);
    }

    private static RunningApp started(Path folder) {
        RunningApp app = new RunningApp();
        app.folder = folder;
        app.start();
        return app;
    }

    private static void begin(Path folder) throws IOException {
        Path empty = emptyWorkroom();
        for (String file : WORKROOM) {
            Files.copy(empty.resolve(file), folder.resolve(file));
        }
    }

    @Override
    public void beforeAll(ExtensionContext extension) throws IOException {
        folder = Files.createTempDirectory("mardun-test");
        if (!arguments.contains(DEMO)) {
            begin(folder);
        }
        start();
    }

    @Override
    public void afterAll(ExtensionContext extension) {
        stop();
        delete(folder);
    }

    /** A workroom that was begun and closed: the migrations that made it are a third of a start, and the same for all. */
    private static synchronized Path emptyWorkroom() throws IOException {
        if (begun == null) {
            Path made = Files.createTempDirectory("mardun-empty");
            Runtime.getRuntime().addShutdownHook(new Thread(() -> delete(made)));
            started(made).stop();
            begun = made;
        }
        return begun;
    }

    private static void delete(Path folder) {
        try (Stream<Path> files = Files.walk(folder)) {
            files.sorted(Comparator.reverseOrder())
                    .forEach(path -> path.toFile().delete());
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    public void start() {
        context = Mardun.run(Stream.concat(
                        Stream.of(
                                "--mardun.data=" + folder,
                                "--server.port=0",
                                "--mardun.restarts=false",
                                "--mardun.warm-up=false",
                                "--mardun.backups.automatic=false"),
                        arguments.stream())
                .toArray(String[]::new));
    }

    public void stop() {
        context.close();
    }

    public Path folder() {
        return folder;
    }

    public int port() {
        return context.getEnvironment().getRequiredProperty("local.server.port", Integer.class);
    }

    /** A part of the running application, for what would take too long over HTTP. */
    public <T> T part(Class<T> type) {
        return context.getBean(type);
    }

    /** A part like the one that works in the application, which knows nothing of what that one has kept. */
    public <T> T newPart(Class<T> type) {
        return context.getAutowireCapableBeanFactory().createBean(type);
    }

    /** All parts of a kind. */
    public <T> Map<String, T> parts(Class<T> type) {
        return context.getBeansOfType(type);
    }

    /** An answer with its status and its JSON. */
    public record Answer(int status, JsonNode body) {

        public long id() {
            return body.get("id").asLong();
        }

        public String detail() {
            return body.get("detail").asString();
        }

        /** The sentence for a field of the form, or an empty text. */
        public String on(String field) {
            for (JsonNode error : body.path("errors")) {
                if (error.get("field").asString().equals(field)) {
                    return error.get("sentence").asString();
                }
            }
            return "";
        }
    }

    public Answer get(String path) {
        return send("GET", path, null);
    }

    public Answer post(String path, Object body) {
        return send("POST", path, body);
    }

    public Answer put(String path, Object body) {
        return send("PUT", path, body);
    }

    public Answer delete(String path) {
        return send("DELETE", path, null);
    }

    /** Sends a file as it is. */
    public Answer upload(String path, byte[] file) {
        return upload("POST", path, file);
    }

    /** Sends a file as it is, in the place of another. */
    public Answer uploadInPlace(String path, byte[] file) {
        return upload("PUT", path, file);
    }

    private Answer upload(String method, String path, byte[] file) {
        get("/api/settings");
        return answer(HttpRequest.newBuilder(URI.create("http://localhost:" + port() + path))
                .header("Content-Type", "application/octet-stream")
                .header("X-XSRF-TOKEN", csrfToken())
                .method(method, BodyPublishers.ofByteArray(file))
                .build());
    }

    /** A file that isn't JSON. */
    public String text(String path) {
        return raw(request("GET", path, null)).body();
    }

    private Answer send(String method, String path, Object body) {
        if (csrfToken().isEmpty()) {
            answer(request("GET", "/api/settings", null));
        }
        return answer(request(method, path, body));
    }

    private HttpRequest request(String method, String path, Object body) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create("http://localhost:" + port() + path))
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", csrfToken());
        return request.method(
                        method,
                        body == null ? BodyPublishers.noBody() : BodyPublishers.ofString(JSON.writeValueAsString(body)))
                .build();
    }

    String csrfToken() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(java.net.HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }

    private Answer answer(HttpRequest request) {
        HttpResponse<String> response = raw(request);
        String text = response.body();
        boolean json = response.headers()
                .firstValue("Content-Type")
                .map(type -> type.contains("json"))
                .orElse(false);
        return new Answer(response.statusCode(), json ? JSON.readTree(text) : JSON.createObjectNode());
    }

    public HttpResponse<String> raw(HttpRequest request) {
        try {
            return client.send(request, BodyHandlers.ofString());
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** The settings of a maker in inches, ready to be sent; the stored version filled in. */
    public ObjectNode settings(String unitSystem) {
        ObjectNode form = (ObjectNode) get("/api/settings").body();
        form.put("unitSystem", unitSystem).put("hourlyRate", "18,00").put("usualSeam", "1/4 in");
        return form;
    }

    public Map<String, Object> cloth(String name, String width, String price, String onHand) {
        return material("CLOTH", name, width, price, "1 yd", onHand);
    }

    public Map<String, Object> material(
            String kind, String name, String width, String price, String per, String onHand) {
        return Map.ofEntries(
                Map.entry("requestId", UUID.randomUUID()),
                Map.entry("version", 0),
                Map.entry("kind", kind),
                Map.entry("name", name),
                Map.entry("note", ""),
                Map.entry("colour", "#336699"),
                Map.entry("usableWidth", width),
                Map.entry("directional", false),
                Map.entry("price", price),
                Map.entry("pricePer", per),
                Map.entry("lowAt", ""),
                Map.entry("onHand", onHand));
    }

    /** Enters a material that is right. */
    public long enter(Map<String, Object> material) {
        Answer made = post("/api/materials", material);
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        return made.id();
    }

    /** Enters a design that begins with the pouch. */
    public long pouch(String name) {
        return post("/api/designs", Map.of("requestId", UUID.randomUUID(), "name", name))
                .id();
    }

    /** Enters what a pouch is made of, by its slots: so much of each cloth, enough of the rest. */
    public Map<String, Long> pouchShelf(String cloth) {
        Map<String, Long> shelf = new LinkedHashMap<>();
        shelf.put("outer", enter(cloth("Outer", "44 in", "9.00", cloth)));
        shelf.put("lining", enter(cloth("Lining", "44 in", "7.20", cloth)));
        shelf.put("interfacing", enter(cloth("Interfacing", "44 in", "4.50", cloth)));
        shelf.put("zip", enter(material("TRIM", "Tape", "", "1.80", "1 yd", "200 yd")));
        shelf.put("slider", enter(material("NOTION", "Slider", "", "2.50", "10", "900")));
        shelf.put("label", enter(material("NOTION", "Label", "", "12.00", "50", "900")));
        return shelf;
    }

    /** A batch of a pouch's middle size, ready to be sent. */
    public static Map<String, Object> batch(long design, String units, Map<String, Long> shelf, List<Long> offcuts) {
        Map<String, Object> form = new HashMap<>(Map.of(
                "requestId",
                UUID.randomUUID(),
                "version",
                0,
                "designId",
                design,
                "sizeName",
                "medium",
                "units",
                units,
                "ownPrice",
                "",
                "forWhat",
                "",
                "offcuts",
                offcuts));
        form.put(
                "materials",
                shelf.entrySet().stream()
                        .map(slot -> Map.of("slot", slot.getKey(), "materialId", slot.getValue()))
                        .toList());
        return oneLine(form);
    }

    private static final List<String> OF_LINES =
            List.of("number", "designId", "sizeName", "units", "started", "materials", "ownPrice");

    /** A batch of one line, of what is said of the line and of the batch together. */
    public static Map<String, Object> oneLine(Map<String, Object> together) {
        Map<String, Object> batch = new HashMap<>();
        Map<String, Object> line = new HashMap<>();
        together.forEach((field, value) -> (OF_LINES.contains(field) ? line : batch).put(field, value));
        batch.put("lines", List.of(line));
        return batch;
    }

    /** The only line of a batch's form, to be changed. */
    @SuppressWarnings("unchecked")
    public static Map<String, Object> line(Map<String, Object> form) {
        return (Map<String, Object>) ((List<?>) form.get("lines")).get(0);
    }

    /** All bags of a batch of one line are done: so many came out well, the others didn't. */
    public static Map<String, Object> finish(JsonNode batch, String good) {
        long scrap = batch.get("sheet").get("units").asLong() - Long.parseLong(good);
        return Map.of(
                "version",
                batch.get("version").asLong(),
                "reason",
                "",
                "lines",
                List.of(Map.of(
                        "number",
                        batch.get("lines").get(0).get("number").asInt(),
                        "good",
                        good,
                        "seconds",
                        "",
                        "scrap",
                        Long.toString(Math.max(0, scrap)))));
    }
}
