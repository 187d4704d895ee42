package mardun.app.batch;

/** How far a batch has come. */
public enum BatchStage {
    PLANNED,
    CUT,
    FINISHED
}
