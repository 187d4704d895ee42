package mardun.core.selling;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.selling.StallTable.Item;
import mardun.core.selling.StallTable.Place;
import org.assertj.core.groups.Tuple;
import org.junit.jupiter.api.Test;

/** The table of a stall: nothing lies on anything else or beyond the edge, and each kind is shown before any is shown twice. */
class StallTableTest {

    private static Length cm(long count) {
        return Length.of(count, LengthUnit.CENTIMETRE);
    }

    private static Item item(String key, long wide, long deep, long high, int units) {
        return new Item(key, cm(wide), cm(deep), cm(high), units);
    }

    @Test
    void laysRowsFromTheFrontTheLowestFirst() {
        StallTable table = StallTable.lay(
                cm(100), cm(60), cm(2), List.of(item("tote", 40, 12, 45, 2), item("pouch", 20, 8, 12, 3)));
        assertThat(table.places())
                .extracting(Place::key, Place::front)
                .startsWith(Tuple.tuple("pouch", Length.ZERO), Tuple.tuple("pouch", Length.ZERO));
        assertThat(table.under()).containsEntry("tote", 0).containsEntry("pouch", 0);
    }

    @Test
    void showsEachKindOnceBeforeAnyTwice() {
        List<Item> items = List.of(item("a", 30, 30, 10, 9), item("b", 30, 30, 20, 9), item("c", 30, 30, 30, 9));
        StallTable table = StallTable.lay(cm(100), cm(30), cm(1), items);
        assertThat(table.places()).extracting(Place::key).containsExactly("a", "b", "c");
        assertThat(table.under()).containsEntry("a", 8).containsEntry("c", 8);
    }

    @Test
    void whatIsTooWideStaysUnderTheTable() {
        StallTable table =
                StallTable.lay(cm(50), cm(50), cm(1), List.of(item("long", 60, 5, 5, 1), item("a", 10, 10, 5, 1)));
        assertThat(table.places()).extracting(Place::key).containsExactly("a");
        assertThat(table.under()).containsEntry("long", 1);
    }

    @Test
    void nothingOverlapsOrLeavesTheTable() {
        Random random = new Random(7);
        for (int run = 0; run < 300; run++) {
            List<Item> items = new ArrayList<>();
            for (int i = 0; i < 1 + random.nextInt(8); i++) {
                items.add(item(
                        "k" + i,
                        5 + random.nextInt(40),
                        3 + random.nextInt(30),
                        2 + random.nextInt(50),
                        random.nextInt(6)));
            }
            Length wide = cm(40 + random.nextInt(160));
            Length deep = cm(30 + random.nextInt(60));
            StallTable table = StallTable.lay(wide, deep, cm(2), items);
            List<Place> places = table.places();
            for (int i = 0; i < places.size(); i++) {
                Place one = places.get(i);
                assertThat(one.left().plus(one.wide()).isLongerThan(wide)).isFalse();
                assertThat(one.front().plus(one.deep()).isLongerThan(deep)).isFalse();
                for (Place other : places.subList(i + 1, places.size())) {
                    boolean apart = !other.left().isLongerThan(one.left())
                                    && !other.left().plus(other.wide()).isLongerThan(one.left())
                            || !one.left().plus(one.wide()).isLongerThan(other.left())
                            || !one.front().plus(one.deep()).isLongerThan(other.front())
                            || !other.front().plus(other.deep()).isLongerThan(one.front());
                    assertThat(apart).as(one + " and " + other).isTrue();
                }
            }
            for (Item item : items) {
                long shown = places.stream()
                        .filter(place -> place.key().equals(item.key()))
                        .count();
                assertThat(shown + table.under().get(item.key())).isEqualTo(item.units());
            }
        }
    }
}
