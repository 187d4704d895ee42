package mardun.core.batch;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import mardun.core.batch.BatchPlan.CostPart;
import mardun.core.batch.BatchPlan.LinePlan;
import mardun.core.costing.CostLine;
import mardun.core.costing.UnitCost;
import mardun.core.making.Operation;
import mardun.core.making.WorkTime;
import mardun.core.material.Part;
import mardun.core.money.Apportionment;
import mardun.core.pricing.UnitPricing;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.Money;

/**
 * How a cost reaches a line: of each material what {@link LineShares} says, of the hands-on time its own and its share of what is
 * set up once. The lines' costs are exact until the end and are then rounded so that they add up to the batch's.
 */
record LineCosts(List<LinePlan> lines, Optional<Money> total, List<CostPart> parts) {

    private record Costed(SizedLine line, WorkTime time, List<CostLine> materials) {

        BigFraction exact(Workroom workroom) {
            return UnitCost.exact(materials, time, workroom.rates(), workroom.overheads());
        }
    }

    /**
     * The lines with what they cost.
     *
     * @param complete nothing is missing; else nothing is costed
     */
    static LineCosts of(
            List<SizedLine> lines, List<Need> needs, List<Operation> operations, Workroom workroom, boolean complete) {
        List<Costed> costed = lines.stream()
                .map(line -> new Costed(
                        line,
                        WorkTime.ofLine(
                                line.number(),
                                line.line().units(),
                                operations,
                                workroom.setUps(),
                                line.line().moved().time()),
                        complete ? materials(line, needs) : List.of()))
                .toList();
        if (!complete) {
            return new LineCosts(
                    costed.stream()
                            .map(one -> new LinePlan(
                                    one.line().line(),
                                    one.line().sized(),
                                    one.time(),
                                    Optional.empty(),
                                    Optional.empty(),
                                    Optional.empty()))
                            .toList(),
                    Optional.empty(),
                    List.of());
        }
        List<BigFraction> exact =
                costed.stream().map(one -> one.exact(workroom)).toList();
        long total = Apportionment.rounded(exact.stream().reduce(BigFraction.ZERO, BigFraction::add));
        List<Long> totals = Apportionment.of(exact, total);
        List<LinePlan> plans = new ArrayList<>();
        for (int i = 0; i < costed.size(); i++) {
            plans.add(plan(costed.get(i), totals.get(i), workroom));
        }
        return new LineCosts(plans, Optional.of(money(total, workroom)), parts(costed, total, workroom));
    }

    /** What the whole is made of: each material, labour, overheads; rounded so that they add up to it. */
    private static List<CostPart> parts(List<Costed> costed, long total, Workroom workroom) {
        Map<String, BigFraction> exact = new LinkedHashMap<>();
        for (Costed line : costed) {
            line.materials().forEach(cost -> exact.merge(cost.name(), cost.borne(), BigFraction::add));
        }
        for (Costed line : costed) {
            BigFraction labour = workroom.rates().worth(line.time().byKind());
            BigFraction others = line.materials().stream().map(CostLine::borne).reduce(labour, BigFraction::add);
            exact.merge("labour", labour, BigFraction::add);
            exact.merge(
                    "overheads",
                    workroom.overheads().borne(line.time().asBatch().value(), others),
                    BigFraction::add);
        }
        List<Long> minors = Apportionment.of(List.copyOf(exact.values()), total);
        List<CostPart> parts = new ArrayList<>();
        for (String name : exact.keySet()) {
            parts.add(new CostPart(name, money(minors.get(parts.size()), workroom)));
        }
        return parts;
    }

    private static List<CostLine> materials(SizedLine line, List<Need> needs) {
        return Stream.concat(
                        needs.stream()
                                .filter(need -> need.shares().lines().contains(line.number()))
                                .map(need -> costLine(need, line.number())),
                        line.line().moved().cloths().entrySet().stream()
                                .filter(cloth -> cloth.getValue().minor() != 0)
                                .map(cloth -> movedLine(line.line(), cloth.getKey(), cloth.getValue())))
                .toList();
    }

    /** Cut pieces that came cost what their cloth cost; those that went take it along. */
    private static CostLine movedLine(BatchLine line, String cloth, PiecesMoved.OfCloth moved) {
        Supply supply = line.supplies().stream()
                .filter(one -> one.key().equals(cloth))
                .findFirst()
                .orElseThrow();
        return CostLine.ofCutPieces(
                supply.slot(), supply.name(), supply.stock(Part.WHOLE).worth(), moved.came(), moved.minor());
    }

    private static LinePlan plan(Costed one, long total, Workroom workroom) {
        BatchLine line = one.line().line();
        if (line.units() == 0) {
            return new LinePlan(
                    line,
                    one.line().sized(),
                    one.time(),
                    Optional.empty(),
                    Optional.of(money(total, workroom)),
                    Optional.empty());
        }
        int good = line.good().orElse(line.units());
        UnitCost cost = UnitCost.of(
                one.materials(), one.time(), workroom.rates(), workroom.overheads(), good > 0 ? good : line.units());
        Optional<UnitPricing> pricing = good > 0
                ? Optional.of(UnitPricing.of(
                        cost,
                        one.time(),
                        workroom.stall(),
                        workroom.prices().forSort(line.design().sort()),
                        line.ownPrice()))
                : Optional.empty();
        return new LinePlan(
                line, one.line().sized(), one.time(), Optional.of(cost), Optional.of(money(total, workroom)), pricing);
    }

    /** What costs something here: packing counts in the channel and thread in the overheads, and neither fills a slot. */
    private static CostLine costLine(Need need, int line) {
        boolean whole = need.part() == Part.WHOLE;
        return new CostLine(
                need.supply().slot() + (whole ? "" : " " + need.part().words()),
                need.supply().name() + (whole ? "" : ", " + need.part().words()),
                need.amount(),
                need.stock().worth(),
                need.offcutsCost().subtract(need.backOfRolls()),
                need.cost(),
                need.cost(line),
                Optional.empty());
    }

    private static Money money(long minor, Workroom workroom) {
        return Money.ofMinor(workroom.hourlyRate().getCurrencyUnit(), minor);
    }
}
