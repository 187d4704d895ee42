package mardun.core.measure;

/** A rectangle's size: the width lies across the cloth, the height along it. */
public record Extent(Length width, Length height) {

    public Area area() {
        return Area.of(width, height);
    }

    public Extent turned() {
        return new Extent(height, width);
    }
}
