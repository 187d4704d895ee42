package mardun.app.log;

/** How it ended when something went wrong with a bag. */
public enum SlipOutcome {
    /** The bag goes on as if nothing had been. */
    MENDED,
    /** It is made to the end and sold cheaper. */
    SECOND,
    /** It isn't made any further. */
    SCRAP
}
