package mardun.core.formula;

import java.util.ArrayList;
import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import mardun.core.formula.Expression.Binary;
import mardun.core.formula.Expression.Call;
import mardun.core.formula.Expression.Literal;
import mardun.core.formula.Expression.Name;
import mardun.core.formula.Expression.Negative;
import mardun.core.formula.Expression.Operator;
import mardun.core.measure.DimensionException;
import mardun.core.measure.Quantity;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;

/**
 * A measurement as an expression over others, with the construction rules as functions. Evaluated exactly, with
 * dimensions checked; its working is told from its syntax tree.
 */
public final class Formula {

    private final String text;
    private final Expression tree;
    private final Map<String, Rule> rules;
    private final String template;
    private final Set<String> names;
    private final Map<Call, List<Formula>> argumentsByCall = new IdentityHashMap<>();

    private Formula(String text, Expression tree, Map<String, Rule> rules) {
        this.text = text;
        this.tree = tree;
        this.rules = rules;
        this.template = write(tree, 0);
        Set<String> found = new LinkedHashSet<>();
        collectNames(tree, found);
        this.names = Collections.unmodifiableSet(found);
        collectArguments(tree);
    }

    /** The arguments of each rule that is called are formulas of their own, whose workings can be opened. */
    private void collectArguments(Expression expression) {
        if (expression instanceof Call call && rules.containsKey(call.function())) {
            argumentsByCall.put(
                    call,
                    call.arguments().stream()
                            .map(argument -> new Formula(write(argument, 0), argument, rules))
                            .toList());
        } else {
            children(expression).forEach(this::collectArguments);
        }
    }

    /**
     * Reads a formula in which the given rules may be called by their names.
     *
     * @throws FormulaException with the position of what can't be read, or of a function that there isn't
     */
    public static Formula parse(String text, Map<String, Rule> rules) {
        Expression tree = FormulaParser.parse(text);
        checkCalls(tree, rules);
        return new Formula(text, tree, rules);
    }

    /**
     * A formula with another name in the place of one that it uses, and all else as it was typed. What can't be read as a
     * formula keeps its words, but for the name where it stands by itself.
     */
    public static String renamed(String text, String from, String to) {
        Matcher name = Pattern.compile(
                        "(?<![\\p{L}\\p{M}\\p{N}_])" + Pattern.quote(from) + "(?![\\p{L}\\p{M}\\p{N}_])(?! *\\()")
                .matcher(text);
        return name.replaceAll(Matcher.quoteReplacement(to));
    }

    public String text() {
        return text;
    }

    /** Whether this is a single length or number, without any name or operation. */
    public boolean isLiteral() {
        return tree instanceof Literal;
    }

    /** The names that the formula uses, in the order in which they stand. */
    public Set<String> names() {
        return names;
    }

    /**
     * Works the formula out.
     *
     * @throws FormulaException if a name is unknown or dimensions don't fit
     */
    public Figure<Quantity> evaluate(Scope scope) {
        try {
            return evaluated(scope);
        } catch (DimensionException unlike) {
            throw new FormulaException(unlike.getMessage(), unlike);
        }
    }

    private Figure<Quantity> evaluated(Scope scope) {
        if (tree instanceof Call call && rules.containsKey(call.function())) {
            return new Evaluation(scope).called(call);
        }
        Evaluation evaluation = new Evaluation(scope);
        Quantity result = evaluation.value(tree);
        Map<String, Working.Input> inputs = new LinkedHashMap<>();
        evaluation.collectInputs(tree, inputs);
        String rule = inputs.isEmpty() ? "As entered." : "By this design's formula.";
        Working.Builder working = Working.of(rule).expression(template());
        inputs.values().forEach(working::input);
        return new Figure<>(result, working.gives(Value.of(result)));
    }

    /** The formula in symbols, each name as {@code {name}}: the expression of a {@link Working}. */
    public String template() {
        return template;
    }

    private static void checkCalls(Expression expression, Map<String, Rule> rules) {
        if (expression instanceof Call call) {
            if (!rules.containsKey(call.function()) && !Arithmetic.knows(call.function())) {
                Set<String> known = new TreeSet<>(rules.keySet());
                known.addAll(Arithmetic.names());
                throw new FormulaException(
                        "calls “" + call.function() + "”, which there isn't; there are " + String.join(", ", known),
                        call.position());
            }
        }
        children(expression).forEach(child -> checkCalls(child, rules));
    }

