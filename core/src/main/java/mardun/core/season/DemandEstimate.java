package mardun.core.season;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.ToIntBiFunction;
import org.hipparchus.random.RandomDataGenerator;

/** What past sales tell of the coming season: the likeliest rate of buyers for each item at each event, and how far it may be off. */
public final class DemandEstimate {

    private static final List<String> WEATHERS = List.of("dry", "mixed", "wet");
    private static final double[] USUAL_WEATHER = {3, 1.5, 1};

    /** One in ten of what is spread evenly round its mean lies further off than so many of its spreads, on either side. */
    private static final double ONE_IN_TEN = 1.2816;

    private final Season season;
    private final DemandPrior prior;
    private final double[] values;
    private final Precision precision;
    private final Effects.Sum[][] coming;
    private final Sky sky;
    private final OwnRecords[] own;

    DemandEstimate(
            Season season,
            DemandPrior prior,
            double[] values,
            Precision precision,
            Effects.Sum[][] coming,
            Sky sky,
            OwnRecords[] own) {
        this.season = season;
        this.prior = prior;
        this.values = values;
        this.precision = precision;
        this.coming = coming;
        this.sky = sky;
        this.own = own;
    }

    /** Whether it would be the same for another season: what is made, of what and for how much work doesn't change what is wanted. */
    boolean restsOnTheSameAs(Season other, DemandPrior otherPrior) {
        return prior.equals(otherPrior)
                && season.past().equals(other.past())
                && season.coming().equals(other.coming())
                && season.items().stream()
                        .map(SeasonItem::asOffered)
                        .toList()
                        .equals(other.items().stream()
                                .map(SeasonItem::asOffered)
                                .toList());
    }

    /** The same of the bags of another season that rests on the same, by the maker's own judgement of those. */
    DemandEstimate in(Season other) {
        return new DemandEstimate(other, prior, values, precision, coming, sky, own);
    }

    /** The weather that may come: how often each came, and which effect it has. */
    static final class Sky {
        private final double[] upTo = new double[WEATHERS.size()];
        private final int[][] effects = new int[2][WEATHERS.size()];

        Sky(Map<String, Integer> seen, ToIntBiFunction<String, Boolean> effect) {
            double sum = 0;
            for (int n = 0; n < upTo.length; n++) {
                sum += USUAL_WEATHER[n] + seen.getOrDefault(WEATHERS.get(n), 0);
                upTo[n] = sum;
                effects[0][n] = effect.applyAsInt(WEATHERS.get(n), false);
                effects[1][n] = effect.applyAsInt(WEATHERS.get(n), true);
            }
            for (int n = 0; n < upTo.length; n++) {
                upTo[n] /= sum;
            }
        }

        int draw(boolean isOutdoor, double uniform) {
            int n = 0;
            while (n < upTo.length - 1 && uniform >= upTo[n]) {
                n++;
            }
            return effects[isOutdoor ? 1 : 0][n];
        }
    }

    /** The likeliest number of buyers of an item at a coming event, before what the day and its weather make of it. */
    public double rate(int event, int item) {
        return rate(event, item, values);
    }

    private double rate(int event, int item, double[] effects) {
        SeasonItem one = season.items().get(item);
        return one.isWantedAt(season.coming().get(event))
                ? one.judgement() * Math.exp(coming[event][item].at(effects))
                : 0;
    }

    /** The standard deviation of the logarithm of that rate. */
    public double doubt(int event, int item) {
        double[] weights = new double[values.length];
        coming[event][item].addTo(weights, 1);
        return Math.sqrt(precision.variance(weights));
    }

    /**
     * How many buyers an item may expect in all coming events together.
     *
     * @param low nine in ten seasons bring more
     * @param high nine in ten seasons bring fewer
     */
    public record Range(double likely, double low, double high) {}

    /**
     * How much of what is known of an item's rate is known from its own records, from 0 to 1; the rest is borrowed from its design, its kind
     * and what small shops usually sell. It is the part of the doubt that would come back without them.
     */
    public double ofItsOwn(int item) {
        OwnRecords its = own[item];
        if (its.weight == 0 || coming.length == 0) {
            return 0;
        }
        double[] rate = new double[values.length];
        for (Effects.Sum[] event : coming) {
            event[item].addTo(rate, 1.0 / coming.length);
        }
        double[] said = its.mean();
        double[] solved = precision.solve(said);
        double together = 0;
        double itself = 0;
        for (int n = 0; n < said.length; n++) {
            together += rate[n] * solved[n];
            itself += said[n] * solved[n];
        }
        // Taking one record out of what is known, by the formula for a change of rank one.
        double back = its.weight * together * together / (1 - its.weight * itself);
        return back / (precision.variance(rate) + back);
    }

    /** What all records of an item say together: the mean of the effects that they speak of, as firmly as all of them do. */
    static final class OwnRecords {
        private final double[] sum;
        private double weight;

        OwnRecords(double[] nothing) {
            sum = nothing;
        }

        void add(Effects.Sum effects, double firmly) {
            effects.addTo(sum, firmly);
            weight += firmly;
        }

        private double[] mean() {
            return Arrays.stream(sum).map(one -> one / weight).toArray();
        }
    }

    /** The range of an item, from the doubt about its rates and from chance. */
    public Range range(int item) {
        double likely = 0;
        double spread = 0;
        for (int event = 0; event < coming.length; event++) {
            double rate = rate(event, item);
            likely += rate;
            spread += rate * doubt(event, item);
        }
        double doubt = likely == 0 ? 0 : Math.hypot(spread / likely, 1 / Math.sqrt(Math.max(likely, 1)));
        double off = Math.exp(ONE_IN_TEN * doubt);
        return new Range(likely, likely / off, likely * off);
    }

    /**
     * Draws seasons as they may come: rates as far as they aren't known, good and bad seasons and days, weather, and buyers.
     *
     * @param seasons how many
     * @param seed the same one draws the same seasons
     */
    public Outlook draw(int seasons, long seed) {
        RandomDataGenerator random = new RandomDataGenerator(seed);
        double[] shape = new double[season.items().size()];
        Arrays.fill(shape, prior.shape());
        Visit[][] visits = new Visit[seasons][coming.length];
        for (int drawn = 0; drawn < seasons; drawn++) {
            double[] independent = new double[values.length];
            for (int n = 0; n < independent.length; n++) {
                independent[n] = random.nextNormal(0, 1);
            }
            double[] its = precision.deviations(independent);
            for (int n = 0; n < its.length; n++) {
                its[n] += values[n];
            }
            double level = lognormal(random, prior.season());
            for (int event = 0; event < coming.length; event++) {
                ComingEvent one = season.coming().get(event);
                double day = level * lognormal(random, prior.day());
                if (one.outlet() == Outlet.FAIR) {
                    day *= Math.exp(its[sky.draw(one.isOutdoor(), random.nextUniform(0, 1))]);
                }
                double[] appeal = new double[coming[event].length];
                for (int item = 0; item < appeal.length; item++) {
                    appeal[item] = rate(event, item, its);
                }
                visits[drawn][event] = Visit.draw(appeal, day, shape, random);
            }
        }
        return new Outlook(visits);
    }

    private static double lognormal(RandomDataGenerator random, double spread) {
        return spread == 0 ? 1 : Math.exp(spread * random.nextNormal(0, 1) - spread * spread / 2);
    }
}
