package mardun.core.costing;

import java.time.Duration;
import java.util.EnumMap;
import java.util.Map;
import mardun.core.making.WorkKind;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.Money;

/**
 * What an hour of work is worth.
 *
 * @param usual of every kind that has no rate of its own
 * @param others of kinds that are paid otherwise
 */
public record LabourRates(Money usual, Map<WorkKind, Money> others) {

    private static final long NANOS_PER_HOUR = Duration.ofHours(1).toNanos();

    public LabourRates {
        Map<WorkKind, Money> different = new EnumMap<>(WorkKind.class);
        others.forEach((kind, rate) -> {
            if (!rate.equals(usual)) {
                different.put(kind, rate);
            }
        });
        others = Map.copyOf(different);
    }

    /** All work is paid alike. */
    public static LabourRates of(Money anHour) {
        return new LabourRates(anHour, Map.of());
    }

    public boolean isOne() {
        return others.isEmpty();
    }

    /** What an hour of a kind of work is worth. */
    public Money of(WorkKind kind) {
        return others.getOrDefault(kind, usual);
    }

    /** What some time of each kind is worth, in exact minor units. */
    public BigFraction worth(Map<WorkKind, Duration> times) {
        return times.entrySet().stream()
                .map(time -> BigFraction.of(of(time.getKey()).getAmountMinorLong())
                        .multiply(BigFraction.of(time.getValue().toNanos(), NANOS_PER_HOUR)))
                .reduce(BigFraction.ZERO, BigFraction::add);
    }
}
