package mardun.core.costing;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import mardun.core.making.WorkKind;
import mardun.core.making.WorkTime;
import mardun.core.material.UnitPrice;
import mardun.core.material.Worth;
import mardun.core.money.Apportionment;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;

/**
 * What one unit of a batch really costs: material by what the batch takes, labour by its hands-on time, overheads by
 * bench hour, as a share of the two, or both. What was spoiled is borne by those that came out well. Everything is exact until the end; the full cost is
 * rounded to the minor unit, and the parts are rounded so that they add up to it.
 *
 * @param full what one that came out well costs, or will if all do
 * @param material of one that was begun
 * @param labour for one that was begun
 * @param overhead for one that was begun
 * @param spoiled the share of what the spoiled ones cost; empty where none is
 * @param good how many carry the cost
 * @param overheadShare which share of material and labour is in the overheads
 */
public record UnitCost(
        Figure<Money> full,
        Figure<Money> material,
        Figure<Money> labour,
        Figure<Money> overhead,
        Optional<Figure<Money>> spoiled,
        List<MaterialCost> lines,
        int good,
        BigDecimal overheadShare) {

    /** What a material costs in one that was begun. */
    public record MaterialCost(String name, Figure<Money> cost) {}

    private static final int SHARE_DIGITS = 4;
    private static final String TO_MINOR = "rounded once, half up";
    private static final String TO_SUM = "rounded so that the parts add up to the whole";

    /**
     * The cost of one unit.
     *
     * @param lines what the batch takes; their order is the order of {@link #lines()}
     * @param rates what an hour of work is worth, by its kind
     * @param overheads thread, power, blades, machine wear
     */
    public static UnitCost of(List<CostLine> lines, WorkTime time, LabourRates rates, Overheads overheads) {
        return of(lines, time, rates, overheads, time.units());
    }

    /**
     * The same, when it is known how many came out well.
     *
     * @param good from 1 to the units of the batch
     */
    public static UnitCost of(List<CostLine> lines, WorkTime time, LabourRates rates, Overheads overheads, int good) {
        if (good < 1 || good > time.units()) {
            throw new IllegalArgumentException("of " + time.units() + " can't come out well: " + good);
        }
        CurrencyUnit currency = overheads.perHour().getCurrencyUnit();
        int units = time.units();
        List<BigFraction> exactLines =
                lines.stream().map(line -> line.borne().divide(units)).toList();
        BigFraction exactMaterial = exactLines.stream().reduce(BigFraction.ZERO, BigFraction::add);
        BigFraction exactLabour = rates.worth(time.byKind()).divide(units);
        BigFraction exactOverhead = overheads
                .borne(time.asBatch().value(), exactMaterial.add(exactLabour).multiply(units))
                .divide(units);
        BigFraction exactEach = exactMaterial.add(exactLabour).add(exactOverhead);
        BigFraction exactSpoiled = exactEach.multiply(BigFraction.of(units - good, good));
        long full = Apportionment.rounded(exactEach.add(exactSpoiled));
        List<Long> parts = Apportionment.of(List.of(exactMaterial, exactLabour, exactOverhead, exactSpoiled), full);
        List<Long> lineParts = Apportionment.of(exactLines, parts.get(0));

        List<MaterialCost> costs = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            costs.add(new MaterialCost(
                    lines.get(i).name(), line(lines.get(i), units, Money.ofMinor(currency, lineParts.get(i)))));
        }
        Figure<Money> material = material(costs, Money.ofMinor(currency, parts.get(0)));
        Money labourOfOne = Money.ofMinor(currency, parts.get(1));
        Figure<Money> labour = rates.isOne()
                ? hours("Labour is hands-on time at the hourly rate.", "hourly rate", rates.usual(), time, labourOfOne)
                : byKind(rates, time, labourOfOne);
        Money overheadOfOne = Money.ofMinor(currency, parts.get(2));
        Figure<Money> overhead = overheads.hasShare()
                ? withShare(overheads, time, material, labour, overheadOfOne)
                : hours(
                        "Thread, power, blades and wear, by the hour at the bench.",
                        "overheads for an hour",
                        overheads.perHour(),
                        time,
                        overheadOfOne);
        Optional<Figure<Money>> spoiled = good == units
                ? Optional.empty()
                : Optional.of(spoiled(exactEach, units, good, Money.ofMinor(currency, parts.get(3))));
        Money fullMoney = Money.ofMinor(currency, full);
        Working.Builder told = Working.of(
                        spoiled.isEmpty()
                                ? "Full cost is material, labour and overheads together."
                                : "Full cost is material, labour and overheads together, and a share of what was spoiled.")
                .expression("{material} + {labour} + {overheads}" + (spoiled.isEmpty() ? "" : " + {spoiled}"))
                .input("material", "material", Value.of(material.value()), material.working())
                .input("labour", "labour", Value.of(labour.value()), labour.working())
                .input("overheads", "overheads", Value.of(overhead.value()), overhead.working());
        spoiled.ifPresent(figure -> told.input("spoiled", "spoiled", Value.of(figure.value()), figure.working()));
        return new UnitCost(
                new Figure<>(fullMoney, told.rounded(TO_MINOR).gives(Value.of(fullMoney))),
                material,
                labour,
                overhead,
                spoiled,
                List.copyOf(costs),
                good,
                overheads.share());
    }

    /** Overheads of which some go with material and labour. */
    private static Figure<Money> withShare(
            Overheads overheads, WorkTime time, Figure<Money> material, Figure<Money> labour, Money result) {
        boolean byTheHour = !overheads.perHour().isZero();
        Working.Builder told = Working.of(
                        byTheHour
                                ? "Overheads by the hour at the bench, and a share of material and labour."
                                : "Overheads as a share of material and labour.")
                .expression((byTheHour ? "{time} ÷ {n} × {rate} + " : "") + "{share} × ({material} + {labour})");
        if (byTheHour) {
            told.input(
                            "time",
                            "hands-on time of the batch",
                            Value.of(time.asBatch().value()))
                    .input("n", "units", Value.of(time.units()))
                    .input("rate", "overheads for an hour", Value.of(overheads.perHour()));
        }
        return new Figure<>(
                result,
                told.input("share", "share", new Value.Share(overheads.share()))
                        .input("material", "material", Value.of(material.value()), material.working())
                        .input("labour", "labour", Value.of(labour.value()), labour.working())
                        .rounded(TO_SUM)
                        .gives(Value.of(result)));
    }

    private static Figure<Money> spoiled(BigFraction exactEach, int units, int good, Money result) {
        Working told = Working.of("Those that came out well bear what the spoiled ones took.")
                .expression("{lost} × {each} ÷ {good}")
                .input("lost", "spoiled", Value.of(units - good))
                .input(
                        "each",
                        "material, labour and overheads of one",
                        new Value.ExactSum(exactEach, result.getCurrencyUnit().getCode()))
                .input("good", "came out well", Value.of(good))
                .rounded(TO_SUM)
                .gives(Value.of(result));
        return new Figure<>(result, told);
    }

    /** Labour where kinds of work are paid otherwise. */
    private static Figure<Money> byKind(LabourRates rates, WorkTime time, Money result) {
        List<String> terms = new ArrayList<>();
        Working.Builder told = Working.of("Labour is hands-on time, each kind of work at its rate.");
        for (WorkKind kind : WorkKind.values()) {
            Duration its = time.byKind().getOrDefault(kind, Duration.ZERO);
            if (!its.isZero()) {
                String key = kind.name().toLowerCase(Locale.ROOT);
                terms.add("{" + key + "} × {rate" + key + "}");
                told.input(key, kind.words() + " of the batch", Value.of(its))
                        .input("rate" + key, "an hour of " + kind.words(), Value.of(rates.of(kind)));
            }
        }
        return new Figure<>(
                result,
                told.expression("(" + String.join(" + ", terms) + ") ÷ {n}")
                        .input("n", "units", Value.of(time.units()))
                        .rounded(TO_SUM)
                        .gives(Value.of(result)));
    }

    /** What all units cost together, in exact minor units. */
    public static BigFraction exact(List<CostLine> lines, WorkTime time, LabourRates rates, Overheads overheads) {
        BigFraction others = lines.stream()
                .map(CostLine::borne)
                .reduce(BigFraction.ZERO, BigFraction::add)
                .add(rates.worth(time.byKind()));
        return others.add(overheads.borne(time.asBatch().value(), others));
    }

    private static Figure<Money> line(CostLine line, int units, Money result) {
        if (line.cutPieces().isPresent()) {
            return new Figure<>(
                    result,
                    Working.of(line.cutPieces().get())
                            .expression("{all} ÷ {n}")
                            .input(
                                    "all",
                                    line.name(),
                                    new Value.ExactSum(
                                            line.whole(),
                                            result.getCurrencyUnit().getCode()))
                            .input("n", "units", Value.of(units))
                            .rounded(TO_SUM)
                            .gives(Value.of(result)));
        }
        List<Worth.Taken> taken = line.worth().taken(line.amount());
        boolean atOnePrice = line.offcuts().signum() == 0 && taken.stream().noneMatch(Worth.Taken::isOnTheShelf);
        CurrencyUnit currency = result.getCurrencyUnit();
        if (line.isShared()) {
            Value whole = new Value.ExactSum(line.whole(), currency.getCode());
            Working ofBatch = (atOnePrice ? atOnePrice(line, "") : inLayers(line, taken, currency, "")).gives(whole);
            return new Figure<>(
                    result,
                    Working.of("What the batch takes costs so much; of that this line bears its share.")
                            .expression("{whole} × {share} ÷ {n}")
                            .input("whole", line.name() + " for the batch", whole, ofBatch)
                            .input(
                                    "share",
                                    "share of this line",
                                    new Value.Share(line.share().bigDecimalValue(SHARE_DIGITS, RoundingMode.HALF_UP)))
                            .input("n", "units", Value.of(units))
                            .rounded(TO_SUM)
                            .gives(Value.of(result)));
        }
        Working told = (atOnePrice ? atOnePrice(line, " ÷ {n}") : inLayers(line, taken, currency, " ÷ {n}"))
                .input("n", "units", Value.of(units))
                .rounded(TO_SUM)
                .gives(Value.of(result));
        return new Figure<>(result, told);
    }

    private static Working.Builder atOnePrice(CostLine line, String shared) {
        UnitPrice price = line.worth().beyond();
        return Working.of("What the batch takes, at its price" + (shared.isEmpty() ? "." : ", shared by the units."))
                .expression("{amount} × {price} ÷ {per}" + shared)
                .input("amount", line.name() + " for the batch", line.amount().shown())
                .input("price", "price", Value.of(price.price()))
                .input("per", "price is for", price.per().shown());
    }

    private static Working.Builder inLayers(
            CostLine line, List<Worth.Taken> taken, CurrencyUnit currency, String shared) {
        Working.Builder told = Working.of("What the batch takes is worth what was paid for it, lot by lot"
                + (shared.isEmpty() ? "." : ", shared by the units."));
        List<String> terms = new ArrayList<>();
        for (int i = 0; i < taken.size(); i++) {
            Worth.Taken part = taken.get(i);
            Working ofPart = Working.of("So much at one price.")
                    .expression("{amount}")
                    .input(
                            "amount",
                            part.isOnTheShelf() ? "on the shelf" : "to buy",
                            part.amount().shown())
                    .gives(new Value.ExactSum(part.cost(), currency.getCode()));
            terms.add("{taken " + i + "}");
            told.input(
                    "taken " + i,
                    line.name() + (part.isOnTheShelf() ? ", from the shelf" : ", to buy"),
                    new Value.ExactSum(part.cost(), currency.getCode()),
                    ofPart);
        }
        if (line.offcuts().signum() != 0) {
            terms.add("{offcuts}");
            told.input("offcuts", "offcuts and precuts", new Value.ExactSum(line.offcuts(), currency.getCode()));
        }
        return told.expression(
                shared.isEmpty() ? String.join(" + ", terms) : "(" + String.join(" + ", terms) + ")" + shared);
    }

    private static Figure<Money> material(List<MaterialCost> costs, Money result) {
        Working.Builder working = Working.of("All materials of one unit together.");
        List<String> terms = new ArrayList<>();
        for (MaterialCost one : costs) {
            String symbol = "material " + (terms.size() + 1);
            terms.add("{" + symbol + "}");
            working.input(
                    symbol, one.name(), Value.of(one.cost().value()), one.cost().working());
        }
        return new Figure<>(
                result,
                working.expression(String.join(" + ", terms)).rounded(TO_SUM).gives(Value.of(result)));
    }

    private static Figure<Money> hours(String rule, String label, Money perHour, WorkTime time, Money result) {
        Working told = Working.of(rule)
                .expression("{time} ÷ {n} × {rate}")
                .input(
                        "time",
                        "hands-on time of the batch",
                        Value.of(time.asBatch().value()),
                        time.asBatch().working())
                .input("n", "units", Value.of(time.units()))
                .input("rate", label, Value.of(perHour))
                .rounded(TO_SUM)
                .gives(Value.of(result));
        return new Figure<>(result, told);
    }
}
