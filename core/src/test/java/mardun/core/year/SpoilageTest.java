package mardun.core.year;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class SpoilageTest {

    @Test
    void secondsAndScrapDidNotComeOutWell() {
        Spoilage all = new Spoilage(14, 1, 1).plus(new Spoilage(6, 0, 2));
        assertThat(all.begun()).isEqualTo(24);
        assertThat(all.spoilt()).isEqualTo(4);
        assertThat(all.percent()).isEqualTo(17);
    }

    @Test
    void ofNothingNothingIsSpoilt() {
        assertThat(Spoilage.NONE.percent()).isZero();
        assertThat(Spoilage.NONE.plus(new Spoilage(3, 0, 0)).percent()).isZero();
    }
}
