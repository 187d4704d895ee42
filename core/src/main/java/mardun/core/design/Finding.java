package mardun.core.design;

import mardun.core.working.Sentence;

/**
 * What is wrong with a design, or looks wrong.
 *
 * @param place where: {@code measurements.width}, {@code pieces.A.height}, {@code boxed}
 * @param what what was found and why it can't be
 * @param remedy what would be right
 */
public record Finding(Severity severity, String place, Sentence what, Sentence remedy) {

    /** How much a finding weighs. */
    public enum Severity {
        /** It can't be sewn, or can't be computed: the design isn't taken. */
        REFUSED,
        /** It can be sewn, but a careful maker would look twice. */
        CARE
    }

    public boolean isRefused() {
        return severity == Severity.REFUSED;
    }

    static Finding refused(String place, Sentence what, Sentence remedy) {
        return new Finding(Severity.REFUSED, place, what, remedy);
    }

    static Finding care(String place, Sentence what, Sentence remedy) {
        return new Finding(Severity.CARE, place, what, remedy);
    }
}
