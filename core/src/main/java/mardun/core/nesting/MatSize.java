package mardun.core.nesting;

/**
 * How much of a cutting machine's mat the blade reaches, in millimetres.
 *
 * @param width across the machine
 * @param height into the machine
 */
public record MatSize(double width, double height) {

    public double area() {
        return width * height;
    }
}
