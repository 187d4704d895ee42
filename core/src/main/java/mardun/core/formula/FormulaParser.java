package mardun.core.formula;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mardun.core.formula.Expression.Binary;
import mardun.core.formula.Expression.Call;
import mardun.core.formula.Expression.Literal;
import mardun.core.formula.Expression.Name;
import mardun.core.formula.Expression.Negative;
import mardun.core.formula.Expression.Operator;
import mardun.core.measure.Characters;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.MeasureException;
import mardun.core.measure.NumberReader;
import mardun.core.measure.Quantity;

/**
 * Reads formulas: names, numbers, lengths with units ({@code 1/4 in}, {@code 2,5 cm}), angles ({@code 60°}), pi, the
 * four operations, brackets and functions whose arguments are parted by semicolons, or by commas with a space behind.
 */
final class FormulaParser {

    private static final Pattern SPACE = Pattern.compile("[\\s\\u00a0]*");
    private static final Pattern LENGTH = Pattern.compile(
            "(?:[0-9]+(?: +|-))?[0-9]+ */ *[0-9]+ *(?<u>[a-z]+|\")(?![\\w(])"
                    + "|(?:[0-9]+[.,][0-9]+|[0-9]+) *(?<v>[a-z]+|\")(?![\\w(])"
                    + "|(?:[0-9]+(?: *|-))?[¼½¾⅓⅔⅛⅜⅝⅞] *(?<w>[a-z]+|\")(?![\\w(])",
            Pattern.UNICODE_CHARACTER_CLASS);
    private static final Pattern ANGLE = Pattern.compile(
            "(?<degrees>[0-9]+[.,][0-9]+|[0-9]+) *(?:°|deg(?![\\w(]))", Pattern.UNICODE_CHARACTER_CLASS);
    private static final String PI = "π";
    private static final Pattern NUMBER = Pattern.compile("[0-9]+[.,][0-9]+|[0-9]+");
    private static final Pattern NAME = Pattern.compile("π|[\\p{L}][\\p{L}\\p{M}\\p{N}_]*");
    private static final int DEEPEST = 60;
    private static final int MOST_CHARACTERS = 500;

    private final String text;
    private int at;
    private int depth;
    private boolean multiplies;

    private FormulaParser(String text) {
        this.text = text;
    }

    static Expression parse(String text) {
        if (text.isBlank()) {
            throw new FormulaException("is empty", 0);
        }
        if (text.length() > MOST_CHARACTERS) {
            throw new FormulaException("is longer than " + MOST_CHARACTERS + " characters", MOST_CHARACTERS);
        }
        FormulaParser parser = new FormulaParser(Characters.plainMarks(text));
        Expression expression = parser.sum();
        parser.skipSpace();
        if (parser.at < text.length()) {
            throw new FormulaException(
                    "can't be read from “" + text.substring(parser.at) + "” on: an operation such as + is missing",
                    parser.at);
        }
        return expression;
    }

    private Expression sum() {
        if (++depth > DEEPEST) {
            throw new FormulaException("has too many brackets within brackets", at);
        }
        Expression left = product();
        while (true) {
            if (take('+')) {
                left = new Binary(Operator.ADD, left, product());
            } else if (take('-') || take('−')) {
                left = new Binary(Operator.SUBTRACT, left, product());
            } else {
                depth--;
                return left;
            }
        }
    }

    private Expression product() {
        Expression left = factor();
        while (true) {
            if (take('*') || take('×')) {
                left = new Binary(Operator.MULTIPLY, left, multiplier());
            } else if (take('/') || take('÷')) {
                left = new Binary(Operator.DIVIDE, left, multiplier());
            } else {
                return left;
            }
        }
    }

    /** What stands behind × or ÷: in {@code width * 2-1/2 in} the hyphen takes away, while {@code 2-1/2 in} alone is a length. */
    private Expression multiplier() {
        multiplies = true;
        Expression factor = factor();
        multiplies = false;
        return factor;
    }

    private Expression factor() {
        boolean negative = false;
        while (take('-') || take('−')) {
            negative = !negative;
        }
        Expression factor = primary();
        return negative ? new Negative(factor) : factor;
    }

    private Expression primary() {
        skipSpace();
        int start = at;
        Matcher angle = matcher(ANGLE);
        if (angle.lookingAt()) {
            BigDecimal degrees = number(angle.group("degrees"));
            at = angle.end();
            return new Literal(Quantity.angle(degrees), angle.group());
        }
        Optional<Expression> length = length();
        if (length.isPresent()) {
            return length.get();
        }
        Matcher number = matcher(NUMBER);
        if (number.lookingAt()) {
            BigDecimal read = number(number.group());
            at = number.end();
            return new Literal(Quantity.of(read), number.group());
        }
        Matcher name = matcher(NAME);
        if (name.lookingAt()) {
            at = name.end();
            if (name.group().equals(PI) || name.group().equals("pi")) {
                return new Literal(Arithmetic.PI, PI);
            }
            return take('(') ? new Call(name.group(), arguments(), start) : new Name(name.group(), start);
        }
        if (take('(')) {
            multiplies = false;
            Expression inner = sum();
            if (!take(')')) {
                throw new FormulaException("has a bracket that isn't closed", start);
            }
            return inner;
        }
        throw new FormulaException(
                start == text.length()
                        ? "ends where a measurement or a number is wanted"
                        : "has “" + text.charAt(start) + "” where a measurement or a number is wanted",
                start);
    }

    private BigDecimal number(String digits) {
        try {
            return NumberReader.read(digits);
        } catch (MeasureException bad) {
            throw new FormulaException("has “" + bad.read() + "”, which " + bad.why(), at);
        }
    }

    private Optional<Expression> length() {
        Matcher literal = matcher(LENGTH);
        boolean hyphened = literal.lookingAt() && literal.group().indexOf('-') > 0;
        if (!literal.lookingAt() || (hyphened && multiplies)) {
            return Optional.empty();
        }
        String unit = Optional.ofNullable(literal.group("u"))
                .or(() -> Optional.ofNullable(literal.group("v")))
                .orElseGet(() -> literal.group("w"));
        if (LengthUnit.named(unit).isEmpty()) {
            throw new FormulaException(
                    "has “" + unit + "” where a unit or an operation stands; units are in, ft, yd, mm, cm and m",
                    literal.end() - unit.length());
        }
        int start = at;
        at = literal.end();
        try {
            return Optional.of(new Literal(
                    Quantity.of(LengthReader.read(literal.group(), LengthUnit.INCH)),
                    literal.group().strip()));
        } catch (MeasureException bad) {
            throw new FormulaException("has “" + bad.read() + "”, which " + bad.why(), start);
        }
    }

    private List<Expression> arguments() {
        List<Expression> arguments = new ArrayList<>();
        multiplies = false;
        if (take(')')) {
            return arguments;
        }
        do {
            arguments.add(sum());
        } while (take(',') || take(';'));
        if (!take(')')) {
            throw new FormulaException("has a function whose bracket isn't closed", at);
        }
        return List.copyOf(arguments);
    }

    private boolean take(char wanted) {
        skipSpace();
        if (at < text.length() && text.charAt(at) == wanted) {
            at++;
            return true;
        }
        return false;
    }

    private void skipSpace() {
        Matcher space = matcher(SPACE);
        if (space.lookingAt()) {
            at = space.end();
        }
    }

    private Matcher matcher(Pattern pattern) {
        return pattern.matcher(text).region(at, text.length());
    }
}
