package mardun.app.design;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.StreamSupport;
import mardun.app.design.RevisionViews.Difference;
import mardun.app.design.RevisionViews.DifferenceKind;
import mardun.app.design.RevisionViews.FieldDifference;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.MissingNode;

/**
 * Tells in words what is other in a design than it was before. Rows are the same when they are known by the same letter, symbol, key or
 * name, wherever they stand; nothing that is stored of a design is left out.
 */
final class DocumentComparison {

    /** Parts that are lists of rows: what a maker calls them, by what a row is known, and what it is called. */
    private record Rows(String words, String knownBy, String calledBy) {}

    private static final Map<String, Rows> ROWS = new LinkedHashMap<>();

    static {
        ROWS.put("measurements", new Rows("Measurements", "symbol", "label"));
        ROWS.put("pieces", new Rows("Pieces", "letter", "name"));
        ROWS.put("panels", new Rows("Panels", "letter", "name"));
        ROWS.put("trims", new Rows("Trims", "letter", "name"));
        ROWS.put("notions", new Rows("Notions", "name", ""));
        ROWS.put("fillings", new Rows("Fillings", "name", ""));
        ROWS.put("zips", new Rows("Zips", "zip", ""));
        ROWS.put("straps", new Rows("Straps", "of", ""));
        ROWS.put("casings", new Rows("Casings", "name", ""));
        ROWS.put("gathers", new Rows("Gathers", "of", ""));
        ROWS.put("steps", new Rows("Steps", "key", "name"));
        ROWS.put("slots", new Rows("Materials", "key", "label"));
        ROWS.put("openChoices", new Rows("Choices", "key", "name"));
        ROWS.put("paper", new Rows("What the paper says", "place", ""));
        ROWS.put("setAside", new Rows("Checks set aside", "check", "place"));
    }

    /** Pieces and trims are spoken of by letters; longer ones are words of formulas. */
    private static final int LONGEST_LETTER = 2;

    private static final String THE_DESIGN = "The design";
    private static final String VALUES_BY_SIZE = "values";
    private static final String AMOUNTS_BY_SIZE = "amounts";

    /** Fields whose own names aren't a maker's words. */
    private static final Map<String, String> WORDS = Map.ofEntries(
            Map.entry("sort", "what it is"),
            Map.entry("usualUnits", "how many at once"),
            Map.entry("quantity", "how many"),
            Map.entry("minutesPerUnit", "minutes a bag"),
            Map.entry("minutesPerBatch", "minutes once"),
            Map.entry("passiveMinutes", "minutes waiting"),
            Map.entry("uses", "what goes through"),
            Map.entry("after", "comes after"),
            Map.entry("details", "set-up"),
            Map.entry("prompts", "shown within it"),
            Map.entry("materialId", "usual material"),
            Map.entry("threadId", "thread of the shelf"),
            Map.entry("bobbinId", "bobbin of the shelf"),
            Map.entry("meetsPrint", "print meets"),
            Map.entry("overSelvage", "over the selvage"),
            Map.entry("forChildren", "for children"),
            Map.entry("begun", "begun from"),
            Map.entry("alternatives", "to choose from"),
            Map.entry("only", "only with"),
            Map.entry("goesOn", "can’t be put away after it"),
            Map.entry("lay", "how pieces lie"),
            Map.entry("of", "what"),
            Map.entry("seam", "seam allowance"));

    /** Known by this inside, and never shown. */
    private static final Set<String> HIDDEN = Set.of("sizeKeys", "key");

    private static final Set<String> MATERIALS = Set.of("materialId", "threadId", "bobbinId");

    private final JsonNode before;
    private final JsonNode after;
    private final Function<Long, String> materialNames;
    private final List<Difference> found = new ArrayList<>();

    private DocumentComparison(JsonNode before, JsonNode after, Function<Long, String> materialNames) {
        this.before = before;
        this.after = after;
        this.materialNames = materialNames;
    }

