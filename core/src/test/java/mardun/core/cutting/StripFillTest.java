package mardun.core.cutting;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import mardun.core.cutting.StripProblem.Kind;
import org.junit.jupiter.api.Test;

/** One strip from what is still wanted: within its bounds, and close to the best that there is. */
class StripFillTest {

    private static StripProblem problem(Random random, int width) {
        List<Kind> kinds = new ArrayList<>();
        for (int i = 0; i < 2 + random.nextInt(3); i++) {
            kinds.add(new Kind(
                    1 + random.nextInt(width), 1 + random.nextInt(6), 1 + random.nextInt(4), random.nextBoolean()));
        }
        return StripProblem.of(width, kinds);
    }

    private static double[] values(StripProblem problem, Random random) {
        double[] values = new double[problem.kinds()];
        for (int kind = 0; kind < values.length; kind++) {
            values[kind] = problem.area(kind) * (0.5 + random.nextDouble());
        }
        return values;
    }

    @Test
    void aStripStaysWithinItsHeightItsWidthAndWhatIsWanted() {
        Random random = new Random(4);
        for (int i = 0; i < 2000; i++) {
            int width = 4 + random.nextInt(12);
            StripProblem problem = problem(random, width);
            int height = 1 + random.nextInt(14);
            int across = 1 + random.nextInt(width);
            StripFill fill = new StripFill(problem, width, 20);
            double[] values = values(problem, random);
            fill.prepare(values, problem.demand(), height);
            StripPattern strip = fill.strip(height, across);
            if (strip == null) {
                continue;
            }
            assertThat(strip.height()).isLessThanOrEqualTo(height);
            assertThat(strip.taken()).isLessThanOrEqualTo(across);
            for (int kind = 0; kind < problem.kinds(); kind++) {
                assertThat(strip.counts()[kind]).isLessThanOrEqualTo(problem.demand()[kind]);
            }
            long area = 0;
            for (StripPattern.Column column : strip.columns()) {
                for (int item : column.items()) {
                    assertThat(problem.widthOf()[item]).isLessThanOrEqualTo(column.width());
                    area += problem.areaOf(item);
                }
            }
            assertThat(strip.area()).isEqualTo(area).isLessThanOrEqualTo((long) height * across);
        }
    }

    @Test
    void whatDoesNotFitGivesNoStrip() {
        StripProblem problem = StripProblem.of(10, List.of(new Kind(4, 6, 3, false)));
        StripFill fill = new StripFill(problem, 10, 20);
        fill.prepare(new double[] {24}, problem.demand(), 5);
        assertThat(fill.strip(5)).isNull();
        fill.prepare(new double[] {24}, new int[] {0}, 12);
        assertThat(fill.strip(12)).isNull();
    }

    /** Asking for one height leaves the answer for another one as it was. */
    @Test
    void severalHeightsAreAskedOfOnePreparation() {
        Random random = new Random(11);
        for (int i = 0; i < 200; i++) {
            StripProblem problem = problem(random, 12);
            double[] values = values(problem, random);
            StripFill one = new StripFill(problem, 12, 20);
            one.prepare(values, problem.demand(), 12);
            one.strip(12);
            StripPattern after = one.strip(7);
            StripFill other = new StripFill(problem, 12, 20);
            other.prepare(values, problem.demand(), 12);
            StripPattern alone = other.strip(7);
            assertThat(after == null ? null : after.signature()).isEqualTo(alone == null ? null : alone.signature());
        }
    }

    /** Against every row of stacks of single pieces. */
    @Test
    void itIsNearlyAlwaysTheBest() {
        Random random = new Random(8);
        int best = 0;
        int cases = 200;
        for (int i = 0; i < cases; i++) {
            StripProblem problem = StripProblem.of(
                    6,
                    List.of(
                            new Kind(1 + random.nextInt(6), 1 + random.nextInt(4), 1 + random.nextInt(2), true),
                            new Kind(1 + random.nextInt(6), 1 + random.nextInt(4), 1 + random.nextInt(2), false)));
            int height = 2 + random.nextInt(4);
            double[] values = values(problem, random);
            StripFill fill = new StripFill(problem, 6, 20);
            fill.prepare(values, problem.demand(), height);
            StripPattern strip = fill.strip(height);
            double found = strip == null ? 0 : strip.worth(values);
            double most = row(problem, values, 6, height, problem.demand().clone());
            assertThat(fill.atMost(height)).isGreaterThanOrEqualTo(found - 1e-9);
            best += found >= most - 1e-9 ? 1 : 0;
        }
        assertThat(best).isGreaterThan(cases * 8 / 10);
    }

    private static double row(StripProblem problem, double[] values, int free, int height, int[] left) {
        double most = 0;
        for (int base = 0; base < problem.items(); base++) {
            boolean fits = problem.widthOf()[base] <= free && problem.heightOf()[base] <= height;
            if (fits && left[problem.kindOf()[base]] >= problem.timesOf()[base]) {
                most = Math.max(most, column(problem, values, free, height, left, problem.widthOf()[base], height));
            }
        }
        return most;
    }

    /** The best stack of a width, with the best row beside it. */
    private static double column(
            StripProblem problem, double[] values, int free, int height, int[] left, int width, int room) {
        double most = free - width > 0 ? row(problem, values, free - width, height, left.clone()) : 0;
        for (int item = 0; item < problem.items(); item++) {
            int kind = problem.kindOf()[item];
            int times = problem.timesOf()[item];
            if (problem.widthOf()[item] <= width && problem.heightOf()[item] <= room && left[kind] >= times) {
                left[kind] -= times;
                double with = values[kind] * times
                        + column(problem, values, free, height, left, width, room - problem.heightOf()[item]);
                left[kind] += times;
                most = Math.max(most, with);
            }
        }
        return most;
    }

    @Test
    void equalPiecesLieSideBySideOnAWiderOne() {
        StripProblem problem = StripProblem.of(12, List.of(new Kind(12, 5, 1, false), new Kind(4, 3, 6, false)));
        assertThat(Arrays.stream(problem.timesOf()).max().orElseThrow()).isEqualTo(3);
        double[] values = {60, 12};
        StripFill fill = new StripFill(problem, 12, 20);
        fill.prepare(values, problem.demand(), 8);
        StripPattern strip = fill.strip(8);
        assertThat(strip.counts()).containsExactly(1, 3);
        assertThat(strip.area()).isEqualTo(96);
        assertThat(strip.columns()).hasSize(1);
    }

    @Test
    void equalColumnsAreCutAcrossTogether() {
        StripProblem problem = StripProblem.of(12, List.of(new Kind(3, 2, 8, false)));
        StripPattern.Column stack = new StripPattern.Column(3, new int[] {0, 0});
        StripPattern strip = StripPattern.of(problem, List.of(stack, stack, stack, stack));
        assertThat(strip.height()).isEqualTo(4);
        assertThat(strip.crossCuts()).isEqualTo(4 + 1);
        Score score = new Score(1, 60, 10, 4, 0, 1, 1, false);
        double one = score.of(List.of(strip), 12);
        assertThat(one).isEqualTo(60 + 10 * (1 + 5));
        assertThat(score.of(List.of(strip, strip, strip, strip), 12)).isEqualTo(one + 3 * 10);
        assertThat(score.of(List.of(strip, strip, strip, strip, strip), 12)).isEqualTo(one + 4 * 10 + 5 * 10);
    }
}
