package mardun.core.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.BitSet;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The best order of work, against all orders where they are few, and against what must hold where they are many. */
class OrderFinderTest {

    private static final int ANY = OrderProblem.ANYTHING;
    private static final int WIDE = 100_000;

    private static BitSet group(int... numbers) {
        BitSet groups = new BitSet();
        for (int number : numbers) {
            groups.set(number);
        }
        return groups;
    }

    /** A table and a machine with needle, thread and foot. */
    private static OrderProblem.Builder workroom() {
        return new OrderProblem.Builder(
                new int[][] {{0, 4}, {4, 0}}, new int[] {20, 15, 8}, 0, new int[][] {{ANY, ANY, ANY}, {ANY, 7, ANY}});
    }

    private static FoundOrder find(OrderProblem problem) {
        return OrderFinder.find(problem, WIDE, 1, () -> false);
    }

    @Test
    void whatHasTheSameSetUpFollowsOneAnother() {
        OrderProblem.Builder workroom = workroom();
        int navyOne = workroom.add(1, new int[] {80, 7, 1}, group(0));
        int rustOne = workroom.add(1, new int[] {80, 8, 1}, group(0));
        int navyTwo = workroom.add(1, new int[] {80, 7, 2}, group(1));
        int rustTwo = workroom.add(1, new int[] {80, 8, 2}, group(1));
        OrderProblem problem = workroom.build();
        FoundOrder found = find(problem);
        // To the machine, the needle, one other thread, and a foot three times: the navy thread is on it.
        assertThat(found.cost()).isEqualTo(4 + 20 + 15 + 3 * 8);
        assertThat(found.isProven()).isTrue();
        assertThat(found.operations()[0]).isIn(navyOne, navyTwo);
        assertThat(problem.cost(new int[] {rustOne, navyOne, rustTwo, navyTwo})).isEqualTo(4 + 20 + 4 * 15 + 2 * 8);
    }

    /** A step that doesn't care leaves on the machine what is on it. */
    @Test
    void whatDoesntMatterStaysAsItIs() {
        OrderProblem.Builder workroom = workroom();
        int first = workroom.add(1, new int[] {80, 8, 1}, group(0));
        int anyThread = workroom.add(1, new int[] {80, ANY, ANY}, group(0));
        int cut = workroom.add(0, new int[] {ANY, ANY, ANY}, group(0));
        int again = workroom.add(1, new int[] {ANY, 8, 1}, group(0));
        workroom.before(first, anyThread);
        workroom.before(anyThread, cut);
        workroom.before(cut, again);
        FoundOrder found = find(workroom.build());
        assertThat(found.operations()).containsExactly(first, anyThread, cut, again);
        assertThat(found.cost()).isEqualTo(4 + 20 + 15 + 8 + 4 + 4);
    }

    @Test
    void aWayRoundThatIsShorterIsTaken() {
        OrderProblem.Builder workroom =
                new OrderProblem.Builder(new int[][] {{0, 1, 9}, {1, 0, 1}, {9, 1, 0}}, new int[0], 0, new int[3][0]);
        workroom.add(2, new int[0], group(0));
        assertThat(find(workroom.build()).cost()).isEqualTo(2);
    }

    @Test
    void whatWaitsForItselfIsNamed() {
        OrderProblem.Builder workroom = workroom();
        int free = workroom.add(0, new int[] {ANY, ANY, ANY}, group(0));
        int one = workroom.add(0, new int[] {ANY, ANY, ANY}, group(0));
        int two = workroom.add(0, new int[] {ANY, ANY, ANY}, group(0));
        int three = workroom.add(0, new int[] {ANY, ANY, ANY}, group(0));
        workroom.before(free, one);
        workroom.before(one, two);
        workroom.before(two, three);
        workroom.before(three, one);
        assertThatThrownBy(workroom::build).isInstanceOfSatisfying(CircularOrderException.class, circle -> {
            assertThat(circle.circle()).containsExactlyInAnyOrder(one, two, three);
            int at = circle.circle().indexOf(one);
            assertThat(circle.circle().get((at + 1) % 3)).isEqualTo(two);
        });
    }

    @Test
    void nothingToDoIsDone() {
        assertThat(find(workroom().build()).operations()).isEmpty();
    }

