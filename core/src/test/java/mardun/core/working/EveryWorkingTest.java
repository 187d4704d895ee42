package mardun.core.working;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.core.batch.BatchLine;
import mardun.core.batch.BatchPlan;
import mardun.core.batch.BatchPlanner;
import mardun.core.batch.Supply;
import mardun.core.batch.Workroom;
import mardun.core.costing.UnitCost;
import mardun.core.cutting.StripArithmetic;
import mardun.core.design.Finished;
import mardun.core.design.Pouch;
import mardun.core.design.SizedDesign;
import mardun.core.design.Sizing;
import mardun.core.material.Amount;
import mardun.core.material.MaterialKind;
import mardun.core.material.UnitPrice;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.pricing.Channel;
import mardun.core.pricing.PriceChoice;
import mardun.core.pricing.PricePoint;
import mardun.core.pricing.PriceSchool;
import mardun.core.pricing.UnitPricing;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Every figure of a batch can be opened: all that its expression names is among its inputs, and its rule is a sentence. */
class EveryWorkingTest {

    private static final Pattern SYMBOL = Pattern.compile("\\{([^}]*)}");

    @ParameterizedTest
    @EnumSource(value = PriceSchool.class, mode = EnumSource.Mode.EXCLUDE, names = "MARKET")
    void namesOnlyWhatItShows(PriceSchool school) {
        List<Working> workings = new ArrayList<>();
        figures(plan(school)).forEach(working -> collect(working, workings));
        assertThat(workings).hasSizeGreaterThan(60);
        assertThat(workings).allSatisfy(working -> {
            assertThat(working.rule()).matches("[A-Z].*\\.");
            Set<String> symbols =
                    working.inputs().stream().map(Working.Input::symbol).collect(Collectors.toSet());
            assertThat(symbols).as(working.rule()).hasSameSizeAs(working.inputs());
            Set<String> named = SYMBOL.matcher(working.expression())
                    .results()
                    .map((MatchResult match) -> match.group(1))
                    .collect(Collectors.toCollection(LinkedHashSet::new));
            assertThat(symbols).as(working.expression()).containsAll(named);
            assertThat(working.inputs())
                    .allSatisfy(input -> assertThat(input.label()).isNotBlank());
        });
    }

    private static void collect(Working working, List<Working> into) {
        into.add(working);
        working.inputs().forEach(input -> input.working().ifPresent(inner -> collect(inner, into)));
    }

    private static Stream<Working> figures(BatchPlan plan) {
        SizedDesign sized = plan.line(1).sized();
        Finished finished = sized.finished().orElseThrow();
        UnitCost cost = plan.line(1).cost().orElseThrow();
        UnitPricing pricing = plan.line(1).pricing().orElseThrow();
        List<Working> all = new ArrayList<>();
        sized.pieces().forEach(piece -> {
            all.add(piece.width().working());
            all.add(piece.height().working());
        });
        sized.trims().forEach(trim -> all.add(trim.length().working()));
        all.add(finished.width().working());
        all.add(finished.height().working());
        all.add(finished.depth().working());
        all.add(sized.corner().orElseThrow().fromSide().working());
        plan.needs().forEach(need -> all.add(need.working()));
        all.add(plan.time().oneByOne().working());
        all.add(cost.full().working());
        all.add(pricing.suggested().working());
        all.add(pricing.left().working());
        all.add(pricing.perHour().orElseThrow().working());
        return all.stream();
    }

    private static BatchPlan plan(PriceSchool school) {
        Workroom workroom = new Workroom(
                eur("19"),
                eur("1.50"),
                new Channel("the stall", new BigDecimal("0.08"), eur("0.25")),
                new PriceChoice(
                        school, BigDecimal.valueOf(2), new BigDecimal("0.3"), new BigDecimal("0.4"), PricePoint.HALF),
                Sizing.USUAL_THICKEST_SEAM);
        List<Supply> supplies = List.of(
                supply("outer", MaterialKind.CLOTH),
                supply("lining", MaterialKind.CLOTH),
                supply("interfacing", MaterialKind.CLOTH),
                supply("zip", MaterialKind.TRIM),
                supply("slider", MaterialKind.NOTION),
                supply("label", MaterialKind.NOTION));
        return new BatchPlanner(new StripArithmetic())
                .plan(List.of(BatchLine.only(Pouch.design(), 1, 7, supplies, Optional.empty())), workroom);
    }

    private static Supply supply(String slot, MaterialKind kind) {
        Amount per = kind == MaterialKind.NOTION ? Amount.pieces(10) : Amount.of(Length.of(1, LengthUnit.METRE));
        return Supply.of(
                slot,
                slot,
                "the " + slot,
                kind,
                kind == MaterialKind.CLOTH ? Optional.of(Length.of(110, LengthUnit.CENTIMETRE)) : Optional.empty(),
                Optional.empty(),
                false,
                new UnitPrice(eur("8.40"), per),
                per);
    }

    private static Money eur(String amount) {
        return Money.of(CurrencyUnit.EUR, new BigDecimal(amount));
    }
}
