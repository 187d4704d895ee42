package mardun.core.season;

/**
 * Seasons as they may come, drawn once, so that any number of plans can be played against the same buyers.
 *
 * @param visits by season and event
 */
public record Outlook(Visit[][] visits) {

    /** How many seasons were drawn. */
    public int seasons() {
        return visits.length;
    }
}
