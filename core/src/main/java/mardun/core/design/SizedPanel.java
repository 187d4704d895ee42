package mardun.core.design;

import java.util.List;
import java.util.Optional;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.working.Figure;

/**
 * An assembled panel of one size.
 *
 * @param zips where zips lie along the panel's direction
 * @param trimTo what it is trimmed to, if it is assembled over size
 */
public record SizedPanel(
        Panel panel,
        Figure<Length> width,
        Figure<Length> height,
        Optional<Extent> trimTo,
        List<Interval> zips,
        List<SizedMark> marks) {

    /** From where to where along the panel. */
    public record Interval(Length from, Length to) {}

    /** The size with which it is sewn: as it was trimmed, or else as it was assembled. */
    public Extent sewnExtent() {
        return trimTo.orElseGet(() -> new Extent(width.value(), height.value()));
    }
}
