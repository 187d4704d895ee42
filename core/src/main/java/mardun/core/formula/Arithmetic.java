package mardun.core.formula;

import java.util.List;
import java.util.Set;
import mardun.core.measure.Quantity;

/** The few functions of plain arithmetic that formulas may use besides the construction rules. */
final class Arithmetic {

    static final Set<String> NAMES = Set.of("max", "min");

    private Arithmetic() {}

    static boolean knows(String name) {
        return NAMES.contains(name);
    }

    static Quantity apply(String name, List<Quantity> arguments) {
        if (arguments.size() < 2) {
            throw new FormulaException(name + " takes two values or more; part them with a semicolon");
        }
        Quantity best = arguments.get(0);
        for (Quantity argument : arguments) {
            int order = argument.compare(best);
            if (name.equals("max") ? order > 0 : order < 0) {
                best = argument;
            }
        }
        return best;
    }
}
