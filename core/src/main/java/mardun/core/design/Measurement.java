package mardun.core.design;

import java.util.List;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthWriter;
import mardun.core.measure.MeasureException;
import mardun.core.measure.NumberReader;
import mardun.core.measure.UnitSystem;

/**
 * A row of a design's measurements. A value is what was typed, or a formula over other measurements: then the
 * measurement is derived.
 *
 * @param symbol its name in formulas
 * @param label what it is, in the trade's words
 * @param values a value for each size, or a single one for all sizes
 * @param options what a choice chooses from, in order; in formulas a choice counts as the place of its option, from 1
 */
public record Measurement(String symbol, String label, Kind kind, List<String> values, List<String> options) {

    /** What a measurement says. */
    public enum Kind {
        /** A finished measure that the maker chooses. */
        FINISHED,
        /** A seam allowance, an inset, a clearance, or any other length. */
        ALLOWANCE,
        ANGLE,
        /** How many of something. */
        COUNT,
        /** A plain number such as a gather ratio. */
        FACTOR,
        /** One of several ways, by name. */
        CHOICE;

        public boolean isLength() {
            return this == FINISHED || this == ALLOWANCE;
        }
    }

    public Measurement {
        values = List.copyOf(values);
        options = List.copyOf(options);
    }

    /** A measurement that is no choice. */
    public static Measurement of(String symbol, String label, Kind kind, String... values) {
        return new Measurement(symbol, label, kind, List.of(values), List.of());
    }

    /**
     * A value as it is kept: a length that was typed without a unit gets the maker's, a bare angle its degrees; anything
     * else stays as it was typed.
     */
    public static String kept(Kind kind, String typed, UnitSystem system) {
        if (kind == Kind.ANGLE) {
            return isNumber(typed) ? typed.strip() + "°" : typed.strip();
        }
        return kind.isLength() ? kept(typed, system) : typed.strip();
    }

    /** A length as it is kept: one that was typed without a unit gets the maker's; a formula stays as it was typed. */
    public static String kept(String typed, UnitSystem system) {
        try {
            Length read = LengthReader.read(typed, system.smallUnit());
            boolean hasUnit = read.isPositive()
                    && read.equals(LengthReader.read(typed, system.other().smallUnit()));
            return hasUnit ? typed.strip() : withUnit(typed, read, system);
        } catch (MeasureException notALength) {
            return typed.strip();
        }
    }

    /** What was typed with the unit behind it, where that says the same; else, as for nothing, the length as it is written. */
    private static String withUnit(String typed, Length read, UnitSystem system) {
        String said = typed.strip() + " " + system.smallUnit().symbol();
        return read.isPositive() && LengthReader.read(said, system.smallUnit()).equals(read)
                ? said
                : LengthWriter.exactly(read, system);
    }

    /**
     * A value changed by {@code change}, a length with a sign in front: {@code 10 in} by {@code + 1/2 in}. A plain length
     * stays a plain length; a formula gets the change behind it.
     *
     * @throws MeasureException if the change can't be read, or leaves less than nothing
     */
    public static String changed(String value, String change, UnitSystem system) {
        String plain = change.strip();
        boolean less = plain.startsWith("-") || plain.startsWith("−");
        Length by = LengthReader.read(plain.replaceFirst("^[+−-]", ""), system.smallUnit());
        Length before;
        try {
            before = LengthReader.read(value, system.smallUnit());
        } catch (MeasureException formula) {
            return "(" + value.strip() + ") " + (less ? "- " : "+ ") + LengthWriter.exactly(by, system);
        }
        Length after = less ? before.minus(by) : before.plus(by);
        if (after.nanometres() < 0) {
            throw new MeasureException(change, "leaves less than nothing of " + value, "Take off less");
        }
        return LengthWriter.exactly(after, system);
    }

    private static boolean isNumber(String typed) {
        try {
            NumberReader.read(typed);
            return true;
        } catch (MeasureException notANumber) {
            return false;
        }
    }

    String valueFor(int size) {
        return values.size() == 1 ? values.get(0) : values.get(size);
    }
}
