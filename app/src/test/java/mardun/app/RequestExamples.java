package mardun.app;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Supplier;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Requests as the API's description asks for them, to be spoilt by tests. */
final class RequestExamples {

    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

    private final JsonNode api;
    private final Supplier<JsonNode> document;

    /** @param document the document of a design that there is */
    RequestExamples(JsonNode api, Supplier<JsonNode> document) {
        this.api = api;
        this.document = document;
    }

    /** The address with 1 for all that names something. */
    static String address(String path) {
        return path.replaceAll("\\{[^}]*}", "1");
    }

    /** All questions of an operation, each with this value. */
    static String query(JsonNode operation, String value) {
        List<String> parts = new ArrayList<>();
        for (JsonNode parameter : operation.path("parameters")) {
            if (parameter.get("in").asString().equals("query")) {
                parts.add(parameter.get("name").asString() + "=" + value);
            }
        }
        return parts.isEmpty() ? "" : "?" + String.join("&", parts);
    }

    /** A request as its schema asks for it; documents of designs are those of a real one. */
    JsonNode example(String address, JsonNode schema) {
        String name = schema.path("$ref").asString("");
        if (name.endsWith("/DesignDocument")) {
            JsonNode real = document.get();
            return address.equals("/api/designs/preview") ? small(real) : JSON.pojoNode(real);
        }
        JsonNode found = name.isEmpty() ? schema : api.at(name.substring(1));
        String type = found.path("type").asString("object");
        return switch (type) {
            case "string" ->
                found.has("enum")
                        ? found.get("enum").get(0)
                        : JSON.stringNode(
                                switch (found.path("format").asString("")) {
                                    case "uuid" -> UUID.randomUUID().toString();
                                    case "date" -> "2026-05-04";
                                    default -> "1";
                                });
            case "integer", "number" -> JSON.numberNode(1);
            case "boolean" -> JSON.booleanNode(false);
            case "array" -> JSON.arrayNode().add(example(address, found.get("items")));
            default -> {
                ObjectNode object = JSON.objectNode();
                found.path("properties")
                        .properties()
                        .forEach(part -> object.set(part.getKey(), example(address, part.getValue())));
                yield object;
            }
        };
    }

    /** All places of a request in which something else can be put. */
    static List<Consumer<JsonNode>> places(JsonNode in) {
        List<Consumer<JsonNode>> places = new ArrayList<>();
        if (in instanceof ObjectNode object) {
            for (String name : List.copyOf(object.propertyNames())) {
                places.add(value -> object.set(name, value));
                places.addAll(places(object.get(name)));
            }
        } else if (in instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                int at = i;
                places.add(value -> array.set(at, value));
                places.addAll(places(array.get(i)));
            }
        }
        return places;
    }

    /** The document with one of each list, so that no part of it is tried a dozen times. */
    private static JsonNode small(JsonNode document) {
        ObjectNode small = (ObjectNode) document.deepCopy();
        for (String list : List.of("pieces", "steps", "measurements", "trims", "notions", "slots")) {
            ArrayNode rows = (ArrayNode) small.get(list);
            while (rows.size() > 1) {
                rows.remove(1);
            }
        }
        return small;
    }
}
