package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import mardun.core.making.OrderWishes.Before;
import mardun.core.making.OrderWishes.Without;
import mardun.core.making.WorkOrder.Found;
import mardun.core.making.WorkOrder.Ordered;
import mardun.core.making.WorkOrder.Turn;
import org.junit.jupiter.api.Test;

/** What a maker wants of an order, and what it costs. */
class OrderWishesTest {

    private static final int WIDE = 3000;

    private static Step sew(String key, String thread, String foot, String... after) {
        return new Step(
                key,
                key,
                Stage.SEW,
                Station.MACHINE,
                SetUp.of("80", thread, foot, ""),
                Duration.ofMinutes(2),
                Duration.ZERO,
                Duration.ZERO,
                "",
                "",
                "",
                List.of(after),
                List.of());
    }

    /** Two straps in navy and two pockets in rust, in any order; the rim after all of it. */
    private static final List<LineSteps> BAG = List.of(LineSteps.of(
            1,
            6,
            List.of(
                    sew("mark", "", ""),
                    sew("strap", "navy", "standard foot", "mark"),
                    sew("pocket", "rust", "standard foot", "mark"),
                    sew("loop", "navy", "standard foot", "strap"),
                    sew("flap", "rust", "zip foot", "pocket"),
                    sew("rim", "navy", "standard foot", "loop", "flap"))));

    private static Found find(List<LineSteps> lines, OrderWishes wishes) {
        return WorkOrder.find(
                Operation.of(lines),
                WorkOrder.Threads.of(Map.of(), Map.of()),
                Workshop.USUAL,
                wishes,
                WIDE,
                () -> false);
    }

    private static Ordered order(OrderWishes wishes) {
        return find(BAG, wishes).order().orElseThrow();
    }

    private static int place(Ordered order, String key) {
        return order.turns().stream().map(Turn::key).toList().indexOf(key);
    }

    private static OrderWishes before(String first, String then) {
        return new OrderWishes(List.of(new Before(first, then)), Optional.empty(), List.of(), Map.of());
    }

    @Test
    void oneTurnComesBeforeAnotherWhateverThatCosts() {
        Duration best = order(OrderWishes.NONE).changes().time();
        Ordered wished = order(before("flap|1", "loop|1"));
        assertThat(place(wished, "flap|1")).isLessThan(place(wished, "loop|1"));
        Ordered other = order(before("loop|1", "pocket|1"));
        assertThat(place(other, "loop|1")).isLessThan(place(other, "pocket|1"));
        assertThat(List.of(wished, other)).allSatisfy(order -> {
            assertThat(order.isProven()).isTrue();
            assertThat(order.changes().time()).isGreaterThanOrEqualTo(best);
        });
    }

    @Test
    void oneColourIsFinishedFirstButForWhatItWaitsFor() {
        Ordered navy = order(new OrderWishes(List.of(), Optional.of(" Navy "), List.of(), Map.of()));
        assertThat(navy.turns()).extracting(turn -> turn.setUp().thread()).endsWith("navy");
        assertThat(place(navy, "rim|1")).isEqualTo(5);
        Ordered rust = order(new OrderWishes(List.of(), Optional.of("rust"), List.of(), Map.of()));
        assertThat(rust.turns())
                .extracting(turn -> turn.setUp().thread())
                .containsExactly("", "rust", "rust", "navy", "navy", "navy");
    }

    @Test
    void doingWithoutAFootSavesItsChanges() {
        Ordered with = order(OrderWishes.NONE);
        Ordered without = order(new OrderWishes(
                List.of(), Optional.empty(), List.of(new Without("flap|1", SetUp.Part.FOOT)), Map.of()));
        assertThat(without.changes().counts().get(SetUp.Part.FOOT))
                .isLessThan(with.changes().counts().get(SetUp.Part.FOOT));
        assertThat(with.changes().time().minus(without.changes().time())).isPositive();
        assertThat(SetUp.Part.FOOT.of(
                        without.turns().get(place(without, "flap|1")).setUp()))
                .isEmpty();
    }

