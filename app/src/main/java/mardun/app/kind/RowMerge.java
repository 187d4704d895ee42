package mardun.app.kind;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.BiConsumer;
import java.util.function.Function;

/**
 * Brings rows that were drafted anew together with rows that a maker may have changed since. Part by part, what she changed stays
 * hers, and all else is as it was drafted anew.
 *
 * @param toldOf gets the name of a row's key and of its part that both were changed, by hand and by the new draft
 */
record RowMerge(BiConsumer<String, String> toldOf) {

    private static final String WHOLE = "";

    /**
     * @param before as it was drafted before
     * @param own as it is now
     * @param anew as it is drafted now
     * @param key by which rows are the same
     */
    <R extends Record> List<R> rows(List<R> before, List<R> own, List<R> anew, Function<R, String> key) {
        Map<String, R> old = byKey(before, key);
        Map<String, R> mine = byKey(own, key);
        Map<String, R> fresh = byKey(anew, key);
        List<R> merged = new ArrayList<>();
        fresh.forEach((its, row) -> {
            if (mine.containsKey(its)) {
                merged.add(old.containsKey(its) ? parts(its, old.get(its), mine.get(its), row) : mine.get(its));
            } else if (!old.containsKey(its)) {
                merged.add(row);
            } else if (!old.get(its).equals(row)) {
                toldOf.accept(its, WHOLE);
            }
        });
        mine.forEach((its, row) -> {
            if (!fresh.containsKey(its) && !old.containsKey(its)) {
                merged.add(row);
            }
        });
        return merged;
    }

    /** Of one row, each part as the maker left it where she changed it, else as it is drafted now. */
    <R extends Record> R parts(String key, R before, R own, R anew) {
        RecordComponent[] components = own.getClass().getRecordComponents();
        Object[] merged = new Object[components.length];
        for (int i = 0; i < components.length; i++) {
            Object old = read(components[i], before);
            Object mine = read(components[i], own);
            Object fresh = read(components[i], anew);
            boolean changedByHand = !Objects.equals(old, mine);
            if (changedByHand && !Objects.equals(old, fresh) && !Objects.equals(mine, fresh)) {
                toldOf.accept(key, components[i].getName());
            }
            merged[i] = changedByHand ? mine : fresh;
        }
        return made(own, components, merged);
    }

    @SuppressWarnings("unchecked")
    private static <R extends Record> R made(R like, RecordComponent[] components, Object[] values) {
        Class<?>[] types =
                Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new);
        try {
            Constructor<?> canonical = like.getClass().getDeclaredConstructor(types);
            return (R) canonical.newInstance(values);
        } catch (NoSuchMethodException | InstantiationException | IllegalAccessException e) {
            throw new IllegalStateException("a row is a record that can be made", e);
        } catch (InvocationTargetException e) {
            throw new IllegalStateException("a row is made of parts that its kind takes", e.getCause());
        }
    }

    private static Object read(RecordComponent component, Object of) {
        try {
            return component.getAccessor().invoke(of);
        } catch (IllegalAccessException | InvocationTargetException e) {
            throw new IllegalStateException("a row's parts can be read", e);
        }
    }

    private static <R> Map<String, R> byKey(List<R> rows, Function<R, String> key) {
        Map<String, R> byKey = new LinkedHashMap<>();
        rows.forEach(row -> byKey.putIfAbsent(key.apply(row), row));
        return byKey;
    }
}
