package mardun.app.selling;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import mardun.app.problem.Days;
import mardun.app.problem.FieldReader;
import mardun.app.selling.FairViews.FairForm;
import mardun.app.settings.Settings;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.TimeOfDayReader;
import mardun.core.measure.UnitSystem;
import mardun.core.selling.FairCosts;
import org.joda.money.Money;

/**
 * What is known of a fair, as it is reckoned with.
 *
 * @param there at the stall, setting up and clearing away included
 * @param onTheWay there and back
 * @param tableWide nothing where nobody said
 */
record FairFacts(
        FairCosts costs,
        Duration there,
        Duration onTheWay,
        Length tableWide,
        Length tableDeep,
        Length gridWide,
        Length gridHigh) {

    private static final BigDecimal MOST_HOURS = BigDecimal.valueOf(500);
    private static final BigDecimal FARTHEST = BigDecimal.valueOf(40_000);
    private static final int SECONDS_PER_HOUR = 3600;
    private static final int LONGEST_FAIR = 31;
    private static final int LONGEST_NAME = 120;
    private static final int LONGEST_PLACE = 80;
    private static final Length WIDEST = Length.of(5_000, LengthUnit.CENTIMETRE);

    /** Reads what was typed; what is wrong with it is gathered by the reader. */
    static FairFacts read(FairForm form, FieldReader fields, Settings current) {
        fields.text("name", form.name(), LONGEST_NAME);
        if (form.series().strip().length() > LONGEST_NAME) {
            fields.refuse("series", form.series(), "Use at most " + LONGEST_NAME + " characters.");
        }
        fields.text("stallPlace", form.stallPlace(), LONGEST_PLACE);
        long days = days(form, fields);
        Optional<LocalTime> opens = time("opensAt", form.opensAt(), fields);
        Optional<LocalTime> closes = time("closesAt", form.closesAt(), fields);
        Duration open = Duration.ZERO;
        if (opens.isPresent() && closes.isPresent()) {
            if (!closes.get().isAfter(opens.get())) {
                fields.refuse(
                        "closesAt",
                        form.closesAt(),
                        "It closes at " + form.closesAt() + " and opens at " + form.opensAt() + ". Type a later time.");
            } else {
                open = Duration.between(opens.get(), closes.get()).multipliedBy(days);
            }
        }
        Duration there = open.plus(hours("setUpHours", form.setUpHours(), fields));
        FairCosts costs = new FairCosts(
                money("fee", form.fee(), fields, current),
                travel(form, fields, current),
                money("sleep", form.sleep(), fields, current),
                money("food", form.food(), fields, current),
                money("helpersPaid", form.helpersPaid(), fields, current),
                money("other", form.other(), fields, current));
        Money deposit = money("deposit", form.deposit(), fields, current);
        if (deposit.isGreaterThan(costs.stall()) && !form.fee().isBlank()) {
            fields.refuse("deposit", form.deposit(), "The deposit is more than the fee that it is a part of.");
        }
        return new FairFacts(
                costs,
                there,
                hours("wayHours", form.wayHours(), fields),
                length("tableWide", form.tableWide(), fields, current),
                length("tableDeep", form.tableDeep(), fields, current),
                length("gridWide", form.gridWide(), fields, current),
                length("gridHigh", form.gridHigh(), fields, current));
    }

    private static long days(FairForm form, FieldReader fields) {
        if (!Days.isPossible(form.heldOn())) {
            fields.refuse("heldOn", form.heldOn().toString(), "This day can’t be used. Check the year.");
            return 1;
        }
        long days = ChronoUnit.DAYS.between(form.heldOn(), form.lastDay()) + 1;
        if (days < 1) {
            fields.refuse("endsOn", form.lastDay().toString(), "It ends before it begins. Type a later day.");
            return 1;
        }
        if (days > LONGEST_FAIR) {
            fields.refuse("endsOn", form.lastDay().toString(), "This is " + days + " days. Check the month.");
            return 1;
        }
        return days;
    }

    private static Money travel(FairForm form, FieldReader fields, Settings current) {
        BigDecimal distance = number("distance", form.distance(), FARTHEST, fields);
        BigDecimal each = number("perDistance", form.perDistance(), BigDecimal.valueOf(1_000), fields);
        return Money.of(current.currency(), distance.multiply(each), RoundingMode.HALF_UP)
                .plus(money("fare", form.fare(), fields, current));
    }

    private static Optional<LocalTime> time(String field, String text, FieldReader fields) {
        return text.isBlank() ? Optional.empty() : fields.time(field, text);
    }

    /** A time of day as it was typed; empty where none was. */
    static Optional<LocalTime> time(String text) {
        return text.isBlank() ? Optional.empty() : Optional.of(TimeOfDayReader.read(text));
    }

    static Duration hours(String field, String text, FieldReader fields) {
        return Duration.ofSeconds(number(field, text, MOST_HOURS, fields)
                .multiply(BigDecimal.valueOf(SECONDS_PER_HOUR))
                .setScale(0, RoundingMode.HALF_UP)
                .longValueExact());
    }

    private static BigDecimal number(String field, String text, BigDecimal most, FieldReader fields) {
        return text.isBlank() ? BigDecimal.ZERO : fields.decimal(field, text, BigDecimal.ZERO, most);
    }

    static Money money(String field, String text, FieldReader fields, Settings current) {
        return current.money(text.isBlank() ? 0 : fields.money(field, text, current.currency()));
    }

    private static Length length(String field, String text, FieldReader fields, Settings current) {
        return text.isBlank()
                ? Length.ZERO
                : fields.positiveLength(
                        field,
                        text,
                        current.unitSystem() == UnitSystem.INCH ? LengthUnit.INCH : LengthUnit.CENTIMETRE,
                        WIDEST);
    }
}
