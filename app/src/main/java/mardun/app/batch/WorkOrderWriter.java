package mardun.app.batch;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mardun.app.batch.OrderViews.BeforeWish;
import mardun.app.batch.OrderViews.ChangeCount;
import mardun.app.batch.OrderViews.MatchView;
import mardun.app.batch.OrderViews.OrderView;
import mardun.app.batch.OrderViews.ThreadChoice;
import mardun.app.batch.OrderViews.TurnView;
import mardun.app.batch.OrderViews.WishPrice;
import mardun.app.batch.OrderViews.Wishes;
import mardun.app.batch.OrderViews.WithoutWish;
import mardun.app.id.MaterialId;
import mardun.app.show.ViewWriter;
import mardun.core.making.Equipment;
import mardun.core.making.Operation;
import mardun.core.making.OrderWishes;
import mardun.core.making.OrderWishes.Habit;
import mardun.core.making.SetUp;
import mardun.core.making.Step;
import mardun.core.making.WorkOrder.Ordered;
import mardun.core.making.WorkOrder.Turn;
import mardun.core.working.Value;
import org.jspecify.annotations.Nullable;

/** Writes an order of work with what is wanted of it. */
record WorkOrderWriter(ViewWriter writer) {

    private static final String WALK = "WALK";

    /**
     * An order.
     *
     * @param price how much longer it takes than with other wishes; empty where that can't be said
     */
    OrderView order(
            long version,
            Ordered order,
            OrderWishes wishes,
            Equipment equipment,
            List<MatchView> matches,
            Function<OrderWishes, Optional<Duration>> price) {
        Map<String, String> names = names(order);
        return new OrderView(
                version,
                wishes(wishes),
                prices(wishes, names, price),
                order.turns().stream()
                        .map(turn -> turn.setUp().thread())
                        .filter(thread -> !thread.isBlank())
                        .distinct()
                        .toList(),
                equipment.lacking(order.turns().stream().map(Turn::operation).toList()).stream()
                        .map(this::lack)
                        .distinct()
                        .toList(),
                matches,
                IntStream.range(0, order.turns().size())
                        .mapToObj(place ->
                                turn(order.turns().get(place), order.after().get(place)))
                        .toList(),
                Arrays.stream(SetUp.Part.values())
                        .filter(part -> order.lineByLine().counts().containsKey(part)
                                || order.changes().counts().containsKey(part))
                        .map(part -> new ChangeCount(
                                part.name(),
                                order.lineByLine().counts().getOrDefault(part, 0),
                                order.changes().counts().getOrDefault(part, 0)))
                        .toList(),
                new ChangeCount(
                        WALK, order.lineByLine().walks(), order.changes().walks()),
                writer.time(order.changes().time()),
                writer.time(order.lineByLine().time()),
                order.isProven(),
                writer.time(order.changes().time().minus(order.least())),
                List.of());
    }

    /** There is no order as long as steps wait for one another. */
    OrderView circle(long version, List<Step> circle, OrderWishes wishes) {
        return new OrderView(
                version,
                wishes(wishes),
                prices(wishes, Map.of(), others -> Optional.empty()),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                new ChangeCount(WALK, 0, 0),
                writer.time(Duration.ZERO),
                writer.time(Duration.ZERO),
                false,
                writer.time(Duration.ZERO),
                circle.stream().map(Step::name).toList());
    }

    private static Wishes wishes(OrderWishes wishes) {
        return new Wishes(
                wishes.before().stream()
                        .map(one -> new BeforeWish(one.first(), one.then()))
                        .toList(),
                wishes.threadFirst().orElse(""),
                wishes.without().stream()
                        .map(one -> new WithoutWish(one.turn(), one.part()))
                        .toList(),
                wishes.threads().entrySet().stream()
                        .map(one ->
                                new ThreadChoice(MaterialId.valueOf(one.getKey()), MaterialId.valueOf(one.getValue())))
                        .sorted(Comparator.comparing(ThreadChoice::cloth))
                        .toList(),
                wishes.apart().stream().sorted().toList(),
                wishes.bundle().orElse(null),
                wishes.habits().contains(Habit.PRESS_IN_ONE_GO),
                wishes.habits().contains(Habit.ONE_FIRST),
                wishes.habits().contains(Habit.PUT_AWAY));
    }

    /** What operations need that isn't there, in sentences. */
    List<String> lacks(List<Operation> operations, Equipment equipment) {
        return equipment.lacking(operations).stream().map(this::lack).distinct().toList();
    }

    private String lack(Equipment.Lack lack) {
        String name = "“" + lack.operation().step().name() + "”";
        String kind = lack.operation().step().station().words();
        return switch (lack.need()) {
            case NEEDLE -> name + " needs needle " + lack.what() + ", which isn't among what you have.";
            case FOOT -> name + " needs " + lack.what() + ", which isn't among what you have.";
            case KIND -> name + " is done at the " + kind + ", and there is none among your machines.";
            case MACHINE -> name + " is done at a machine that isn't there any more. Choose another in the design.";
            case ZIGZAG -> name + " needs a " + kind + " that sews zigzag, and none of yours does.";
            case WALKING_FOOT -> name + " needs a " + kind + " that takes a walking foot, and none of yours does.";
            case FREE_ARM -> name + " needs a " + kind + " with a free arm, and none of yours has one.";
            case THICKNESS ->
                name + " has about "
                        + writer.text(new Value.Thickness(lack.operation().thickness()))
                        + " under the foot, which is more than any of your machines sews.";
            case ALL_AT_ONCE -> name + " needs a " + kind + " that does all of it, and none of yours does.";
        };
    }

