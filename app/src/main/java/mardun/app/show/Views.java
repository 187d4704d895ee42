package mardun.app.show;

import java.util.List;
import mardun.core.design.Check;
import mardun.core.design.Finding;
import org.jspecify.annotations.Nullable;

/** The forms in which measures, money, times and their workings travel to the interface. */
public final class Views {

    private Views() {}

    /**
     * A length in both units.
     *
     * @param exact without rounding, with its unit, to be edited or sent back
     * @param inch in inches, marked with ≈ if rounded
     * @param metric in centimetres or metres, marked with ≈ if rounded
     */
    public record LengthView(String exact, String inch, String metric) {}

    /**
     * An amount of money in the maker's currency.
     *
     * @param amount as it is written, for instance {@code 11.45}
     * @param minor in minor units, for drawing to scale
     */
    public record MoneyView(String amount, long minor) {}

    /** A time as it is written, {@code 1 h 05}, and in seconds for drawing to scale. */
    public record TimeView(String text, long seconds) {}

    /**
     * An amount of a material.
     *
     * @param length a length, in both units; absent for anything else
     * @param count a number of pieces; absent for anything else
     * @param text as it is read in the maker's units
     * @param exact as it is typed, to be edited or sent back
     * @param value in the smallest units, for drawing to scale
     */
    public record AmountView(
            @Nullable LengthView length, @Nullable Long count, String text, String exact, long value) {}

    /** How a figure came about, in words and numbers of the maker's units. */
    public record WorkingView(
            String rule,
            String expression,
            String calculation,
            String result,
            @Nullable String rounding,
            List<InputView> inputs,
            List<SchoolView> schools) {}

    /** A value put into a rule. */
    public record InputView(
            String symbol,
            String label,
            String value,
            @Nullable WorkingView working) {}

    /** What another school of practice would give. */
    public record SchoolView(String name, String result, boolean chosen) {}

    public record LengthFigure(LengthView value, WorkingView working) {}

    public record MoneyFigure(MoneyView value, WorkingView working) {}

    public record TimeFigure(TimeView value, WorkingView working) {}

    /**
     * Something wrong, or worth a second look, at a place of a form.
     *
     * @param check which check found it; absent for what can't be computed or sewn
     * @param title the check in words
     * @param setAside why the maker set it aside; absent if nobody did
     */
    public record FindingView(
            Finding.Severity severity,
            @Nullable Check check,
            @Nullable String title,
            String place,
            String sentence,
            @Nullable String setAside) {

        /** Something refused that has no check of its own. */
        public static FindingView refused(String place, String sentence) {
            return new FindingView(Finding.Severity.REFUSED, null, null, place, sentence, null);
        }
    }

    /** Two sides of a rectangle. */
    public record SidesView(LengthView wide, LengthView high) {}
}