    @Test
    void aWishAboutWhatIsNotThereAnyMoreAsksForNothing() {
        OrderWishes gone = new OrderWishes(
                List.of(new Before("strap|1", "frill|1")),
                Optional.of("lilac"),
                List.of(new Without("frill|1", SetUp.Part.FOOT)),
                Map.of());
        assertThat(order(gone)).isEqualTo(order(OrderWishes.NONE));
    }

    @Test
    void wishesThatContradictOneAnotherOrTheDesignAreACircle() {
        OrderWishes both = new OrderWishes(
                List.of(new Before("strap|1", "pocket|1"), new Before("pocket|1", "strap|1")),
                Optional.empty(),
                List.of(),
                Map.of());
        assertThat(find(BAG, both).circle()).extracting(Step::name).containsExactlyInAnyOrder("strap", "pocket");
        assertThat(find(BAG, before("rim|1", "flap|1")).order()).isEmpty();
    }

    @Test
    void aStepThatComesTwiceIsKnownByItsNumber() {
        List<LineSteps> twice =
                List.of(LineSteps.of(1, 2, List.of(sew("press open", "navy", ""), sew("press open", "rust", ""))));
        assertThat(find(twice, OrderWishes.NONE).order().orElseThrow().turns())
                .extracting(Turn::key)
                .containsExactly("pressopen|1", "pressopen|1|2");
    }

    @Test
    void whatIsWishedIsKeptInRandomBatches() {
        Random random = new Random(5);
        for (int round = 0; round < 60; round++) {
            List<Step> steps = new ArrayList<>();
            for (int i = 0; i < 8; i++) {
                steps.add(sew(
                        "s" + i,
                        random.nextBoolean() ? "navy" : "rust",
                        random.nextBoolean() ? "" : "zip foot",
                        "s" + random.nextInt(8)));
            }
            List<LineSteps> lines = List.of(LineSteps.of(1, 3, steps));
            Before wish = new Before("s" + random.nextInt(8) + "|1", "s" + random.nextInt(8) + "|1");
            OrderWishes wishes = new OrderWishes(List.of(wish), Optional.empty(), List.of(), Map.of());
            Optional<Ordered> free = find(lines, OrderWishes.NONE).order();
            Optional<Ordered> wished = find(lines, wishes).order();
            if (wished.isPresent()) {
                assertThat(place(wished.get(), wish.first())).isLessThan(place(wished.get(), wish.then()));
                assertThat(wished.get().changes().time())
                        .isGreaterThanOrEqualTo(free.orElseThrow().changes().time());
            }
        }
    }

    private static Step cut() {
        return new Step(
                "cut",
                "cut",
                Stage.CUT,
                Station.CUTTING_TABLE,
                SetUp.NONE,
                Duration.ofMinutes(1),
                Duration.ZERO,
                Duration.ZERO,
                "",
                "",
                "",
                List.of(),
                List.of());
    }

    private static Step press(String key, String... after) {
        return new Step(
                key,
                key,
                Stage.SEW,
                Station.PRESS,
                SetUp.NONE,
                Duration.ofMinutes(1),
                Duration.ZERO,
                Duration.ZERO,
                "",
                "",
                "",
                List.of(after),
                List.of());
    }

    private static OrderWishes done(Set<String> apart, Integer bundle, OrderWishes.Habit... habits) {
        return new OrderWishes(
                List.of(), Optional.empty(), List.of(), Map.of(), apart, Optional.ofNullable(bundle), Set.of(habits));
    }

    private static List<String> told(Ordered order) {
        return order.turns().stream()
                .map(turn -> turn.step().name() + " " + turn.operation().units())
                .toList();
    }

