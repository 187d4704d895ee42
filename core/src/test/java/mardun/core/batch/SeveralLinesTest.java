package mardun.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.core.batch.CutList.PieceLine;
import mardun.core.costing.Overheads;
import mardun.core.costing.WasteSchool;
import mardun.core.cutting.Aim;
import mardun.core.cutting.Budget;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.CuttingBill;
import mardun.core.cutting.CuttingJob;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.CuttingTerms;
import mardun.core.cutting.PieceKey;
import mardun.core.cutting.PieceNumbers;
import mardun.core.cutting.ShelfSearch;
import mardun.core.cutting.StripArithmetic;
import mardun.core.design.Design;
import mardun.core.design.DesignMaker;
import mardun.core.design.Finding;
import mardun.core.design.Piece;
import mardun.core.design.Pouch;
import mardun.core.design.Role;
import mardun.core.design.Sizing;
import mardun.core.making.SetUpSpread;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.material.Amount;
import mardun.core.material.ClothPiece;
import mardun.core.material.MaterialKind;
import mardun.core.material.UnitPrice;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.pricing.Channel;
import mardun.core.pricing.PriceChoice;
import mardun.core.pricing.PricePoint;
import mardun.core.pricing.PriceSchool;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

/** Batches of several designs, sizes and cloths. */
class SeveralLinesTest {

