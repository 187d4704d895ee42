package mardun.core.pricing;

import java.util.Optional;
import mardun.core.money.Exact;
import org.apache.commons.numbers.fraction.BigFraction;

/** For how little bags are made for somebody, such as a cause that sells them on. */
public enum Favour {
    NONE("at the usual price"),
    /** All that it costs is paid, work among it; nothing is earned beyond that. */
    AT_COST("at what it costs"),
    /** Material and overheads are paid, the work is a gift. */
    MATERIAL("for its material");

    private final String words;

    Favour(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** What is to be left of a bag's price, in exact minor units; empty where that is what is usual. */
    Optional<BigFraction> wanted(UnitTakes takes) {
        return switch (this) {
            case NONE -> Optional.empty();
            case AT_COST -> Optional.of(Exact.minor(takes.full()));
            case MATERIAL -> Optional.of(takes.withoutLabour());
        };
    }
}
