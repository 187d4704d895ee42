package mardun.core.material;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import mardun.core.material.DyeLots.Lot;
import org.junit.jupiter.api.Test;

class DyeLotsTest {

    private static Lot lot(String key, String dye, long free) {
        return new Lot(key, dye, Amount.pieces(free));
    }

    private static final List<Lot> LOTS =
            List.of(lot("a", "0412", 5), lot("b", "0377", 9), lot("c", "0412 ", 3), lot("d", "", 4), lot("e", "", 6));

    @Test
    void allOfABatchComesFromOneDye() {
        assertThat(DyeLots.pick(Amount.pieces(7), LOTS).orElseThrow().fromLot())
                .isEqualTo(Map.of("a", Amount.pieces(5), "c", Amount.pieces(2)));
        assertThat(DyeLots.pick(Amount.pieces(9), LOTS).orElseThrow().fromLot())
                .isEqualTo(Map.of("b", Amount.pieces(9)));
    }

    @Test
    void theSmallestThatIsLargeEnoughIsCutInto() {
        assertThat(DyeLots.pick(Amount.pieces(4), LOTS).orElseThrow().fromLot())
                .isEqualTo(Map.of("d", Amount.pieces(4)));
    }

    @Test
    void lotsWithoutAMarkAreNotMixed() {
        assertThat(DyeLots.pick(Amount.pieces(10), LOTS)).isEmpty();
        assertThat(DyeLots.most(LOTS, Counting.PIECES)).isEqualTo(Amount.pieces(9));
    }

    @Test
    void whereTheDyeDoesNotMatterTheOldestGoFirst() {
        assertThat(DyeLots.take(Amount.pieces(10), LOTS).fromLot())
                .containsExactly(Map.entry("a", Amount.pieces(5)), Map.entry("b", Amount.pieces(5)));
        assertThat(DyeLots.take(Amount.pieces(50), LOTS).fromLot().values().stream()
                        .reduce(Amount::plus))
                .contains(Amount.pieces(27));
    }
}
