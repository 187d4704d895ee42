package mardun.app.batch;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import mardun.app.batch.BatchViews.BatchForm;
import mardun.app.batch.OrderViews.MatchView;
import mardun.app.batch.OrderViews.OrderView;
import mardun.app.batch.OrderViews.Saving;
import mardun.app.batch.OrderViews.SpoolView;
import mardun.app.batch.OrderViews.Wishes;
import mardun.app.batch.OrderViews.WishesForm;
import mardun.app.batch.OrderViews.WithoutWish;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.log.BenchLog;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.Planned;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.core.making.Operation;
import mardun.core.making.OrderWishes;
import mardun.core.making.OrderWishes.Habit;
import mardun.core.making.SetUp;
import mardun.core.making.ThreadRack.Spool;
import mardun.core.making.WorkOrder;
import mardun.core.making.WorkOrder.Found;
import mardun.core.making.WorkOrder.Ordered;
import mardun.core.making.Workshop;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The order in which a batch is made: what is still to be done of it, with the least changing of machines. */
@Service
public class WorkOrders {

    private static final int WIDTH = 3000;
    private static final Duration MOST = Duration.ofSeconds(4);

    /** Enough for days to be laid. */
    private static final int LITTLE_WIDTH = 40;

    private static final int KEPT = 400;
    private static final int MOST_BUNDLES = 12;

    private final Batches batches;
    private final BatchPlans plans;
    private final SettingsService settings;
    private final Threads threads;
    private final BenchLog log;
    private final BatchEntry entry;
    private final Cache<Asked, Found> best =
            Caffeine.newBuilder().maximumSize(KEPT).build();
    private final Cache<Asked, Found> good =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    WorkOrders(
            Batches batches,
            BatchPlans plans,
            SettingsService settings,
            Threads threads,
            BenchLog log,
            BatchEntry entry) {
        this.batches = batches;
        this.plans = plans;
        this.settings = settings;
        this.threads = threads;
        this.log = log;
        this.entry = entry;
    }

    /**
     * What an order follows from, and all of it.
     *
     * @param matching the thread that matches each line's cloth, in words
     * @param names what the threads on the shelf are called, by their keys
     */
    private record Asked(
            List<Operation> operations,
            Map<Integer, String> matching,
            Map<String, String> names,
            Workshop workshop,
            OrderWishes wishes) {

        Found find(int width, BooleanSupplier stop) {
            return WorkOrder.find(operations, WorkOrder.Threads.of(matching, names), workshop, wishes, width, stop);
        }

        /** The same with other wishes. */
        Asked with(OrderWishes others) {
            return new Asked(operations, matching, names, workshop, others);
        }
    }

    /** The order of what is still to be done. */
    @Transactional(readOnly = true)
    public OrderView of(BatchId id) {
        Settings current = settings.current();
        Batch batch = batches.find(id);
        Planned planned = plans.of(batches.chosen(batch), current);
        Threads.Shelf shelf = threads.shelf();
        Asked asked = asked(batch, planned, batch.orderWishes(), shelf, current);
        Found found = best.get(asked, WorkOrders::best);
        return found.order()
                .map(order -> new WorkOrderWriter(current.writer())
                        .order(
                                batch.version(),
                                order,
                                asked.wishes(),
                                current.equipment(),
                                matches(batch, planned, shelf, current),
                                wishes -> price(asked, wishes)))
                .orElseGet(() ->
                        new WorkOrderWriter(current.writer()).circle(batch.version(), found.circle(), asked.wishes()));
    }

    /** The order of a batch that is still being typed: a good one at once, and nothing is kept of it. */
    @Transactional(readOnly = true)
    public OrderView preview(BatchForm form) {
        Settings current = settings.current();
        Planned planned = entry.preview(form, current);
        Threads.Shelf shelf = threads.shelf();
        Asked asked = new Asked(
                planned.stillToDo(true).operations(),
                shelf.matching(planned, OrderWishes.NONE),
                shelf.names(),
                workshop(current).later(),
                OrderWishes.NONE);
        WorkOrderWriter writer = new WorkOrderWriter(current.writer());
        Found found = good.get(asked, one -> one.find(LITTLE_WIDTH, () -> false));
        return found.order()
                .map(order -> writer.order(
                        0, order, OrderWishes.NONE, current.equipment(), List.of(), wishes -> Optional.empty()))
                .orElseGet(() -> writer.circle(0, found.circle(), OrderWishes.NONE));
    }

