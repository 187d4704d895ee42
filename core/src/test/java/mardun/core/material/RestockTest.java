package mardun.core.material;

import static org.assertj.core.api.Assertions.assertThat;

import mardun.core.working.Value;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RestockTest {

    @ParameterizedTest
    @CsvSource({"24, 0, 10, 14", "24, 20, 10, 34", "0, 20, 19, 1", "0, 20, 20, 0", "5, 5, 80, 0", "4, 0, -3, 7"})
    void theBatchesAreMadeAndTheShelfIsNotLow(long needed, long keep, long onHand, long toBuy) {
        var figure =
                Restock.toBuy(Amount.pieces(needed), Amount.pieces(keep), Amount.pieces(keep), Amount.pieces(onHand));
        assertThat(figure.value()).isEqualTo(Amount.pieces(toBuy));
        assertThat(figure.working().result()).isEqualTo(Value.of(toBuy));
        assertThat(figure.working().inputs()).hasSize(3);
    }

    @ParameterizedTest
    @CsvSource({"0, 20, 100, 19, 81", "0, 20, 100, 20, 0", "15, 20, 100, 30, 85", "0, 20, 5, 10, 10"})
    void onceTheShelfIsBelowItsPointItIsFilledUpToItsTarget(
            long needed, long point, long target, long onHand, long toBuy) {
        var figure = Restock.toBuy(
                Amount.pieces(needed), Amount.pieces(point), Amount.pieces(target), Amount.pieces(onHand));
        assertThat(figure.value()).isEqualTo(Amount.pieces(toBuy));
    }
}
