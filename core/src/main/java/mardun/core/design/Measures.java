package mardun.core.design;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.core.construction.Constructions;
import mardun.core.formula.Formula;
import mardun.core.formula.FormulaException;
import mardun.core.formula.Scope;
import mardun.core.measure.Dimension;
import mardun.core.measure.DimensionException;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.working.Figure;
import mardun.core.working.Sentence;
import mardun.core.working.Value;
import mardun.core.working.Working;
import org.apache.commons.numbers.fraction.BigFraction;

/** Works the formulas of one size out; what can't be worked out is told among the findings and stays empty. */
final class Measures {

    /** A piece longer than this is surely a slip. */
    static final Length LONGEST_PIECE = Length.of(10, LengthUnit.METRE);

    private static final int MOST_OF_A_COUNT = 10_000;
    private static final Sentence A_LENGTH_OR_A_FORMULA =
            Sentence.of("Type a length like 1/4 in or 6 mm, or a formula over the measurements.");

    /** Formulas are read once; a design that is being edited asks for the same ones with every key. */
    private static final Map<String, Formula> READ = Collections.synchronizedMap(new LinkedHashMap<>(256, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Formula> eldest) {
            return size() > MOST_READ;
        }
    });

    private static final int MOST_READ = 4000;

    private final int size;
    private final Findings findings;
    private final Map<String, Measurement> bySymbol = new LinkedHashMap<>();
    private final Map<String, Optional<Figure<Quantity>>> known = new LinkedHashMap<>();
    private final Set<String> underWay = new LinkedHashSet<>();
    private final Map<SizedDesign.FormulaAt, Quantity> workedOut = new LinkedHashMap<>();

    Measures(List<Measurement> measurements, int size, Findings findings) {
        this.size = size;
        this.findings = findings;
        measurements.forEach(m -> bySymbol.put(m.symbol(), m));
    }

    /** All measurements that could be worked out, by symbol. */
    Map<String, Figure<Quantity>> all() {
        bySymbol.keySet().forEach(this::measurement);
        Map<String, Figure<Quantity>> all = new LinkedHashMap<>();
        bySymbol.keySet().forEach(symbol -> known.get(symbol).ifPresent(figure -> all.put(symbol, figure)));
        return all;
    }

    /** The names that a formula on a piece may use besides the measurements. */
    static Map<String, Quantity> ofThePiece(Extent extent) {
        return Map.of(
                "piece_width", Quantity.of(extent.width()),
                "piece_height", Quantity.of(extent.height()));
    }

    /** A place on a piece; empty where none is typed, or where it isn't a length, which is told. */
    Optional<Length> position(String place, String formula, Map<String, Quantity> own) {
        if (formula.isBlank()) {
            return Optional.empty();
        }
        return evaluate(place, formula, own).flatMap(figure -> {
            boolean isLength = figure.value().dimension() == Dimension.LENGTH;
            if (!isLength) {
                findings.refuse(
                        place,
                        Sentence.of("“" + formula + "” is "
                                + figure.value().dimension().words() + ", and a place on a piece is a length."),
                        Sentence.of("Type a length, or a formula that gives one."));
            }
            return isLength ? Optional.of(figure.value().toLength(ShownRounding.NEAREST)) : Optional.empty();
        });
    }

    /** What every formula came to so far that is more than a single length or number. */
    Map<SizedDesign.FormulaAt, Quantity> workedOut() {
        return Map.copyOf(workedOut);
    }

    /** A measurement, worked out once; empty if it can't be, which is then among the findings. */
    private Optional<Figure<Quantity>> measurement(String symbol) {
        if (known.containsKey(symbol)) {
            return known.get(symbol);
        }
        Measurement measurement = bySymbol.get(symbol);
        underWay.add(symbol);
        String place = "measurements." + symbol;
        Optional<Figure<Quantity>> figure = measurement.kind() == Measurement.Kind.CHOICE
                ? choice(measurement, place)
                : evaluate(place, measurement.valueFor(size)).filter(f -> isUsable(measurement, f.value(), place));
        underWay.remove(symbol);
        known.put(symbol, figure);
        return figure;
    }

    /** The place of the option that a choice stands at for this size, from 0; empty if there is no such choice. */
    OptionalInt option(String symbol) {
        Measurement measurement = bySymbol.get(symbol);
        if (measurement == null || measurement.kind() != Measurement.Kind.CHOICE) {
            return OptionalInt.empty();
        }
        int option = measurement.options().indexOf(measurement.valueFor(size).strip());
        return option < 0 ? OptionalInt.empty() : OptionalInt.of(option);
    }

    private Optional<Figure<Quantity>> choice(Measurement measurement, String place) {
        String chosen = measurement.valueFor(size).strip();
        int option = measurement.options().indexOf(chosen);
        if (option < 0) {
            findings.refuse(
                    place,
                    Sentence.of("“" + chosen + "” isn't one of the ways for " + measurement.label() + "."),
                    Sentence.of("Choose " + String.join(" or ", measurement.options()) + "."));
            return Optional.empty();
        }
        Quantity value = Quantity.of(option + 1L);
        return Optional.of(
                new Figure<>(value, Working.of("As chosen: " + chosen + ".").gives(Value.of(value))));
    }

    private boolean isUsable(Measurement measurement, Quantity value, String place) {
        Dimension wanted = switch (measurement.kind()) {
            case FINISHED, ALLOWANCE -> Dimension.LENGTH;
            case ANGLE -> Dimension.ANGLE;
            case COUNT, FACTOR, CHOICE -> Dimension.NUMBER;
        };
        String typed = "“" + measurement.valueFor(size) + "”";
        if (value.dimension() != wanted) {
            findings.refuse(
                    place,
                    Sentence.of(typed + " is " + value.dimension().words() + ", and " + measurement.label() + " is "
                            + wanted.words() + "."),
                    Sentence.of(
                            switch (wanted) {
                                case LENGTH -> "Give it a unit, like 1/4 in or 6 mm.";
                                case ANGLE -> "Give it in degrees, like 60°.";
                                default -> "Type a plain number.";
                            }));
            return false;
        }
        if (value.value().signum() < 0) {
            findings.refuse(
                    place,
                    Sentence.of("{0} comes to {1}, less than nothing.", Value.of(measurement.label()), Value.of(value)),
                    Sentence.of("Make it zero or more."));
            return false;
        }
        if (wanted == Dimension.LENGTH && value.compare(Quantity.of(LONGEST_PIECE)) > 0) {
            findings.refuse(
                    place,
                    Sentence.of(
                            "{0} comes to {1}, longer than any cloth.", Value.of(measurement.label()), Value.of(value)),
                    Sentence.of("Check the unit."));
            return false;
        }
        if (wanted == Dimension.ANGLE && value.value().compareTo(BigFraction.of(180)) >= 0) {
            findings.refuse(
                    place,
                    Sentence.of("{0} comes to {1}.", Value.of(measurement.label()), Value.of(value)),
                    Sentence.of("An angle is less than 180°."));
            return false;
        }
        if (measurement.kind() == Measurement.Kind.COUNT && !isCount(value)) {
            findings.refuse(
                    place,
                    Sentence.of("{0} comes to {1}.", Value.of(measurement.label()), Value.of(value)),
                    Sentence.of("It is a whole number of things; make it one."));
            return false;
        }
        return true;
    }

    private static boolean isCount(Quantity value) {
        return value.dimension() == Dimension.NUMBER
                && value.value().getDenominator().equals(BigInteger.ONE)
                && value.value().signum() >= 0
                && value.value().compareTo(BigFraction.of(MOST_OF_A_COUNT)) <= 0;
    }

    /** How many, as a formula says: a whole number, none or more. */
    OptionalLong count(String place, String formula) {
        Optional<Figure<Quantity>> figure = evaluate(place, formula);
        if (figure.isEmpty()) {
            return OptionalLong.empty();
        }
        Quantity value = figure.get().value();
        if (!isCount(value)) {
            findings.refuse(
                    place,
                    Sentence.of("“{0}” comes to {1}, and things are counted here.", Value.of(formula), Value.of(value)),
                    Sentence.of("Type a whole number, or a formula that gives one."));
            return OptionalLong.empty();
        }
        return OptionalLong.of(value.value().longValue());
    }

    /** A length that something is cut to: more than nothing, and not longer than any cloth. */
    Optional<Figure<Length>> cutLength(String place, String what, String formula, ShownRounding rounding) {
        return evaluate(place, formula)
                .flatMap(figure -> rounded(place, figure, rounding)
                        .filter(length -> canBeCut(place, what, length))
                        .map(length -> new Figure<>(length, figure.working())));
    }

    /** Whether something of that length can be cut; if not, it is told. */
    boolean canBeCut(String place, String what, Length length) {
        if (!length.isPositive()) {
            findings.refuse(
                    place,
                    Sentence.of("{0} comes to {1}; nothing can be cut like that.", Value.of(what), Value.of(length)),
                    Sentence.of("Make the bag larger, or the allowances smaller."));
            return false;
        }
        if (length.isLongerThan(LONGEST_PIECE)) {
            findings.refuse(
                    place,
                    Sentence.of("{0} comes to {1}, longer than any cloth.", Value.of(what), Value.of(length)),
                    Sentence.of("Check the unit of the measurements."));
            return false;
        }
        return true;
    }

    /** The size that something over size is trimmed to. */
    Optional<Extent> trimTo(String place, Piece.TrimTo to) {
        Optional<Figure<Length>> width =
                cutLength(place + ".trimTo.width", "The width to trim to", to.width(), ShownRounding.UP);
        Optional<Figure<Length>> height =
                cutLength(place + ".trimTo.height", "The height to trim to", to.height(), ShownRounding.UP);
        return width.flatMap(w -> height.map(h -> new Extent(w.value(), h.value())));
    }

    private Optional<Length> rounded(String place, Figure<Quantity> figure, ShownRounding rounding) {
        try {
            return Optional.of(figure.value().toLength(rounding));
        } catch (DimensionException notALength) {
            findings.refuse(
                    place,
                    Sentence.of("The formula " + notALength.getMessage() + "."),
                    Sentence.of("Lengths that are added must all have a unit."));
            return Optional.empty();
        }
    }

    /** A length of zero or more, exact; an empty formula is nothing. */
    Optional<Quantity> length(String place, String formula) {
        if (formula.isBlank()) {
            return Optional.of(Sewn.NOTHING);
        }
        return evaluate(place, formula).map(Figure::value).filter(value -> {
            if (value.dimension() != Dimension.LENGTH) {
                findings.refuse(
                        place,
                        Sentence.of("“" + formula + "” is " + value.dimension().words() + ", and a length is wanted."),
                        A_LENGTH_OR_A_FORMULA);
                return false;
            }
            if (value.value().signum() < 0) {
                findings.refuse(
                        place,
                        Sentence.of("“{0}” comes to {1}, less than nothing.", Value.of(formula), Value.of(value)),
                        Sentence.of("Make it zero or more."));
                return false;
            }
            return true;
        });
    }

    /** A length to the nearest nanometre; an empty formula gives nothing to look at. */
    Optional<Length> stated(String place, String formula) {
        return formula.isBlank()
                ? Optional.empty()
                : length(place, formula).map(quantity -> quantity.toLength(ShownRounding.NEAREST));
    }

    /** A formula worked out; empty if it can't be, with the reason among the findings unless it was told already. */
    Optional<Figure<Quantity>> evaluate(String place, String text) {
        return evaluate(place, text, Map.of());
    }

    /** A formula in which some more names are known than the measurements. */
    Optional<Figure<Quantity>> evaluate(String place, String text, Map<String, Quantity> more) {
        try {
            Formula formula = read(text);
            for (String name : formula.names()) {
                if (underWay.contains(name)) {
                    throw new FormulaException("goes in a circle: "
                            + circle(name).stream().map(this::label).collect(Collectors.joining(" → ")));
                }
                if (!more.containsKey(name)
                        && bySymbol.containsKey(name)
                        && measurement(name).isEmpty()) {
                    return Optional.empty();
                }
            }
            Figure<Quantity> figure = formula.evaluate(scope(more));
            if (!formula.isLiteral()) {
                boolean isSameEverywhere = formula.names().stream().noneMatch(more::containsKey);
                workedOut.put(
                        new SizedDesign.FormulaAt(isSameEverywhere ? Optional.empty() : Optional.of(place), text),
                        figure.value());
            }
            return Optional.of(figure);
        } catch (FormulaException bad) {
            String where = bad.position().isPresent()
                    ? " (at character " + (bad.position().getAsInt() + 1) + ")"
                    : "";
            findings.refuse(
                    place, Sentence.of("“" + text + "” " + bad.getMessage() + where + "."), A_LENGTH_OR_A_FORMULA);
            return Optional.empty();
        }
    }

    private static Formula read(String text) {
        Formula known = READ.get(text);
        if (known == null) {
            known = Formula.parse(text, Constructions.BY_NAME);
            READ.put(text, known);
        }
        return known;
    }

    private List<String> circle(String name) {
        List<String> chain = new ArrayList<>(underWay);
        List<String> circle = new ArrayList<>(chain.subList(chain.indexOf(name), chain.size()));
        circle.add(name);
        return circle;
    }

    private String label(String symbol) {
        return bySymbol.get(symbol).label();
    }

    private Scope scope(Map<String, Quantity> more) {
        return symbol -> Optional.ofNullable(more.get(symbol))
                .map(quantity -> new Scope.Entry(symbol.replace('_', ' '), quantity, Optional.empty()))
                .or(() -> Optional.ofNullable(bySymbol.get(symbol)).flatMap(this::entry));
    }

    private Optional<Scope.Entry> entry(Measurement measurement) {
        return measurement(measurement.symbol())
                .map(figure -> new Scope.Entry(
                        measurement.label(),
                        figure.value(),
                        isEntered(measurement) ? Optional.empty() : Optional.of(figure.working())));
    }

    private boolean isEntered(Measurement measurement) {
        return measurement.kind() == Measurement.Kind.CHOICE
                || read(measurement.valueFor(size)).isLiteral();
    }
}