    private static final CurrencyUnit EUR = CurrencyUnit.EUR;
    private final BatchPlanner planner = new BatchPlanner(new StripArithmetic());

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }

    private static Supply supply(String slot, String key, MaterialKind kind, long minor) {
        Amount per = kind == MaterialKind.NOTION ? Amount.pieces(10) : Amount.of(in("1 yd"));
        return Supply.of(
                slot,
                key,
                key,
                kind,
                kind == MaterialKind.CLOTH ? Optional.of(in("43")) : Optional.empty(),
                Optional.empty(),
                false,
                new UnitPrice(Money.ofMinor(EUR, minor), per),
                Amount.none(kind.counting()));
    }

    private static List<Supply> pouchIn(String outer) {
        return List.of(
                supply("outer", outer, MaterialKind.CLOTH, 917),
                supply("lining", "linen", MaterialKind.CLOTH, 733),
                supply("interfacing", "fuse", MaterialKind.CLOTH, 451),
                supply("zip", "tape", MaterialKind.TRIM, 181),
                supply("slider", "sliders", MaterialKind.NOTION, 257),
                supply("label", "labels", MaterialKind.NOTION, 239));
    }

    private static Design tote() {
        return DesignMaker.empty()
                .cloth("outer")
                .cloth("inside")
                .pieces(
                        Piece.of("A", "Face", Role.OUTER, "outer", "2", "15 in", "16 1/2 in"),
                        Piece.of("B", "Lining", Role.LINING, "inside", "2", "15 in", "15 in"))
                .steps(Pouch.step("Cut", Stage.CUT, Station.CUTTING_TABLE, 4, 10))
                .make();
    }

    private static List<Supply> toteIn(String outer) {
        return List.of(
                supply("outer", outer, MaterialKind.CLOTH, 917), supply("inside", "linen", MaterialKind.CLOTH, 733));
    }

    private static BatchLine line(int number, Design design, int size, int units, List<Supply> supplies) {
        return new BatchLine(
                number, design, size, units, OptionalInt.empty(), supplies, Optional.empty(), PiecesMoved.NONE);
    }

    private static Workroom workroom(SetUpSpread spread, WasteSchool waste) {
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
                Sizing.USUAL_THICKEST_SEAM,
                Length.ZERO,
                Length.ZERO,
                spread,
                waste);
    }

    private static Workroom workroom() {
        return workroom(SetUpSpread.BY_UNITS, WasteSchool.BY_STRIP);
    }

    private static Need need(BatchPlan plan, String key) {
        return plan.needs().stream()
                .filter(need -> need.supply().key().equals(key))
                .findFirst()
                .orElseThrow();
    }

    /** Twelve small and eight medium pouches in two cloths and six totes: all linings come from one linen. */
    @Test
    void whatSeveralLinesShareIsOneJob() {
        BatchPlan plan = planner.plan(
                List.of(
                        line(1, Pouch.design(), 0, 12, pouchIn("navy")),
                        line(2, Pouch.design(), 0, 8, pouchIn("rust")),
                        line(3, Pouch.design(), 1, 8, pouchIn("navy")),
                        line(4, tote(), 0, 6, toteIn("navy"))),
                workroom());
        assertThat(plan.findings()).isEmpty();
        assertThat(plan.units()).isEqualTo(34);
        PieceLine smallLining = plan.pieces().stream()
                .filter(piece -> piece.key().equals(new PieceKey(1, "B")))
                .findFirst()
                .orElseThrow();
        assertThat(smallLining.shares()).extracting(CutList.PieceShare::line).containsExactly(1, 2);
        assertThat(smallLining.count()).isEqualTo(40);
        // The outer of the small pouch is cut from two cloths, so it is two rows, and the tote's A never meets the
        // pouch's.
        assertThat(plan.pieces())
                .extracting(PieceLine::key)
                .contains(new PieceKey(1, "A"), new PieceKey(2, "A"), new PieceKey(3, "A"), new PieceKey(4, "A"))
                .doesNotContain(new PieceKey(2, "B"));
        assertThat(plan.needs()).extracting(need -> need.supply().key()).doesNotHaveDuplicates();
        assertThat(need(plan, "sliders").amount()).isEqualTo(Amount.pieces(28));
        assertThat(need(plan, "labels").shares().of(2)).isEqualTo(BigFraction.of(8, 28));
        assertThat(need(plan, "linen").shares().lines()).containsExactly(1, 2, 3, 4);
        // “Cut” and what else the pouches have in common is set up once, for all that have it.
        assertThat(plan.operations().get(0).lines()).containsExactly(1, 2, 3, 4);
        assertThat(plan.time().settingUp())
                .isEqualTo(planner.plan(List.of(line(1, Pouch.design(), 0, 1, pouchIn("navy"))), workroom())
                        .time()
                        .settingUp());
    }

    @Test
    void aLineByItselfIsTheBatchOfOne() {
        BatchPlan alone = planner.plan(List.of(line(1, Pouch.design(), 1, 9, pouchIn("navy"))), workroom());
        BatchPlan seventh = planner.plan(List.of(line(7, Pouch.design(), 1, 9, pouchIn("navy"))), workroom());
        assertThat(seventh.line(7).cost().orElseThrow().full().value())
                .isEqualTo(alone.line(1).cost().orElseThrow().full().value());
        assertThat(seventh.cost())
                .isEqualTo(alone.cost())
                .contains(alone.line(1).total().orElseThrow());
    }

    @Test
    void whatIsMissingIsSaidOfItsLine() {
        BatchPlan plan = planner.plan(
                List.of(
                        line(1, Pouch.design(), 0, 2, pouchIn("navy")),
                        line(5, tote(), 0, 2, List.of(supply("outer", "navy", MaterialKind.CLOTH, 917)))),
                workroom());
        assertThat(plan.findings()).extracting(Finding::place).containsExactly("lines.5.slots.inside");
        assertThat(plan.cost()).isEmpty();
        assertThat(plan.lines()).hasSize(2);
    }

    /** One more of a line takes no whole new strip where there is room beside the others: the change, and not the average. */
    @Test
    void oneMoreChangesWhatItReallyTakes() {
        List<BatchLine> lines =
                List.of(line(1, Pouch.design(), 1, 7, pouchIn("navy")), line(2, tote(), 0, 2, toteIn("navy")));
        BatchPlan now = planner.plan(lines, workroom());
        Marginal more = Marginal.of(planner, lines, 1, 1, workroom()).orElseThrow();
        BatchPlan then = planner.plan(List.of(lines.get(0).withUnits(8), lines.get(1)), workroom());
        assertThat(now.cost().orElseThrow().plus(more.money()))
                .isEqualTo(then.cost().orElseThrow());
        assertThat(more.time()).isEqualTo(Duration.ofMinutes(20));
        assertThat(more.materials())
                .filteredOn(change -> change.supply().key().equals("sliders"))
                .extracting(Marginal.Change::more)
                .containsExactly(Amount.pieces(1));
        // 14 panels lie in three strips of 10 1/2 in, turned, and 16 in four of 8 in: 1/2 in more, and not the average
        // of 4 1/2 in.
        assertThat(more.materials())
                .filteredOn(change -> change.supply().key().equals("linen"))
                .extracting(Marginal.Change::more)
                .containsExactly(Amount.of(in("1/2")));
        Marginal fewer = Marginal.of(planner, lines, 2, -2, workroom()).orElseThrow();
        assertThat(fewer.money().isNegative()).isTrue();
        assertThat(fewer.materials()).anySatisfy(change -> {
            assertThat(change.supply().key()).isEqualTo("navy");
            assertThat(change.more().isNegative()).isTrue();
        });
        assertThat(Marginal.of(planner, lines.subList(0, 1), 1, -7, workroom())).isEmpty();
    }

    private static List<BatchLine> random(Random random) {
        List<BatchLine> lines = new ArrayList<>();
        for (int number = 1; number <= 1 + random.nextInt(6); number++) {
            String outer = List.of("navy", "rust", "leaf").get(random.nextInt(3));
            int units = 1 + random.nextInt(15);
            lines.add(
                    random.nextInt(3) == 0
                            ? line(number, tote(), 0, units, toteIn(outer))
                            : line(number, Pouch.design(), random.nextInt(2), units, pouchIn(outer)));
        }
        return lines;
    }

    @Test
    void theCostsOfTheLinesAreTheWholeToTheCentAndNoLineIsForgotten() {
        Random random = new Random(5);
        for (int round = 0; round < 150; round++) {
            List<BatchLine> lines = random(random);
            Workroom workroom =
                    workroom(SetUpSpread.values()[random.nextInt(2)], WasteSchool.values()[random.nextInt(2)]);
            BatchPlan plan = planner.plan(lines, workroom);
            assertWhole(plan);
            Map<String, Amount> alone = new HashMap<>();
            for (BatchLine line : lines) {
                planner.plan(List.of(line), workroom)
                        .needs()
                        .forEach(need -> alone.merge(need.supply().key(), need.amount(), Amount::plus));
            }
            plan.needs()
                    .forEach(need -> assertThat(need.amount())
                            .isLessThanOrEqualTo(alone.get(need.supply().key())));
        }
    }

    /** Overheads that go with material and labour add up over the lines as well, and are that share of the two. */
    @Test
    void aShareForOverheadsIsOfAllLinesTogether() {
        Random random = new Random(6);
        for (int round = 0; round < 40; round++) {
            Workroom byTheHour = workroom(SetUpSpread.BY_UNITS, WasteSchool.values()[random.nextInt(2)]);
            BigDecimal share = BigDecimal.valueOf(1 + random.nextInt(60), 2);
            Workroom byShare = new Workroom(
                    byTheHour.hourlyRate(),
                    new Overheads(Money.zero(EUR), share),
                    byTheHour.stall(),
                    byTheHour.prices(),
                    byTheHour.thickestSeam(),
                    byTheHour.endTrim(),
                    byTheHour.keptLength(),
                    byTheHour.setUps(),
                    byTheHour.waste(),
                    byTheHour.otherRates());
            BatchPlan plan = planner.plan(random(random), byShare);
            assertWhole(plan);
            Map<String, Long> parts = plan.parts().stream()
                    .collect(Collectors.toMap(
                            BatchPlan.CostPart::name, part -> part.cost().getAmountMinorLong()));
            long overheads = parts.remove("overheads");
            long others = parts.values().stream().mapToLong(Long::longValue).sum();
            assertThat(overheads).isCloseTo(Math.round(others * share.doubleValue()), within(parts.size() + 1L));
        }
    }

    private static void assertWhole(BatchPlan plan) {
        assertThat(plan.lines().stream().map(line -> line.total().orElseThrow()).reduce(Money.zero(EUR), Money::plus))
                .isEqualTo(plan.cost().orElseThrow());
        assertThat(plan.parts().stream().map(BatchPlan.CostPart::cost).reduce(Money::plus))
                .as("what it is made of")
                .isEqualTo(plan.cost());
        assertThat(plan.parts()).extracting(BatchPlan.CostPart::name).doesNotHaveDuplicates();
        for (Need need : plan.needs()) {
            BigFraction borne = plan.lines().stream()
                    .map(line -> need.cost(line.number()))
                    .reduce(BigFraction.ZERO, BigFraction::add);
            assertThat(borne).isEqualTo(need.cost());
            assertThat(need.shares().lines()).isNotEmpty();
        }
    }

    private static CuttingJob job(BatchPlan plan, Supply cloth, List<ClothPiece> offcuts) {
        CuttingTerms terms = new CuttingTerms(
                BigFraction.of(1200, 1_000_000_000),
                BigFraction.of(1900, 3600),
                Duration.ofSeconds(60),
                Duration.ofSeconds(10),
                Duration.ofSeconds(4),
                2,
                in("1/4"),
                in("4"),
                in("6"),
                true);
        List<PieceLine> kinds = plan.piecesFrom(cloth);
        return new CuttingJob(
                ClothNeeds.cutPieces(cloth, kinds),
                ClothNeeds.shelfCloth(cloth, kinds, offcuts),
                terms,
                CutList.bags(kinds));
    }

    /** Cut by a layout, with offcuts: what each line bears follows from where its pieces lie, and is the whole. */
    @Test
    void byALayoutTooTheLinesBearTheWhole() {
        Random random = new Random(17);
        for (int round = 0; round < 12; round++) {
            List<BatchLine> lines = random(random);
            List<ClothPiece> offcuts = List.of(
                    new ClothPiece("o1", new Extent(in("20"), in("17")), 2, BigFraction.of(211)),
                    new ClothPiece("o2", new Extent(in("9"), in("9")), 3, BigFraction.of(70)));
            List<BatchLine> withOffcuts = lines.stream()
                    .map(line -> new BatchLine(
                            line.number(),
                            line.design(),
                            line.size(),
                            line.units(),
                            line.good(),
                            line.supplies().stream()
                                    .map(supply -> supply.key().equals("linen") ? supply.with(offcuts) : supply)
                                    .toList(),
                            line.ownPrice(),
                            line.moved()))
                    .toList();
            BatchPlan plan = planner.plan(withOffcuts, workroom());
            assertWhole(plan);
            Supply linen = need(plan, "linen").supply();
            CuttingJob job = job(plan, linen, offcuts);
            CuttingLayout layout = ShelfSearch.search(job, Aim.MONEY, 1, Budget.of(2000, () -> false), better -> {});
            CuttingBill bill = CuttingBill.of(layout, job);
            CuttingSheet sheet = new CuttingSheet(layout, in("1/4"), Map.of(), bill.back());
            for (WasteSchool waste : WasteSchool.values()) {
                BatchPlan cut =
                        planner.plan(withOffcuts, workroom(SetUpSpread.BY_MINUTES, waste), Map.of("linen", sheet));
                assertThat(need(cut, "linen").sheet()).isPresent();
                assertWhole(cut);
            }
            assertNumbersGoRound(plan, linen, job, layout);
        }
    }

    /** Every bag of every line gets all its pieces, each once. */
    private static void assertNumbersGoRound(BatchPlan plan, Supply cloth, CuttingJob job, CuttingLayout layout) {
        PieceNumbers numbers = new PieceNumbers(job.bags());
        Map<String, Long> given = new HashMap<>();
        layout.cloths().stream().flatMap(one -> one.pieces().stream()).forEach(piece -> {
            PieceNumbers.Number number = numbers.next(piece.key());
            given.merge(number.line() + "/" + number.bag() + "/" + piece.key(), 1L, Long::sum);
        });
        Map<String, Long> wanted = new HashMap<>();
        plan.piecesFrom(cloth)
                .forEach(kind -> kind.shares().forEach(share -> {
                    for (int bag = 1; bag <= share.units(); bag++) {
                        wanted.put(
                                share.line() + "/" + bag + "/" + kind.key(),
                                share.piece().count());
                    }
                }));
        assertThat(given).isEqualTo(wanted);
    }

    /** The same search at the same work: cut together, several lines take no more of a cloth than each by itself. */
    @Test
    void cutTogetherTheyTakeNoMoreThanApart() {
        Random random = new Random(23);
        for (int round = 0; round < 8; round++) {
            List<BatchLine> lines = random(random);
            BatchPlan plan = planner.plan(lines, workroom());
            Set<String> cloths = new LinkedHashSet<>(List.of("linen", "navy"));
            for (String key : cloths) {
                Optional<Need> together = plan.needs().stream()
                        .filter(need -> need.supply().key().equals(key))
                        .findFirst();
                if (together.isEmpty()) {
                    continue;
                }
                Length apart = Length.ZERO;
                for (BatchLine line : lines) {
                    BatchPlan alone = planner.plan(List.of(line), workroom());
                    Optional<Need> its = alone.needs().stream()
                            .filter(need -> need.supply().key().equals(key))
                            .findFirst();
                    if (its.isPresent()) {
                        apart = apart.plus(least(job(alone, its.get().supply(), List.of())));
                    }
                }
                assertThat(least(job(plan, together.get().supply(), List.of())))
                        .as("round %d, %s", round, key)
                        .isLessThanOrEqualTo(apart);
            }
        }
    }

    private static Length least(CuttingJob job) {
        return ShelfSearch.search(job, Aim.LEAST_CLOTH, 1, Budget.of(5000, () -> false), better -> {})
                .boltLength();
    }

    @Test
    void piecesThatOneBagHasTwiceAreNotTakenForOne() {
        Design two = DesignMaker.empty()
                .cloth("outer")
                .pieces(
                        Piece.of("A", "Front", Role.OUTER, "outer", "1", "5 in", "4 in"),
                        Piece.of("B", "Back", Role.OUTER, "outer", "1", "5 in", "4 in"))
                .make();
        List<Supply> navy = List.of(supply("outer", "navy", MaterialKind.CLOTH, 900));
        BatchPlan plan = planner.plan(List.of(line(1, two, 0, 3, navy), line(2, two, 0, 4, navy)), workroom());
        assertThat(plan.pieces()).extracting(PieceLine::count).containsExactly(7L, 7L);
        assertThat(plan.pieces()).extracting(PieceLine::name).containsExactly("Front", "Back");
        assertThat(ClothNeeds.cutPieces(navy.get(0), plan.pieces()))
                .extracting(CutPiece::key)
                .containsExactly(new PieceKey(1, "A"), new PieceKey(1, "B"));
    }

    @Test
    void aPieceIsWrittenWithItsLine() {
        assertThat(new PieceKey(3, "A")).hasToString("3A");
        assertThat(new PieceKey(3, "2a")).hasToString("3·2a");
    }
}
