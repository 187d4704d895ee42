package mardun.core.nesting;

import java.util.List;

/** A mat with the shapes that are cut on it, in the order in which they are cut. */
public record NestedMat(MatSize size, List<Laid> laid) {

    public NestedMat {
        laid = List.copyOf(laid);
    }

    /**
     * A shape on the mat.
     *
     * @param quarters in how many quarter turns with the clock it lies
     * @param left of its rectangle, from the mat's left edge, in millimetres
     * @param top likewise from its upper edge
     */
    public record Laid(MatShape shape, int quarters, double left, double top) {

        /** Its line as it lies. */
        public Contour contour() {
            return shape.contour().turned(quarters);
        }
    }

    /** How much of the mat the shapes cover, from 0 to 1. */
    public double covered() {
        return laid.stream().mapToDouble(one -> one.shape().contour().area()).sum() / size.area();
    }

    /** How long the blade's way is along all shapes, in millimetres. */
    public double cutLength() {
        return laid.stream().mapToDouble(one -> one.shape().contour().length()).sum();
    }
}
