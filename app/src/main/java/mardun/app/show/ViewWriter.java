package mardun.app.show;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import mardun.app.show.Views.AmountView;
import mardun.app.show.Views.FindingView;
import mardun.app.show.Views.InputView;
import mardun.app.show.Views.LengthFigure;
import mardun.app.show.Views.LengthView;
import mardun.app.show.Views.MoneyFigure;
import mardun.app.show.Views.MoneyView;
import mardun.app.show.Views.SchoolView;
import mardun.app.show.Views.TimeFigure;
import mardun.app.show.Views.TimeView;
import mardun.app.show.Views.WorkingView;
import mardun.core.design.Check;
import mardun.core.design.Finding;
import mardun.core.material.Amount;
import mardun.core.measure.BulkUnit;
import mardun.core.measure.BulkWriter;
import mardun.core.measure.Dimension;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.LengthWriter;
import mardun.core.measure.Quantity;
import mardun.core.measure.Shown;
import mardun.core.measure.ShownRounding;
import mardun.core.measure.UnitSystem;
import mardun.core.working.Figure;
import mardun.core.working.Sentence;
import mardun.core.working.Value;
import mardun.core.working.Working;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;

/**
 * Writes the core's figures in the maker's units.
 *
 * @param system the maker's own units, used in sentences and workings
 * @param lengths how finely inches are shown
 * @param mark the mark before decimals
 */
public record ViewWriter(UnitSystem system, LengthWriter lengths, CurrencyUnit currency, DecimalMark mark) {

    /** One that writes decimals with a point. */
    public ViewWriter(UnitSystem system, LengthWriter lengths, CurrencyUnit currency) {
        this(system, lengths, currency, DecimalMark.POINT);
    }

    private static final int EXACT_MONEY_DECIMALS = 2;

    public LengthView length(BigFraction nanometres, ShownRounding rounding) {
        return new LengthView(
                mark.in(LengthWriter.exactly(Length.rounded(nanometres, rounding.mode()), system)),
                mark.in(lengths.write(nanometres, UnitSystem.INCH, rounding).marked()),
                mark.in(lengths.write(nanometres, UnitSystem.METRIC, rounding).marked()));
    }

    public LengthView length(Length length, ShownRounding rounding) {
        return length(length.exact(), rounding);
    }

    /** A length of cloth or tape from the shelf. */
    public LengthView longLength(Length length, ShownRounding rounding) {
        return new LengthView(
                mark.in(LengthWriter.exactlyLong(new Length(Math.abs(length.nanometres())), system)),
                mark.in(lengths.writeLong(length, UnitSystem.INCH, rounding).marked()),
                mark.in(lengths.writeLong(length, UnitSystem.METRIC, rounding).marked()));
    }

    public AmountView amount(Amount amount) {
        String text = text(amount.shown());
        return switch (amount.counting()) {
            case LENGTH -> {
                LengthView length = longLength(new Length(amount.value()), ShownRounding.NEAREST);
                yield new AmountView(length, null, text, length.exact(), amount.value());
            }
            case PIECES -> new AmountView(null, amount.value(), text, Long.toString(amount.value()), amount.value());
            case WEIGHT -> new AmountView(null, null, text, exact(amount, BulkUnit.GRAM), amount.value());
            case VOLUME -> new AmountView(null, null, text, exact(amount, BulkUnit.MILLILITRE), amount.value());
        };
    }

    private String exact(Amount amount, BulkUnit unit) {
        return mark.in(BigDecimal.valueOf(amount.value())
                        .divide(BigDecimal.valueOf(unit.amount()))
                        .stripTrailingZeros()
                        .toPlainString()
                + " " + unit.symbol());
    }

    public MoneyView money(Money money) {
        return new MoneyView(mark.in(moneyText(money)), money.getAmountMinorLong());
    }

    public MoneyView money(long minor) {
        return money(Money.ofMinor(currency, minor));
    }

    public TimeView time(Duration duration) {
        return new TimeView(mark.in(timeText(duration)), duration.toSeconds());
    }

    /** What is more than something else, or less: {@code +3.40}, {@code −3.40}. */
    public String more(Money money) {
        return signed(money.isNegative(), money(money.abs()).amount());
    }

    /** The same of a time: {@code +12 min}. */
    public String more(Duration duration) {
        return signed(duration.isNegative(), time(duration.abs()).text());
    }

    /** The same of an amount of a material. */
    public String more(Amount amount) {
        boolean less = amount.isNegative();
        return signed(
                less,
                amount(less ? Amount.none(amount.counting()).minus(amount) : amount)
                        .text());
    }

    private static String signed(boolean less, String text) {
        return (less ? "−" : "+") + text;
    }

