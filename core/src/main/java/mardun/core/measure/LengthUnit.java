package mardun.core.measure;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The units in which cloth, patterns, rulers and zips come. 1 in is 25.4 mm exactly, 1 yd is 36 in. */
public enum LengthUnit {
    MILLIMETRE(1_000_000L, UnitSystem.METRIC, "mm", List.of("millimetre", "millimetres", "millimeter", "millimeters")),
    CENTIMETRE(10_000_000L, UnitSystem.METRIC, "cm", List.of("centimetre", "centimetres", "centimeter", "centimeters")),
    METRE(1_000_000_000L, UnitSystem.METRIC, "m", List.of("metre", "metres", "meter", "meters")),
    INCH(25_400_000L, UnitSystem.INCH, "in", List.of("inch", "inches", "\"", "ins")),
    FOOT(304_800_000L, UnitSystem.INCH, "ft", List.of("foot", "feet", "'")),
    YARD(914_400_000L, UnitSystem.INCH, "yd", List.of("yard", "yards", "yds"));

    private final long nanometres;
    private final UnitSystem system;
    private final String symbol;
    private final List<String> otherNames;

    LengthUnit(long nanometres, UnitSystem system, String symbol, List<String> otherNames) {
        this.nanometres = nanometres;
        this.system = system;
        this.symbol = symbol;
        this.otherNames = otherNames;
    }

    public long nanometres() {
        return nanometres;
    }

    public UnitSystem system() {
        return system;
    }

    public String symbol() {
        return symbol;
    }

    /** The unit that people write as {@code name}, in any case: {@code in}, {@code inches}, {@code "}, {@code cm} … */
    public static Optional<LengthUnit> named(String name) {
        String wanted = name.toLowerCase(Locale.ROOT);
        for (LengthUnit unit : values()) {
            if (unit.symbol.equals(wanted) || unit.otherNames.contains(wanted)) {
                return Optional.of(unit);
            }
        }
        return Optional.empty();
    }
}
