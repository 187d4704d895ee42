package mardun.core.making;

/**
 * What the maker is told within a step, in its order: something small to do, or something to look at.
 *
 * @param mark where it is, from the edge that one measures from: a length or a formula, as typed; empty where that isn't said
 * @param from the edge that the mark is measured from, in words
 * @param isGate it must be confirmed before the bag is counted, because what comes then can't be undone: a zip is cut, a hole is punched
 * @param seconds how long something is held or waits; none where nothing is
 * @param times how often
 */
public record Prompt(Kind kind, String text, String mark, String from, boolean isGate, int seconds, int times) {

    /** When it comes up. */
    public enum Kind {
        BEFORE,
        DO,
        DURING,
        AFTER
    }
}
