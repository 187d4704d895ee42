package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.core.making.WorkOrder.Ordered;
import mardun.core.making.WorkOrder.Threads;
import mardun.core.making.WorkOrder.Turn;
import org.junit.jupiter.api.Test;

/** The order of work of a batch, as a maker sees it. */
class WorkOrderTest {

    private static final int WIDE = 3000;

    private static Step step(String key, Station station, Stage stage, SetUp setUp, String... after) {
        return new Step(
                key,
                key,
                stage,
                station,
                setUp,
                Duration.ofMinutes(2),
                Duration.ZERO,
                Duration.ZERO,
                "",
                "",
                "",
                List.of(after),
                List.of());
    }

    private static Step sew(String key, String thread, String foot, String... after) {
        return step(key, Station.MACHINE, Stage.SEW, SetUp.of("80", thread, foot, ""), after);
    }

    private static Step cut() {
        return step("cut", Station.CUTTING_TABLE, Stage.CUT, SetUp.NONE);
    }

    private static Ordered order(List<LineSteps> lines, Threads threads) {
        return WorkOrder.find(Operation.of(lines), threads, Workshop.USUAL, OrderWishes.NONE, WIDE, () -> false)
                .order()
                .orElseThrow();
    }

    /** What needs heavy thread goes to the other machine, and no thread is changed; the way between them is short. */
    @Test
    void withASecondMachineThreadsStayOn() {
        List<Step> steps = List.of(
                cut(),
                sew("label", "navy", ""),
                sew("top", "heavy", ""),
                sew("side", "navy", ""),
                sew("rim", "heavy", ""));
        Machine one = new Machine("1", "One", Station.MACHINE, Set.of(), Optional.empty());
        Machine two = new Machine("2", "Two", Station.MACHINE, Set.of(), Optional.empty());
        List<Operation> operations = Operation.of(List.of(LineSteps.of(1, 4, steps)));
        Ordered alone = WorkOrder.find(
                        operations,
                        Threads.AS_SAID,
                        new Workshop(
                                ChangeTimes.USUAL, new Equipment(List.of(one), Set.of(), Set.of()), Standing.UNKNOWN),
                        OrderWishes.NONE,
                        WIDE,
                        () -> false)
                .order()
                .orElseThrow();
        assertThat(alone.changes().counts()).containsEntry(SetUp.Part.THREAD, 4).containsEntry(SetUp.Part.NEEDLE, 1);
        Ordered both = WorkOrder.find(
                        operations,
                        Threads.AS_SAID,
                        new Workshop(
                                ChangeTimes.USUAL,
                                new Equipment(List.of(one, two), Set.of(), Set.of()),
                                Standing.UNKNOWN),
                        OrderWishes.NONE,
                        WIDE,
                        () -> false)
                .order()
                .orElseThrow();
        assertThat(both.changes().counts()).containsEntry(SetUp.Part.THREAD, 2).containsEntry(SetUp.Part.NEEDLE, 2);
        Set<String> threads = both.turns().stream()
                .filter(turn -> turn.at().station() == Station.MACHINE)
                .map(turn -> turn.setUp().thread() + " at " + turn.at().words())
                .collect(Collectors.toSet());
        assertThat(threads).isIn(Set.of("navy at One", "heavy at Two"), Set.of("navy at Two", "heavy at One"));
        // Twice needle and thread, once to the machines, and three times from one to the other.
        assertThat(both.changes().time()).isEqualTo(Duration.ofSeconds(2 * (120 + 90) + 24 + 3 * 6));
        assertThat(both.least()).isLessThanOrEqualTo(both.changes().time());
    }

