package mardun.core.selling;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;

/**
 * How bags stand on the table of a stall. What is low stands in front and what is high behind it, row by row from the buyers' edge; each
 * kind is shown once before any is shown twice, in the order in which they are given. What finds no place waits under the table.
 *
 * @param places from the front left corner
 * @param under how many of each kind wait under the table, by key
 */
public record StallTable(List<Place> places, Map<String, Integer> under) {

    private static final Length FLAT = Length.of(3, LengthUnit.CENTIMETRE);

    /**
     * Bags of a kind.
     *
     * @param wide along the table
     * @param deep across it
     * @param high above it
     * @param units how many there are
     */
    public record Item(String key, Length wide, Length deep, Length high, int units) {

        /** Bags as they are finished: what is flat lies on the table; anything else stands on it. */
        public static Item of(String key, Length wide, Length deep, Length high, int units) {
            return isFlat(deep) ? new Item(key, wide, high, deep, units) : new Item(key, wide, deep, high, units);
        }
    }

    /** Whether a bag of that depth lies on a table and doesn't stand on it. */
    public static boolean isFlat(Length deep) {
        return FLAT.isLongerThan(deep);
    }

    /** Where one stands: its left edge, and its edge towards the buyers. */
    public record Place(String key, Length left, Length front, Length wide, Length deep) {}

    public StallTable {
        places = List.copyOf(places);
        under = new LinkedHashMap<>(under);
    }

    /** A row: those in it are about as high. */
    private static final class Row {
        private final List<Item> items = new ArrayList<>();
        private Length used = Length.ZERO;
        private Length deep = Length.ZERO;
    }

    /**
     * Lays a table.
     *
     * @param wide along which buyers walk
     * @param gap between two bags
     */
    public static StallTable lay(Length wide, Length deep, Length gap, List<Item> items) {
        Map<String, Integer> shown = new LinkedHashMap<>();
        items.forEach(item -> shown.put(item.key(), 0));
        List<Item> standing = new ArrayList<>();
        int most = items.stream().mapToInt(Item::units).max().orElse(0);
        for (int turn = 1; turn <= most; turn++) {
            boolean any = false;
            for (Item item : items) {
                if (item.units() >= turn) {
                    standing.add(item);
                    if (rows(standing, wide, deep, gap).isEmpty()) {
                        standing.remove(standing.size() - 1);
                    } else {
                        shown.merge(item.key(), 1, Integer::sum);
                        any = true;
                    }
                }
            }
            if (!any) {
                break;
            }
        }
        List<Place> places = new ArrayList<>();
        Length front = Length.ZERO;
        for (Row row : rows(standing, wide, deep, gap)) {
            Length left = Length.ZERO;
            for (Item item : row.items) {
                places.add(new Place(item.key(), left, front, item.wide(), item.deep()));
                left = left.plus(item.wide()).plus(gap);
            }
            front = front.plus(row.deep).plus(gap);
        }
        Map<String, Integer> under = new LinkedHashMap<>();
        items.forEach(item -> under.put(item.key(), item.units() - shown.get(item.key())));
        return new StallTable(places, under);
    }

    /** The rows from the front, the lowest bags in the first; none where they don't all fit. */
    private static List<Row> rows(List<Item> standing, Length wide, Length deep, Length gap) {
        List<Item> byHeight = standing.stream()
                .sorted(Comparator.comparing(Item::high)
                        .thenComparing(Item::deep)
                        .thenComparing(Item::key))
                .toList();
        List<Row> rows = new ArrayList<>();
        Row row = new Row();
        Length total = Length.ZERO;
        for (Item item : byHeight) {
            if (item.wide().isLongerThan(wide)) {
                return List.of();
            }
            Length needs =
                    row.items.isEmpty() ? item.wide() : row.used.plus(gap).plus(item.wide());
            if (!row.items.isEmpty() && needs.isLongerThan(wide)) {
                rows.add(row);
                total = total.plus(row.deep).plus(gap);
                row = new Row();
                needs = item.wide();
            }
            row.items.add(item);
            row.used = needs;
            row.deep = row.deep.max(item.deep());
            if (total.plus(row.deep).isLongerThan(deep)) {
                return List.of();
            }
        }
        if (!row.items.isEmpty()) {
            rows.add(row);
        }
        return rows;
    }
}
