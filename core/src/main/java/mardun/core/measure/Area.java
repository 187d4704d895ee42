package mardun.core.measure;

import java.math.BigInteger;

/** An exact area. A few square metres in square nanometres overflow a long, so it is held without bounds. */
public record Area(BigInteger squareNanometres) implements Comparable<Area> {

    public static final Area ZERO = new Area(BigInteger.ZERO);

    public static Area of(Length width, Length height) {
        return new Area(BigInteger.valueOf(width.nanometres()).multiply(BigInteger.valueOf(height.nanometres())));
    }

    public Area plus(Area other) {
        return new Area(squareNanometres.add(other.squareNanometres));
    }

    public Area times(long count) {
        return new Area(squareNanometres.multiply(BigInteger.valueOf(count)));
    }

    @Override
    public int compareTo(Area other) {
        return squareNanometres.compareTo(other.squareNanometres);
    }
}