    /** What is on the machine from yesterday needn't be put on again. */
    @Test
    void whatIsOnTheMachineIsUsedFirst() {
        List<Step> steps = List.of(cut(), sew("label", "navy", "", "cut"), sew("loop", "rust", "", "cut"));
        Standing rust = new Standing(Map.of("MACHINE", SetUp.of("80", "Rust", "zip foot", "")));
        Ordered order = WorkOrder.find(
                        Operation.of(List.of(LineSteps.of(1, 1, steps))),
                        Threads.AS_SAID,
                        new Workshop(ChangeTimes.USUAL, Equipment.ANYTHING, rust),
                        OrderWishes.NONE,
                        WIDE,
                        () -> false)
                .order()
                .orElseThrow();
        assertThat(names(order)).containsExactly("cut", "loop", "label");
        assertThat(order.turns().get(1).changes()).isEmpty();
        assertThat(order.turns().get(2).changes()).containsExactly(SetUp.Part.THREAD);
        assertThat(order.changes().time()).isEqualTo(Duration.ofSeconds(24 + 90));
        assertThat(order.isProven()).isTrue();
    }

    private static List<String> names(Ordered order) {
        return order.turns().stream().map(turn -> turn.step().name()).toList();
    }

    /** The straps may be sewn at any time before the rim: with the thread that is on then. */
    @Test
    void preparationLiesWhereItCostsLeast() {
        Ordered order = order(
                List.of(LineSteps.of(
                        1,
                        6,
                        List.of(
                                cut(),
                                sew("straps", "heavy", "standard foot", "cut"),
                                sew("sides", "navy", "standard foot", "cut"),
                                sew("box", "navy", "standard foot", "sides"),
                                sew("rim", "heavy", "standard foot", "box", "straps")))),
                Threads.AS_SAID);
        assertThat(names(order)).containsExactly("cut", "sides", "box", "straps", "rim");
        assertThat(order.isProven()).isTrue();
        assertThat(order.changes().counts())
                .containsEntry(SetUp.Part.THREAD, 2)
                .containsEntry(SetUp.Part.NEEDLE, 1)
                .containsEntry(SetUp.Part.FOOT, 1);
        assertThat(order.lineByLine().counts()).containsEntry(SetUp.Part.THREAD, 3);
        assertThat(order.changes().time()).isEqualTo(Duration.ofSeconds(24 + 120 + 48 + 2 * 90));
        assertThat(order.turns().get(2).changes()).isEmpty();
        assertThat(order.turns().get(3).changes()).containsExactly(SetUp.Part.THREAD);
    }

    /** Two lines of one design in two cloths share their steps, but not their matching thread. */
    @Test
    void whatMatchesTheClothIsSewnClothByCloth() {
        List<Step> steps =
                List.of(cut(), sew("zip", "matching", "zip foot"), sew("round", "matching", "standard foot"));
        List<LineSteps> lines = List.of(LineSteps.of(1, 4, steps), LineSteps.of(2, 3, steps));
        assertThat(order(lines, Threads.AS_SAID).turns()).hasSize(3);
        Map<Integer, String> cloths = Map.of(1, "matching navy", 2, "matching rust");
        Ordered order = order(lines, Threads.of(cloths, Map.of()));
        assertThat(order.turns()).hasSize(5);
        assertThat(order.turns().get(0).parts()).hasSize(2);
        // Both zips, then both rounds: three threads and two feet take 6 s less than two threads and four feet.
        assertThat(order.changes().counts()).containsEntry(SetUp.Part.THREAD, 3).containsEntry(SetUp.Part.FOOT, 2);
        assertThat(order.lineByLine().counts())
                .containsEntry(SetUp.Part.THREAD, 2)
                .containsEntry(SetUp.Part.FOOT, 4);
        assertThat(order.turns())
                .filteredOn(turn -> turn.changes().contains(SetUp.Part.THREAD))
                .extracting(turn -> turn.setUp().thread())
                .contains("matching navy", "matching rust");
    }

