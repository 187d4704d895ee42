package mardun.app.cutter;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Duration;
import java.time.Instant;
import mardun.app.cutter.CuttingMachine.Doing;
import mardun.app.cutter.CuttingMachine.State;

/** How the simulated machine stands. Its blade goes at one pace, so how far it is follows from the time. */
@Entity
class SimulatedCutter {

    /** There is one of them. */
    static final int ONE = 1;

    /** How fast the blade goes. */
    static final double MILLIMETRES_A_SECOND = 150;

    private static final double MILLIS_A_SECOND = 1000;

    /** Where it is caught, of its whole way. */
    private static final double JAMS_AFTER = 0.4;

    @Id
    private Integer id;

    private boolean offline;
    private boolean loaded;
    private boolean jamsNext;
    private String jobKey;
    private String title;
    private int pieces;
    private double lengthMm;
    private double cutMm;
    private Double jamAtMm;
    private Instant goingSince;

    protected SimulatedCutter() {}

    void begin(MatJob job, Instant now) {
        jobKey = job.key();
        title = job.title();
        pieces = job.pieces();
        lengthMm = job.length();
        cutMm = 0;
        jamAtMm = jamsNext ? (Double) (lengthMm * JAMS_AFTER) : null;
        jamsNext = false;
        goingSince = now;
    }

    private double cutBy(Instant now) {
        double gone = goingSince == null
                ? 0
                : Duration.between(goingSince, now).toMillis() / MILLIS_A_SECOND * MILLIMETRES_A_SECOND;
        double end = jamAtMm == null ? lengthMm : jamAtMm;
        return Math.min(end, cutMm + Math.max(0, gone));
    }

    private Doing doing(Instant now) {
        if (offline) {
            return Doing.OFFLINE;
        }
        if (jobKey == null) {
            return loaded ? Doing.READY : Doing.EMPTY;
        }
        double cut = cutBy(now);
        if (jamAtMm != null && cut >= jamAtMm) {
            return Doing.JAMMED;
        }
        return cut >= lengthMm ? Doing.DONE : Doing.CUTTING;
    }

    State state(Instant now) {
        double share = lengthMm == 0 ? 1 : cutBy(now) / lengthMm;
        return new State(
                doing(now), jobKey == null ? "" : jobKey, title, (int) Math.floor(share * pieces + 1e-9), pieces);
    }

    boolean isOffline() {
        return offline;
    }

    boolean isLoaded() {
        return loaded;
    }

    boolean jamsNext() {
        return jamsNext;
    }

    void load() {
        loaded = true;
    }

    /** The mat is taken out, cut or not. */
    void unload() {
        loaded = false;
        jobKey = null;
        title = "";
        pieces = 0;
        lengthMm = 0;
        cutMm = 0;
        jamAtMm = null;
        goingSince = null;
    }

    void letJam() {
        jamsNext = true;
    }

    /** The blade is lifted, and goes on where it was caught. */
    void clear(Instant now) {
        cutMm = cutBy(now);
        jamAtMm = null;
        goingSince = now;
    }

    /** Without current it stands still, and goes on where it stood. */
    void switchTo(boolean isOffline, Instant now) {
        if (isOffline && !offline) {
            cutMm = cutBy(now);
            goingSince = null;
        } else if (!isOffline && offline && jobKey != null) {
            goingSince = now;
        }
        offline = isOffline;
    }
}