    private static List<Expression> children(Expression expression) {
        if (expression instanceof Binary binary) {
            return List.of(binary.left(), binary.right());
        } else if (expression instanceof Negative negative) {
            return List.of(negative.of());
        } else if (expression instanceof Call call) {
            return call.arguments();
        }
        return List.of();
    }

    private static void collectNames(Expression expression, Set<String> names) {
        if (expression instanceof Name name) {
            names.add(name.symbol());
        }
        children(expression).forEach(child -> collectNames(child, names));
    }

    /** One evaluation: each rule that is called is applied once, however often its result is asked for. */
    private final class Evaluation {

        private final Scope scope;
        private final Map<Call, Figure<Quantity>> called = new IdentityHashMap<>();

        private Evaluation(Scope scope) {
            this.scope = scope;
        }

        private Figure<Quantity> called(Call call) {
            Figure<Quantity> known = called.get(call);
            if (known == null) {
                known = rules.get(call.function()).applyTo(arguments(call));
                called.put(call, known);
            }
            return known;
        }

        private List<Rule.Argument> arguments(Call call) {
            List<Rule.Argument> arguments = new ArrayList<>();
            for (Formula argument : argumentsByCall.get(call)) {
                if (argument.tree instanceof Name name) {
                    Scope.Entry entry = find(name, scope);
                    arguments.add(new Rule.Argument(entry.quantity(), entry.working()));
                } else {
                    Figure<Quantity> figure = argument.evaluate(scope);
                    arguments.add(new Rule.Argument(
                            figure.value(), argument.isLiteral() ? Optional.empty() : Optional.of(figure.working())));
                }
            }
            return arguments;
        }

        private void collectInputs(Expression expression, Map<String, Working.Input> inputs) {
            if (expression instanceof Name name) {
                Scope.Entry entry = find(name, scope);
                inputs.put(
                        name.symbol(),
                        new Working.Input(name.symbol(), entry.label(), Value.of(entry.quantity()), entry.working()));
            } else if (expression instanceof Call call && rules.containsKey(call.function())) {
                Figure<Quantity> figure = called(call);
                String symbol = write(call, 0).replaceAll("[{}]", "");
                inputs.put(
                        symbol,
                        new Working.Input(
                                symbol, call.function(), Value.of(figure.value()), Optional.of(figure.working())));
            } else {
                children(expression).forEach(child -> collectInputs(child, inputs));
            }
        }

        private Quantity value(Expression expression) {
            if (expression instanceof Literal literal) {
                return literal.value();
            } else if (expression instanceof Name name) {
                return find(name, scope).quantity();
            } else if (expression instanceof Negative negative) {
                return value(negative.of()).negated();
            } else if (expression instanceof Binary binary) {
                Quantity left = value(binary.left());
                Quantity right = value(binary.right());
                return switch (binary.operator()) {
                    case ADD -> left.plus(right);
                    case SUBTRACT -> left.minus(right);
                    case MULTIPLY -> left.times(right);
                    case DIVIDE -> left.dividedBy(right);
                };
            }
            Call call = (Call) expression;
            return rules.containsKey(call.function())
                    ? called(call).value()
                    : Arithmetic.apply(
                            call.function(),
                            call.arguments().stream().map(this::value).toList());
        }
    }

    private static Scope.Entry find(Name name, Scope scope) {
        return scope.find(name.symbol())
                .orElseThrow(() -> new FormulaException(
                        "names “" + name.symbol() + "”, and there is no such measurement", name.position()));
    }

    private String write(Expression expression, int binding) {
        if (expression instanceof Literal literal) {
            return literal.text();
        } else if (expression instanceof Name name) {
            return "{" + name.symbol() + "}";
        } else if (expression instanceof Negative negative) {
            return "−" + write(negative.of(), Operator.MULTIPLY.binding() + 1);
        } else if (expression instanceof Binary binary) {
            int own = binary.operator().binding();
            String written =
                    write(binary.left(), own) + " " + binary.operator().sign() + " " + write(binary.right(), own + 1);
            return own < binding ? "(" + written + ")" : written;
        }
        Call call = (Call) expression;
        String written = call.function()
                + call.arguments().stream().map(a -> write(a, 0)).collect(Collectors.joining("; ", "(", ")"));
        return rules.containsKey(call.function()) ? "{" + written.replaceAll("[{}]", "") + "}" : written;
    }
}