    /** The maker's machines, with what is on them. */
    public Workshop workshop(Settings current) {
        return new Workshop(current.changeTimes(), current.equipment(), log.standing());
    }

    private Asked asked(Batch batch, Settings current) {
        return asked(batch, plans.of(batches.chosen(batch), current), batch.orderWishes(), threads.shelf(), current);
    }

    private Asked asked(Batch batch, Planned planned, OrderWishes wishes, Threads.Shelf shelf, Settings current) {
        return new Asked(
                planned.stillToDo(batch.stage().isToCut()).operations(),
                shelf.matching(planned, wishes),
                shelf.names(),
                planned.isBegun() ? workshop(current) : workshop(current).later(),
                wishes);
    }

    /** Which thread matches which cloth, and what others would save. */
    private List<MatchView> matches(Batch batch, Planned planned, Threads.Shelf shelf, Settings current) {
        OrderWishes wishes = batch.orderWishes();
        Asked asked = asked(batch, planned, wishes, shelf, current);
        boolean anyMatches = asked.operations().stream()
                .flatMap(operation -> operation.parts().stream())
                .anyMatch(part -> part.step().setUp().isMatching());
        if (!anyMatches) {
            return List.of();
        }
        Optional<Duration> now = good(asked).map(order -> order.changes().time());
        return shelf.cloths(planned).keySet().stream()
                .map(cloth -> {
                    Optional<Spool> taken = shelf.rack().of(cloth, wishes.threads());
                    return new MatchView(
                            MaterialId.valueOf(cloth.key()),
                            cloth.name(),
                            shelf.colours().get(MaterialId.valueOf(cloth.key())),
                            taken.map(spool -> MaterialId.valueOf(spool.key())).orElse(null),
                            shelf.rack().words(cloth, wishes.threads()),
                            wishes.threads().containsKey(cloth.key()),
                            shelf.rack().passable(cloth).stream()
                                    .map(spool -> new SpoolView(
                                            MaterialId.valueOf(spool.key()),
                                            spool.name(),
                                            shelf.colours().get(MaterialId.valueOf(spool.key())),
                                            now.flatMap(time -> good(asked(
                                                                    batch,
                                                                    planned,
                                                                    wishes.with(cloth.key(), spool.key()),
                                                                    shelf,
                                                                    current))
                                                            .map(order -> time.minus(order.changes()
                                                                    .time())))
                                                    .filter(saves -> !saves.isNegative() && !saves.isZero())
                                                    .map(current.writer()::time)
                                                    .orElse(null)))
                                    .toList());
                })
                .toList();
    }

    /** How much longer the order takes than with other wishes; empty where those can't be met. */
    private Optional<Duration> price(Asked asked, OrderWishes others) {
        return good(asked.with(others))
                .flatMap(order -> good(asked)
                        .map(its -> its.changes().time().minus(order.changes().time())));
    }

    /**
     * Keeps what is wanted of a batch's order.
     *
     * @throws RefusedException if there is no order in which all of it is met
     */
    @Transactional
    public void wish(BatchId id, WishesForm form) {
        Batch batch = batches.open(id, form.version());
        OrderWishes wishes = read(form.wishes());
        Settings current = settings.current();
        Planned planned = plans.of(batches.chosen(batch), current);
        refuseManyBundles(wishes, planned);
        Found found = asked(batch, planned, wishes, threads.shelf(), current).find(LITTLE_WIDTH, () -> false);
        if (found.order().isEmpty()) {
            throw RefusedException.conflict("These wishes can't all be met: "
                    + found.circle().stream()
                            .map(step -> "“" + step.name() + "”")
                            .collect(Collectors.joining(" would wait for "))
                    + " and round again. Take one of them back, or say it otherwise.");
        }
        batch.wish(wishes);
    }

    /** One bag is sewn before the others, or they go on. */
    @Transactional
    public void oneFirst(BatchId id, boolean on) {
        Batch batch = batches.forChange(id);
        if (batch.stage().isOpen()) {
            batch.wish(batch.orderWishes().oneFirst(on));
        }
    }

    /** What the operations of a batch need that the maker hasn't, in sentences. */
    @Transactional(readOnly = true)
    public List<String> lacks(Planned planned) {
        Settings current = settings.current();
        return new WorkOrderWriter(current.writer())
                .lacks(planned.stillToDo(true).operations(), current.equipment());
    }

