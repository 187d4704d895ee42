package mardun.core.working;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How a figure came about, so that a maker can check it with a pencil.
 *
 * @param rule the rule in a sentence
 * @param expression the rule in symbols, each input as {@code {symbol}}: {@code {depth} ÷ 2 + {edge}}
 * @param inputs what was put in, in the order of the expression
 * @param result what came out
 * @param rounding the one rounding at the end, in words, if there was one
 * @param schools other ways of doing the same with what they would give; empty where there is only one
 */
public record Working(
        String rule,
        String expression,
        List<Input> inputs,
        Value result,
        Optional<String> rounding,
        List<SchoolResult> schools) {

    /**
     * A value put into a rule.
     *
     * @param symbol its name in the expression
     * @param label what it is, in the trade's words
     * @param working how it came about itself, unless it was entered
     */
    public record Input(String symbol, String label, Value value, Optional<Working> working) {}

    /** What one school of practice gives; exactly one of a figure's schools is the chosen one. */
    public record SchoolResult(String name, Value result, boolean chosen) {}

    public Working {
        inputs = List.copyOf(inputs);
        schools = List.copyOf(schools);
    }

    public Working roundedAs(String words) {
        return new Working(rule, expression, inputs, result, Optional.of(words), schools);
    }

    public Working among(List<SchoolResult> alternatives) {
        return new Working(rule, expression, inputs, result, rounding, alternatives);
    }

    public static Builder of(String rule) {
        return new Builder(rule);
    }

    /** Collects a working's parts in the order in which a maker would write them down. */
    public static final class Builder {
        private final String rule;
        private final List<Input> inputs = new ArrayList<>();
        private final List<SchoolResult> schools = new ArrayList<>();
        private String expression = "";
        private String rounding;

        private Builder(String rule) {
            this.rule = rule;
        }

        public Builder expression(String template) {
            this.expression = template;
            return this;
        }

        public Builder input(String symbol, String label, Value value) {
            inputs.add(new Input(symbol, label, value, Optional.empty()));
            return this;
        }

        public Builder input(String symbol, String label, Value value, Working working) {
            inputs.add(new Input(symbol, label, value, Optional.of(working)));
            return this;
        }

        public Builder input(Input input) {
            inputs.add(input);
            return this;
        }

        public Builder rounded(String words) {
            this.rounding = words;
            return this;
        }

        public Builder school(String name, Value result, boolean chosen) {
            schools.add(new SchoolResult(name, result, chosen));
            return this;
        }

        public Working gives(Value result) {
            return new Working(rule, expression, inputs, result, Optional.ofNullable(rounding), schools);
        }
    }
}
