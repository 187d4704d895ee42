package mardun.core.formula;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.measure.Dimension;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;

/**
 * A rule of the trade with a name: its sentence, what goes in, and the formula. Written once, it is both a function that
 * designs' formulas may call and the source of the working that a maker reads.
 *
 * @param name its name in formulas
 * @param sentence the rule in words
 * @param parameters what goes in, in the order of the arguments
 * @param formula the arithmetic, over the parameters' symbols
 */
public record Rule(String name, String sentence, List<Parameter> parameters, Formula formula) {

    /** One of a rule's inputs: its symbol in the formula, what it is, and what it measures. */
    public record Parameter(String symbol, String label, Dimension dimension) {}

    /** An argument with, if it was computed itself, how. */
    public record Argument(Quantity quantity, Optional<Working> working) {}

    public static Builder named(String name) {
        return new Builder(name);
    }

    /** The rule applied to arguments in the order of its parameters. */
    public Figure<Quantity> apply(Quantity... arguments) {
        List<Argument> wrapped = new ArrayList<>();
        for (Quantity argument : arguments) {
            wrapped.add(new Argument(argument, Optional.empty()));
        }
        return applyTo(wrapped);
    }

    /**
     * The rule applied to arguments that carry their own workings.
     *
     * @throws FormulaException if the number of arguments is wrong or the dimensions don't fit
     */
    public Figure<Quantity> applyTo(List<Argument> arguments) {
        if (arguments.size() != parameters.size()) {
            throw new FormulaException(name + " takes " + parameters.size() + " values ("
                    + String.join(
                            "; ", parameters.stream().map(Parameter::label).toList()) + "), and "
                    + arguments.size() + " stand there");
        }
        Scope scope = symbol -> {
            for (int i = 0; i < parameters.size(); i++) {
                if (parameters.get(i).symbol().equals(symbol)) {
                    Argument argument = arguments.get(i);
                    return Optional.of(
                            new Scope.Entry(parameters.get(i).label(), argument.quantity(), argument.working()));
                }
            }
            return Optional.empty();
        };
        Quantity result = formula.evaluate(scope).value();
        Working.Builder working = Working.of(sentence).expression(formula.template());
        for (int i = 0; i < parameters.size(); i++) {
            Argument argument = arguments.get(i);
            working.input(new Working.Input(
                    parameters.get(i).symbol(),
                    parameters.get(i).label(),
                    Value.of(argument.quantity()),
                    argument.working()));
        }
        return new Figure<>(result, working.gives(Value.of(result)));
    }

    /** Collects a rule's parts. */
    public static final class Builder {
        private final String name;
        private final List<Parameter> parameters = new ArrayList<>();
        private String sentence = "";

        private Builder(String name) {
            this.name = name;
        }

        public Builder says(String sentence) {
            this.sentence = sentence;
            return this;
        }

        /** Takes a length. */
        public Builder given(String symbol, String label) {
            return given(symbol, label, Dimension.LENGTH);
        }

        public Builder given(String symbol, String label, Dimension dimension) {
            parameters.add(new Parameter(symbol, label, dimension));
            return this;
        }

        public Rule is(String formula) {
            return new Rule(name, sentence, List.copyOf(parameters), Formula.parse(formula, Map.of()));
        }
    }
}