    private static void refuseManyBundles(OrderWishes wishes, Planned planned) {
        int bags = planned.lines().stream()
                .mapToInt(line -> line.chosen().started())
                .sum();
        wishes.bundle().filter(bundle -> bags > bundle * MOST_BUNDLES).ifPresent(bundle -> {
            throw RefusedException.conflict("Bundles of " + bundle + " would be "
                    + (bags + bundle - 1) / bundle + " for " + bags + " bags, and that is one by one. Take at least "
                    + (bags + MOST_BUNDLES - 1) / MOST_BUNDLES + " to a bundle.");
        });
    }

    /** Wishes as they came. */
    private static OrderWishes read(Wishes wishes) {
        return new OrderWishes(
                wishes.before().stream()
                        .map(one -> new OrderWishes.Before(one.first(), one.then()))
                        .distinct()
                        .toList(),
                Optional.of(wishes.threadFirst().strip()).filter(thread -> !thread.isEmpty()),
                wishes.without().stream()
                        .map(one -> new OrderWishes.Without(one.turn(), one.part()))
                        .distinct()
                        .toList(),
                wishes.matching() == null
                        ? Map.of()
                        : wishes.matching().stream()
                                .collect(Collectors.toMap(
                                        one -> one.cloth().key(),
                                        one -> one.thread().key(),
                                        (earlier, later) -> later)),
                wishes.apart() == null
                        ? Set.of()
                        : wishes.apart().stream().map(SetUp::plain).collect(Collectors.toSet()),
                Optional.ofNullable(wishes.bundle()),
                habits(wishes));
    }

    private static Set<Habit> habits(Wishes wishes) {
        Set<Habit> habits = EnumSet.noneOf(Habit.class);
        if (Boolean.TRUE.equals(wishes.pressInOneGo())) {
            habits.add(Habit.PRESS_IN_ONE_GO);
        }
        if (Boolean.TRUE.equals(wishes.oneFirst())) {
            habits.add(Habit.ONE_FIRST);
        }
        if (Boolean.TRUE.equals(wishes.putAway())) {
            habits.add(Habit.PUT_AWAY);
        }
        return habits;
    }

    /** Which changes could be done without, and what each would save; those that save most first. */
    @Transactional(readOnly = true)
    public List<Saving> savings(BatchId id) {
        Settings current = settings.current();
        Asked asked = asked(batches.find(id), current);
        List<Saving> savings = new ArrayList<>();
        good(asked)
                .ifPresent(order -> order.turns()
                        .forEach(turn -> turn.changes().stream()
                                .filter(part -> part != SetUp.Part.THREAD)
                                .forEach(part -> {
                                    OrderWishes.Without without = new OrderWishes.Without(turn.key(), part);
                                    price(asked, asked.wishes().and(without))
                                            .filter(saves -> !saves.isNegative() && !saves.isZero())
                                            .ifPresent(saves -> savings.add(new Saving(
                                                    new WithoutWish(turn.key(), part),
                                                    WorkOrderWriter.names(order).get(turn.key()),
                                                    turn.setUp().words(part),
                                                    current.writer().time(saves))));
                                })));
        savings.sort(Comparator.comparing((Saving one) -> -one.saves().seconds()));
        return savings;
    }

    private static Found best(Asked asked) {
        long end = System.nanoTime() + MOST.toNanos();
        return asked.find(WIDTH, () -> System.nanoTime() > end);
    }

    /** An order to lay days by, at once: the best that is known, or a good one; empty where steps wait for one another. */
    public Optional<Ordered> soon(OpenWork work, Workshop workshop) {
        Asked asked = new Asked(
                work.toDo().operations(),
                work.matching(),
                work.threads(),
                work.isBegun() ? workshop : workshop.later(),
                work.wishes());
        Optional<Ordered> order = good(asked);
        // A batch whose wishes can't be met any more, since it was changed, is laid without them.
        return order.isPresent() ? order : good(asked.with(OrderWishes.NONE));
    }

    private Optional<Ordered> good(Asked asked) {
        Found known = best.getIfPresent(asked);
        return (known == null ? good.get(asked, one -> one.find(LITTLE_WIDTH, () -> false)) : known).order();
    }
}
