package mardun.core.design;

import java.util.Optional;
import mardun.core.working.Sentence;

/**
 * What is wrong with a design, or looks wrong.
 *
 * @param check which check found it; empty for what can't be computed or sewn at all
 * @param place where: {@code measurements.width}, {@code pieces.A.height}, {@code form}
 * @param what what was found and why it can't be
 * @param remedy what would be right
 * @param setAside why the maker set it aside, if so
 */
public record Finding(
        Severity severity,
        Optional<Check> check,
        String place,
        Sentence what,
        Sentence remedy,
        Optional<String> setAside) {

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

    public static Finding refused(String place, Sentence what, Sentence remedy) {
        return new Finding(Severity.REFUSED, Optional.empty(), place, what, remedy, Optional.empty());
    }

    public static Finding care(Check check, String place, Sentence what, Sentence remedy) {
        return new Finding(Severity.CARE, Optional.of(check), place, what, remedy, Optional.empty());
    }

    Finding setAsideFor(String reason) {
        return new Finding(severity, check, place, what, remedy, Optional.of(reason));
    }
}
