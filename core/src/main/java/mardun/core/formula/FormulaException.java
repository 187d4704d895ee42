package mardun.core.formula;

import java.util.OptionalInt;

/** A formula that can't be read or worked out. The message is the end of a sentence that begins with the formula. */
public final class FormulaException extends RuntimeException {

    private final int position;

    public FormulaException(String why) {
        super(why);
        this.position = -1;
    }

    public FormulaException(String why, Throwable cause) {
        super(why, cause);
        this.position = -1;
    }

    public FormulaException(String why, int position) {
        super(why);
        this.position = position;
    }

    /** Where in the text the trouble begins, counted from 0; empty if it lies in the values. */
    public OptionalInt position() {
        return position < 0 ? OptionalInt.empty() : OptionalInt.of(position);
    }
}
