package mardun.core.season;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.special.Gamma;

/**
 * Learns from past sales how many buyers each item may expect.
 *
 * <p>Buyers of an item come at a rate whose logarithm is a sum of effects: its kind, its design (which drifts from quarter to quarter), its
 * cloth, its size, its own, the fair and its footfall, the month, the price, the weather and the day. Few figures are drawn towards those of
 * their kind, since each effect has a likely size. A sold-out day says "at least so many", so its sales are set against the time until the
 * last one went, which is worked out where nobody noted it; and buyers of what wasn't there, who took another cloth of the design instead,
 * aren't counted as that cloth's own. What is found are the likeliest effects together with how well they are known.
 */
public final class DemandFit {

    private static final int ROUNDS = 60;
    private static final double LARGEST_STEP = 1.5;
    private static final double STILL = 0.0002;
    private static final int WEEKS_IN_QUARTER = 13;

    private final Season season;
    private final DemandPrior prior;
    private final Effects effects = new Effects();
    private final Map<String, Double> usualPrice = new HashMap<>();
    private final List<Table> tables = new ArrayList<>();

    private DemandFit(Season season, DemandPrior prior) {
        this.season = season;
        this.prior = prior;
    }

    /** What is learnt from a season's past. */
    public static DemandEstimate of(Season season, DemandPrior prior) {
        return new DemandFit(season, prior).fit();
    }

    /** The items of a design at one event of the past: those brought, and those that buyers asked for in vain. */
    private static final class Table {
        private final int[] items;
        private final Effects.Sum[] sums;
        private final Effects.Sum[] beliefs;
        private final PastEvent.Line[] lines;
        private final double[] fixedTime;
        private final double[] time;
        private final double[] exposure;
        private final double[] rate;

        Table(int[] items) {
            this.items = items;
            sums = new Effects.Sum[items.length];
            beliefs = new Effects.Sum[items.length];
            lines = new PastEvent.Line[items.length];
            fixedTime = new double[items.length];
            time = new double[items.length];
            exposure = new double[items.length];
            rate = new double[items.length];
        }
    }

    private DemandEstimate fit() {
        usualPrices();
        Map<String, List<Integer>> byDesign = new HashMap<>();
        for (int item = 0; item < season.items().size(); item++) {
            byDesign.computeIfAbsent(season.items().get(item).design(), design -> new ArrayList<>())
                    .add(item);
        }
        for (int event = 0; event < season.past().size(); event++) {
            PastEvent past = season.past().get(event);
            PastEvent.Line[] lines = new PastEvent.Line[season.items().size()];
            past.lines().stream().filter(line -> line.brought() > 0).forEach(line -> lines[line.item()] = line);
            for (List<Integer> items : byDesign.values()) {
                if (items.stream().anyMatch(item -> lines[item] != null)) {
                    tables.add(table(event, past, items, lines));
                }
            }
        }
        Effects.Sum[][] coming =
                new Effects.Sum[season.coming().size()][season.items().size()];
        for (int event = 0; event < coming.length; event++) {
            ComingEvent its = season.coming().get(event);
            for (int item = 0; item < coming[event].length; item++) {
                SeasonItem one = season.items().get(item);
                coming[event][item] = lasting(one, its.outlet(), its.place(), its.footfall(), its.month(), one.price())
                        .plus(effects.of(0, prior.drift(), "next", one.design()));
            }
        }
        return learn(coming);
    }

    private Table table(int event, PastEvent past, List<Integer> items, PastEvent.Line[] lines) {
        List<Integer> wanted = items.stream()
                .filter(item -> lines[item] != null || isWanted(season.items().get(item), past.week()))
                .toList();
        Table table = new Table(wanted.stream().mapToInt(Integer::intValue).toArray());
        for (int n = 0; n < wanted.size(); n++) {
            PastEvent.Line line = lines[wanted.get(n)];
            SeasonItem item = season.items().get(wanted.get(n));
            table.sums[n] = then(item, event, past, line == null ? item.price() : line.price());
            if (line != null) {
                table.beliefs[n] = belief(item, past, event, line.price());
            }
            table.lines[n] = line;
            table.fixedTime[n] = line == null ? 0 : line.isSoldOut() ? noted(past, line) : 1;
            table.time[n] = Double.isNaN(table.fixedTime[n]) ? 0.6 : table.fixedTime[n];
        }
        return table;
    }

    private static boolean isWanted(SeasonItem item, int week) {
        return item.since().isPresent() && item.since().getAsInt() <= week;
    }