    private static OrderProblem random(Random random, int size, int groups, double sparse) {
        int stations = 1 + random.nextInt(3);
        int parts = 1 + random.nextInt(3);
        int[][] walk = new int[stations][stations];
        int[][] on = new int[stations][parts];
        int[] change = new int[parts];
        for (int i = 0; i < stations; i++) {
            for (int j = 0; j < i; j++) {
                walk[i][j] = random.nextInt(6);
                walk[j][i] = random.nextInt(6);
            }
            for (int part = 0; part < parts; part++) {
                on[i][part] = random.nextInt(3) - 1;
            }
        }
        for (int part = 0; part < parts; part++) {
            change[part] = random.nextInt(20);
        }
        OrderProblem.Builder builder = new OrderProblem.Builder(walk, change, random.nextInt(stations), on);
        for (int one = 0; one < size; one++) {
            int[] needs = new int[parts];
            for (int part = 0; part < parts; part++) {
                needs[part] = random.nextInt(4) - 1;
            }
            BitSet its = group(random.nextInt(groups));
            if (random.nextInt(4) == 0) {
                its.set(random.nextInt(groups));
            }
            builder.add(random.nextInt(stations), needs, its);
        }
        for (int one = 0; one < size; one++) {
            for (int other = one + 1; other < size; other++) {
                if (random.nextDouble() < sparse) {
                    builder.before(one, other);
                }
            }
        }
        return builder.build();
    }

    private static int least(OrderProblem problem, int[] order, int at, BitSet done) {
        if (at == order.length) {
            return problem.cost(order);
        }
        int least = Integer.MAX_VALUE;
        for (int one = 0; one < order.length; one++) {
            BitSet missing = (BitSet) problem.before(one).clone();
            missing.andNot(done);
            if (!done.get(one) && missing.isEmpty()) {
                order[at] = one;
                done.set(one);
                least = Math.min(least, least(problem, order, at + 1, done));
                done.clear(one);
            }
        }
        return least;
    }

    /** Up to seven operations, also such as belong to several groups and wait for those of others: against every order there is. */
    @Test
    void noOrderOfFewOperationsIsBetter() {
        Random random = new Random(7);
        for (int round = 0; round < 300; round++) {
            int size = 1 + random.nextInt(7);
            OrderProblem problem = random(random, size, 1 + random.nextInt(3), 0.25);
            FoundOrder found = find(problem);
            assertThat(problem.isAllowed(found.operations())).isTrue();
            assertThat(problem.cost(found.operations())).isEqualTo(found.cost());
            assertThat(found.cost()).as("round %d", round).isEqualTo(least(problem, new int[size], 0, new BitSet()));
            assertThat(found.isProven()).isTrue();
        }
    }

    /** What is said to be the least cost is never above that of an order that is found with more effort. */
    @Test
    void theBoundHoldsWhereTheSearchIsNarrow() {
        Random random = new Random(8);
        for (int round = 0; round < 25; round++) {
            OrderProblem problem = random(random, 24, 4, 0.12);
            FoundOrder narrow = OrderFinder.find(problem, 30, 1, () -> false);
            FoundOrder wide = find(problem);
            assertThat(problem.isAllowed(narrow.operations())).isTrue();
            assertThat(narrow.leastCost()).isLessThanOrEqualTo(wide.cost());
            assertThat(wide.cost()).isLessThanOrEqualTo(narrow.cost());
            assertThat(wide.cost()).isLessThanOrEqualTo(problem.cost(OrderFinder.greedy(problem)));
            assertThat(find(problem).operations()).as("the same again").isEqualTo(wide.operations());
        }
    }

    /** Two machines side by side: what needs another needle or foot goes to the other one, and nothing is changed twice. */
    @Test
    void withTwoMachinesSomeChangesVanish() {
        int[][] walk = {{0, 4, 4}, {4, 0, 1}, {4, 1, 0}};
        OrderProblem.Builder one =
                new OrderProblem.Builder(walk, new int[] {20, 8}, 0, new int[][] {{ANY, ANY}, {ANY, ANY}, {ANY, ANY}});
        OrderProblem.Builder two =
                new OrderProblem.Builder(walk, new int[] {20, 8}, 0, new int[][] {{ANY, ANY}, {ANY, ANY}, {ANY, ANY}});
        int[][] needs = {{80, 1}, {100, 2}, {80, 1}, {100, 2}, {80, 1}};
        for (int i = 0; i < needs.length; i++) {
            one.add(1, needs[i], group(0));
            two.add(new int[] {1, 2}, needs[i], group(0));
            if (i > 0) {
                one.before(i - 1, i);
                two.before(i - 1, i);
            }
        }
        assertThat(find(one.build()).cost()).isEqualTo(4 + 5 * 28);
        FoundOrder found = find(two.build());
        assertThat(found.cost()).isEqualTo(4 + 2 * 28 + 4);
        assertThat(found.stations()[0])
                .isEqualTo(found.stations()[2])
                .isEqualTo(found.stations()[4])
                .isNotEqualTo(found.stations()[1]);
    }

