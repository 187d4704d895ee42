package mardun.core.formula;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.DoubleUnaryOperator;
import mardun.core.measure.Dimension;
import mardun.core.measure.Quantity;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * The functions of plain arithmetic that formulas may use besides the construction rules. All are exact but for roots
 * (34 digits) and angles (15 decimals), which have no finite form.
 */
public enum Arithmetic {
    MAX("max", "the largest of its values", 2, Integer.MAX_VALUE),
    MIN("min", "the smallest of its values", 2, Integer.MAX_VALUE),
    PICK("pick", "the value that a choice points at: the first for its first option, and so on", 2, Integer.MAX_VALUE),
    ROOT("root", "the side of a square of the given area", 1, 1),
    SIN("sin", "the sine of an angle", 1, 1),
    COS("cos", "the cosine of an angle", 1, 1),
    TAN("tan", "the tangent of an angle", 1, 1),
    ATAN("atan", "the angle whose tangent is given", 1, 1),
    WHOLE_UP("whole_up", "a number rounded up to a whole one", 1, 1),
    WHOLE_DOWN("whole_down", "a number rounded down to a whole one", 1, 1),
    UP_TO("up_to", "the first value rounded up to whole steps of the second", 2, 2);

    static final Quantity PI = Quantity.of(new BigDecimal("3.14159265358979323846264338327950288"));

    private static final int DECIMALS_OF_ANGLES = 15;
    private static final Map<String, Arithmetic> BY_NAME = new TreeMap<>();

    static {
        for (Arithmetic function : values()) {
            BY_NAME.put(function.functionName, function);
        }
    }

    private final String functionName;
    private final String gives;
    private final int least;
    private final int most;

    Arithmetic(String functionName, String gives, int least, int most) {
        this.functionName = functionName;
        this.gives = gives;
        this.least = least;
        this.most = most;
    }

    /** Its name in formulas. */
    public String functionName() {
        return functionName;
    }

    /** What it gives, as the end of a sentence. */
    public String gives() {
        return gives;
    }

    static Set<String> names() {
        return BY_NAME.keySet();
    }

    static boolean knows(String name) {
        return BY_NAME.containsKey(name);
    }

    static Quantity apply(String name, List<Quantity> arguments) {
        Arithmetic function = BY_NAME.get(name);
        if (arguments.size() < function.least || arguments.size() > function.most) {
            throw new FormulaException(name + " takes " + function.takes() + "; part them with a semicolon");
        }
        return function.of(arguments);
    }

    private String takes() {
        if (most > least) {
            return "two values or more";
        }
        return least == 1 ? "one value" : "two values";
    }

    private Quantity of(List<Quantity> arguments) {
        Quantity first = arguments.get(0);
        return switch (this) {
            case MAX ->
                arguments.stream().reduce((a, b) -> a.compare(b) >= 0 ? a : b).orElseThrow();
            case MIN ->
                arguments.stream().reduce((a, b) -> a.compare(b) <= 0 ? a : b).orElseThrow();
            case PICK -> pick(arguments);
            case ROOT -> root(first);
            case SIN -> ofAngle(first, StrictMath::sin);
            case COS -> ofAngle(first, StrictMath::cos);
            case TAN -> ofAngle(first, StrictMath::tan);
            case ATAN ->
                Quantity.angle(finite(StrictMath.toDegrees(
                        StrictMath.atan(wanted(first, Dimension.NUMBER).value().doubleValue()))));
            case WHOLE_UP -> whole(first, RoundingMode.CEILING);
            case WHOLE_DOWN -> whole(first, RoundingMode.FLOOR);
            case UP_TO ->
                whole(first.dividedBy(arguments.get(1)), RoundingMode.CEILING).times(arguments.get(1));
        };
    }

    private Quantity wanted(Quantity quantity, Dimension dimension) {
        if (quantity.dimension() != dimension) {
            throw new FormulaException(functionName + " takes " + dimension.words() + ", and "
                    + quantity.dimension().words() + " stands there");
        }
        return quantity;
    }

    private Quantity pick(List<Quantity> arguments) {
        BigFraction choice = wanted(arguments.get(0), Dimension.NUMBER).value();
        for (int option = 1; option < arguments.size(); option++) {
            if (choice.compareTo(BigFraction.of(option)) == 0) {
                return arguments.get(option);
            }
        }
        throw new FormulaException(
                "picks from " + (arguments.size() - 1) + " values, and the choice has another number of options");
    }

    private static Quantity root(Quantity area) {
        if (area.dimension() != Dimension.AREA && area.dimension() != Dimension.NUMBER) {
            throw new FormulaException(
                    "root takes an area or a number, and " + area.dimension().words() + " stands there");
        }
        if (area.value().signum() < 0) {
            throw new FormulaException("takes the root of less than nothing");
        }
        return area.squareRoot();
    }

    private Quantity ofAngle(Quantity angle, DoubleUnaryOperator function) {
        double radians =
                StrictMath.toRadians(wanted(angle, Dimension.ANGLE).value().doubleValue());
        return Quantity.of(finite(function.applyAsDouble(radians)));
    }

    private BigDecimal finite(double value) {
        if (!Double.isFinite(value)) {
            throw new FormulaException("takes " + functionName + " of an angle beyond all measure");
        }
        return new BigDecimal(value).setScale(DECIMALS_OF_ANGLES, RoundingMode.HALF_EVEN);
    }

    private Quantity whole(Quantity number, RoundingMode mode) {
        return Quantity.of(wanted(number, Dimension.NUMBER).value().bigDecimalValue(0, mode));
    }
}
