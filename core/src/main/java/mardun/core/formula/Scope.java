package mardun.core.formula;

import java.util.Optional;
import mardun.core.measure.Quantity;
import mardun.core.working.Working;

/** What the names in a formula stand for. */
@FunctionalInterface
public interface Scope {

    Scope EMPTY = symbol -> Optional.empty();

    Optional<Entry> find(String symbol);

    /**
     * A named value.
     *
     * @param label what it is, in the trade's words
     * @param working how it came about, unless it was entered
     */
    record Entry(String label, Quantity quantity, Optional<Working> working) {}
}