    private static double noted(PastEvent past, PastEvent.Line line) {
        return line.soldOutAfter().isPresent()
                ? Math.min(1, line.soldOutAfter().getAsDouble() / past.hoursOpen())
                : Double.NaN;
    }

    private void usualPrices() {
        Map<String, double[]> sums = new HashMap<>();
        season.items().forEach(item -> {
            double[] sum = sums.computeIfAbsent(item.kind(), kind -> new double[2]);
            sum[0] += Math.log(item.price());
            sum[1]++;
        });
        sums.forEach((kind, sum) -> usualPrice.put(kind, sum[0] / sum[1]));
    }

    private Effects.Sum lasting(SeasonItem item, Outlet outlet, String fair, String footfall, int month, double price) {
        double dearer = Math.log(price) - usualPrice.get(item.kind());
        Effects.Sum sum = new Effects.Sum()
                .plus(effects.of(0, 3, "level"))
                .plus(effects.of(0, prior.kind(), "kind", item.kind()))
                .plus(effects.of(0, prior.design(), "design", item.design()))
                .plus(effects.of(0, prior.cloth(), "cloth", item.cloth()))
                .plus(effects.of(0, prior.size(), "size", item.size()))
                .plus(effects.of(0, prior.item(), "item", item.id()))
                .plus(effects.of(prior.expected(month), prior.month(), "month", month))
                .plus(effects.of(0, prior.monthByKind(), "month", month, item.kind()))
                .plus(effects.of(-prior.elasticity(), prior.elasticitySpread(), "price"), dearer)
                .plus(effects.of(0, prior.elasticityByKind(), "price", item.kind()), dearer);
        if (outlet == Outlet.FAIR) {
            double visitors =
                    footfall.equals("small") ? -prior.footfall() : footfall.equals("large") ? prior.footfall() : 0;
            sum.plus(effects.of(1, 2, "fairs"))
                    .plus(effects.of(0, prior.outletByKind(), "fairs", item.kind()))
                    .plus(effects.of(0, prior.outletByDesign(), "fairs", "design", item.design()))
                    .plus(effects.of(visitors, prior.footfallSpread(), "footfall", footfall))
                    .plus(effects.of(0, prior.fair(), "fair", fair));
        }
        return sum;
    }

    /** What the maker seems to have expected, who brought so many: as many as will be wanted, but for a lasting error and some caution. */
    private Effects.Sum belief(SeasonItem item, PastEvent past, int event, double price) {
        return drifted(lasting(item, past.outlet(), past.place(), past.footfall(), past.month(), price), item, past)
                .plus(effects.of(0, 1, "caution", past.outlet()))
                .plus(effects.of(0, 0.4, "caution", event))
                .plus(effects.nowAndThenLarge(prior.misjudged(), "misjudged", item.id()));
    }

    private Effects.Sum drifted(Effects.Sum sum, SeasonItem item, PastEvent past) {
        int quarter = (-past.week() - 1) / WEEKS_IN_QUARTER;
        for (int before = 1; before <= quarter; before++) {
            sum.plus(effects.of(0, prior.drift(), "drift", item.design(), before));
        }
        return sum;
    }

    private Effects.Sum then(SeasonItem item, int event, PastEvent past, double price) {
        Effects.Sum sum = lasting(item, past.outlet(), past.place(), past.footfall(), past.month(), price)
                .plus(effects.of(0, prior.day(), "day", event));
        if (past.outlet() == Outlet.FAIR && !past.weather().isEmpty()) {
            sum.plus(weather(past.weather(), past.isOutdoor()));
        }
        return drifted(sum, item, past);
    }

    private int weather(String weather, boolean isOutdoor) {
        return effects.of(prior.expected(weather, isOutdoor), prior.weather(), "weather", weather, isOutdoor);
    }

