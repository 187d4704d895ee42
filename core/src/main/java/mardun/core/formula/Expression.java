package mardun.core.formula;

import java.util.List;
import mardun.core.measure.Quantity;

/** A formula's syntax tree. */
public sealed interface Expression {

    /** A number or a length written in the formula; {@code text} is how it was written. */
    record Literal(Quantity value, String text) implements Expression {}

    /** The name of a measurement, at {@code position} in the text. */
    record Name(String symbol, int position) implements Expression {}

    record Negative(Expression of) implements Expression {}

    record Binary(Operator operator, Expression left, Expression right) implements Expression {}

    /** A named function: a construction rule, or one of the few arithmetic ones. */
    record Call(String function, List<Expression> arguments, int position) implements Expression {}

    /** The four operations, with the sign that is shown. */
    enum Operator {
        ADD("+", 1),
        SUBTRACT("−", 1),
        MULTIPLY("×", 2),
        DIVIDE("÷", 2);

        private final String sign;
        private final int binding;

        Operator(String sign, int binding) {
            this.sign = sign;
            this.binding = binding;
        }

        String sign() {
            return sign;
        }

        int binding() {
            return binding;
        }
    }
}
