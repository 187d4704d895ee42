package mardun.app.cutting;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import mardun.app.id.MaterialId;
import mardun.core.cutting.Aim;
import mardun.core.cutting.Budget;
import mardun.core.cutting.CannotBeCutException;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.CuttingBill;
import mardun.core.cutting.CuttingJob;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.LayoutSearch;
import mardun.core.cutting.ShelfSearch;
import mardun.core.measure.Length;
import org.apache.commons.numbers.fraction.BigFraction;
import org.jspecify.annotations.Nullable;

/** A search for the layouts of one batch: worked on by one thread, asked for its progress by others. */
public final class LayoutRun {

    private static final long SEED = 1;

    /** The aims that weren't asked for get a part of the work. */
    private static final double BESIDE = 0.15;

    /** So much work without anything better is enough, and so much more for each piece. */
    private static final long PATIENCE = 5_000;

    private static final long PATIENCE_FOR_EACH = 200;

    private final List<Task> tasks;
    private final Aim aim;
    private final long work;
    private volatile State state = State.WAITING;
    private volatile int task;
    private volatile double share;
    private volatile boolean stopped;
    private volatile @Nullable Found best;
    private volatile @Nullable Throwable failure;

    LayoutRun(List<Task> tasks, Aim aim, double seconds) {
        this.tasks = List.copyOf(tasks);
        this.aim = aim;
        this.work = (long) (LayoutSearch.USUAL_WORK * seconds);
    }

    /** Where a run stands. */
    public enum State {
        WAITING,
        RUNNING,
        ENDED
    }

    /** A cloth to be laid out. */
    public record Task(MaterialId materialId, CuttingJob job) {}

    /**
     * The best layout so far of the cloth that is being laid out.
     *
     * @param length of rolls
     * @param sheets of cloth that is bought by the sheet; zero of any other
     * @param overLeast how much longer it is than the least possible, or how many sheets more, as a share of that
     */
    public record Found(MaterialId materialId, Length length, long sheets, BigFraction overLeast) {}

    /**
     * Lays out all cloths: each at once as well as can be at first sight, then each for all aims.
     *
     * @param done gets the layouts of a cloth, by the aims they are for
     */
    void run(BiConsumer<Task, Map<Aim, CuttingLayout>> done) {
        state = State.RUNNING;
        try {
            List<Task> possible = new ArrayList<>();
            for (Task one : tasks) {
                if (atFirstSight(one, done)) {
                    possible.add(one);
                }
            }
            for (int i = 0; i < possible.size() && !stopped; i++) {
                task = i;
                share = 0;
                layOut(possible.get(i), done);
            }
        } catch (RuntimeException failed) {
            failure = failed;
            throw failed;
        } finally {
            state = State.ENDED;
        }
    }

    /** The first layout that is found; answers whether there is any. */
    private boolean atFirstSight(Task one, BiConsumer<Task, Map<Aim, CuttingLayout>> done) {
        try {
            done.accept(one, Map.of(aim, search(one, aim, 0)));
            return true;
        } catch (CannotBeCutException impossible) {
            // The plan says so wherever it is shown; the other cloths are laid out all the same.
            return false;
        }
    }

    private void layOut(Task one, BiConsumer<Task, Map<Aim, CuttingLayout>> done) {
        Map<Aim, CuttingLayout> layouts = new EnumMap<>(Aim.class);
        layouts.put(aim, search(one, aim, work));
        for (Aim other : Aim.values()) {
            if (other != aim) {
                layouts.put(other, search(one, other, (long) (work * BESIDE)));
            }
        }
        Map<Aim, CuttingLayout> best = new EnumMap<>(Aim.class);
        layouts.keySet().forEach(each -> best.put(each, each.best(layouts.values(), one.job())));
        done.accept(one, best);
    }

    private CuttingLayout search(Task one, Aim forAim, long itsWork) {
        long pieces = one.job().pieces().stream().mapToLong(CutPiece::count).sum();
        Budget budget = Budget.patient(itsWork, PATIENCE + PATIENCE_FOR_EACH * pieces, () -> stopped);
        return ShelfSearch.search(one.job(), forAim, SEED, budget, layout -> {
            budget.found();
            if (forAim == aim) {
                share = budget.share();
                CuttingBill bill = CuttingBill.of(layout, one.job());
                best = new Found(one.materialId(), layout.boltLength(), layout.sheets(), bill.overLeast(layout));
            }
        });
    }

    /** Stops as soon as can be; the best layouts so far are kept. */
    void stop() {
        stopped = true;
    }

    public State state() {
        return state;
    }

    /** How much is done, from 0 to 1. */
    public double progress() {
        return state == State.ENDED || tasks.isEmpty() ? 1 : (task + share) / tasks.size();
    }

    public @Nullable Found best() {
        return best;
    }

    /** Whether it broke off because something went wrong. */
    public boolean hasFailed() {
        return failure != null;
    }
}
