package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import mardun.core.making.ThreadRack.Cloth;
import mardun.core.making.ThreadRack.Spool;
import mardun.core.material.Colour;
import org.junit.jupiter.api.Test;

/** Which thread goes with which cloth. */
class ThreadRackTest {

    private static final Spool NAVY = new Spool("1", "Navy 50", Colour.of("#22304f"));
    private static final Spool SLATE = new Spool("2", "Slate 50", Colour.of("#4c5866"));
    private static final Spool ECRU = new Spool("3", "Ecru 50", Colour.of("#e6dcc3"));
    private static final ThreadRack RACK = new ThreadRack(List.of(NAVY, SLATE, ECRU));

    private static Cloth cloth(String name, String colour) {
        return new Cloth(name, name, Colour.of(colour));
    }

    @Test
    void theNearestThreadMatchesIfItIsNearEnough() {
        assertThat(RACK.nearest(cloth("canvas", "#545c66"))).contains(SLATE);
        assertThat(RACK.nearest(cloth("linen", "#e0d8c0"))).contains(ECRU);
        assertThat(RACK.nearest(cloth("poppy", "#d02020"))).isEmpty();
        assertThat(RACK.words(cloth("poppy", "#d02020"), Map.of())).isEqualTo("matching poppy");
    }

    @Test
    void theMakerDecidesOtherwise() {
        Cloth canvas = cloth("canvas", "#545c66");
        assertThat(RACK.of(canvas, Map.of("canvas", "1"))).contains(NAVY);
        assertThat(RACK.words(cloth("poppy", "#d02020"), Map.of("poppy", "3"))).isEqualTo("Ecru 50");
        assertThat(RACK.of(canvas, Map.of("canvas", "gone")))
                .as("a thread that is gone")
                .contains(SLATE);
    }

    @Test
    void whatWouldDoIsToldTheNearestFirst() {
        assertThat(RACK.passable(cloth("canvas", "#545c66"))).first().isEqualTo(SLATE);
        assertThat(RACK.passable(cloth("canvas", "#545c66"))).contains(NAVY).doesNotContain(ECRU);
    }
}
