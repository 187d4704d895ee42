package mardun.app;

import static mardun.app.RunningApp.JSON;
import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.core.util.DefaultIndenter;
import tools.jackson.core.util.DefaultPrettyPrinter;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The front end's types are made from web/openapi.json, so that file must be what the application says of itself. */
class ApiDescriptionTest {

    private static final Path DESCRIPTION = Path.of("../web/openapi.json");

    @RegisterExtension
    static final RunningApp APP = new RunningApp();

    @Test
    void theStoredDescriptionIsCurrent() throws IOException {
        ObjectNode description = (ObjectNode) APP.get("/v3/api-docs").body();
        description.remove("servers");
        DefaultPrettyPrinter printer = new DefaultPrettyPrinter()
                .withObjectIndenter(new DefaultIndenter("  ", "\n"))
                .withArrayIndenter(new DefaultIndenter("  ", "\n"));
        String current = JSON.writer().with(printer).writeValueAsString(sorted(description)) + "\n";
        if (Boolean.getBoolean("mardun.write")) {
            Files.writeString(DESCRIPTION, current);
        }
        assertThat(Files.readString(DESCRIPTION).equals(current))
                .as("web/openapi.json is stale: run ./mardun types and commit what it writes")
                .isTrue();
    }

    private static JsonNode sorted(JsonNode node) {
        if (node instanceof ObjectNode object) {
            TreeMap<String, JsonNode> fields = new TreeMap<>();
            object.properties().forEach(field -> fields.put(field.getKey(), sorted(field.getValue())));
            ObjectNode result = JSON.createObjectNode();
            fields.forEach(result::set);
            return result;
        }
        if (node instanceof ArrayNode array) {
            ArrayNode result = JSON.createArrayNode();
            array.forEach(item -> result.add(sorted(item)));
            return result;
        }
        return node;
    }
}