    /** Against every choice of stations with every order: at most one in fifty is dearer, and the bound always holds. */
    @Test
    void aChoiceOfStationsIsHardlyEverBetter() {
        Random random = new Random(12);
        int worse = 0;
        for (int round = 0; round < 100; round++) {
            int size = 2 + random.nextInt(4);
            OrderProblem.Builder builder = new OrderProblem.Builder(
                    new int[][] {{0, 5, 5}, {5, 0, 1}, {5, 1, 0}}, new int[] {9, 4}, 0, new int[][] {
                        {ANY, ANY}, {1, ANY}, {ANY, ANY}
                    });
            for (int i = 0; i < size; i++) {
                int[] needs = {random.nextInt(3) - 1, random.nextInt(3) - 1};
                int[][] where = {{0}, {1}, {1, 2}, {2, 1}, {1, 2}};
                builder.add(where[random.nextInt(where.length)], needs, group(random.nextInt(2)));
                for (int j = 0; j < i; j++) {
                    if (random.nextInt(4) == 0) {
                        builder.before(j, i);
                    }
                }
            }
            OrderProblem problem = builder.build();
            FoundOrder found = find(problem);
            OrderProblem its = problem.at(found.stations());
            assertThat(its.isAllowed(found.operations())).isTrue();
            assertThat(its.cost(found.operations())).isEqualTo(found.cost());
            int least = leastOfAllChoices(problem, problem.firstStations(), 0);
            assertThat(found.leastCost()).isLessThanOrEqualTo(least);
            worse += found.cost() > least ? 1 : 0;
        }
        assertThat(worse).isLessThanOrEqualTo(2);
    }

    private static int leastOfAllChoices(OrderProblem problem, int[] stations, int from) {
        if (from == problem.size()) {
            return least(problem.at(stations), new int[problem.size()], 0, new BitSet());
        }
        int least = Integer.MAX_VALUE;
        for (int choice : problem.choices(from)) {
            int[] others = stations.clone();
            others[from] = choice;
            least = Math.min(least, leastOfAllChoices(problem, others, from + 1));
        }
        return least;
    }

    @Test
    void whenTimeIsUpThereIsAnOrderAllTheSame() {
        OrderProblem problem = random(new Random(9), 60, 5, 0.05);
        FoundOrder found = OrderFinder.find(problem, WIDE, 1, () -> true);
        assertThat(problem.isAllowed(found.operations())).isTrue();
        assertThat(found.leastCost()).isLessThanOrEqualTo(found.cost());
    }

    /** Whenever it is stopped, no order is better than what is said to be the least. */
    @Test
    void theBoundHoldsWhereTheSearchIsStopped() {
        Random random = new Random(10);
        for (int round = 0; round < 12; round++) {
            OrderProblem problem = random(random, 24, 4, 0.12);
            int wide = find(problem).cost();
            for (int most : new int[] {2, 5, 12, 40}) {
                int[] asked = {0};
                FoundOrder found = OrderFinder.find(problem, WIDE, 1, () -> ++asked[0] > most);
                assertThat(problem.isAllowed(found.operations())).isTrue();
                assertThat(found.leastCost()).isLessThanOrEqualTo(wide);
            }
        }
    }

    @Test
    void anOrderThatLeavesSomethingOutIsntAllowed() {
        OrderProblem.Builder workroom = workroom();
        workroom.add(0, new int[] {ANY, ANY, ANY}, group(0));
        workroom.add(0, new int[] {ANY, ANY, ANY}, group(0));
        workroom.before(0, 1);
        OrderProblem problem = workroom.build();
        assertThat(problem.isAllowed(new int[] {0, 1})).isTrue();
        assertThat(problem.isAllowed(new int[] {1, 0})).isFalse();
        assertThat(problem.isAllowed(new int[] {0, 0})).isFalse();
        assertThat(problem.isAllowed(new int[] {0})).isFalse();
    }
}