    /**
     * What is different, part by part.
     *
     * @param materialNames what a material is called
     */
    static List<Difference> of(
            DesignDocument before, DesignDocument after, JsonMapper json, Function<Long, String> materialNames) {
        DocumentComparison comparison = new DocumentComparison(
                json.valueToTree(before.keyed()), json.valueToTree(after.keyed()), materialNames);
        comparison.compare();
        return comparison.found;
    }

    private void compare() {
        List<FieldDifference> ofAll = new ArrayList<>();
        for (String part : names(before, after)) {
            if (ROWS.containsKey(part)) {
                rows(ROWS.get(part), before.path(part), after.path(part));
            } else if (!HIDDEN.contains(part)) {
                fields(part, before.path(part), after.path(part), ofAll);
            }
        }
        if (!ofAll.isEmpty()) {
            found.add(0, new Difference(THE_DESIGN, "", DifferenceKind.CHANGED, ofAll));
        }
    }

    private void rows(Rows rows, JsonNode were, JsonNode are) {
        Map<String, JsonNode> old = byKey(rows, were);
        Map<String, JsonNode> now = byKey(rows, are);
        now.forEach((key, row) -> {
            JsonNode was = old.get(key);
            List<FieldDifference> changed = new ArrayList<>();
            if (was == null) {
                fields("", missing(), row, changed);
                found.add(new Difference(rows.words(), called(rows, row), DifferenceKind.ADDED, changed));
            } else {
                fields("", was, row, changed);
                if (!changed.isEmpty()) {
                    found.add(new Difference(rows.words(), called(rows, row), DifferenceKind.CHANGED, changed));
                }
            }
        });
        old.forEach((key, row) -> {
            if (!now.containsKey(key)) {
                found.add(new Difference(rows.words(), called(rows, row), DifferenceKind.GONE, List.of()));
            }
        });
        Set<String> both = new LinkedHashSet<>(old.keySet());
        both.retainAll(now.keySet());
        List<String> order = now.keySet().stream().filter(both::contains).toList();
        if (!List.copyOf(both).equals(order)) {
            found.add(new Difference(
                    rows.words(),
                    "",
                    DifferenceKind.CHANGED,
                    List.of(new FieldDifference("order", names(rows, both, old), names(rows, order, now)))));
        }
    }

    private static String names(Rows rows, Iterable<String> keys, Map<String, JsonNode> of) {
        return StreamSupport.stream(keys.spliterator(), false)
                .map(key -> called(rows, of.get(key)))
                .collect(Collectors.joining(", "));
    }

    private static JsonNode missing() {
        return MissingNode.getInstance();
    }

    /** The rows by what they are known by; a second one of the same kind is known by its place as well. */
    private static Map<String, JsonNode> byKey(Rows rows, JsonNode list) {
        Map<String, JsonNode> byKey = new LinkedHashMap<>();
        for (JsonNode row : list) {
            String key = row.path(rows.knownBy()).asString("");
            String free = key;
            for (int i = 2; byKey.containsKey(free); i++) {
                free = key + " " + i;
            }
            byKey.put(free, row);
        }
        return byKey;
    }

    private static String called(Rows rows, JsonNode row) {
        String name = row.path(rows.calledBy()).asString("");
        String key = row.path(rows.knownBy()).asString("");
        if (rows.knownBy().equals("key")) {
            return name;
        }
        if (name.isEmpty()) {
            return key;
        }
        return key.length() > LONGEST_LETTER ? name : key + " " + name;
    }

