package mardun.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import mardun.core.material.KeptOffcuts.Cut;
import mardun.core.material.KeptOffcuts.Kept;
import mardun.core.material.KeptOffcuts.Source;
import mardun.core.material.KeptOffcuts.TooMuchException;
import mardun.core.measure.Area;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;

class KeptOffcutsTest {

    private static Extent inches(long width, long height) {
        return new Extent(Length.of(width, LengthUnit.INCH), Length.of(height, LengthUnit.INCH));
    }

    private static Cut roll(String key, long width, long length) {
        return new Cut(key, inches(width, length), 1, Length.ZERO);
    }

    @Test
    void anOffcutIsAShareOfTheClothAtItsOwnWidth() throws TooMuchException {
        List<Source> sources = KeptOffcuts.of(
                List.of(new Kept(inches(14, 20), 1)),
                List.of(roll("narrow", 40, 20)),
                inches(20, 20).area());
        assertThat(sources).containsExactly(new Source(0, "narrow", 1, BigFraction.of(14, 40)));
    }

    @Test
    void twoLargeOnesThatCannotBothBeLeftAreRefused() {
        List<Kept> kept = List.of(new Kept(inches(14, 20), 1), new Kept(inches(30, 20), 1));
        assertThatThrownBy(() -> KeptOffcuts.of(kept, List.of(roll("cut", 40, 20)), Area.ZERO))
                .isInstanceOfSatisfying(
                        TooMuchException.class,
                        refused -> assertThat(refused.kept()).isZero());
        Area pieces = inches(20, 20).area();
        assertThatThrownBy(() ->
                        KeptOffcuts.of(List.of(new Kept(inches(21, 20), 1)), List.of(roll("cut", 40, 20)), pieces))
                .isInstanceOf(TooMuchException.class);
    }

    @Test
    void aPieceThatIsLargerThanAnyClothIsRefusedWhateverItsArea() {
        assertThatThrownBy(() ->
                        KeptOffcuts.of(List.of(new Kept(inches(50, 1), 1)), List.of(roll("cut", 40, 20)), Area.ZERO))
                .isInstanceOf(TooMuchException.class);
    }

    @Test
    void whatWasCutFromAnOffcutLeavesOneOfItsOwn() throws TooMuchException {
        Cut sheets = new Cut("sheets", inches(22, 18), 3, Length.ZERO);
        List<Source> sources = KeptOffcuts.of(
                List.of(new Kept(inches(11, 18), 3)),
                List.of(sheets),
                inches(11, 54).area());
        assertThat(sources).containsExactly(new Source(0, "sheets", 3, BigFraction.of(1, 2)));
    }

    /** For random cuts: no cloth gives more than all of itself, and every piece that is kept has a cloth. */
    @Test
    void thePartsAreNeverMoreThanTheWhole() {
        Random random = new Random(11);
        int given = 0;
        for (int i = 0; i < 2000; i++) {
            List<Cut> cut = new ArrayList<>();
            BigInteger all = BigInteger.ZERO;
            for (int k = 0; k <= random.nextInt(3); k++) {
                cut.add(roll("roll " + k, 30 + random.nextInt(20), 5 + random.nextInt(60)));
                all = all.add(cut.get(k).extent().area().squareNanometres());
            }
            List<Kept> kept = new ArrayList<>();
            for (int k = 0; k <= random.nextInt(3); k++) {
                kept.add(new Kept(inches(4 + random.nextInt(20), 4 + random.nextInt(20)), 1 + random.nextInt(3)));
            }
            Area covered = new Area(all.divide(BigInteger.TWO));
            try {
                Map<String, BigFraction> shares = new TreeMap<>();
                Map<Integer, Long> counts = new TreeMap<>();
                for (Source source : KeptOffcuts.of(kept, cut, covered)) {
                    shares.merge(source.from(), source.share(), BigFraction::add);
                    counts.merge(source.kept(), source.count(), Long::sum);
                }
                assertThat(shares.values()).allMatch(share -> share.compareTo(BigFraction.ONE) <= 0);
                for (int k = 0; k < kept.size(); k++) {
                    assertThat(counts).containsEntry(k, kept.get(k).count());
                }
                given++;
            } catch (TooMuchException tooMuch) {
                assertThat(tooMuch.kept()).isBetween(0, kept.size() - 1);
            }
        }
        assertThat(given).isGreaterThan(300);
    }
}