    private DemandEstimate learn(Effects.Sum[][] coming) {
        Map<String, Integer> seen = new HashMap<>();
        season.past().stream()
                .filter(past -> !past.weather().isEmpty())
                .forEach(past -> seen.merge(past.weather(), 1, Integer::sum));
        DemandEstimate.Sky sky = new DemandEstimate.Sky(seen, this::weather);
        double[] values = new double[effects.size()];
        for (int effect = 0; effect < values.length; effect++) {
            values[effect] = effects.mean(effect);
        }
        Precision precision = null;
        for (int round = 0; round < ROUNDS; round++) {
            for (Table table : tables) {
                expose(table, values);
            }
            double[] slope = new double[values.length];
            double[][] curve = new double[values.length][values.length];
            for (int effect = 0; effect < values.length; effect++) {
                slope[effect] = effects.precision(effect, values[effect]) * (effects.mean(effect) - values[effect]);
                curve[effect][effect] = effects.precision(effect, values[effect]);
            }
            for (Table table : tables) {
                for (int n = 0; n < table.sums.length; n++) {
                    if (table.lines[n] != null) {
                        double expected = table.rate[n] * table.exposure[n];
                        double part = prior.shape() / (prior.shape() + expected);
                        table.sums[n].addTo(slope, part * (table.lines[n].sold() - expected));
                        table.sums[n].addSquareTo(curve, part * expected);
                        double over = beyond(table, n, values);
                        double weight = weightOfBrought(table.lines[n], over);
                        if (weight > 0) {
                            table.beliefs[n].addTo(slope, weight * over);
                            table.beliefs[n].addSquareTo(curve, weight);
                        }
                    }
                }
            }
            precision = new Precision(curve);
            double[] step = precision.solve(slope);
            double largest = Arrays.stream(step).map(Math::abs).max().orElse(0);
            double part = Math.min(1, LARGEST_STEP / Math.max(largest, 1e-12));
            for (int effect = 0; effect < values.length; effect++) {
                values[effect] += part * step[effect];
            }
            if (largest < STILL) {
                break;
            }
        }
        return new DemandEstimate(season, prior, values, precision, coming, sky, ownRecords(values));
    }

    /** By how much more was brought than the maker seems to have expected, as a logarithm. */
    private static double beyond(Table table, int n, double[] values) {
        return Math.log(table.lines[n].brought()) - table.beliefs[n].at(values);
    }

    /** How firmly what was brought speaks: one is the least that can be brought, so it doesn't say that less weren't expected. */
    private double weightOfBrought(PastEvent.Line line, double beyond) {
        return line.brought() > 1 || beyond < 0
                ? 1 / (prior.rounded() * prior.rounded() * (1 + 4.0 / (line.brought() * line.brought())))
                : 0;
    }

    /** What each item's own records say, all of them in one. */
    private DemandEstimate.OwnRecords[] ownRecords(double[] values) {
        DemandEstimate.OwnRecords[] own =
                new DemandEstimate.OwnRecords[season.items().size()];
        Arrays.setAll(own, item -> new DemandEstimate.OwnRecords(new double[values.length]));
        for (Table table : tables) {
            for (int n = 0; n < table.sums.length; n++) {
                if (table.lines[n] != null) {
                    double expected = table.rate[n] * table.exposure[n];
                    DemandEstimate.OwnRecords its = own[table.items[n]];
                    its.add(table.sums[n], prior.shape() * expected / (prior.shape() + expected));
                    its.add(table.beliefs[n], weightOfBrought(table.lines[n], beyond(table, n, values)));
                }
            }
        }
        return own;
    }

    /**
     * How much time, in openings of the event, the sales of each item are to be set against: the time it was there, and more when buyers of
     * what wasn't there turned to it.
     */
    private void expose(Table table, double[] values) {
        int items = table.sums.length;
        for (int n = 0; n < items; n++) {
            table.rate[n] = Math.exp(table.sums[n].at(values));
        }
        for (int n = 0; n < items; n++) {
            if (Double.isNaN(table.fixedTime[n])) {
                int sold = table.lines[n].sold();
                double turned = Math.max(1, table.exposure[n] / Math.max(table.time[n], 1e-9));
                double rate = table.rate[n] * turned;
                double livelier = (prior.shape() + sold) / (prior.shape() + rate * table.time[n]);
                table.time[n] = lastOneWent(sold, rate * livelier);
            }
        }
        double[] borders = Arrays.stream(table.time).sorted().toArray();
        Arrays.fill(table.exposure, 0);
        double from = 0;
        for (double to : borders) {
            if (to > from) {
                double there = 0;
                double inVain = 0;
                for (int n = 0; n < items; n++) {
                    if (table.time[n] >= to) {
                        there += table.rate[n];
                    } else {
                        inVain += table.rate[n];
                    }
                }
                double turned = (to - from) * (1 + prior.substitution() * inVain / there);
                for (int n = 0; n < items; n++) {
                    if (table.time[n] >= to) {
                        table.exposure[n] += turned;
                    }
                }
                from = to;
            }
        }
    }

    /**
     * When the last of some pieces is expected to go, as a part of the opening time, knowing that it went.
     *
     * @param pieces how many there were
     * @param rate buyers expected in the whole time
     */
    static double lastOneWent(int pieces, double rate) {
        double went = Gamma.regularizedGammaP(pieces, rate);
        if (went < 1e-12) {
            return (double) pieces / (pieces + 1);
        }
        return Math.min(1, pieces / rate * Gamma.regularizedGammaP(pieces + 1.0, rate) / went);
    }
}
