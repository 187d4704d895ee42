package mardun.core.design;

import java.util.Optional;
import mardun.core.measure.Length;
import mardun.core.working.Figure;

/**
 * A trim of one size.
 *
 * @param count how many one bag takes
 * @param length of each as it is cut, with what is turned under
 * @param shortest the shortest that serves, where it is tried on
 * @param longest the longest that serves
 */
public record SizedTrim(
        TrimNeed trim, long count, Figure<Length> length, Optional<Length> shortest, Optional<Length> longest) {}
