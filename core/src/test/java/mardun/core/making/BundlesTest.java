package mardun.core.making;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Which bags go through the seams together. */
class BundlesTest {

    private static final Step SEW = new Step(
            "sew",
            "sew",
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

    /** Seven bags of the first line and four of the second. */
    private static String bundles(int size, boolean oneFirst) {
        List<Operation> all = Operation.of(List.of(LineSteps.of(1, 7, List.of(SEW)), LineSteps.of(2, 4, List.of(SEW))));
        return new Bundles(all, size, oneFirst)
                .of(all.get(0)).entrySet().stream()
                        .map(bundle -> bundle.getKey() + ": "
                                + bundle.getValue().stream()
                                        .map(part -> part.units() + " of line " + part.line())
                                        .collect(Collectors.joining(", ")))
                        .collect(Collectors.joining("; "));
    }

    @Test
    void soManyInEachLineAfterLine() {
        assertThat(bundles(5, false)).isEqualTo("0: 5 of line 1; 1: 2 of line 1, 3 of line 2; 2: 1 of line 2");
    }

    @Test
    void allTogetherWhereNothingIsWanted() {
        assertThat(bundles(Integer.MAX_VALUE, false)).isEqualTo("0: 7 of line 1, 4 of line 2");
    }

    @Test
    void oneByItselfBeforeTheOthers() {
        assertThat(bundles(Integer.MAX_VALUE, true)).isEqualTo("0: 1 of line 1; 1: 6 of line 1, 4 of line 2");
        assertThat(bundles(5, true)).isEqualTo("0: 1 of line 1; 1: 5 of line 1; 2: 1 of line 1, 4 of line 2");
    }
}
