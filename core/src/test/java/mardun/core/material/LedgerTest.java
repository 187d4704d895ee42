package mardun.core.material;

import static mardun.core.material.MovementKind.BOUGHT;
import static mardun.core.material.MovementKind.COUNTED;
import static mardun.core.material.MovementKind.CUT;
import static mardun.core.material.MovementKind.SPOILED;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import mardun.core.material.Ledger.Movement;
import mardun.core.material.Ledger.Refusal;
import mardun.core.material.Ledger.RefusedException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class LedgerTest {

    @ParameterizedTest
    @CsvSource({
        "BOUGHT, 0, '', NOTHING_MOVED",
        "BOUGHT, -1, '', WRONG_DIRECTION",
        "CUT, 1, '', WRONG_DIRECTION",
        "CUT, -11, '', BELOW_ZERO",
        "CUT, -11, ' ', BELOW_ZERO",
        "COUNTED, -1, '', REASON_MISSING",
        "SPOILED, -1, '', REASON_MISSING"
    })
    void refusesWhatTheShelfCannotDo(MovementKind kind, long change, String reason, Refusal refusal) {
        assertThatThrownBy(() -> Ledger.after(Amount.pieces(10), new Movement(kind, Amount.pieces(change), reason)))
                .isInstanceOfSatisfying(
                        RefusedException.class,
                        refused -> assertThat(refused.refusal()).isEqualTo(refusal));
    }

    @Test
    void belowZeroOnlyWithAReason() {
        assertThat(Ledger.after(Amount.pieces(10), new Movement(CUT, Amount.pieces(-11), "a metre was never entered")))
                .isEqualTo(Amount.pieces(-1));
    }

    @Test
    void whatComesInIsTakenOnAShelfBelowZero() {
        assertThat(Ledger.after(Amount.pieces(-5), new Movement(BOUGHT, Amount.pieces(3), "")))
                .isEqualTo(Amount.pieces(-2));
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {71, 72})
    void onHandIsTheSumOfWhatWasTakenAndNeverNegativeWithoutAReason(long seed) {
        Random random = new Random(seed);
        List<Movement> taken = new ArrayList<>();
        Amount onHand = Amount.none(Counting.LENGTH);
        for (int i = 0; i < 2000; i++) {
            MovementKind kind = List.of(BOUGHT, CUT, COUNTED, SPOILED).get(random.nextInt(4));
            Movement movement = new Movement(
                    kind,
                    new Amount(Counting.LENGTH, random.nextInt(2001) - 1000),
                    kind.needsReason() ? "counted" : "");
            boolean couldGoBelow = kind.needsReason();
            try {
                onHand = Ledger.after(onHand, movement);
                taken.add(movement);
                assertThat(!onHand.isNegative()
                                || couldGoBelow
                                || movement.change().isPositive())
                        .isTrue();
            } catch (RefusedException refused) {
                assertThat(refused.refusal()).isNotNull();
            }
        }
        assertThat(taken).hasSizeGreaterThan(500);
        assertThat(Ledger.onHand(Counting.LENGTH, taken)).isEqualTo(onHand);
    }

    @Test
    void lengthsAndCountsDoNotMix() {
        assertThatThrownBy(() -> Amount.pieces(1).plus(new Amount(Counting.LENGTH, 1)))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
