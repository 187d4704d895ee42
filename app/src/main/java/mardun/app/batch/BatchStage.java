package mardun.app.batch;

/** How far a batch has come. */
public enum BatchStage {
    /** Nothing is cut yet. */
    PLANNED,
    /** One of its cloths is cut, and another isn't. */
    CUTTING,
    /** All its cloths are cut; some bags may be done. */
    CUT,
    /** All its bags are done, or the rest isn't made. */
    FINISHED,
    /** None of its bags is made: it was given up before anything was cut, or dropped when its cloth was cut. */
    DROPPED;

    /** Whether anything is still to be done. */
    public boolean isOpen() {
        return this != FINISHED && this != DROPPED;
    }

    /** Whether its cloth is still to be cut, some or all of it. */
    public boolean isToCut() {
        return this == PLANNED || this == CUTTING;
    }
}