    private List<WishPrice> prices(
            OrderWishes wishes, Map<String, String> names, Function<OrderWishes, Optional<Duration>> price) {
        List<WishPrice> prices = new ArrayList<>();
        wishes.threadFirst()
                .ifPresent(thread -> prices.add(price(
                        "What is sewn with " + SetUp.of("", thread, "", "").words(SetUp.Part.THREAD) + " first",
                        price.apply(wishes.exceptThread()),
                        Wish.NONE)));
        wishes.before()
                .forEach(wish -> prices.add(price(
                        name(names, wish.first()) + " before " + name(names, wish.then()),
                        price.apply(wishes.except(wish)),
                        new Wish(
                                new BeforeWish(wish.first(), wish.then()),
                                null,
                                null,
                                !names.containsKey(wish.first()) || !names.containsKey(wish.then())))));
        wishes.without()
                .forEach(wish -> prices.add(price(
                        name(names, wish.turn()) + " without another "
                                + wish.part().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                        price.apply(wishes.except(wish)),
                        new Wish(
                                null,
                                new WithoutWish(wish.turn(), wish.part()),
                                null,
                                !names.containsKey(wish.turn())))));
        wishes.apart().stream()
                .sorted()
                .forEach(apart -> prices.add(price(
                        "“" + names.getOrDefault(apart, apart) + "” line after line",
                        price.apply(wishes.exceptApart(apart)),
                        new Wish(null, null, apart, !names.containsKey(apart)))));
        wishes.bundle()
                .ifPresent(bundle -> prices.add(bundlePrice(
                        "In bundles of " + bundle + ", each to its end before the next",
                        price.apply(wishes.exceptBundle()))));
        if (wishes.habits().contains(Habit.PRESS_IN_ONE_GO)) {
            prices.add(pressPrice(price.apply(wishes.except(Habit.PRESS_IN_ONE_GO))));
        }
        return prices;
    }

    /** Which wish a price is of. */
    private record Wish(
            @Nullable BeforeWish before,
            @Nullable WithoutWish without,
            @Nullable String apart,
            boolean asksForNothing) {

        static final Wish NONE = new Wish(null, null, null, false);
    }

    private WishPrice price(String words, Optional<Duration> more, Wish wish) {
        return new WishPrice(
                wish.before(), wish.without(), wish.apart(), false, false, words, signed(more), wish.asksForNothing());
    }

    private WishPrice bundlePrice(String words, Optional<Duration> more) {
        return new WishPrice(null, null, null, true, false, words, signed(more), false);
    }

    private WishPrice pressPrice(Optional<Duration> more) {
        return new WishPrice(null, null, null, false, true, "To the press as seldom as may be", signed(more), false);
    }

    /** The operation's name as the design has it; of one that isn't there any more what is left of it. */
    private static String name(Map<String, String> names, String key) {
        return "“" + names.getOrDefault(key, key.replaceAll("\\|.*", "")) + "”";
    }

    /** What each turn is called, by its key: by its step, and where several are called that, with its lines; and each step by its plain name. */
    static Map<String, String> names(Ordered order) {
        Map<String, String> names = new HashMap<>();
        order.turns()
                .forEach(turn ->
                        names.put(SetUp.plain(turn.step().name()), turn.step().name()));
        names.putAll(turnNames(order));
        return names;
    }

    private static Map<String, String> turnNames(Ordered order) {
        Map<String, Long> together = order.turns().stream()
                .collect(Collectors.groupingBy(turn -> turn.step().name(), Collectors.counting()));
        return order.turns().stream()
                .collect(Collectors.toMap(
                        Turn::key,
                        turn -> together.get(turn.step().name()) == 1
                                ? turn.step().name()
                                : turn.step().name() + lines(turn)));
    }

    private static String lines(Turn turn) {
        List<Integer> lines = turn.operation().lines();
        return (lines.size() == 1 ? ", line " : ", lines ")
                + lines.stream().map(String::valueOf).collect(Collectors.joining(" and "));
    }

    private String signed(Optional<Duration> more) {
        return more.map(writer::more).orElse("");
    }

    private TurnView turn(Turn turn, List<Integer> after) {
        Operation operation = turn.operation();
        return new TurnView(
                turn.key(),
                after,
                turn.step().name(),
                operation.lines(),
                operation.units(),
                turn.step().stage(),
                turn.step().station(),
                turn.at().name(),
                turn.isElsewhere(),
                turn.changes().stream().map(turn.setUp()::words).toList(),
                writer.time(turn.time()),
                operation.lines().size() > 1,
                operation.timing().bags(),
                writer.time(operation.passive()),
                operation.text(Step::check),
                operation.text(Step::caution),
                operation.text(Step::note));
    }
}
