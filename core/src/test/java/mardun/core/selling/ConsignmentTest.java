package mardun.core.selling;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import mardun.core.selling.Consignment.Do;
import mardun.core.selling.Consignment.Lying;
import mardun.core.working.Sentence;
import org.junit.jupiter.api.Test;

class ConsignmentTest {

    @Test
    void bringsAsManyAsGoInEightWeeksWhereTheyLastLessThanFour() {
        // 13 in 26 weeks: one in two weeks, so 2 in four and 4 in eight.
        assertThat(Consignment.of(new Lying(1, 13, 182, 20)))
                .extracting("what", "units")
                .containsExactly(Do.BRING, 3);
        assertThat(Consignment.of(new Lying(0, 13, 400, 0)))
                .extracting("what", "units")
                .containsExactly(Do.BRING, 4);
        assertThat(Consignment.of(new Lying(2, 13, 182, 20)).what()).isEqualTo(Do.LEAVE);
    }

    @Test
    void takesBackWhatNobodyBought() {
        assertThat(Consignment.of(new Lying(5, 0, 91, 91)))
                .extracting("what", "units")
                .containsExactly(Do.TAKE_BACK, 5);
        assertThat(Consignment.of(new Lying(5, 0, 90, 90)).what())
                .as("a quarter of a year isn't over")
                .isEqualTo(Do.LEAVE);
        assertThat(Consignment.of(new Lying(0, 0, 182, 182)).what())
                .as("nothing lies there")
                .isEqualTo(Do.LEAVE);
    }

    @Test
    void takesBackWhatIsMoreThanGoesInHalfAYear() {
        assertThat(Consignment.of(new Lying(10, 3, 182, 120)))
                .extracting("what", "units")
                .containsExactly(Do.TAKE_BACK, 7);
        assertThat(Consignment.of(new Lying(10, 3, 182, 30)).what())
                .as("they came a month ago")
                .isEqualTo(Do.LEAVE);
    }

    @Test
    void neverTakesBackMoreThanThereAreAndBringsOnlyWhatSells() {
        Random random = new Random(11);
        for (int i = 0; i < 5_000; i++) {
            Lying lying = new Lying(random.nextInt(40), random.nextInt(30), random.nextInt(400), random.nextInt(400));
            Consignment advice = Consignment.of(lying);
            if (advice.what() == Do.LEAVE) {
                assertThat(advice.units()).isZero();
            } else {
                assertThat(advice.units()).as("%s", lying).isPositive();
            }
            if (advice.what() == Do.TAKE_BACK) {
                assertThat(advice.units()).isLessThanOrEqualTo(lying.there());
            }
            if (advice.what() == Do.BRING) {
                assertThat(lying.sold()).isPositive();
                Consignment after = Consignment.of(new Lying(
                        lying.there() + advice.units(), lying.sold(), lying.offeredDays(), lying.lyingDays()));
                assertThat(after.what()).as("what was brought stays").isEqualTo(Do.LEAVE);
            }
        }
    }

    @Test
    void whatMayNotBeSoldThereIsTakenBackAndNotBrought() {
        Sentence why = Sentence.of("Its licence says so.");
        assertThat(Consignment.barred(3, why)).isEqualTo(new Consignment(Consignment.Do.TAKE_BACK, 3, why));
        assertThat(Consignment.barred(0, why)).isEqualTo(new Consignment(Consignment.Do.LEAVE, 0, why));
    }
}
