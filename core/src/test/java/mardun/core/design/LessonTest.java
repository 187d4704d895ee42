package mardun.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import mardun.core.design.Measurement.Kind;
import mardun.core.making.SetUp;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.making.Step;
import org.junit.jupiter.api.Test;

/** A lesson finds what it touches. */
class LessonTest {

    private static final List<Measurement> POUCH = List.of(
            Measurement.of("width", "Width at the base", Kind.FINISHED, "7 in", "10 in"),
            Measurement.of("opening", "Opening of the zip", Kind.FINISHED, "7 in"),
            Measurement.of("seam", "Seam allowance", Kind.ALLOWANCE, "1/4 in"),
            Measurement.of("metric", "Depth", Kind.FINISHED, "6.4 cm"),
            Measurement.of("derived", "Derived", Kind.FINISHED, "width + 7 in"),
            Measurement.of("cards", "Card slots", Kind.COUNT, "3"));

    private static Step step(String key, String name) {
        return new Step(
                key,
                name,
                Stage.SEW,
                Station.MACHINE,
                SetUp.NONE,
                Duration.ofMinutes(1),
                Duration.ZERO,
                Duration.ZERO,
                "",
                "",
                "",
                List.of(),
                List.of());
    }

    private static List<String> measures(String text) {
        return Lesson.of(text, POUCH, List.of()).measures().stream()
                .map(one -> one.symbol() + " " + one.size() + ": " + one.now() + " > " + one.then())
                .toList();
    }

    @Test
    void theMeasureThatIsNamedComesFirst() {
        assertThat(measures("the opening was too small: 7 -> 10 next time"))
                .containsExactly("opening 0: 7 in > 10 in", "width 0: 7 in > 10 in");
        assertThat(measures("Width 10 in instead of 7 in")).startsWith("width 0: 7 in > 10 in");
    }

    @Test
    void fractionsAndOtherUnits() {
        assertThat(measures("seam 1/4 → 3/8")).containsExactly("seam 0: 1/4 in > 3/8 in");
        assertThat(measures("depth 6.4 cm to 7 cm")).containsExactly("metric 0: 6.4 cm > 7 cm");
        assertThat(measures("depth 64 mm -> 70 mm")).containsExactly("metric 0: 6.4 cm > 70 mm");
        assertThat(measures("slots 3 -> 4")).containsExactly("cards 0: 3 > 4");
    }

    @Test
    void nothingWhereNothingIsMeant() {
        assertThat(measures("press it flat before you pin")).isEmpty();
        assertThat(measures("99 -> 100")).isEmpty();
    }

    @Test
    void stepsWhoseNamesStandInIt() {
        assertThat(Lesson.of(
                                "Pull the corner flat before boxing",
                                POUCH,
                                List.of(step("zip", "Sew the zip"), step("box", "Box the corners")))
                        .steps())
                .containsExactly(new Lesson.Touched("box", "Box the corners"));
    }
}
