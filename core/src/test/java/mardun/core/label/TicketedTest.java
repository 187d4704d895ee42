package mardun.core.label;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import mardun.core.label.Ticketed.Printed;
import org.junit.jupiter.api.Test;

/** Tickets that were printed before the bags were done go onto them in the order in which they are done. */
class TicketedTest {

    @Test
    void theBagsThatWereDoneFirstWearTheFirst() {
        List<Printed> printed = List.of(new Printed(3, false), new Printed(4, true));
        assertThat(Ticketed.shared(printed, List.of(1, 4, 0)))
                .as("one is gone, four are there, the others are to be made")
                .containsExactly(
                        List.of(new Printed(1, false)),
                        List.of(new Printed(2, true), new Printed(2, false)),
                        List.of(new Printed(2, true)));
        assertThat(Ticketed.shared(List.of(), List.of(2, 0))).containsExactly(List.of(), List.of());
        assertThat(Ticketed.shared(printed, List.of(9, 0)))
                .as("fewer tickets than bags")
                .containsExactly(List.of(new Printed(4, true), new Printed(3, false)), List.of());
    }

    @Test
    void noTicketIsLostOrMade() {
        Random random = new Random(49);
        for (int i = 0; i < 500; i++) {
            List<Printed> printed = IntStream.range(0, random.nextInt(5))
                    .mapToObj(one -> new Printed(1 + random.nextInt(6), random.nextBoolean()))
                    .toList();
            List<Integer> bags = IntStream.range(0, 1 + random.nextInt(4))
                    .mapToObj(one -> random.nextInt(7))
                    .toList();
            List<List<Printed>> shared = Ticketed.shared(printed, bags);
            assertThat(shared).hasSameSizeAs(bags);
            assertThat(count(shared.stream().flatMap(List::stream).toList())).isEqualTo(count(printed));
            for (int group = 0; group < bags.size() - 1; group++) {
                assertThat(count(shared.get(group))).isLessThanOrEqualTo(bags.get(group));
            }
        }
    }

    private static int count(List<Printed> printed) {
        return printed.stream().mapToInt(Printed::count).sum();
    }
}
