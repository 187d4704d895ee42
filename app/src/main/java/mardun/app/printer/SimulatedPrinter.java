package mardun.app.printer;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;

/** How the simulated printer stands. */
@Entity
class SimulatedPrinter {

    /** There is one of them. */
    static final int ONE = 1;

    @Id
    private Integer id;

    private boolean offline;
    private boolean jammed;
    private boolean jamsNext;
    private int labelsLeft;

    protected SimulatedPrinter() {}

    boolean isOffline() {
        return offline;
    }

    boolean isJammed() {
        return jammed;
    }

    boolean jamsNext() {
        return jamsNext;
    }

    int labelsLeft() {
        return labelsLeft;
    }

    void switchTo(boolean isOffline) {
        offline = isOffline;
    }

    /** The next label gets stuck. */
    void letJam() {
        jamsNext = true;
    }

    void jam() {
        jammed = true;
        jamsNext = false;
        labelsLeft--;
    }

    void clear() {
        jammed = false;
    }

    void load(int labels) {
        labelsLeft = labels;
    }

    void give() {
        labelsLeft--;
    }
}
