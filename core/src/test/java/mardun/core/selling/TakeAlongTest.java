package mardun.core.selling;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import mardun.core.selling.TakeAlong.Before;
import org.junit.jupiter.api.Test;

/** How many of a kind go along, by what was sold before. */
class TakeAlongTest {

    @Test
    void takesTwiceWhatAnAverageFairSold() {
        TakeAlong take = TakeAlong.of(40, List.of(new Before(12, 5), new Before(12, 4)), List.of(new Before(30, 30)));
        assertThat(take.units()).isEqualTo(9);
        assertThat(take.reason().template()).contains("sold here");
    }

    @Test
    void goesByOtherFairsWhereItWasNeverTakenHere() {
        assertThat(TakeAlong.of(40, List.of(), List.of(new Before(9, 3))).units())
                .isEqualTo(6);
    }

    @Test
    void takesMoreOfWhatWasSoldOut() {
        TakeAlong take = TakeAlong.of(40, List.of(new Before(5, 5), new Before(20, 1)), List.of());
        assertThat(take.units()).isEqualTo(8);
        assertThat(take.reason().template()).contains("half as many again");
    }

    @Test
    void triesWhatIsNew() {
        assertThat(TakeAlong.of(40, List.of(), List.of()).units()).isEqualTo(4);
    }

    @Test
    void takesWhatNeverSoldOnceMore() {
        TakeAlong take = TakeAlong.of(9, List.of(new Before(6, 0)), List.of());
        assertThat(take.units()).isEqualTo(1);
        assertThat(take.reason().template()).isEqualTo("None was sold here, at {0} fair: one to show.");
    }

    @Test
    void takesNoMoreThanThereAre() {
        TakeAlong take = TakeAlong.of(3, List.of(new Before(12, 5)), List.of());
        assertThat(take.units()).isEqualTo(3);
        assertThat(take.reason().template()).endsWith("There are only {2}.");
        assertThat(TakeAlong.of(0, List.of(new Before(12, 5)), List.of()).units())
                .isZero();
    }
}
