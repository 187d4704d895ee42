package mardun.app.log;

/** What happened at the bench. */
public enum EventKind {
    /** Something was put on a machine, and how long that took. */
    SET_UP,
    /** Hands-on time, and how many bags were finished in it; a negative number takes counts back. */
    WORKED,
    /** Bags were finished without having been counted at a step. */
    FINISHED,
    /** An earlier time isn't counted for estimates, with a reason. */
    LEFT_OUT,
    /** An earlier time was really another, with a reason. */
    PUT_RIGHT,
    /** Something went wrong with some bags, with a reason; its time is that of mending. */
    SLIPPED,
    /** An earlier slip was none. */
    WITHDRAWN,
    /** The maker noted something to be told next time. */
    NOTED
}
