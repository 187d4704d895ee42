package mardun.app.plan;

import java.util.HashSet;
import java.util.Set;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads and writes what a batch's plan was worked out from; what was written by earlier versions is brought up first. */
@Component
public class FrozenReader {

    private final JsonMapper json;

    FrozenReader(JsonMapper json) {
        this.json = json;
    }

    public FrozenInputs read(String text) {
        ObjectNode tree = (ObjectNode) json.readTree(text);
        int schema = tree.path("schema").asInt(1);
        if (schema > FrozenInputs.SCHEMA) {
            throw new IllegalStateException("a batch was frozen by a later version: schema " + schema);
        }
        return json.treeToValue(schema < 2 ? withLines(tree) : tree, FrozenInputs.class);
    }

    public String write(FrozenInputs inputs) {
        return json.writeValueAsString(inputs);
    }

    /** Schema 1 knew one design and its supplies by slot; a piece was known by its letter alone, and all cloths were cut. */
    private ObjectNode withLines(ObjectNode one) {
        ObjectNode two = json.createObjectNode();
        two.put("schema", 2);
        ObjectNode line = two.putArray("lines").addObject();
        line.put("number", 1);
        line.set("design", one.get("design"));
        ObjectNode slots = line.putObject("slots");
        line.set("plannedUnitMinor", one.path("plannedCostMinor"));
        ArrayNode supplies = two.putArray("supplies");
        ArrayNode cut = two.putArray("cut");
        Set<Long> known = new HashSet<>();
        for (JsonNode supply : one.path("supplies")) {
            long material = supply.get("materialId").asLong();
            slots.put(supply.get("slot").asString(), material);
            if (known.add(material)) {
                supplies.add(supply);
                boolean isCloth = supply.get("kind").asString().equals("CLOTH")
                        || supply.get("kind").asString().equals("SHEET");
                if (isCloth) {
                    cut.add(material);
                }
            }
        }
        two.set("workroom", one.get("workroom"));
        ArrayNode sheets = two.putArray("sheets");
        for (JsonNode sheet : one.path("sheets")) {
            ObjectNode next = ((ObjectNode) sheet).deepCopy();
            ArrayNode extra = next.putArray("extra");
            sheet.path("extra")
                    .properties()
                    .forEach(entry -> extra.addObject()
                            .put("line", 1)
                            .put("letter", entry.getKey())
                            .put("count", entry.getValue().asLong()));
            sheets.add(next);
        }
        return two;
    }
}
