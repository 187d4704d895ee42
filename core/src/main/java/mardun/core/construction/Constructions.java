package mardun.core.construction;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.core.formula.Rule;

/** All ways of making the parts of a bag, and their rules, which a design's formulas may call. */
public final class Constructions {

    public static final List<Construction> ALL = Stream.of(
                    Boxing.CONSTRUCTIONS,
                    Joins.CONSTRUCTIONS,
                    Zips.CONSTRUCTIONS,
                    EndTabs.CONSTRUCTIONS,
                    Interfacing.CONSTRUCTIONS,
                    Straps.CONSTRUCTIONS,
                    Drawstrings.CONSTRUCTIONS,
                    Rims.CONSTRUCTIONS,
                    Pockets.CONSTRUCTIONS,
                    Elastics.CONSTRUCTIONS,
                    Fobs.CONSTRUCTIONS,
                    FoldedSides.CONSTRUCTIONS,
                    ShapedTops.CONSTRUCTIONS,
                    Gussets.CONSTRUCTIONS,
                    RoundBases.CONSTRUCTIONS)
            .flatMap(List::stream)
            .toList();

    /** The rules by their names, for formulas to call. */
    public static final Map<String, Rule> BY_NAME = ALL.stream()
            .flatMap(Construction::rules)
            .distinct()
            .collect(Collectors.toUnmodifiableMap(Rule::name, Function.identity()));

    private Constructions() {}
}
