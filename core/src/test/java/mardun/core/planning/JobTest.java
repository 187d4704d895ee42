package mardun.core.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.making.LineSteps;
import mardun.core.making.Operation;
import mardun.core.making.OrderWishes;
import mardun.core.making.SetUp;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.making.Step;
import mardun.core.making.WorkOrder;
import mardun.core.making.WorkOrder.Ordered;
import mardun.core.making.Workshop;
import org.junit.jupiter.api.Test;

class JobTest {

    private static final LocalDate DUE = LocalDate.of(2026, 12, 7);

    private static Step step(String key, Stage stage, int passive, String... after) {
        return new Step(
                key,
                key,
                stage,
                stage == Stage.CUT ? Station.CUTTING_TABLE : Station.MACHINE,
                SetUp.NONE,
                Duration.ofMinutes(3),
                Duration.ofMinutes(5),
                Duration.ofMinutes(passive),
                "",
                "",
                "",
                List.of(after),
                List.of());
    }

    private static Ordered order() {
        List<Step> steps = List.of(
                step("cut", Stage.CUT, 0),
                step("glue", Stage.SEW, 30, "cut"),
                step("straps", Stage.SEW, 0, "cut"),
                step("close", Stage.SEW, 0, "glue", "straps"));
        return WorkOrder.find(
                        Operation.of(List.of(LineSteps.of(1, 6, steps))),
                        WorkOrder.Threads.of(Map.of(), Map.of()),
                        Workshop.USUAL,
                        OrderWishes.NONE,
                        100,
                        () -> false)
                .order()
                .orElseThrow();
    }

    @Test
    void whatIsReadyOnItsDayIsInTimeAndADayAfterIsLate() {
        Job job = Job.ofHours("9", Duration.ofHours(3), Optional.of(DUE));
        assertThat(job.isLate(Optional.of(DUE))).isFalse();
        assertThat(job.isLate(Optional.of(DUE.plusDays(1)))).isTrue();
        assertThat(job.isLate(Optional.empty())).isTrue();
        assertThat(Job.ofHours("9", Duration.ofHours(3), Optional.empty()).isLate(Optional.empty()))
                .isFalse();
    }

    @Test
    void aBatchIsLaidInItsOrderWithAllThatItsStepsSay() {
        Ordered order = order();
        Job job = Job.of("9", Optional.of(DUE), order, turn -> true);
        assertThat(job.tasks()).hasSize(4).allSatisfy(task -> {
            assertThat(task.bags()).isEqualTo(6);
            assertThat(task.sewing()).isEqualTo(Duration.ofMinutes(18));
            assertThat(task.once()).isEqualTo(Duration.ofMinutes(5));
        });
        assertThat(job.time()).isEqualTo(Duration.ofMinutes(4 * 23));
        int close = job.tasks().size() - 1;
        assertThat(order.turns().get(close).step().name()).isEqualTo("close");
        assertThat(job.tasks().get(close).after()).contains(0, 1, 2);
        assertThat(job.tasks().get(0).after()).isEmpty();
        assertThat(job.tasks().stream()
                        .mapToLong(task -> task.passive().toMinutes())
                        .sum())
                .isEqualTo(30);
    }

    @Test
    void ofABatchThatWaitsForItsZipsTheCuttingAloneIsLaid() {
        Job job = Job.of("9", Optional.of(DUE), order(), turn -> turn.step().stage() == Stage.CUT);
        assertThat(job.tasks())
                .singleElement()
                .satisfies(task -> assertThat(task.at().station()).isEqualTo(Station.CUTTING_TABLE));
    }
}
