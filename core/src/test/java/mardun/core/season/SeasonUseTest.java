package mardun.core.season;

import static mardun.core.season.MadeUpSeason.item;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** Two cloths of one design take its set-up of 20 min once; each piece takes 0.3 m of its cloth and trims for 1. */
class SeasonUseTest {

    private static final List<SeasonItem> ITEMS =
            List.of(item("fold", "red", 12, 15), item("fold", "blue", 12, 25), item("roll", "red", 30, 40));

    private static Season season(Map<String, SeasonLimits.Cloth> cloth, OptionalInt pieces) {
        return new Season(ITEMS, new SeasonLimits(2, 10, pieces, cloth), List.of(), List.of());
    }

    private static final Map<String, SeasonLimits.Cloth> SHELF = Map.of(
            "red", new SeasonLimits.Cloth(1, OptionalDouble.of(10), 8),
            "blue", new SeasonLimits.Cloth(0.5, OptionalDouble.empty(), 4));

    @Test
    void takesNothingForNothing() {
        SeasonUse use = SeasonUse.of(season(SHELF, OptionalInt.empty()), new int[3]);
        assertThat(use.minutes()).isZero();
        assertThat(use.cost()).isZero();
        assertThat(use.broken(season(SHELF, OptionalInt.empty()), new int[3])).isEmpty();
    }

    @Test
    void setsADesignUpOnceAndEachDesignForItself() {
        Season season = season(SHELF, OptionalInt.empty());
        assertThat(SeasonUse.of(season, new int[] {1, 1, 0}).minutes()).isEqualTo(20 + 15 + 25);
        assertThat(SeasonUse.of(season, new int[] {1, 0, 1}).minutes()).isEqualTo(20 + 15 + 20 + 40);
    }

    @Test
    void buysWhatTheShelfDoesNotHaveAndPricesWhatItHas() {
        // Five reds take 1.5 m: the metre that is there is worth 8, half a metre is bought for 5, and trims for 5.
        SeasonUse use = SeasonUse.of(season(SHELF, OptionalInt.empty()), new int[] {5, 0, 0});
        assertThat(use.bought().get("red")).isCloseTo(0.5, within(1e-9));
        assertThat(use.spent()).isCloseTo(5 + 5, within(1e-9));
        assertThat(use.fromShelf()).isCloseTo(8, within(1e-9));
        assertThat(use.cost()).isCloseTo(18, within(1e-9));
    }

    @Test
    void namesEachLimitThatIsBroken() {
        Season season = season(SHELF, OptionalInt.of(4));
        int[] many = {3, 2, 3};
        assertThat(SeasonUse.of(season, many).broken(season, many))
                .containsExactlyInAnyOrder(
                        new SeasonUse.Broken.Hours((20 + 3 * 15 + 2 * 25 + 20 + 3 * 40) / 60.0, 2),
                        new SeasonUse.Broken.Money(SeasonUse.of(season, many).spent(), 10),
                        new SeasonUse.Broken.Pieces(8, 4),
                        new SeasonUse.Broken.Cloth("blue", 0.6, 0.5));
    }

    @Test
    void keepsToTheLastMinuteAndTheLastMetre() {
        Season season = new Season(
                ITEMS,
                new SeasonLimits(
                        95 / 60.0,
                        100,
                        OptionalInt.of(5),
                        Map.of(
                                "red", new SeasonLimits.Cloth(1.5, OptionalDouble.empty(), 0),
                                "blue", new SeasonLimits.Cloth(0, OptionalDouble.empty(), 0))),
                List.of(),
                List.of());
        int[] justSo = {5, 0, 0};
        assertThat(SeasonUse.of(season, justSo).broken(season, justSo)).isEmpty();
        int[] tooMany = {6, 0, 0};
        assertThat(SeasonUse.of(season, tooMany).broken(season, tooMany)).hasSize(3);
    }
}
