package mardun.core.making;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.List;
import mardun.core.money.Apportionment;
import org.apache.commons.numbers.fraction.BigFraction;

/** Labour that is stated as “so many an hour” of the whole bag, spread over its steps. */
public final class Pace {

    private static final BigDecimal SECONDS_PER_HOUR = BigDecimal.valueOf(3600);

    private Pace() {}

    /** How long one bag takes at so many an hour, to the second. */
    public static Duration each(BigDecimal anHour) {
        return Duration.ofSeconds(
                SECONDS_PER_HOUR.divide(anHour, 0, RoundingMode.HALF_UP).longValueExact());
    }

    /**
     * The steps' times so that together they are as long as the whole: each keeps its share; where none is known, all get the same.
     *
     * @param steps one or more
     */
    public static List<Duration> spread(Duration whole, List<Duration> steps) {
        long all = steps.stream().mapToLong(Duration::toSeconds).sum();
        return Apportionment.of(
                        steps.stream()
                                .map(step -> all == 0
                                        ? BigFraction.of(whole.toSeconds(), steps.size())
                                        : BigFraction.of(whole.toSeconds())
                                                .multiply(BigFraction.of(step.toSeconds(), all)))
                                .toList(),
                        whole.toSeconds())
                .stream()
                .map(Duration::ofSeconds)
                .toList();
    }
}
