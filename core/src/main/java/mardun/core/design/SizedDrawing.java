package mardun.core.design;

import java.util.List;
import java.util.Optional;

/**
 * An outline drawn by hand, of one size.
 *
 * @param outline where it is cut; empty where that can't be drawn, which is told among the findings
 * @param handles where its points lie, as many as are drawn; none while one of them has no place
 */
public record SizedDrawing(Optional<Outline> outline, List<Handle> handles) {

    /**
     * A point that is drawn.
     *
     * @param at where it lies on the piece
     * @param from the place from which its distances are measured
     */
    public record Handle(Point at, Point from) {}

    public SizedDrawing {
        handles = List.copyOf(handles);
    }
}
