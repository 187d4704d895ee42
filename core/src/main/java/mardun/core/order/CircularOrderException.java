package mardun.core.order;

import java.util.List;

/** Operations that wait for one another in a circle, so that none of them can be first. */
public final class CircularOrderException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    private final transient List<Integer> circle;

    CircularOrderException(List<Integer> circle) {
        super("operations wait for one another: " + circle);
        this.circle = List.copyOf(circle);
    }

    /** The numbers of the operations, each before the next, and the last before the first. */
    public List<Integer> circle() {
        return circle;
    }
}
