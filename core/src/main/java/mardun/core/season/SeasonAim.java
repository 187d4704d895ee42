package mardun.core.season;

/** What a plan of a season is to be good for. */
public enum SeasonAim {
    /** The most in the mean of all seasons that may come. */
    BEST_MEAN,
    /** More in the worst of them, for a little less in the mean. */
    BETTER_BAD_DAY
}
