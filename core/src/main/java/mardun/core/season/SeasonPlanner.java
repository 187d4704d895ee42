package mardun.core.season;

import java.util.Arrays;
import java.util.Map;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.stream.IntStream;

/**
 * Chooses how many of each item to make for a season: draws seasons from what past sales tell, asks what each further piece would be worth in
 * them, chooses within the limits, and asks again, since what one item sells depends on which others are there.
 */
public final class SeasonPlanner {

    private static final int FEWEST_SEASONS = 300;
    private static final int MOST_SEASONS = 1200;
    private static final int SEASONS_TIMES_ITEMS = 12_000;
    private static final int ROUNDS = 6;
    private static final int MOST_OF_ONE = 80;
    private static final double BAD_PART = 0.3;
    private static final double LARGER_TABLE = 1.1;

    private final Season season;
    private final DemandEstimate estimate;
    private final int seasons;
    private final Outlook outlook;
    private final double[] substitution;
    private final SeasonPlay play;
    private final int[] most;
    private final double nothing;

    /**
     * Learns from the past and draws the seasons that may come.
     *
     * @param seed of the seasons that are drawn
     */
    public SeasonPlanner(Season season, DemandPrior prior, long seed) {
        this(season, DemandFit.of(season, prior), prior, seed);
    }

    private SeasonPlanner(Season season, DemandEstimate estimate, DemandPrior prior, long seed) {
        this.season = season;
        this.estimate = estimate;
        seasons = Math.max(
                FEWEST_SEASONS,
                Math.min(
                        MOST_SEASONS,
                        SEASONS_TIMES_ITEMS / Math.max(1, season.items().size())));
        outlook = estimate.draw(seasons, seed);
        substitution = new double[season.items().size()];
        Arrays.fill(substitution, prior.substitution());
        play = new SeasonPlay(season, outlook, substitution);
        most = season.items().stream().mapToInt(this::most).toArray();
        nothing = mean(play.takings(new int[most.length]));
    }

    /** One for a season, by what an earlier one learnt from the past where that and what was held likely before it are the same. */
    public static SeasonPlanner after(SeasonPlanner earlier, Season season, DemandPrior prior, long seed) {
        return earlier.estimate.restsOnTheSameAs(season, prior)
                ? new SeasonPlanner(season, earlier.estimate.in(season), prior, seed)
                : new SeasonPlanner(season, prior, seed);
    }

    private SeasonPlanner(Season season, SeasonPlanner like) {
        this.season = season;
        estimate = like.estimate;
        seasons = like.seasons;
        outlook = like.outlook;
        substitution = like.substitution;
        play = new SeasonPlay(season, outlook, substitution);
        most = season.items().stream().mapToInt(this::most).toArray();
        nothing = like.nothing;
    }

    /** One for the same bags and the same seasons, made as one batch as {@code made} was: with its time, and its cloths as laid out. */
    public SeasonPlanner taking(BatchTakes takes, int[] made) {
        return new SeasonPlanner(takes.in(season, made), this);
    }

    /** What is asked of it. */
    public Season season() {
        return season;
    }

    private int most(SeasonItem item) {
        int licensed = Math.min(item.licence().orElse(MOST_OF_ONE), MOST_OF_ONE);
        return Math.max(
                item.atLeast(), Math.min(licensed, (int) (season.limits().hours() * 60 / item.minutes())));
    }

    /** What past sales tell. */
    public DemandEstimate estimate() {
        return estimate;
    }

    /** The plan. */
    public SeasonPlan plan(SeasonAim aim) {
        double[] even = new double[seasons];
        Arrays.fill(even, 1.0 / seasons);
        Found best = search(new int[most.length], even, SeasonAim.BEST_MEAN);
        if (aim == SeasonAim.BETTER_BAD_DAY) {
            Found careful = search(best.made, worst(play.takings(best.made)), aim);
            best = careful.goodness > badDay(best) ? careful : best;
        }
        double[] last = new double[most.length];
        double[] next = new double[most.length];
        int[] oneMore = Arrays.stream(best.made).map(made -> made + 1).toArray();
        double[][] worth = play.worthOfEach(best.made, even, oneMore);
        double cost = SeasonUse.of(season, best.made).cost();
        for (int item = 0; item < most.length; item++) {
            if (best.made[item] > 0) {
                last[item] = worth[item][best.made[item] - 1] - (cost - costWith(best.made, item, -1));
            }
            next[item] = worth[item][best.made[item]] - (costWith(best.made, item, 1) - cost);
        }
        return new SeasonPlan(best.made, outcome(best.made), best.gap, last, next);
    }

