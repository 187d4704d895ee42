package mardun.app.show;

import java.util.List;
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

    /** An amount of a material: a length in both units, or a count. */
    public record AmountView(
            @Nullable LengthView length, @Nullable Long count, long value) {}

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

    /** Something wrong, or worth a second look, at a place of a form. */
    public record FindingView(Finding.Severity severity, String place, String sentence) {}
}
