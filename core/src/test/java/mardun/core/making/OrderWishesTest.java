package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
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
                Operation.of(lines), WorkOrder.Threads.matching(Map.of()), Workshop.USUAL, wishes, WIDE, () -> false);
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
}