    /** What is different in a value, into its own fields where it has any. */
    private void fields(String name, JsonNode was, JsonNode is, List<FieldDifference> changed) {
        if (Objects.equals(text(name, was), text(name, is))) {
            return;
        }
        boolean isBySize = name.equals(VALUES_BY_SIZE) || name.equals(AMOUNTS_BY_SIZE);
        if (was.isObject() || is.isObject()) {
            for (String field : names(was, is)) {
                if (!HIDDEN.contains(field)) {
                    fields(field, was.path(field), is.path(field), changed);
                }
            }
        } else if (isBySize && was.isArray() && is.isArray()) {
            bySize(was, is, changed);
        } else {
            changed.add(new FieldDifference(words(name), text(name, was), text(name, is)));
        }
    }

    /** Values for each size, or one for all of them. */
    private void bySize(JsonNode was, JsonNode is, List<FieldDifference> changed) {
        Map<String, String> old = bySize(was, before);
        Map<String, String> now = bySize(is, after);
        if (was.size() == 1 && is.size() == 1) {
            changed.add(new FieldDifference("all sizes", text("", was.get(0)), text("", is.get(0))));
            return;
        }
        Set<String> keys = new LinkedHashSet<>(now.keySet());
        keys.addAll(old.keySet());
        for (String size : keys) {
            String one = old.getOrDefault(size, "");
            String other = now.getOrDefault(size, "");
            if (!one.equals(other)) {
                changed.add(new FieldDifference(sizeName(size), one, other));
            }
        }
    }

    private String sizeName(String key) {
        for (JsonNode document : List.of(after, before)) {
            for (int i = 0; i < document.path("sizeKeys").size(); i++) {
                if (document.get("sizeKeys").get(i).asString().equals(key)) {
                    String name = document.get("sizes").get(i).asString();
                    return name.isEmpty() ? "its size" : name;
                }
            }
        }
        return key;
    }

    private static Map<String, String> bySize(JsonNode values, JsonNode document) {
        Map<String, String> bySize = new LinkedHashMap<>();
        JsonNode keys = document.path("sizeKeys");
        for (int i = 0; i < keys.size(); i++) {
            JsonNode value = values.get(values.size() == 1 ? 0 : i);
            bySize.put(keys.get(i).asString(), value == null ? "" : value.asString(""));
        }
        return bySize;
    }

    private static Set<String> names(JsonNode one, JsonNode other) {
        Set<String> names = new LinkedHashSet<>(other.propertyNames());
        names.addAll(one.propertyNames());
        return names;
    }

    static String words(String field) {
        return Optional.ofNullable(WORDS.get(field))
                .orElseGet(() -> field.replaceAll("([A-Z])", " $1").toLowerCase(Locale.ROOT));
    }

    /** A value as it is read: what is nothing is empty. */
    private String text(String name, JsonNode value) {
        if (value.isMissingNode() || value.isNull()) {
            return "";
        }
        if (value.isArray()) {
            return StreamSupport.stream(value.spliterator(), false)
                    .map(one -> name.equals("after") ? stepName(one.asString("")) : text("", one))
                    .filter(one -> !one.isEmpty())
                    .collect(Collectors.joining(", "));
        }
        if (value.isObject()) {
            return value.properties().stream()
                    .filter(field -> !HIDDEN.contains(field.getKey()))
                    .map(field -> labelled(field.getKey(), field.getValue()))
                    .filter(one -> !one.isEmpty())
                    .collect(Collectors.joining(", "));
        }
        if (value.isBoolean()) {
            return value.asBoolean() ? "yes" : "";
        }
        if (MATERIALS.contains(name)) {
            return materialNames.apply(value.asLong());
        }
        String text = value.asString("");
        return text.matches("[A-Z][A-Z_]+") ? text.toLowerCase(Locale.ROOT).replace('_', ' ') : text;
    }

    private String labelled(String field, JsonNode value) {
        String text = text(field, value);
        return text.isEmpty() ? "" : words(field) + " " + text;
    }

    private String stepName(String key) {
        for (JsonNode document : List.of(after, before)) {
            for (JsonNode step : document.path("steps")) {
                if (step.path("key").asString("").equals(key)) {
                    return step.path("name").asString("");
                }
            }
        }
        return key;
    }
}