    /** How large a file is: {@code 812 kB}, {@code 4.3 MB}; at least one kilobyte. */
    public String size(long bytes) {
        long kilobytes = Math.max(1, Math.round(bytes / 1000.0));
        return kilobytes < 1000
                ? kilobytes + " kB"
                : decimal(BigDecimal.valueOf(kilobytes).movePointLeft(3).setScale(1, RoundingMode.HALF_UP)) + " MB";
    }

    /** A time in hours as it is typed, to the hundredth: {@code 2.5}. */
    public String hours(Duration duration) {
        return mark.in(BigDecimal.valueOf(duration.toSeconds())
                .divide(BigDecimal.valueOf(Duration.ofHours(1).toSeconds()), 2, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString());
    }

    /** A cut size, shown rounded in the direction that keeps it safe. */
    public LengthFigure cutSize(Figure<Length> figure, ShownRounding rounding) {
        Working exact = figure.working();
        Working told = new Working(
                exact.rule(),
                exact.expression(),
                exact.inputs(),
                new Value.Measured(Quantity.of(figure.value()), rounding),
                lengths.write(figure.value(), system, rounding).rounded()
                        ? Optional.of("shown " + rounding.words())
                        : exact.rounding(),
                exact.schools());
        return new LengthFigure(length(figure.value(), rounding), working(told));
    }

    public LengthFigure measured(Figure<Quantity> figure, ShownRounding rounding) {
        return new LengthFigure(length(figure.value().value(), rounding), working(figure.working()));
    }

    public MoneyFigure money(Figure<Money> figure) {
        return new MoneyFigure(money(figure.value()), working(figure.working()));
    }

    public TimeFigure time(Figure<Duration> figure) {
        return new TimeFigure(time(figure.value()), working(figure.working()));
    }

    public FindingView finding(Finding finding) {
        return new FindingView(
                finding.severity(),
                finding.check().orElse(null),
                finding.check().map(Check::title).orElse(null),
                finding.place(),
                sentence(finding.what()) + " " + sentence(finding.remedy()),
                finding.setAside().orElse(null));
    }

    public String sentence(Sentence sentence) {
        List<Value> values = sentence.values();
        if (values.isEmpty()) {
            return sentence.template();
        }
        List<String> texts = apart(values);
        return filled(sentence.template(), index -> texts.get(Integer.parseInt(index)));
    }

    /** The values of a sentence; lengths that differ and would read alike are told as fine as their difference needs. */
    private List<String> apart(List<Value> values) {
        List<String> texts = new ArrayList<>();
        for (Value value : values) {
            String own = text(value);
            boolean readsLikeAnother = value instanceof Value.Measured
                    && values.stream()
                            .anyMatch(
                                    other -> !other.equals(value) && text(other).equals(own));
            texts.add(readsLikeAnother ? exactly((Value.Measured) value) : own);
        }
        return texts;
    }

    private String exactly(Value.Measured measured) {
        if (measured.quantity().dimension() != Dimension.LENGTH) {
            return measuredText(measured);
        }
        return mark.in(LengthWriter.exactly(measured.quantity().toLength(ShownRounding.NEAREST), system));
    }

    public WorkingView working(Working working) {
        return working(working, new Opened());
    }

    /** How much of a working is told: it can be opened so deep, and so far in all; what lies beyond stands as its value. */
    private static final class Opened {
        private static final int DEEPEST = 20;
        private static final int MOST = 400;
        private int count;
        private int depth;

        private boolean opensMore() {
            return depth < DEEPEST && count < MOST;
        }
    }

    private @Nullable WorkingView opened(Working working, Opened opened) {
        if (!opened.opensMore()) {
            return null;
        }
        opened.depth++;
        WorkingView view = working(working, opened);
        opened.depth--;
        return view;
    }

    private WorkingView working(Working working, Opened opened) {
        opened.count++;
        Map<String, String> values = new LinkedHashMap<>();
        working.inputs().forEach(input -> values.put(input.symbol(), text(input.value())));
        String calculation = filled(working.expression(), symbol -> values.getOrDefault(symbol, symbol));
        return new WorkingView(
                working.rule(),
                labelled(working),
                calculation,
                text(working.result()),
                working.rounding().orElse(null),
                working.inputs().stream()
                        .map(input -> new InputView(
                                input.symbol(),
                                input.label(),
                                text(input.value()),
                                input.working().map(one -> opened(one, opened)).orElse(null)))
                        .toList(),
                working.schools().stream()
                        .map(school -> new SchoolView(school.name(), text(school.result()), school.chosen()))
                        .toList());
    }

    /** The expression with the inputs' labels in the place of their symbols. */
    private static String labelled(Working working) {
        Map<String, String> labels = new LinkedHashMap<>();
        working.inputs().forEach(input -> labels.put(input.symbol(), input.label()));
        return filled(working.expression(), symbol -> labels.getOrDefault(symbol, symbol));
    }

    /** A template with each {@code {symbol}} filled in. */
    private static String filled(String template, UnaryOperator<String> value) {
        StringBuilder text = new StringBuilder(template.length() + 32);
        int at = 0;
        for (int open = template.indexOf('{'); open >= 0; open = template.indexOf('{', at)) {
            int close = template.indexOf('}', open);
            text.append(template, at, open).append(value.apply(template.substring(open + 1, close)));
            at = close + 1;
        }
        return text.append(template, at, template.length()).toString();
    }

    /** A value as it stands in a sentence or a working; what somebody typed stays as it was typed. */
    public String text(Value value) {
        return value instanceof Value.Text text ? text.text() : mark.in(plainText(value));
    }

    private String plainText(Value value) {
        if (value instanceof Value.Measured measured) {
            return measuredText(measured);
        } else if (value instanceof Value.OnTheShelf onTheShelf) {
            return lengths.writeLong(onTheShelf.length(), system, ShownRounding.NEAREST)
                    .marked();
        } else if (value instanceof Value.Thickness thickness) {
            return BigDecimal.valueOf(thickness.length().nanometres())
                            .divide(BigDecimal.valueOf(LengthUnit.MILLIMETRE.nanometres()), 1, RoundingMode.HALF_UP)
                            .stripTrailingZeros()
                            .toPlainString()
                    + " mm";
        } else if (value instanceof Value.Filled filled) {
            return BulkWriter.write(filled.bulk(), system).marked();
        } else if (value instanceof Value.Sum sum) {
            return moneyText(sum.money());
        } else if (value instanceof Value.ExactSum exact) {
            int decimals = currency.getDecimalPlaces() + EXACT_MONEY_DECIMALS;
            BigDecimal amount = exact.minorUnits()
                    .bigDecimalValue(EXACT_MONEY_DECIMALS, RoundingMode.HALF_UP)
                    .movePointLeft(currency.getDecimalPlaces());
            BigDecimal plain =
                    amount.setScale(decimals, RoundingMode.UNNECESSARY).stripTrailingZeros();
            return plain.setScale(Math.max(plain.scale(), currency.getDecimalPlaces()), RoundingMode.UNNECESSARY)
                    .toPlainString();
        } else if (value instanceof Value.Time time) {
            return timeText(time.duration());
        } else if (value instanceof Value.Count count) {
            return Long.toString(count.count());
        } else if (value instanceof Value.Factor factor) {
            return decimal(factor.factor());
        }
        return percent(((Value.Share) value).share());
    }

    /** A plain number, with the maker's mark. */
    public String decimal(BigDecimal number) {
        return mark.in(number.stripTrailingZeros().toPlainString());
    }

    /** A share as a percentage: 0.08 becomes {@code 8 %}, 0.125 with a comma {@code 12,5 %}. */
    public String percent(BigDecimal share) {
        return decimal(share.movePointRight(2)) + " %";
    }

    private String measuredText(Value.Measured measured) {
        Quantity quantity = measured.quantity();
        if (quantity.dimension() == Dimension.LENGTH) {
            Shown shown = lengths.write(quantity.value(), system, measured.rounding());
            return shown.marked();
        }
        BigDecimal number = quantity.dimension() == Dimension.AREA
                ? quantity.value()
                        .divide(BigFraction.of(system.smallUnit().nanometres()).pow(2))
                        .bigDecimalValue(2, RoundingMode.HALF_UP)
                : quantity.value().bigDecimalValue(4, RoundingMode.HALF_UP);
        String unit = switch (quantity.dimension()) {
            case AREA -> " " + system.smallUnit().symbol() + "²";
            case ANGLE -> "°";
            default -> "";
        };
        return decimal(number) + unit;
    }

    private static String moneyText(Money money) {
        return money.getAmount().toPlainString().replace('-', '−');
    }

    /** {@code 21 min}, {@code 2 h}, {@code 1 h 05}, {@code 13 h 54}; to the minute, below ten minutes with half ones. */
    private static String timeText(Duration duration) {
        long seconds = duration.toSeconds();
        if (seconds < 600) {
            BigDecimal minutes = BigDecimal.valueOf(seconds)
                    .divide(BigDecimal.valueOf(60), 1, RoundingMode.HALF_UP)
                    .stripTrailingZeros();
            return minutes.toPlainString() + " min";
        }
        long minutes = Math.round(seconds / 60.0);
        if (minutes < 60) {
            return minutes + " min";
        }
        return minutes / 60 + " h" + (minutes % 60 == 0 ? "" : String.format(" %02d", minutes % 60));
    }
}
