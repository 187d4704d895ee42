package mardun.core.design;

import java.util.Map;
import java.util.Optional;

/**
 * How a bag comes together from its panels: from it and their cut sizes follows what the bag measures. Each form names
 * the seams and other measures that it is sewn with, as formulas over the design's measurements.
 */
public sealed interface BagForm permits BoxedBag, FoldedSideBag, GussetedBag, RoundBag, FreeForm {

    /** The formulas of the form's measures, each by its name. An empty formula stands for nothing. */
    Map<FormMeasure, String> measures();

    /** The letter of the piece or panel that the outside is made of; empty where the form has none. */
    Optional<String> outer();

    /** The letter of the lining's piece or panel; empty where there is no lining. */
    Optional<String> lining();

    /** What the bag measures when it is sewn like that. */
    Finished finish(Sewn sewn);
}
