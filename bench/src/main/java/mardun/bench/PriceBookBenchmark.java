package mardun.bench;

import java.math.BigDecimal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import mardun.core.pricing.Channel;
import mardun.core.pricing.Fee;
import mardun.core.pricing.PriceChoice;
import mardun.core.pricing.PricePoint;
import mardun.core.pricing.PriceSchool;
import mardun.core.pricing.SchoolPrices;
import mardun.core.pricing.Tax;
import mardun.core.pricing.Terms;
import mardun.core.pricing.UnitTakes;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * How long the prices of a whole book take to work out: 200 designs in 3 sizes through 6 channels, each with its price by the school and
 * with what that leaves. The budget: under 200 ms.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class PriceBookBenchmark {

    private static final int SIZES = 600;
    private static final CurrencyUnit EUR = CurrencyUnit.EUR;

    private final List<UnitTakes> takes = new ArrayList<>();
    private final List<Channel> channels = new ArrayList<>();
    private final PriceChoice choice = new PriceChoice(
            PriceSchool.MATERIALS_AND_LABOUR,
            BigDecimal.valueOf(2),
            new BigDecimal("0.3"),
            new BigDecimal("0.4"),
            PricePoint.HALF);

    @Setup
    public void enter() {
        Random random = new Random(5);
        for (int i = 0; i < SIZES; i++) {
            takes.add(new UnitTakes(
                    cents(random.nextInt(2_000)),
                    cents(random.nextInt(3_000)),
                    cents(random.nextInt(200)),
                    cents(0),
                    Duration.ofSeconds(600 + random.nextInt(60_000)),
                    12,
                    12));
        }
        Tax[] taxes = {
            Tax.NONE,
            new Tax(Tax.Mode.INCLUDED, new BigDecimal("0.19")),
            new Tax(Tax.Mode.ADDED, new BigDecimal("0.07"))
        };
        for (int i = 0; i < 6; i++) {
            channels.add(new Channel(
                    "channel " + i,
                    Channel.Kind.BUYERS,
                    new Terms(
                            List.of(
                                    Fee.share("shop", BigDecimal.valueOf(65 + i, 3), cents(0)),
                                    Fee.share("payment", new BigDecimal("0.03"), cents(0)),
                                    new Fee(
                                            "banded",
                                            Fee.Basis.SHARE,
                                            List.of(
                                                    new Fee.Band(cents(0), new BigDecimal("0.05")),
                                                    new Fee.Band(cents(4_000), new BigDecimal("0.02"))),
                                            Optional.empty(),
                                            Optional.of(cents(30)),
                                            Optional.of(cents(900)),
                                            new BigDecimal("0.15")),
                                    Fee.fixed("each payment", Fee.Basis.SALE, cents(30)),
                                    Fee.fixed("listing", Fee.Basis.UNIT, cents(35))),
                            taxes[i % 3],
                            new BigDecimal("1.3"),
                            cents(450),
                            cents(420))));
        }
    }

    private static Money cents(long minor) {
        return Money.ofMinor(EUR, minor);
    }

    @Benchmark
    public long wholeBook() {
        long sum = 0;
        for (Channel channel : channels) {
            for (UnitTakes one : takes) {
                Money price = SchoolPrices.price(one, channel, choice, Optional.empty())
                        .orElseThrow();
                sum += SchoolPrices.priced(choice.school(), price, one, channel)
                        .left()
                        .getAmountMinorLong();
            }
        }
        return sum;
    }
}