    private double costWith(int[] made, int item, int change) {
        int[] other = made.clone();
        other[item] += change;
        return SeasonUse.of(season, other).cost();
    }

    /** What is to be expected if so many of each item are made, whether or not the limits allow it. */
    public SeasonOutcome outcome(int[] made) {
        SeasonPlay.Outcome played = play.outcome(made);
        SeasonUse use = SeasonUse.of(season, made);
        double[] sorted = played.takings().clone();
        Arrays.sort(sorted);
        double mean = mean(sorted) - use.cost();
        return new SeasonOutcome(
                use,
                mean,
                mean - nothing,
                sorted[seasons / 10] - use.cost(),
                sorted[seasons - 1 - seasons / 10] - use.cost(),
                played.sold(),
                played.soldOut());
    }

    /** What a little more of each limit would bring, over a plan that was chosen. */
    public LimitPrices prices(SeasonPlan plan) {
        double[] even = new double[seasons];
        Arrays.fill(even, 1.0 / seasons);
        double[][] worth = play.worthOfEach(plan.made(), even, most);
        SeasonLimits now = season.limits();
        MakeProgramme.Choice before = chosen(now, worth, new double[0], plan.made());
        Map<String, Double> cloth = new TreeMap<>();
        for (String name : plan.outcome().use().cloth().keySet()) {
            cloth.put(name, gain(before, now.withMore(name, 1), worth));
        }
        int[] pieces = now.pieces().stream().toArray();
        return new LimitPrices(
                gain(before, now.withHours(now.hours() + 1), worth),
                gain(before, now.withMoney(now.money() + LimitPrices.MONEY_STEP), worth),
                pieces.length == 0 ? 0 : gain(before, now.withPieces(OptionalInt.of(pieces[0] + 1)), worth),
                cloth,
                largerTables(plan.made()));
    }

    private double gain(MakeProgramme.Choice before, SeasonLimits limits, double[][] worth) {
        return chosen(limits, worth, before.prices(), before.made()).value() - before.value();
    }

    private MakeProgramme.Choice chosen(SeasonLimits limits, double[][] worth, double[] prices, int[] made) {
        return new MakeProgramme(season.within(limits), worth).solve(prices, made);
    }

    private double largerTables(int[] made) {
        Season larger = new Season(
                season.items(),
                season.limits(),
                season.past(),
                season.coming().stream()
                        .map(event -> event.withTable((int) Math.ceil(event.table() * LARGER_TABLE)))
                        .toList(),
                season.together());
        return Math.max(
                0, mean(new SeasonPlay(larger, outlook, substitution).takings(made)) - mean(play.takings(made)));
    }

    /** A choice, and how good it is for what is aimed at. */
    private record Found(int[] made, double gap, double goodness) {}

    private Found search(int[] from, double[] weights, SeasonAim aim) {
        int[] made = from;
        double[][] worth = null;
        double[] prices = {};
        Found best = null;
        for (int round = 0; round < ROUNDS; round++) {
            double[][] now = play.worthOfEach(made, weights, most);
            worth = round < 2 ? now : mean(worth, now, 1.0 / round);
            MakeProgramme.Choice choice = new MakeProgramme(season, worth).solve(prices, made);
            prices = choice.prices();
            made = choice.made();
            Found found = new Found(made, choice.bound() - choice.value(), 0);
            double goodness = aim == SeasonAim.BEST_MEAN
                    ? mean(play.takings(made)) - SeasonUse.of(season, made).cost()
                    : badDay(found);
            if (best == null || goodness > best.goodness) {
                best = new Found(made, found.gap, goodness);
            }
        }
        return best;
    }

    private double badDay(Found found) {
        double[] takings = play.takings(found.made);
        Arrays.sort(takings);
        return takings[seasons / 10] - SeasonUse.of(season, found.made).cost();
    }

    /** Weights by which only the worst seasons count. */
    private static double[] worst(double[] takings) {
        int some = (int) (BAD_PART * takings.length);
        double[] weights = new double[takings.length];
        IntStream.range(0, takings.length)
                .boxed()
                .sorted((one, other) -> Double.compare(takings[one], takings[other]))
                .limit(some)
                .forEach(drawn -> weights[drawn] = 1.0 / some);
        return weights;
    }

    private static double mean(double[] values) {
        return Arrays.stream(values).average().orElse(0);
    }

    private static double[][] mean(double[][] before, double[][] now, double part) {
        double[][] mean = new double[now.length][];
        for (int item = 0; item < mean.length; item++) {
            mean[item] = new double[now[item].length];
            for (int n = 0; n < mean[item].length; n++) {
                mean[item][n] = (1 - part) * before[item][n] + part * now[item][n];
            }
        }
        return mean;
    }
}
