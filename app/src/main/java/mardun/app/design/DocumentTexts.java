package mardun.app.design;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BiFunction;
import mardun.core.design.Measurement;
import org.jspecify.annotations.Nullable;

/**
 * What each text in a design's document is: a formula, the letter of a piece, a name that formulas use, or words. Whatever has
 * to be done to all formulas or all letters of a design is done by walking its records with this, so that no place is
 * forgotten; a test refuses a text that isn't in the table.
 */
final class DocumentTexts {

    /** What a text is. */
    enum Kind {
        /** A formula that gives a length. */
        LENGTH,
        /** A formula that gives a number. */
        NUMBER,
        /** The value of a measurement. */
        VALUE,
        /** The letter of a piece, a panel or a trim. */
        LETTER,
        /** Letters with their layers. */
        USES,
        /** The name of a measurement in formulas. */
        SYMBOL,
        /** The name of a size. */
        SIZE,
        /** Where a finding points at. */
        PLACE,
        WORDS;

        boolean isFormula() {
            return this == LENGTH || this == NUMBER || this == VALUE;
        }
    }

    private static final Map<String, Kind> KINDS = new TreeMap<>();

    static {
        all(Kind.LENGTH, "FormRow", "measures");
        all(Kind.LENGTH, "PieceRow", "width", "height");
        all(Kind.LENGTH, "ShapeRow", "across", "along");
        all(Kind.LENGTH, "DrawnRow", "tallerAt", "tallerBy");
        all(Kind.LENGTH, "DrawnPoint", "across", "down");
        all(Kind.LENGTH, "Edges", "top", "right", "bottom", "left");
        all(Kind.LENGTH, "TrimTo", "width", "height");
        all(Kind.LENGTH, "MarkRow", "across", "down", "width", "height");
        all(Kind.LENGTH, "PanelRow", "join");
        all(Kind.LENGTH, "Part", "shows", "tuck", "slant");
        all(Kind.LENGTH, "TrimNeed", "length", "turnUnder", "shortest", "longest");
        all(Kind.LENGTH, "ZipFit", "edge", "side", "clearance", "tab", "over", "covered", "slider");
        all(Kind.LENGTH, "Strap", "width", "seam", "ring", "shortest", "longest");
        all(Kind.LENGTH, "PromptRow", "mark");
        all(Kind.WORDS, "PromptRow", "text", "from", "seconds", "times");
        all(Kind.LENGTH, "Casing", "height", "thickness", "ease", "gap", "gapFrom", "header", "top");
        all(Kind.LENGTH, "Gather", "seam");
        all(Kind.LETTER, "Gather", "of", "elastic", "onto");
        all(Kind.NUMBER, "PieceRow", "quantity");
        all(Kind.NUMBER, "TrimNeed", "quantity");
        all(Kind.NUMBER, "NotionNeed", "quantity");
        all(Kind.VALUE, "Measurement", "values");
        all(Kind.LETTER, "FormRow", "outer", "lining", "other");
        all(Kind.LETTER, "PieceRow", "letter", "backs");
        all(Kind.LETTER, "PanelRow", "letter");
        all(Kind.LETTER, "Part", "letter");
        all(Kind.LETTER, "TrimNeed", "letter");
        all(Kind.LETTER, "ZipFit", "zip");
        all(Kind.LETTER, "Strap", "of");
        all(Kind.USES, "StepRow", "uses");
        all(Kind.SYMBOL, "Measurement", "symbol");
        all(Kind.SYMBOL, "Strap", "choice");
        all(Kind.SIZE, "DesignDocument", "sizes");
        all(Kind.PLACE, "SetAside", "place");
        all(Kind.PLACE, "PaperSays", "place");
        all(Kind.WORDS, "PaperSays", "says");
        all(Kind.WORDS, "DesignDocument", "name", "sort", "note", "sizeKeys");
        all(Kind.WORDS, "Begun", "seam");
        all(Kind.WORDS, "Measurement", "label", "options");
        all(Kind.WORDS, "PieceRow", "name", "slot");
        all(Kind.WORDS, "MarkRow", "label", "pair", "only");
        all(Kind.WORDS, "PanelRow", "name");
        all(Kind.WORDS, "TrimNeed", "name", "slot");
        all(Kind.WORDS, "NotionNeed", "name", "slot");
        all(Kind.WORDS, "FillingNeed", "name", "slot", "amounts");
        all(Kind.WORDS, "Casing", "name");
        all(
                Kind.WORDS,
                "StepRow",
                "key",
                "name",
                "needle",
                "thread",
                "foot",
                "stitch",
                "minutesPerUnit",
                "minutesPerBatch",
                "passiveMinutes",
                "check",
                "caution",
                "note",
                "after");
        all(
                Kind.WORDS,
                "SetUpDetails",
                "bobbin",
                "length",
                "width",
                "position",
                "tension",
                "heat",
                "seconds",
                "pressCloth",
                "steam");
        all(Kind.WORDS, "SlotRow", "key", "label");
        all(Kind.WORDS, "Source", "designer", "credit");
        all(Kind.WORDS, "SetAside", "reason");
        all(Kind.WORDS, "OpenChoice", "key", "name", "usual");
        all(Kind.WORDS, "Alternative", "key", "name", "slots", "steps");
        all(Kind.LETTER, "Alternative", "letters");
        all(Kind.SYMBOL, "ChosenMeasure", "symbol");
        all(Kind.VALUE, "ChosenMeasure", "value");
    }