    /** Five bags in bundles of two go through all seams two by two, the last alone; the cloth is cut for all. */
    @Test
    void bundlesGoThroughAllSeamsOneAfterAnother() {
        List<LineSteps> lines = List.of(
                LineSteps.of(1, 3, List.of(cut(), sew("loop", "navy", ""), sew("flap", "rust", ""))),
                LineSteps.of(2, 2, List.of(cut(), sew("loop", "navy", ""), sew("flap", "rust", ""))));
        Ordered atOnce = order(lines, OrderWishes.NONE);
        Ordered bundled = order(lines, done(Set.of(), 2));
        assertThat(told(atOnce)).containsExactly("cut 5", "loop 5", "flap 5");
        assertThat(told(bundled)).containsExactly("cut 5", "loop 2", "flap 2", "loop 2", "flap 2", "loop 1", "flap 1");
        assertThat(bundled.turns().get(3).operation().lines())
                .as("the second bundle is of both lines")
                .containsExactly(1, 2);
        assertThat(bundled.changes().counts().get(SetUp.Part.THREAD)).isEqualTo(6);
        assertThat(bundled.changes().time().minus(atOnce.changes().time()))
                .as("four more changes of thread")
                .isEqualTo(ChangeTimes.USUAL.of(SetUp.Part.THREAD).multipliedBy(4));
        assertThat(order(lines, done(Set.of(), 5)).changes()).isEqualTo(atOnce.changes());
    }

    /** Of a bundle that is half sewn the rest comes first. */
    @Test
    void aBundleThatIsBegunIsFinishedFirst() {
        List<Operation> all = Operation.of(
                List.of(LineSteps.of(1, 4, List.of(cut(), sew("loop", "navy", ""), sew("flap", "rust", "")))));
        StillToDo left = StillToDo.of(
                all,
                new StillToDo.Progress(
                        Map.of(1, 4), false, false, new Counted(Map.of(new Counted.Place(1, "loop"), 2))));
        Ordered order = WorkOrder.find(
                        left.operations(),
                        WorkOrder.Threads.AS_SAID,
                        Workshop.USUAL,
                        done(Set.of(), 2),
                        WIDE,
                        () -> false)
                .order()
                .orElseThrow();
        assertThat(told(order)).containsExactly("flap 2", "loop 2", "flap 2");
    }

    @Test
    void anOperationThatIsTakenApartIsDoneLineAfterLine() {
        List<LineSteps> lines = List.of(
                LineSteps.of(1, 3, List.of(cut(), sew("Sew  loop", "navy", ""))),
                LineSteps.of(2, 2, List.of(cut(), sew("Sew  loop", "navy", ""))));
        Ordered apart = order(lines, done(Set.of(SetUp.plain("sew loop")), null));
        assertThat(told(apart)).containsExactlyInAnyOrder("cut 5", "Sew  loop 3", "Sew  loop 2");
        assertThat(apart.turns().get(1).key()).isNotEqualTo(apart.turns().get(2).key());
    }

    /** Going to the press once more than needed would save a change of thread; who likes to press in one go doesn't go. */
    @Test
    void whatIsPressedIsPressedInOneGo() {
        List<LineSteps> lines = List.of(LineSteps.of(
                1,
                3,
                List.of(
                        cut(),
                        sew("a", "navy", "", "cut"),
                        press("press a", "a"),
                        sew("b", "navy", "", "press a"),
                        sew("c", "rust", "", "cut"),
                        press("press c", "c"),
                        sew("d", "rust", "", "press c"))));
        Ordered usual = order(lines, OrderWishes.NONE);
        Ordered inOneGo = order(lines, done(Set.of(), null, OrderWishes.Habit.PRESS_IN_ONE_GO));
        assertThat(goesToThePress(usual)).isEqualTo(2);
        assertThat(goesToThePress(inOneGo)).isEqualTo(1);
        assertThat(inOneGo.changes().time()).isGreaterThan(usual.changes().time());
        assertThat(inOneGo.least()).isLessThanOrEqualTo(inOneGo.changes().time());
    }

    private static long goesToThePress(Ordered order) {
        return order.turns().stream()
                .filter(turn -> turn.step().station() == Station.PRESS && turn.isElsewhere())
                .count();
    }

    private static Ordered order(List<LineSteps> lines, OrderWishes wishes) {
        return find(lines, wishes).order().orElseThrow();
    }
}
