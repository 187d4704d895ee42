package mardun.app.batch;

/** How far a batch has come. */
public enum BatchStage {
    /** Nothing is cut yet. */
    PLANNED,
    /** One of its cloths is cut, and another isn't. */
    CUTTING,
    /** All its cloths are cut; some bags may be done. */
    CUT,
    /** All its bags are done. */
    FINISHED;

    /** Whether anything is still to be done. */
    public boolean isOpen() {
        return this != FINISHED;
    }
}
