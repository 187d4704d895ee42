package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.junit.jupiter.api.Test;

class ThreadUseTest {

    private static Step step(String key, String thread, long minutes) {
        return new Step(
                key,
                key,
                Stage.SEW,
                Station.MACHINE,
                SetUp.of("80", thread, "", ""),
                Duration.ofMinutes(minutes),
                Duration.ofMinutes(30),
                Duration.ZERO,
                "",
                "",
                "",
                List.of(),
                List.of());
    }

    @Test
    void onlyTheStepsWithThisThreadCountAndOnlyWhileTheySew() {
        List<Step> steps = List.of(step("a", "Navy 50", 6), step("b", "Oat 50", 20), step("c", " navy 50", 4));
        assertThat(ThreadUse.time(steps, 12, "Navy 50", "7", "")).isEqualTo(Duration.ofHours(2));
        assertThat(ThreadUse.time(steps, 12, "Rust 50", "7", "")).isEqualTo(Duration.ZERO);
    }

    @Test
    void whereAStepSaysMatchingItIsTheThreadThatMatches() {
        List<Step> steps = List.of(step("a", "Matching", 6), step("b", "Navy 50", 3));
        assertThat(ThreadUse.time(steps, 10, "Navy 50", "7", "navy 50")).isEqualTo(Duration.ofMinutes(90));
        assertThat(ThreadUse.time(steps, 10, "Rust 50", "7", "rust 50")).isEqualTo(Duration.ofMinutes(60));
        assertThat(ThreadUse.time(steps, 10, "Matching", "7", "")).isEqualTo(Duration.ZERO);
    }

    /** A thread that a step knows from the shelf is the same, whatever it is called by now. */
    @Test
    void aThreadFromTheShelfMayBeCalledOtherwise() {
        Step sewn = step("a", "Navy 50", 6);
        SetUp bySpool = new SetUp(sewn.setUp().on(), "", false, Map.of(SetUp.Part.THREAD, "7"));
        Step step = new Step(
                "a",
                "a",
                Stage.SEW,
                Station.MACHINE,
                bySpool,
                Duration.ofMinutes(6),
                Duration.ZERO,
                Duration.ZERO,
                "",
                "",
                "",
                List.of(),
                List.of());
        assertThat(ThreadUse.time(List.of(step), 10, "Midnight 50", "7", "")).isEqualTo(Duration.ofHours(1));
        assertThat(ThreadUse.time(List.of(step), 10, "Navy 50", "8", ""))
                .as("another thread that took its name")
                .isEqualTo(Duration.ZERO);
    }

    @Test
    void whatGoesOffTheSpoolIsRoundedUp() {
        Length perHour = Length.of(60, LengthUnit.METRE);
        assertThat(ThreadUse.length(Duration.ofHours(2), perHour)).isEqualTo(Length.of(120, LengthUnit.METRE));
        assertThat(ThreadUse.length(Duration.ofSeconds(1), new Length(1))).isEqualTo(new Length(1));
    }
}
