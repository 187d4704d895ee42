package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import mardun.core.making.Upkeep.Kind;
import mardun.core.material.ClothKind;
import org.junit.jupiter.api.Test;

/** When a needle, a blade and the oil have had their time. */
class UpkeepTest {

    private static BigDecimal limit(Kind kind, ClothKind... cloths) {
        return new Upkeep(kind, BigDecimal.valueOf(8)).limitWith(List.of(cloths));
    }

    @Test
    void soonerWithWhatWearsMore() {
        assertThat(limit(Kind.NEEDLE)).isEqualByComparingTo("8");
        assertThat(limit(Kind.NEEDLE, ClothKind.QUILTING_COTTON)).isEqualByComparingTo("8");
        assertThat(limit(Kind.NEEDLE, ClothKind.QUILTING_COTTON, ClothKind.CANVAS))
                .isEqualByComparingTo("5.3");
        assertThat(limit(Kind.BLADE, ClothKind.LAMINATE, ClothKind.CANVAS)).isEqualByComparingTo("4");
        assertThat(limit(Kind.OIL, ClothKind.LAMINATE))
                .as("the machine runs no harder")
                .isEqualByComparingTo("8");
    }

    @Test
    void eachWhereItIs() {
        assertThat(Kind.NEEDLE.isAt(Station.MACHINE)).isTrue();
        assertThat(Kind.NEEDLE.isAt(Station.PRESS)).isFalse();
        assertThat(Kind.BLADE.isAt(Station.CUTTING_TABLE)).isTrue();
        assertThat(Kind.OIL.isAt(Station.CUTTING_TABLE)).isFalse();
    }
}
