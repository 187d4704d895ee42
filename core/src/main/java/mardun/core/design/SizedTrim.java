package mardun.core.design;

import mardun.core.measure.Length;
import mardun.core.working.Figure;

/** A trim of one size with its length. */
public record SizedTrim(TrimNeed trim, Figure<Length> length) {}
