package mardun.core.construction;

import java.util.List;
import java.util.stream.Stream;
import mardun.core.formula.Rule;

/** All construction rules that a design's formulas may call by name. */
public final class Constructions {

    public static final List<Rule> ALL = Stream.of(Boxing.RULES, Zips.RULES, Interfacing.RULES)
            .flatMap(List::stream)
            .toList();

    private Constructions() {}
}
