package mardun.app.batch;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import mardun.app.batch.BatchViews.ChangeCount;
import mardun.app.batch.BatchViews.OrderView;
import mardun.app.batch.BatchViews.TurnView;
import mardun.app.id.BatchId;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.OuterCloth;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.making.ChangeTimes;
import mardun.core.making.Operation;
import mardun.core.making.SetUp;
import mardun.core.making.Step;
import mardun.core.making.WorkOrder;
import mardun.core.making.WorkOrder.Found;
import mardun.core.making.WorkOrder.Ordered;
import mardun.core.making.WorkOrder.Turn;
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
    private static final String WALK = "WALK";

    private final Batches batches;
    private final BatchPlans plans;
    private final SettingsService settings;
    private final Cache<Asked, Found> best =
            Caffeine.newBuilder().maximumSize(KEPT).build();
    private final Cache<Asked, Found> good =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    WorkOrders(Batches batches, BatchPlans plans, SettingsService settings) {
        this.batches = batches;
        this.plans = plans;
        this.settings = settings;
    }

    /**
     * What an order follows from, and all of it.
     *
     * @param cloths each line's outer cloth, which its thread may have to match
     */
    private record Asked(List<Operation> operations, Map<Integer, String> cloths, ChangeTimes times) {

        Found find(int width, BooleanSupplier stop) {
            return WorkOrder.find(operations, WorkOrder.Threads.matching(cloths), times, width, stop);
        }
    }

    /** The order of what is still to be done. */
    @Transactional(readOnly = true)
    public OrderView of(BatchId id) {
        Settings current = settings.current();
        Batch batch = batches.find(id);
        Planned planned = plans.of(batches.chosen(batch), current);
        Asked asked = new Asked(
                planned.stillToDo(batch.stage().isToCut()).operations(), cloths(planned), current.changeTimes());
        Found found = best.get(asked, WorkOrders::best);
        return found.order()
                .map(order -> view(order, current.writer()))
                .orElseGet(() -> circle(found.circle(), current.writer()));
    }

    private static Found best(Asked asked) {
        long end = System.nanoTime() + MOST.toNanos();
        return asked.find(WIDTH, () -> System.nanoTime() > end);
    }

    /** An order to lay days by, at once: the best that is known, or a good one; empty where steps wait for one another. */
    public Optional<Ordered> soon(OpenWork work, ChangeTimes times) {
        Asked asked = new Asked(work.toDo().operations(), work.cloths(), times);
        Found known = best.getIfPresent(asked);
        return (known == null ? good.get(asked, one -> one.find(LITTLE_WIDTH, () -> false)) : known).order();
    }

    /** Each line's outer cloth by its name: where a step says that the thread matches, it matches this. */
    static Map<Integer, String> cloths(Planned planned) {
        return planned.lines().stream()
                .collect(Collectors.toMap(
                        PlannedLine::number,
                        line -> OuterCloth.of(planned, line).name()));
    }

    private static OrderView view(Ordered order, ViewWriter writer) {
        return new OrderView(
                order.turns().stream().map(turn -> turn(turn, writer)).toList(),
                Arrays.stream(SetUp.Part.values())
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

    private static TurnView turn(Turn turn, ViewWriter writer) {
        Operation operation = turn.operation();
        return new TurnView(
                turn.step().name(),
                operation.lines(),
                operation.units(),
                turn.step().stage(),
                turn.step().station(),
                turn.isElsewhere(),
                turn.changes().stream().map(turn.setUp()::words).toList(),
                writer.time(turn.time()),
                writer.time(operation.passive()),
                operation.text(Step::check),
                operation.text(Step::caution),
                operation.text(Step::note));
    }

    /** There is no order as long as steps wait for one another. */
    private static OrderView circle(List<Step> circle, ViewWriter writer) {
        return new OrderView(
                List.of(),
                List.of(),
                new ChangeCount(WALK, 0, 0),
                writer.time(Duration.ZERO),
                writer.time(Duration.ZERO),
                false,
                writer.time(Duration.ZERO),
                circle.stream().map(Step::name).toList());
    }
}
