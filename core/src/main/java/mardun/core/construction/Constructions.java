package mardun.core.construction;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.core.formula.Rule;

/** The construction rules that a design's formulas may call. */
public final class Constructions {

    public static final List<Rule> ALL = Stream.of(Boxing.RULES, Zips.RULES, Interfacing.RULES)
            .flatMap(List::stream)
            .toList();

    /** The same rules by their names, for formulas to call. */
    public static final Map<String, Rule> BY_NAME =
            ALL.stream().collect(Collectors.toUnmodifiableMap(Rule::name, Function.identity()));

    private Constructions() {}
}
