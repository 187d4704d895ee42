package mardun.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.Map;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What a plan takes as one batch stands in for what its bags take one by one. */
class BatchTakesTest {

    static LongStream seeds() {
        return LongStream.range(0, 10);
    }

    private static SeasonUse use(Season season, int[] made) {
        return SeasonUse.of(season, made);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void theSameNumbersThenTakeWhatTheBatchTook(long seed) {
        Season season = MadeUpSeason.any(seed);
        SeasonPlanner planner = new SeasonPlanner(season, DemandPrior.USUAL, 1);
        int[] made = planner.plan(SeasonAim.BEST_MEAN).made();
        SeasonUse before = use(season, made);
        Map<String, Double> cloth = new HashMap<>();
        before.cloth().forEach((name, metres) -> cloth.put(name, metres * 0.83));
        BatchTakes takes = new BatchTakes(before.minutes() * 0.7, cloth);

        SeasonUse after = use(takes.in(season, made), made);
        assertThat(after.minutes()).isCloseTo(takes.minutes(), within(1e-6));
        cloth.forEach((name, metres) -> assertThat(after.cloth().get(name)).isCloseTo(metres, within(1e-6)));
        assertThat(takes.differsFrom(before)).isEqualTo(before.pieces() > 0);
        assertThat(takes.differsFrom(after)).isFalse();
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void whatTakesLessIsMadeMoreOfWithinTheSameHours(long seed) {
        Season season = MadeUpSeason.any(seed);
        SeasonPlanner planner = new SeasonPlanner(season, DemandPrior.USUAL, 1);
        SeasonPlan plan = planner.plan(SeasonAim.BEST_MEAN);
        SeasonUse reckoned = plan.outcome().use();
        SeasonPlanner half = planner.taking(new BatchTakes(reckoned.minutes() / 2, reckoned.cloth()), plan.made());
        SeasonPlan more = half.plan(SeasonAim.BEST_MEAN);

        assertThat(more.outcome().expected())
                .isGreaterThanOrEqualTo(plan.outcome().expected() - 1e-6);
        assertThat(more.outcome().use().broken(half.season(), more.made())).isEmpty();
        assertThat(half.outcome(plan.made()).expected())
                .as("what is wanted stays as it was")
                .isCloseTo(plan.outcome().expected(), within(1e-6));
    }

    @Test
    void whatIsNotKnownStaysAsReckoned() {
        Season season = MadeUpSeason.any(2);
        int[] made = new SeasonPlanner(season, DemandPrior.USUAL, 1)
                .plan(SeasonAim.BEST_MEAN)
                .made();
        SeasonUse before = use(season, made);
        BatchTakes nothingKnown = new BatchTakes(0, Map.of());
        assertThat(nothingKnown.differsFrom(before)).isFalse();
        assertThat(use(nothingKnown.in(season, made), made)).isEqualTo(before);
    }
}