    private DocumentTexts() {}

    private static void all(Kind kind, String record, String... components) {
        Arrays.stream(components).forEach(component -> KINDS.put(record + "." + component, kind));
    }

    /** What the texts of a record's component are; empty for one that isn't in the table. */
    static @Nullable Kind kindOf(Class<?> record, String component) {
        return KINDS.get(record.getSimpleName() + "." + component);
    }

    /** The document with each text changed by what it is. */
    static DesignDocument mapped(DesignDocument document, BiFunction<Kind, String, String> change) {
        return (DesignDocument) map(document, change);
    }

    private static Object map(Object record, BiFunction<Kind, String, String> change) {
        RecordComponent[] components = record.getClass().getRecordComponents();
        Object[] values = new Object[components.length];
        Class<?>[] types = new Class<?>[components.length];
        boolean isChoice = record instanceof Measurement row && row.kind() == Measurement.Kind.CHOICE;
        for (int i = 0; i < components.length; i++) {
            Kind kind = kindOf(record.getClass(), components[i].getName());
            Kind real = isChoice && kind == Kind.VALUE ? Kind.WORDS : kind;
            types[i] = components[i].getType();
            values[i] = mapValue(read(components[i], record), real, change);
        }
        return create(record.getClass(), types, values);
    }

    private static @Nullable Object mapValue(
            @Nullable Object value, @Nullable Kind kind, BiFunction<Kind, String, String> change) {
        if (value instanceof String text) {
            return kind == null ? text : change.apply(kind, text);
        } else if (value instanceof List<?> list) {
            return list.stream().map(item -> mapValue(item, kind, change)).toList();
        } else if (value instanceof Map<?, ?> map) {
            Map<Object, Object> mapped = new LinkedHashMap<>();
            map.forEach((key, item) -> mapped.put(key, mapValue(item, kind, change)));
            return mapped;
        }
        return value instanceof Record ? map(value, change) : value;
    }

    private static @Nullable Object read(RecordComponent component, Object record) {
        try {
            return component.getAccessor().invoke(record);
        } catch (IllegalAccessException | InvocationTargetException unreadable) {
            throw new IllegalStateException(component + " can't be read", unreadable);
        }
    }

    private static Object create(Class<?> record, Class<?>[] types, Object[] values) {
        try {
            Constructor<?> canonical = record.getDeclaredConstructor(types);
            return canonical.newInstance(values);
        } catch (ReflectiveOperationException unmakeable) {
            throw new IllegalStateException(record + " can't be made anew", unmakeable);
        }
    }
}
