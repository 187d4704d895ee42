package mardun.core.design;

import mardun.core.measure.Quantity;
import mardun.core.working.Figure;

/** What the finished bag measures, worked out from its cut panels. */
public record Finished(Figure<Quantity> width, Figure<Quantity> height, Figure<Quantity> depth) {}
