package mardun.core.cutting;

/** What a layout is searched for. */
public enum Aim {
    /** Cloth and the minutes of cutting, less the worth of what goes back on the shelf. */
    MONEY,
    /** As little cloth as can be, whatever it takes to cut it. */
    LEAST_CLOTH,
    /** As few cuts and ruler settings as can be. */
    FEWEST_CUTS,
    /** The largest single offcut for the cloth that is used. */
    BEST_OFFCUT
}
