package mardun.core.batch;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.cutting.Bags;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.CuttingJob;
import mardun.core.cutting.CuttingTerms;
import mardun.core.cutting.PieceKey;
import mardun.core.cutting.PieceNumbers;
import mardun.core.cutting.ShelfCloth;
import mardun.core.material.Amount;
import mardun.core.material.MaterialKind;
import mardun.core.material.UnitPrice;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.apache.commons.numbers.fraction.BigFraction;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

/** Questions before the cloth is cut, with answers worked out by hand. */
class WhatIfTest {

    private static final int BAGS = 6;

    private static Length in(long count) {
        return Length.of(count, LengthUnit.INCH);
    }

    /** Two panels of 10 x 8 in a bag, with a top, on cloth 42 in wide: four in a strip of 8 in. */
    private static WhatIf whatIf() {
        return whatIf(BAGS);
    }

    private static WhatIf whatIf(int bags) {
        UnitPrice price = new UnitPrice(Money.of(CurrencyUnit.EUR, 12), Amount.of(Length.of(1, LengthUnit.METRE)));
        Supply cloth = Supply.of(
                "outer",
                "1",
                "Outer",
                MaterialKind.CLOTH,
                Optional.of(in(42)),
                Optional.empty(),
                true,
                price,
                Amount.of(in(100)));
        CuttingTerms terms = new CuttingTerms(
                BigFraction.of(1, 1_000_000),
                BigFraction.ZERO,
                Duration.ZERO,
                Duration.ZERO,
                Duration.ZERO,
                1,
                in(1),
                in(6),
                in(6),
                true);
        CutPiece panel = new CutPiece(PieceKey.of("A"), "Panel", new Extent(in(10), in(8)), 2L * bags, false);
        return new WhatIf(cloth, new CuttingJob(List.of(panel), ShelfCloth.endless(in(42), List.of()), terms, bags));
    }

    @Test
    void theAnswersAreWhatAPencilSays() {
        assertThat(whatIf().asItIs()).contains(in(3 * 8 + 1));
        assertThat(whatIf().onWidth(in(60))).contains(in(2 * 8 + 1));
        assertThat(whatIf().forBags(4)).contains(in(2 * 8 + 1));
        assertThat(whatIf().turned().orElseThrow()).isLessThanOrEqualTo(in(3 * 8 + 1));
        assertThat(whatIf().onWidth(in(9))).isEmpty();
    }

    @Test
    void soManyBagsComeFromALength() {
        assertThat(whatIf().bagsFrom(in(8), 500)).isZero();
        assertThat(whatIf().bagsFrom(in(9), 500)).isEqualTo(2);
        assertThat(whatIf().bagsFrom(in(40), 500)).isEqualTo(8);
        assertThat(whatIf().bagsFrom(in(41), 500)).isEqualTo(10);
        assertThat(whatIf().bagsFrom(in(4000), 7)).isEqualTo(7);
    }

    @Test
    void theLargestThatFitsIsFoundAndNothingIsAskedTwice() {
        for (int most : new int[] {1, 2, 7, 64, 100}) {
            for (int fits = 0; fits <= most; fits++) {
                int limit = fits;
                List<Integer> asked = new ArrayList<>();
                int found = LargestThatFits.upTo(most, count -> {
                    asked.add(count);
                    return count <= limit;
                });
                assertThat(found).isEqualTo(fits);
                assertThat(asked).doesNotHaveDuplicates().allMatch(count -> count >= 1 && count <= most);
            }
        }
    }

    @Test
    void piecesAreNumberedAsTheyAreCutAndMakeBagAfterBag() {
        PieceNumbers numbers =
                new PieceNumbers(List.of(new Bags(1, 2, Map.of(PieceKey.of("A"), 2L, PieceKey.of("B"), 1L))));
        List<PieceNumbers.Number> first = new ArrayList<>();
        for (String letter : List.of("A", "A", "B", "A", "B")) {
            first.add(numbers.next(PieceKey.of(letter)));
        }
        assertThat(first)
                .containsExactly(
                        new PieceNumbers.Number(1, 1, 1),
                        new PieceNumbers.Number(2, 1, 1),
                        new PieceNumbers.Number(1, 1, 1),
                        new PieceNumbers.Number(3, 1, 2),
                        new PieceNumbers.Number(2, 1, 2));
        assertThat(numbers.again(PieceKey.of("A"))).isEqualTo(new PieceNumbers.Number(4, 0, 0));
    }

    @Test
    void aLargeBatchIsAnsweredInPartsAndSquaredOnce() {
        WhatIf many = whatIf(5_001);
        assertThat(many.asItIs()).contains(in(2_501 * 8 + 1));
        assertThat(many.bagsFrom(in(2_400 * 8 + 1), 5_001)).isEqualTo(4_800);
    }
}
