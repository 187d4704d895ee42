package mardun.core.cutting;

import java.util.function.BooleanSupplier;

/**
 * How long a search may go on. One that counts work gives the same result on every machine; one that asks somebody can be
 * stopped at any moment. The first layout is found before it counts.
 */
public final class Budget {

    private final long work;
    private final BooleanSupplier stopped;

    /** Of which it is a part; null for none. */
    private final Budget whole;

    private long done;
    private long found;
    private long patience = Long.MAX_VALUE;

    private Budget(long work, BooleanSupplier stopped, Budget whole) {
        this.work = work;
        this.stopped = stopped;
        this.whole = whole;
    }

    /**
     * So much work, unless it is stopped before.
     *
     * @param work in units, of which {@link LayoutSearch#USUAL_WORK} take a usual machine about a second
     * @param stopped asked again and again
     */
    public static Budget of(long work, BooleanSupplier stopped) {
        return new Budget(work, stopped, null);
    }

    /**
     * So much work, unless it is stopped before, or nothing better is likely: after {@code patience}, and three times the work
     * up to the last layout that was better, without another one.
     */
    public static Budget patient(long work, long patience, BooleanSupplier stopped) {
        Budget budget = of(work, stopped);
        budget.patience = patience;
        return budget;
    }

    /** Says that something better was just found. */
    public void found() {
        found = done;
        if (whole != null) {
            whole.found();
        }
    }

    private boolean hasSettled() {
        boolean settled = patience < Long.MAX_VALUE && done - found > patience + 3 * found;
        return settled || (whole != null && whole.hasSettled());
    }

    /** Until somebody says so. */
    public static Budget until(BooleanSupplier stopped) {
        return new Budget(Long.MAX_VALUE, stopped, null);
    }

    /** The work that it began with. */
    long work() {
        return work;
    }

    /** Whether somebody said that it is to end, however much work is left. */
    boolean isStopped() {
        return stopped.getAsBoolean();
    }

    /** The work that is done. */
    long done() {
        return done;
    }

    /** A part of this budget: so much work, which counts here too. */
    Budget part(long its) {
        return new Budget(Math.min(its, work - done), stopped, this);
    }

    void spend(long more) {
        done += more;
        if (whole != null) {
            whole.spend(more);
        }
    }

    boolean isSpent() {
        return done >= work || hasSettled() || stopped.getAsBoolean();
    }

    /** The share of the work that is done, from 0 to 1. */
    public double share() {
        return work == 0 ? 1 : Math.min(1, (double) done / work);
    }

    /** Whether a share of the work is done, or it was stopped. */
    boolean isSpent(double share) {
        return done >= work * share || hasSettled() || stopped.getAsBoolean();
    }
}
