package mardun.app.days;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import mardun.app.batch.OpenWork;
import mardun.app.batch.WorkOrders;
import mardun.app.calendar.FreeDays;
import mardun.app.id.BatchId;
import mardun.app.settings.SettingsService;
import mardun.core.making.OrderWishes.Habit;
import mardun.core.making.Stage;
import mardun.core.making.WorkOrder.Ordered;
import mardun.core.making.WorkOrder.Turn;
import mardun.core.making.Workshop;
import mardun.core.planning.DayPlan;
import mardun.core.planning.DayPlanner;
import mardun.core.planning.FreeTime;
import mardun.core.planning.Job;
import mardun.core.planning.Outlook;
import mardun.core.planning.PutAway;
import org.springframework.stereotype.Service;

/**
 * Lays the work of open batches on the maker's free time. Nothing is laid for which the material isn't there: of a batch that goes short
 * of cloth nothing, of one that goes short of something else only the cutting.
 */
@Service
public class DayPlans {

    private static final int KEPT = 20;
    private static final String PROMISED = "promised";

    private final WorkOrders orders;
    private final FreeDays days;
    private final SettingsService settings;
    private final Clock clock;
    private final Cache<Asked, Outlook> outlooks =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    DayPlans(WorkOrders orders, FreeDays days, SettingsService settings, Clock clock) {
        this.orders = orders;
        this.days = days;
        this.settings = settings;
        this.clock = clock;
    }

    /** What an outlook follows from, and all of it. */
    private record Asked(List<Job> jobs, FreeTime free, Workshop workshop, LocalDate today) {

        Outlook outlook() {
            return Outlook.of(jobs, free, workshop.times(), workshop.standing(), today);
        }
    }

    /**
     * Work that was laid.
     *
     * @param works all open work, in the order of its due days
     * @param turns of each batch of which something is laid, in the order in which it is done
     * @param notPutAway evenings on which something lies half made that can't be put away
     */
    public record Laid(
            LocalDate today,
            FreeTime free,
            Workshop workshop,
            List<OpenWork> works,
            Map<BatchId, List<Turn>> turns,
            List<Job> jobs,
            DayPlan plan,
            List<PutAway.Evening> notPutAway) {

        public OpenWork work(String key) {
            return works.stream()
                    .filter(work -> work.id().key().equals(key))
                    .findFirst()
                    .orElseThrow();
        }

        /** The turn of which a stretch is a part. */
        public Turn turn(DayPlan.Stretch stretch) {
            return turns.get(BatchId.valueOf(stretch.job())).get(stretch.task());
        }

        /** The day on which all of a batch is done; empty as long as something of it isn't laid, or for want of time. */
        public Optional<LocalDate> ready(OpenWork work) {
            return isWhole(work) ? plan.ready(work.id().key()) : Optional.empty();
        }

        /** Whether all that is to be done of a batch is laid. */
        public boolean isWhole(OpenWork work) {
            return turns.containsKey(work.id()) && work.missing().allows(Stage.SEW);
        }
    }

    /** Lays all work that isn't put aside. */
    public Laid lay(List<OpenWork> works) {
        return lay(works, days.freeTime());
    }

    /** The same on other free time. */
    Laid lay(List<OpenWork> works, FreeTime free) {
        Workshop workshop = orders.workshop(settings.current());
        LocalDate today = LocalDate.now(clock);
        Map<BatchId, List<Turn>> turns = new LinkedHashMap<>();
        List<Job> jobs = new ArrayList<>();
        works.stream()
                .filter(work -> !work.paused())
                .forEach(work -> orders.soon(work, workshop).ifPresent(order -> {
                    Predicate<Turn> may =
                            turn -> work.missing().allows(turn.step().stage());
                    List<Turn> its = order.turns().stream().filter(may).toList();
                    if (!its.isEmpty()) {
                        turns.put(work.id(), its);
                        jobs.add(job(work, order, may));
                    }
                }));
        DayPlanner planner = new DayPlanner(jobs, free, workshop.times(), workshop.standing(), today);
        DayPlan plan = planner.lay();
        return new Laid(today, free, workshop, works, turns, jobs, plan, PutAway.notPutAway(jobs, plan));
    }

    /** How sure all of it is, and what would bring it in time. */
    Outlook outlook(Laid laid) {
        return outlooks.get(new Asked(laid.jobs(), laid.free(), laid.workshop(), laid.today()), Asked::outlook);
    }

    /**
     * When work that nobody has begun yet would be done.
     *
     * @param ready if all goes as estimated; empty for want of time
     * @param likely by when in eight of ten cases; empty likewise
     * @param sure how sure the wanted day is, from 0 to 1; empty where none is wanted
     */
    public record Promise(Optional<LocalDate> ready, Optional<LocalDate> likely, Optional<Double> sure) {}

    /** What can be promised of so many hours beside all open work; what is due before comes before. */
    public Promise promise(List<OpenWork> open, Duration hours, Optional<LocalDate> due) {
        Laid laid = lay(open);
        List<Job> jobs = new ArrayList<>(laid.jobs());
        jobs.add(Job.ofHours(PROMISED, hours, due));
        DayPlan plan = new DayPlanner(
                        jobs,
                        laid.free(),
                        laid.workshop().times(),
                        laid.workshop().standing(),
                        laid.today())
                .lay();
        Optional<Outlook.OfJob> outlook = Optional.ofNullable(
                outlooks.get(new Asked(jobs, laid.free(), laid.workshop(), laid.today()), Asked::outlook)
                        .jobs()
                        .get(PROMISED));
        return new Promise(
                plan.ready(PROMISED), outlook.flatMap(Outlook.OfJob::likely), outlook.flatMap(Outlook.OfJob::sure));
    }

    /** The day on which a batch would be done if its days ended wherever they end; empty for want of time. */
    Optional<LocalDate> readyWithoutPuttingAway(Laid laid, OpenWork work) {
        String key = work.id().key();
        List<Job> jobs = laid.jobs().stream()
                .map(job -> job.puttingAway(job.putsAway() && !job.key().equals(key)))
                .toList();
        Workshop workshop = laid.workshop();
        return new DayPlanner(jobs, laid.free(), workshop.times(), workshop.standing(), laid.today())
                .lay()
                .ready(key);
    }

    private static Job job(OpenWork work, Ordered order, Predicate<Turn> may) {
        return Job.of(work.id().key(), work.dueOn(), order, may)
                .first(work.isFirst())
                .puttingAway(work.wishes().habits().contains(Habit.PUT_AWAY));
    }
}
