package mardun.core.measure;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The units in which fillings are weighed and measured out; volumes in inches' lands are the US ones. */
public enum BulkUnit {
    GRAM(Bulk.Kind.WEIGHT, 1_000_000_000L, UnitSystem.METRIC, "g", List.of("gram", "grams", "gr")),
    KILOGRAM(Bulk.Kind.WEIGHT, 1_000_000_000_000L, UnitSystem.METRIC, "kg", List.of("kilo", "kilos")),
    OUNCE(Bulk.Kind.WEIGHT, 28_349_523_125L, UnitSystem.INCH, "oz", List.of("ounce", "ounces")),
    POUND(Bulk.Kind.WEIGHT, 453_592_370_000L, UnitSystem.INCH, "lb", List.of("lbs", "pound", "pounds")),
    MILLILITRE(Bulk.Kind.VOLUME, 1_000_000_000_000L, UnitSystem.METRIC, "ml", List.of("millilitre", "milliliter")),
    LITRE(Bulk.Kind.VOLUME, 1_000_000_000_000_000L, UnitSystem.METRIC, "l", List.of("litre", "liter", "litres")),
    FLUID_OUNCE(Bulk.Kind.VOLUME, 29_573_529_562_500L, UnitSystem.INCH, "fl oz", List.of("floz")),
    CUP(Bulk.Kind.VOLUME, 236_588_236_500_000L, UnitSystem.INCH, "cup", List.of("cups"));

    private final Bulk.Kind kind;
    private final long amount;
    private final UnitSystem system;
    private final String symbol;
    private final List<String> otherNames;

    BulkUnit(Bulk.Kind kind, long amount, UnitSystem system, String symbol, List<String> otherNames) {
        this.kind = kind;
        this.amount = amount;
        this.system = system;
        this.symbol = symbol;
        this.otherNames = otherNames;
    }

    public Bulk.Kind kind() {
        return kind;
    }

    /** Nanograms or femtolitres. */
    public long amount() {
        return amount;
    }

    public UnitSystem system() {
        return system;
    }

    public String symbol() {
        return symbol;
    }

    /** The unit that people write as {@code name}, in any case. */
    public static Optional<BulkUnit> named(String name) {
        String wanted = name.toLowerCase(Locale.ROOT).replaceAll("\\s+", " ").replace(".", "");
        for (BulkUnit unit : values()) {
            if (unit.symbol.equals(wanted) || unit.otherNames.contains(wanted)) {
                return Optional.of(unit);
            }
        }
        return Optional.empty();
    }
}
