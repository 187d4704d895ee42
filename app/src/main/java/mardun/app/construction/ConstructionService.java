package mardun.app.construction;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.construction.ConstructionViews.ConstructionsView;
import mardun.app.construction.ConstructionViews.FunctionView;
import mardun.app.construction.ConstructionViews.ParameterView;
import mardun.app.construction.ConstructionViews.RuleAnswer;
import mardun.app.construction.ConstructionViews.RuleQuestion;
import mardun.app.construction.ConstructionViews.RuleView;
import mardun.app.construction.ConstructionViews.SubjectView;
import mardun.app.construction.ConstructionViews.WayView;
import mardun.app.problem.FieldProblem;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.construction.Constructions;
import mardun.core.construction.Subject;
import mardun.core.design.Measurement;
import mardun.core.formula.Arithmetic;
import mardun.core.formula.Formula;
import mardun.core.formula.FormulaException;
import mardun.core.formula.Rule;
import mardun.core.formula.Scope;
import mardun.core.measure.Dimension;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.measure.UnitSystem;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The trade's constructions: what there is, and single ones worked out forwards and backwards. */
@Service
public class ConstructionService {

    private final SettingsService settings;

    ConstructionService(SettingsService settings) {
        this.settings = settings;
    }

    public ConstructionsView all() {
        List<SubjectView> subjects = Arrays.stream(Subject.values())
                .map(subject -> new SubjectView(
                        subject,
                        subject.title(),
                        Constructions.ALL.stream()
                                .filter(c -> c.subject() == subject)
                                .map(c -> new WayView(
                                        c.school(),
                                        view(c.cut()),
                                        c.wanted()
                                                .map(ConstructionService::view)
                                                .orElse(null)))
                                .toList()))
                .toList();
        return new ConstructionsView(
                subjects,
                Arrays.stream(Arithmetic.values())
                        .map(f -> new FunctionView(f.functionName(), f.gives()))
                        .toList());
    }

    private static RuleView view(Rule rule) {
        return new RuleView(
                rule.name(),
                rule.sentence(),
                rule.parameters().stream()
                        .map(Rule.Parameter::symbol)
                        .collect(Collectors.joining("; ", rule.name() + "(", ")")),
                rule.parameters().stream()
                        .map(p -> new ParameterView(p.symbol(), p.label(), p.dimension()))
                        .toList());
    }

    /** A rule worked out; what is wrong with single values is told with them. */
    @Transactional(readOnly = true)
    public RuleAnswer work(RuleQuestion question) {
        Rule rule = Optional.ofNullable(Constructions.BY_NAME.get(question.rule()))
                .orElseThrow(() -> RefusedException.missing("There is no construction “" + question.rule() + "”."));
        Settings current = settings.current();
        List<Rule.Argument> arguments = new ArrayList<>();
        List<FieldProblem> problems = new ArrayList<>();
        for (Rule.Parameter parameter : rule.parameters()) {
            argument(parameter, question.values(), current.unitSystem(), problems)
                    .ifPresent(quantity -> arguments.add(new Rule.Argument(quantity, Optional.empty())));
        }
        if (arguments.size() < rule.parameters().size()) {
            return new RuleAnswer(null, "", null, problems);
        }
        try {
            return answer(rule.applyTo(arguments), current.writer());
        } catch (FormulaException impossible) {
            String first = rule.parameters().get(0).symbol();
            problems.add(new FieldProblem(first, "", "With these values the rule " + impossible.getMessage() + "."));
            return new RuleAnswer(null, "", null, problems);
        }
    }

    private static RuleAnswer answer(Figure<Quantity> figure, ViewWriter writer) {
        Quantity value = figure.value();
        return new RuleAnswer(
                value.dimension() == Dimension.LENGTH ? writer.length(value.value(), ShownRounding.NEAREST) : null,
                writer.text(Value.of(value)),
                writer.working(figure.working()),
                List.of());
    }

    private static Optional<Quantity> argument(
            Rule.Parameter parameter, Map<String, String> values, UnitSystem system, List<FieldProblem> problems) {
        String typed = values.getOrDefault(parameter.symbol(), "");
        if (typed.isBlank()) {
            return Optional.empty();
        }
        Measurement.Kind kind = switch (parameter.dimension()) {
            case ANGLE -> Measurement.Kind.ANGLE;
            case NUMBER -> Measurement.Kind.FACTOR;
            default -> Measurement.Kind.ALLOWANCE;
        };
        try {
            Quantity quantity = Formula.parse(Measurement.kept(kind, typed, system), Constructions.BY_NAME)
                    .evaluate(Scope.EMPTY)
                    .value();
            if (quantity.dimension() == parameter.dimension()) {
                return Optional.of(quantity);
            }
            problems.add(new FieldProblem(
                    parameter.symbol(),
                    typed,
                    "“" + typed + "” is " + quantity.dimension().words() + ", and "
                            + parameter.dimension().words() + " is wanted."));
        } catch (FormulaException unreadable) {
            problems.add(
                    new FieldProblem(parameter.symbol(), typed, "“" + typed + "” " + unreadable.getMessage() + "."));
        }
        return Optional.empty();
    }
}
