package mardun.app.design;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import mardun.app.problem.FieldReader;
import org.jspecify.annotations.Nullable;

/**
 * How much goes into a design's document: nothing may be missing that isn't marked as such, texts and lists have an end.
 * It walks the document's records, so that a new part of a design is covered without another word.
 */
final class DocumentLimits {

    private static final int LONGEST_TEXT = 1000;
    private static final int LONGEST_LIST = 200;

    /** A component of a record, and whether it may be missing. */
    private record Part(RecordComponent component, boolean mayBeMissing) {}

    private static final ClassValue<List<Part>> PARTS = new ClassValue<>() {
        @Override
        protected List<Part> computeValue(Class<?> record) {
            return Arrays.stream(record.getRecordComponents())
                    .map(c -> new Part(c, c.getAnnotatedType().isAnnotationPresent(Nullable.class)))
                    .toList();
        }
    };

    private static final int MOST_SIZES = 40;

    private DocumentLimits() {}

    static void check(DesignDocument document, FieldReader fields) {
        walk("", document, fields);
        if (document.sizes() != null && document.sizes().size() > MOST_SIZES) {
            fields.refuse(
                    "sizes",
                    "",
                    "There are " + document.sizes().size() + " sizes. A design has at most " + MOST_SIZES
                            + "; begin a copy of it for the others.");
        }
    }

    private static void walk(String path, Object value, FieldReader fields) {
        if (value instanceof String text) {
            if (text.length() > LONGEST_TEXT) {
                fields.refuse(
                        path,
                        text.substring(0, 40) + "…",
                        "This is " + text.length() + " characters long. Use at most " + LONGEST_TEXT + ".");
            }
        } else if (value instanceof Collection<?> list) {
            tooMany(path, list.size(), fields);
            int at = 0;
            for (Object item : list) {
                walkOrMiss(path + "." + at++, item, fields);
            }
        } else if (value instanceof Map<?, ?> map) {
            tooMany(path, map.size(), fields);
            map.forEach((key, item) -> walkOrMiss(path + "." + key, item, fields));
        } else if (value instanceof Record) {
            for (Part part : PARTS.get(value.getClass())) {
                Object item = read(part.component(), value);
                if (item != null || !part.mayBeMissing()) {
                    String name = part.component().getName();
                    walkOrMiss(path.isEmpty() ? name : path + "." + name, item, fields);
                }
            }
        }
    }

    private static void walkOrMiss(String path, @Nullable Object item, FieldReader fields) {
        if (item == null) {
            fields.refuse(path, "", "“" + path + "” is missing.");
        } else {
            walk(path, item, fields);
        }
    }

    private static void tooMany(String path, int size, FieldReader fields) {
        if (size > LONGEST_LIST) {
            fields.refuse(path, "", "There are " + size + " of these. Use at most " + LONGEST_LIST + ".");
        }
    }

    private static Object read(RecordComponent component, Object record) {
        try {
            return component.getAccessor().invoke(record);
        } catch (IllegalAccessException | InvocationTargetException unreadable) {
            throw new IllegalStateException(component + " can't be read", unreadable);
        }
    }
}
