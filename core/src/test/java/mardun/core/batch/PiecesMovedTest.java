package mardun.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import mardun.core.batch.BatchPlan.LinePlan;
import mardun.core.costing.UnitCost.MaterialCost;
import mardun.core.cutting.StripArithmetic;
import mardun.core.design.Design;
import mardun.core.design.DesignMaker;
import mardun.core.design.Piece;
import mardun.core.design.Pouch;
import mardun.core.design.Role;
import mardun.core.design.SizedPiece;
import mardun.core.design.Sizing;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.material.Amount;
import mardun.core.material.MaterialKind;
import mardun.core.material.UnitPrice;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.pricing.Channel;
import mardun.core.pricing.PriceChoice;
import mardun.core.pricing.PricePoint;
import mardun.core.pricing.PriceSchool;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

/** Cut pieces that leave their batch before they are sewn, and those that come to one. */
class PiecesMovedTest {

    private static final CurrencyUnit EUR = CurrencyUnit.EUR;
    private final BatchPlanner planner = new BatchPlanner(new StripArithmetic());

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }

    private static Supply supply(String slot, String key, MaterialKind kind) {
        boolean cloth = kind == MaterialKind.CLOTH;
        return Supply.of(
                slot,
                key,
                key,
                kind,
                cloth ? Optional.of(in("43")) : Optional.empty(),
                Optional.empty(),
                false,
                new UnitPrice(Money.ofMinor(EUR, 917), cloth ? Amount.of(in("1 yd")) : Amount.pieces(10)),
                Amount.none(kind.counting()));
    }

    private static Design tote() {
        return DesignMaker.empty()
                .cloth("outer")
                .cloth("inside")
                .pieces(
                        Piece.of("A", "Face", Role.OUTER, "outer", "2", "15 in", "16 1/2 in"),
                        Piece.of("H", "Handle", Role.OUTER, "outer", "2", "4 in", "20 in"),
                        Piece.of("B", "Lining", Role.LINING, "inside", "2", "15 in", "15 in"))
                .steps(
                        Pouch.step("Cut", Stage.CUT, Station.CUTTING_TABLE, 4, 10),
                        Pouch.step("Sew", Stage.SEW, Station.MACHINE, 20, 15))
                .make();
    }

    private static BatchLine line(int number, int units, PiecesMoved moved) {
        return new BatchLine(
                number,
                tote(),
                0,
                units,
                OptionalInt.empty(),
                List.of(
                        supply("outer", number % 2 == 0 ? "navy" : "rust", MaterialKind.CLOTH),
                        supply("inside", "linen", MaterialKind.CLOTH)),
                Optional.empty(),
                moved);
    }

    private static Workroom workroom() {
        return new Workroom(
                Money.of(EUR, 19),
                Money.ofMinor(EUR, 170),
                new Channel("stall", new BigDecimal("0.08"), Money.ofMinor(EUR, 25)),
                new PriceChoice(
                        PriceSchool.MARKUP,
                        BigDecimal.valueOf(2),
                        new BigDecimal("0.3"),
                        new BigDecimal("0.4"),
                        PricePoint.HALF),
                Sizing.USUAL_THICKEST_SEAM);
    }

    private BatchPlan plan(BatchLine... lines) {
        return planner.plan(List.of(lines), workroom());
    }

    private static Money total(BatchPlan plan) {
        return plan.cost().orElseThrow();
    }

    private static PiecesMoved gone(PiecesMoved before, BatchPlan plan, int line, int bags) {
        PiecesMoved moved = before;
        for (Supply cloth : plan.line(line).line().supplies()) {
            moved = moved.with(
                    cloth.key(), moved.of(cloth.key()).goes(bags, CutValue.ofCloth(plan, line, cloth.key(), bags)));
        }
        return moved;
    }

    @Test
    void piecesThatStayUnsewnTakeTheirClothAlongAndLeaveTheTimeOfTheirCutting() {
        BatchPlan all = plan(line(1, 12, PiecesMoved.NONE));
        BatchPlan fewer = plan(line(1, 8, gone(PiecesMoved.NONE, all, 1, 4).working(4, Duration.ZERO)));
        assertThat(fewer.pieces()).isEqualTo(all.pieces());
        assertThat(fewer.needs()).isEqualTo(all.needs());
        long cloth = CutValue.ofCloth(all, 1, "rust", 4) + CutValue.ofCloth(all, 1, "linen", 4);
        // 12 bags are cut, 4 min each and 10 once; 8 are sewn, 20 min each and 15 once.
        assertThat(fewer.time().asBatch().value()).isEqualTo(Duration.ofMinutes(12 * 4 + 10 + 8 * 20 + 15));
        Money sewing = Money.ofMinor(EUR, 4 * 20 * (1900 + 170) / 60);
        assertThat(total(fewer)).isEqualTo(total(all).minusMinor(cloth).minus(sewing));
        assertThat(fewer.line(1).units()).isEqualTo(8);
        assertThat(fewer.line(1).cost().orElseThrow().lines())
                .extracting(MaterialCost::name)
                .containsExactlyInAnyOrder(
                        "rust", "linen", "rust, cut pieces that went", "linen, cut pieces that went");
        // One bag costs as much cloth as before, to the cent.
        assertThat(fewer.line(1).cost().orElseThrow().material().value().getAmountMinorLong())
                .isCloseTo(
                        all.line(1).cost().orElseThrow().material().value().getAmountMinorLong(),
                        org.assertj.core.data.Offset.offset(1L));
    }

    @Test
    void piecesThatAreThereArentCutAgainAndCostWhatTheyCost() {
        PiecesMoved brought = PiecesMoved.NONE
                .with("rust", PiecesMoved.OfCloth.NONE.comes(3, 1100))
                .with("linen", PiecesMoved.OfCloth.NONE.comes(5, 900))
                .working(-3, Duration.ZERO);
        BatchPlan plan = plan(line(1, 5, brought));
        assertThat(plan.pieces())
                .extracting(piece -> piece.key().letter() + " " + piece.count())
                .containsExactly("A 4", "H 4");
        assertThat(plan.needs()).extracting(need -> need.supply().key()).containsExactly("rust");
        assertThat(plan.needs().get(0).amount())
                .isEqualTo(plan(line(1, 2, PiecesMoved.NONE)).needs().get(0).amount());
        assertThat(plan.time().asBatch().value()).isEqualTo(Duration.ofMinutes(2 * 4 + 10 + 5 * 20 + 15));
        BatchPlan allThere = plan(line(
                1,
                5,
                PiecesMoved.NONE
                        .with("rust", PiecesMoved.OfCloth.NONE.comes(5, 1100))
                        .with("linen", PiecesMoved.OfCloth.NONE.comes(5, 900))
                        .working(-5, Duration.ZERO)));
        assertThat(allThere.findings()).isEmpty();
        assertThat(allThere.pieces()).isEmpty();
        assertThat(allThere.operations())
                .extracting(operation -> operation.step().name())
                .containsExactly("Sew");
        assertThat(total(allThere)).isEqualTo(Money.ofMinor(EUR, 2000 + (5 * 20 + 15) * 2070 / 60 + 1));
    }

    /** A line whose bags all went still bears the cutting of them, and no one carries it. */
    @Test
    void aLineWithoutBagsHasNoUnitCost() {
        BatchPlan all = plan(line(1, 3, PiecesMoved.NONE), line(2, 4, PiecesMoved.NONE));
        BatchPlan plan = plan(
                line(1, 0, gone(PiecesMoved.NONE, all, 1, 3).working(3, Duration.ZERO)), line(2, 4, PiecesMoved.NONE));
        assertThat(plan.findings()).isEmpty();
        assertThat(plan.line(1).cost()).isEmpty();
        assertThat(plan.line(1).total()).isPresent();
        assertThat(plan.line(2).total()).isPresent();
        assertThat(plan.pieces()).isEqualTo(all.pieces());
        assertThatThrownBy(() -> line(1, 0, PiecesMoved.NONE)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void thePiecesOfABagShareByTheirArea() {
        List<SizedPiece> pieces =
                plan(line(1, 3, PiecesMoved.NONE)).line(1).sized().pieces().subList(0, 2);
        Map<SizedPiece, Long> parts = CutValue.byPiece(pieces, 1000);
        // Two faces of 15 × 16 1/2 in and two handles of 4 × 20 in: 247.5 to 80.
        assertThat(parts.values()).containsExactly(756L, 244L);
    }

    /** Whatever goes and comes back: what was there in pieces, in time and in money is there again. */
    @Test
    void nothingIsLostAndWhatComesBackIsAsItWas() {
        Random random = new Random(11);
        for (int round = 0; round < 60; round++) {
            int units = 2 + random.nextInt(15);
            BatchLine other = line(2, 1 + random.nextInt(9), PiecesMoved.NONE);
            BatchPlan all = plan(line(1, units, PiecesMoved.NONE), other);
            List<Integer> parts = new ArrayList<>();
            PiecesMoved moved = PiecesMoved.NONE;
            int left = units;
            Duration time = Duration.ZERO;
            Money apart = Money.zero(EUR);
            while (left > 0 && parts.size() < 3) {
                int bags = 1 + random.nextInt(left);
                BatchPlan now = plan(line(1, left, moved), other);
                PiecesMoved came = PiecesMoved.NONE;
                Duration cutting = CutValue.cuttingTime(now, 1, bags, workroom().setUps());
                for (Supply cloth : now.line(1).line().supplies()) {
                    long minor = CutValue.ofCloth(now, 1, cloth.key(), bags);
                    moved = moved.with(cloth.key(), moved.of(cloth.key()).goes(bags, minor));
                    came = came.with(cloth.key(), came.of(cloth.key()).comes(bags, minor));
                }
                moved = moved.working(bags, cutting.negated());
                BatchPlan itsOwn = plan(line(1, bags, came.working(-bags, cutting)));
                apart = apart.plus(total(itsOwn)).minus(sewingOnce());
                time = time.plus(itsOwn.time().asBatch().value()).minusMinutes(15);
                left -= bags;
                parts.add(bags);
            }
            BatchPlan rest = plan(line(1, left, moved), other);
            assertThat(rest.time().asBatch().value().plus(time))
                    .isEqualTo(all.time().asBatch().value());
            assertThat(total(rest).plus(apart).getAmountMinorLong())
                    .isCloseTo(total(all).getAmountMinorLong(), org.assertj.core.data.Offset.offset(4L));
            assertThat(rest.lines().stream()
                            .map(LinePlan::total)
                            .map(Optional::orElseThrow)
                            .reduce(Money.zero(EUR), Money::plus))
                    .isEqualTo(total(rest));
            for (String cloth : List.of("rust", "linen")) {
                PiecesMoved.OfCloth its = moved.of(cloth);
                assertThat(its.back(its.went(), -its.minor())).isEqualTo(PiecesMoved.OfCloth.NONE);
                assertThat(moved.cutHere(cloth, left)).isEqualTo(units);
            }
        }
    }

    private static Money sewingOnce() {
        return Money.ofMinor(EUR, 15 * 2070 / 60);
    }
}