    /** A thread that is said is taken as it is said, and a line without an outer cloth has nothing to match. */
    @Test
    void onlyAMatchingThreadFollowsTheCloth() {
        Threads threads = Threads.of(Map.of(1, "matching navy"), Map.of());
        assertThat(threads.of(1, sew("zip", " Matching ", ""))).isEqualTo("matching navy");
        assertThat(threads.of(2, sew("zip", "matching", ""))).isEqualTo("matching");
        assertThat(threads.of(1, sew("rim", "heavy", ""))).isEqualTo("heavy");
        assertThat(threads.of(1, sew("baste", "", ""))).isEmpty();
        assertThat(SetUp.of("", "matching navy", "", "").words(SetUp.Part.THREAD))
                .isEqualTo("thread matching navy");
        assertThat(SetUp.of("", "heavy", "", "").words(SetUp.Part.THREAD)).isEqualTo("heavy thread");
    }

    @Test
    void stepsThatWaitForOneAnotherAreNamed() {
        List<Step> steps = List.of(cut(), sew("box", "navy", "", "turn"), sew("turn", "navy", "", "box"));
        WorkOrder.Found found = WorkOrder.find(
                Operation.of(List.of(LineSteps.of(1, 1, steps))),
                Threads.AS_SAID,
                Workshop.USUAL,
                OrderWishes.NONE,
                WIDE,
                () -> false);
        assertThat(found.order()).isEmpty();
        assertThat(found.circle()).extracting(Step::name).containsExactlyInAnyOrder("box", "turn");
    }

    /** For random batches: each line's bags go through each of its steps once, none before one that it waits for, and never dearer. */
    @Test
    void nothingIsLeftOutAndNothingComesTooEarly() {
        Random random = new Random(3);
        for (int round = 0; round < 40; round++) {
            List<LineSteps> lines = new ArrayList<>();
            for (int line = 1; line <= 1 + random.nextInt(4); line++) {
                List<Step> steps = new ArrayList<>(List.of(cut()));
                for (int i = 1; i < 3 + random.nextInt(6); i++) {
                    String[] after = random.nextBoolean()
                            ? new String[] {
                                steps.get(random.nextInt(steps.size())).key()
                            }
                            : new String[0];
                    steps.add(sew(
                            "s" + i,
                            List.of("navy", "matching", "").get(random.nextInt(3)),
                            List.of("zip foot", "standard foot", "").get(random.nextInt(3)),
                            after));
                }
                steps.add(step("pack", Station.PRESS, Stage.FINISH, SetUp.NONE));
                lines.add(LineSteps.of(line, 1 + random.nextInt(9), steps));
            }
            Ordered order = order(
                    lines,
                    (line, step) -> step.setUp().thread().equals("matching")
                            ? "matching " + line
                            : step.setUp().thread());
            assertThat(order.changes().time())
                    .isLessThanOrEqualTo(order.lineByLine().time());
            assertThat(order.least()).isLessThanOrEqualTo(order.changes().time());
            assertThat(order.turns().stream().map(Turn::time).reduce(Duration.ZERO, Duration::plus))
                    .isEqualTo(Operation.of(lines).stream().map(Operation::time).reduce(Duration.ZERO, Duration::plus));
            for (LineSteps line : lines) {
                Map<String, Integer> at = new HashMap<>();
                for (int turn = 0; turn < order.turns().size(); turn++) {
                    Turn its = order.turns().get(turn);
                    for (Operation.Part part : its.parts()) {
                        if (part.line() == line.line()) {
                            assertThat(at.put(part.step().key(), turn)).isNull();
                            assertThat(part.units()).isEqualTo(line.units());
                        }
                    }
                }
                assertThat(at).hasSize(line.steps().size());
                line.steps()
                        .forEach(step -> step.after()
                                .forEach(before -> assertThat(at.get(before)).isLessThan(at.get(step.key()))));
                assertThat(at.get("pack"))
                        .isEqualTo(at.values().stream().max(Integer::compare).orElseThrow());
            }
        }
    }
}
