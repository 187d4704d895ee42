package mardun.core.order;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import mardun.core.order.OrderAnnealing.Arranged;
import org.junit.jupiter.api.Test;

/** Orders that are bettered by moving blocks of them. */
class OrderAnnealingTest {

    private static final int STATIONS = 4;
    private static final int PARTS = 3;

    /** A workroom in which each operation can be done at one station, or at two of them. */
    private static OrderProblem random(Random random, int size, boolean withChoices) {
        int[][] walk = new int[STATIONS][STATIONS];
        int[][] on = new int[STATIONS][PARTS];
        for (int from = 0; from < STATIONS; from++) {
            for (int to = 0; to < from; to++) {
                walk[from][to] = 1 + random.nextInt(9);
                walk[to][from] = walk[from][to];
            }
            for (int part = 0; part < PARTS; part++) {
                on[from][part] = random.nextInt(4) - 1;
            }
        }
        int[] change = random.ints(PARTS, 1, 20).toArray();
        OrderProblem.Builder builder = new OrderProblem.Builder(walk, change, random.nextInt(STATIONS), on);
        for (int one = 0; one < size; one++) {
            int[] needs = random.ints(PARTS, -1, 3).toArray();
            BitSet group = new BitSet();
            group.set(random.nextInt(3));
            int station = random.nextInt(STATIONS);
            int other = (station + 1) % STATIONS;
            builder.add(
                    withChoices && random.nextBoolean() ? new int[] {station, other} : new int[] {station},
                    needs,
                    group);
        }
        for (int one = 0; one < size; one++) {
            if (one > 2 && random.nextInt(3) == 0) {
                builder.before(random.nextInt(one), one);
            }
        }
        return builder.build();
    }

    private static int[] shuffled(Random random, int size) {
        List<Integer> order = new ArrayList<>();
        for (int one = 0; one < size; one++) {
            order.add(one);
        }
        Collections.shuffle(order, random);
        return order.stream().mapToInt(Integer::intValue).toArray();
    }

    /** Two orders that differ in some places only: reckoned from the one, the other costs what it costs by itself. */
    @Test
    void aMoveIsReckonedOnlyAsFarAsItChangesSomething() {
        Random random = new Random(1);
        for (int round = 0; round < 2_000; round++) {
            int size = 2 + random.nextInt(24);
            OrderProblem problem = random(random, size, false);
            OrderAnnealing annealing = new OrderAnnealing(problem, 1);
            int[] stations = problem.firstStations();
            int[] order = shuffled(random, size);
            annealing.note(order, stations, 0);
            int first = random.nextInt(size);
            int last = first + 1 + random.nextInt(size - first);
            int[] next = order.clone();
            int[] part = shuffled(random, last - first);
            for (int i = 0; i < part.length; i++) {
                next[first + i] = order[first + part[i]];
            }
            assertThat(annealing.cost(next, stations, first, last))
                    .as("round %d, places %d to %d of %d", round, first, last, size)
                    .isEqualTo(problem.cost(next));
            annealing.note(next, stations, first);
            assertThat(annealing.cost(order, stations, first, last)).isEqualTo(problem.cost(order));
        }
    }

    /** Other stations for some operations are reckoned from the beginning. */
    @Test
    void otherStationsAreReckonedToo() {
        Random random = new Random(2);
        for (int round = 0; round < 500; round++) {
            int size = 2 + random.nextInt(16);
            OrderProblem problem = random(random, size, true);
            OrderAnnealing annealing = new OrderAnnealing(problem, 1);
            int[] order = shuffled(random, size);
            annealing.note(order, problem.firstStations(), 0);
            int[] others = problem.firstStations();
            for (int one = 0; one < size; one++) {
                int[] choices = problem.choices(one);
                others[one] = choices[random.nextInt(choices.length)];
            }
            assertThat(annealing.cost(order, others, 0, size))
                    .isEqualTo(problem.at(others).cost(order));
        }
    }

    /** What comes out is allowed, costs no more than what went in, and is the same for the same seed. */
    @Test
    void whatComesOutIsAllowedAndNoDearer() {
        Random random = new Random(3);
        for (int round = 0; round < 40; round++) {
            OrderProblem problem = random(random, 30, round % 2 == 0);
            Arranged begun = new Arranged(OrderFinder.greedy(problem), problem.firstStations());
            int before = problem.cost(begun.order());
            for (double heat : new double[] {1, 0.3, 0.01}) {
                Arranged better = new OrderAnnealing(problem, 5).anneal(begun, 4_000, heat, () -> false);
                assertThat(problem.isAllowed(better.order())).isTrue();
                assertThat(problem.at(better.stations()).cost(better.order())).isLessThanOrEqualTo(before);
                Arranged again = new OrderAnnealing(problem, 5).anneal(begun, 4_000, heat, () -> false);
                assertThat(again.order()).isEqualTo(better.order());
                assertThat(again.stations()).isEqualTo(better.stations());
            }
        }
    }

    /** Where time is up at once, what went in comes out. */
    @Test
    void whenTimeIsUpNothingIsMoved() {
        OrderProblem problem = random(new Random(4), 20, true);
        Arranged begun = new Arranged(OrderFinder.greedy(problem), problem.firstStations());
        assertThat(new OrderAnnealing(problem, 1)
                        .anneal(begun, 4_000, 1, () -> true)
                        .order())
                .isEqualTo(begun.order());
    }
}
