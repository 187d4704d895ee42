package mardun.core.design;

import java.util.List;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthWriter;
import mardun.core.measure.MeasureException;
import mardun.core.measure.UnitSystem;

/**
 * A row of a design's measurements.
 *
 * @param symbol its name in formulas
 * @param label what it is, in the trade's words
 * @param values a length or a formula for each size, or a single one for all sizes
 */
public record Measurement(String symbol, String label, Kind kind, List<String> values) {

    /** What a measurement says. */
    public enum Kind {
        /** A finished measure that the maker chooses. */
        FINISHED,
        /** A seam allowance, an inset, a clearance. */
        ALLOWANCE
    }

    public Measurement {
        values = List.copyOf(values);
    }

    /**
     * A value as it is kept: a length that was typed without a unit gets the maker's; anything else stays as it was
     * typed, a length with its unit or a formula.
     */
    public static String kept(String typed, UnitSystem system) {
        try {
            Length read = LengthReader.read(typed, system.smallUnit());
            boolean hasUnit = read.isPositive()
                    && read.equals(LengthReader.read(typed, system.other().smallUnit()));
            return hasUnit ? typed.strip() : LengthWriter.exactly(read, system);
        } catch (MeasureException notALength) {
            return typed.strip();
        }
    }

    String valueFor(int size) {
        return values.size() == 1 ? values.get(0) : values.get(size);
    }
}
