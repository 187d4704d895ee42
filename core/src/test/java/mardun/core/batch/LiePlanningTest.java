package mardun.core.batch;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.batch.CutList.PieceLine;
import mardun.core.batch.CutList.PieceShare;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.PieceKey;
import mardun.core.cutting.ShelfCloth;
import mardun.core.design.ClothFold;
import mardun.core.design.Design;
import mardun.core.design.DesignMaker;
import mardun.core.design.Edges;
import mardun.core.design.Piece;
import mardun.core.design.Role;
import mardun.core.design.SizedPiece;
import mardun.core.design.Sizing;
import mardun.core.material.Amount;
import mardun.core.material.ClothPiece;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import mardun.core.material.Roll;
import mardun.core.material.Selvage;
import mardun.core.material.Shrinkage;
import mardun.core.material.Stock;
import mardun.core.material.UnitPrice;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.working.Value;
import mardun.core.working.Working;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

/** What the way a material lies on the shelf means for a plan. */
class LiePlanningTest {

    private static final UnitPrice PRICE = new UnitPrice(Money.of(CurrencyUnit.EUR, 9), Amount.of(in("36")));

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }

    private static PieceLine piece(boolean meetsPrint, boolean overSelvage) {
        Piece piece = new Piece(
                "A",
                "Panel",
                Role.OUTER,
                "outer",
                "2",
                1,
                "10 in",
                "8 in",
                List.of(),
                Edges.UNSTATED,
                true,
                meetsPrint,
                overSelvage,
                ClothFold.NONE,
                false,
                Optional.empty(),
                Optional.empty(),
                List.of());
        Design design = DesignMaker.empty().cloth("outer").pieces(piece).make();
        SizedPiece sized = Sizing.of(design, 0).pieces().get(0);
        return new PieceLine(PieceKey.of("A"), Optional.empty(), List.of(new PieceShare(1, 1, sized)));
    }

    private static Supply cloth(Roll... rolls) {
        return Supply.of(
                        "outer",
                        "1",
                        "Cloth",
                        MaterialKind.CLOTH,
                        Optional.of(in("42")),
                        Optional.empty(),
                        true,
                        PRICE,
                        Amount.of(in("100")))
                .lying(new Supply.Lie(List.of(rolls), false, Optional.of(in("3")), in("1/2")));
    }

    @Test
    void theSelvageCountsWhereAPieceMayHaveItAndTheOthersStayBetween() {
        Supply cloth = cloth();
        assertThat(ClothNeeds.widthToCut(cloth, List.of(piece(false, true), piece(true, true))))
                .isEqualTo(in("43"));
        assertThat(ClothNeeds.widthToCut(cloth, List.of(piece(false, true), piece(false, false))))
                .isEqualTo(in("43"));
        assertThat(ClothNeeds.widthToCut(cloth, List.of(piece(false, false)))).isEqualTo(in("42"));
        List<ClothPiece> none = List.of();
        assertThat(ClothNeeds.shelfCloth(cloth, List.of(piece(false, true)), none)
                        .selvages())
                .isEqualTo(ShelfCloth.Selvages.NONE);
        assertThat(ClothNeeds.shelfCloth(cloth, List.of(piece(false, false)), none)
                        .selvages())
                .isEqualTo(ShelfCloth.Selvages.NONE);
    }

    @Test
    void theSelvageIsAsStatedOrHalfOfWhatIsNotUsable() {
        Optional<Length> none = Optional.empty();
        assertThat(Selvage.of(Optional.of(in("3/8")), Optional.of(in("44")), Optional.of(in("42"))))
                .isEqualTo(in("3/8"));
        assertThat(Selvage.of(none, Optional.of(in("44")), Optional.of(in("42"))))
                .isEqualTo(in("1"));
        assertThat(Selvage.of(none, Optional.of(in("42")), Optional.of(in("44")))
                        .isZero())
                .isTrue();
        assertThat(Selvage.of(none, none, Optional.of(in("44"))).isZero()).isTrue();
    }

    @Test
    void whatIsHeldWithoutSayingOfWhichShortensTheLongestRolls() {
        List<Roll> rolls =
                List.of(new Roll("1", "", in("10")), new Roll("2", "", in("30")), new Roll("3", "", in("20")));
        assertThat(Roll.without(rolls, in("35")))
                .containsExactly(new Roll("3", "", in("15")), new Roll("1", "", in("10")));
        assertThat(Roll.without(rolls, in("99"))).isEmpty();
        assertThat(Roll.without(rolls, Length.ZERO)).containsExactlyInAnyOrderElementsOf(rolls);
    }

    private static Supply shrinking(Shrinkage shrinkage) {
        return new Supply(
                "outer",
                "1",
                "Cloth",
                MaterialKind.CLOTH,
                Optional.of(in("42")),
                Optional.empty(),
                Optional.empty(),
                true,
                shrinkage,
                Optional.empty(),
                Optional.empty(),
                Map.of(Part.WHOLE, Stock.of(Amount.of(in("100")), PRICE)),
                List.of(),
                PRICE,
                new Supply.Lie(List.of(new Roll("4", "B", in("50"))), true, Optional.of(in("3")), in("1/2")));
    }

    @Test
    void rollsAndRepeatShrinkAsTheClothDoes() {
        Supply raw = shrinking(new Shrinkage(new BigDecimal("0.1"), false));
        ShelfCloth lying = ClothNeeds.shelfCloth(raw, List.of(piece(true, true)), List.of());
        assertThat(lying.width()).isEqualTo(in("38.7"));
        assertThat(lying.rolls()).containsExactly(new Roll("4", "B", in("45")));
        assertThat(lying.repeat()).contains(in("2.7"));
        assertThat(lying.oneDye()).isTrue();
    }

    @Test
    void clothThatShrinksAfterwardsKeepsItsSizeAndItsPiecesAreCutLarger() {
        Supply unwashed = shrinking(new Shrinkage(new BigDecimal("0.1"), true));
        ShelfCloth lying = ClothNeeds.shelfCloth(unwashed, List.of(piece(true, true)), List.of());
        assertThat(lying.width()).isEqualTo(in("43"));
        assertThat(lying.rolls()).containsExactly(new Roll("4", "B", in("50")));
        assertThat(lying.repeat()).contains(in("3"));
    }

    @Test
    void aPieceThatMeetsThePrintTakesWholeRepeats() {
        ShelfCloth lying = ClothNeeds.shelfCloth(cloth(), List.of(piece(true, false)), List.of());
        CutPiece meeting = new CutPiece(PieceKey.of("A"), "A", new Extent(in("10"), in("8")), 4, true, true);
        assertThat(lying.asLargeAsItTakes(meeting).extent()).isEqualTo(new Extent(in("10"), in("9")));
        assertThat(lying.asLargeAsItTakes(meeting).mayTurn()).isFalse();
        CutPiece free = new CutPiece(PieceKey.of("A"), "A", new Extent(in("10"), in("8")), 4, true);
        assertThat(lying.asLargeAsItTakes(free)).isEqualTo(free);
    }

    @Test
    void moreIsWantedThanIsTakenWhereAllRollsAreTooShort() {
        Working told =
                Working.of("").expression("{a}").input("a", "a", Value.of(1)).gives(Value.of(1));
        Need need = new Need(
                cloth(),
                Part.WHOLE,
                Amount.of(in("60")),
                told,
                List.of(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                Amount.of(in("20")),
                LineShares.byAmount(Map.of(1, 60L)));
        assertThat(need.isShort()).isTrue();
        assertThat(need.shortBy()).isEqualTo(Amount.of(in("20")));
        assertThat(need.wanted()).isEqualTo(Amount.of(in("120")));
    }
}
