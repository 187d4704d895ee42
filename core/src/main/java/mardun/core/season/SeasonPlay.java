package mardun.core.season;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Plays seasons buyer by buyer against what was made.
 *
 * <p>Everything made is there from the start and nothing is held back. In the shop all of it is on offer. At a fair all of it is brought if
 * the table holds it, else the same part of each item, whole pieces first and then one more of each by what was cut off. A buyer whose first
 * choice isn't there takes another item of the design, in proportion to how much those are wanted, or leaves. Of those who take a bag of a
 * design that sells as a set some take one of the second design as well: in the same cloth if there is one, else whichever is wanted.
 */
public final class SeasonPlay {

    /** A buyer who would have taken either of two that weren't there is half a buyer of each. */
    private static final double HALF = 0.5;

    /** A buyer's mood, looked at so closely, says nothing of it any more: by that it is drawn who takes a second bag, and which. */
    private static final double[] CLOSELY = {1e4, 1e8};

    private final Season season;
    private final Outlook outlook;
    private final double[] substitution;
    private final int[][] mates;
    private final int[] space;
    private final double[][] net;
    private final Along[][] along;

    /** The items that a buyer may take along, and up to which number from 0 to 1 that is drawn. */
    private record Along(int[] items, double upTo) {}

    /**
     * Gets ready to play.
     *
     * @param substitution how likely a buyer of each item is to take another one of its design
     */
    public SeasonPlay(Season season, Outlook outlook, double[] substitution) {
        this.season = season;
        this.outlook = outlook;
        this.substitution = substitution;
        List<SeasonItem> items = season.items();
        Map<String, List<Integer>> designs = new LinkedHashMap<>();
        for (int item = 0; item < items.size(); item++) {
            designs.computeIfAbsent(items.get(item).design(), design -> new ArrayList<>())
                    .add(item);
        }
        mates = new int[items.size()][];
        for (int item = 0; item < mates.length; item++) {
            mates[item] = designs.get(items.get(item).design()).stream()
                    .mapToInt(Integer::intValue)
                    .toArray();
        }
        space = items.stream().mapToInt(SeasonItem::space).toArray();
        net = new double[Outlet.values().length][];
        for (Outlet outlet : Outlet.values()) {
            net[outlet.ordinal()] =
                    items.stream().mapToDouble(item -> item.net(outlet)).toArray();
        }
        along = new Along[items.size()][];
        for (int item = 0; item < along.length; item++) {
            along[item] = along(items.get(item).design(), designs);
        }
    }

    private Along[] along(String design, Map<String, List<Integer>> designs) {
        List<Along> all = new ArrayList<>();
        double upTo = 0;
        for (SoldTogether one : season.together()) {
            if (one.first().equals(design) && designs.containsKey(one.second())) {
                upTo += one.share();
                all.add(new Along(
                        designs.get(one.second()).stream()
                                .mapToInt(Integer::intValue)
                                .toArray(),
                        upTo));
            }
        }
        return all.toArray(Along[]::new);
    }

    /** The items of which a buyer takes one along with another; none for nothing. */
    private int[] alongWith(int item, double mood) {
        if (along[item].length > 0) {
            double drawn = closely(mood, 0);
            for (Along one : along[item]) {
                if (drawn < one.upTo()) {
                    return one.items();
                }
            }
        }
        return new int[0];
    }

    private static double closely(double mood, int how) {
        double close = mood * CLOSELY[how];
        return close - Math.floor(close);
    }

    int seasons() {
        return outlook.seasons();
    }

    /**
     * What each season brings in: what is left of its sales after fees, and what the pieces are worth that are left over. What was spent on
     * making isn't taken off.
     *
     * @param made pieces of each item
     */
    public double[] takings(int[] made) {
        double[] takings = new double[outlook.seasons()];
        for (int drawn = 0; drawn < takings.length; drawn++) {
            takings[drawn] = new Run(made, null).play(outlook.visits()[drawn]);
        }
        return takings;
    }

    /**
     * What came of all seasons.
     *
     * @param takings of each season
     * @param sold pieces of each item, in the mean
     * @param soldOut the part of the seasons in which each item was gone in the end
     */
    record Outcome(double[] takings, double[] sold, double[] soldOut) {}

    /** What comes of making so many. */
    Outcome outcome(int[] made) {
        double[] takings = new double[outlook.seasons()];
        double[] sold = new double[made.length];
        double[] soldOut = new double[made.length];
        for (int drawn = 0; drawn < takings.length; drawn++) {
            Run run = new Run(made, null);
            takings[drawn] = run.play(outlook.visits()[drawn]);
            for (int item = 0; item < made.length; item++) {
                int there = season.items().get(item).stock() + made[item];
                sold[item] += (there - run.stock[item]) / (double) takings.length;
                soldOut[item] += there > 0 && run.stock[item] == 0 ? 1.0 / takings.length : 0;
            }
        }
        return new Outcome(takings, sold, soldOut);
    }

    /**
     * What each further piece of each item is worth in the mean of the seasons, given how many are made of the others.
     *
     * @param made pieces of each item
     * @param weights of the seasons, with the sum 1
     * @param most pieces of each item that are looked at
     * @return by item, the worth of the first piece made, the second …
     */
    double[][] worthOfEach(int[] made, double[] weights, int[] most) {
        double[][] worth = new double[made.length][];
        for (int item = 0; item < made.length; item++) {
            worth[item] = new double[most[item]];
        }
        for (int drawn = 0; drawn < outlook.seasons(); drawn++) {
            if (weights[drawn] > 0) {
                Run run = new Run(made, new Chances(made.length));
                run.play(outlook.visits()[drawn]);
                run.addWorth(worth, weights[drawn]);
            }
        }
        return worth;
    }

    /** Who bought each item in a season, and who would have, had there been more. */
    private static final class Chances {
        private final DoubleList[] sold;
        private final DoubleList[] ready;
        private final DoubleList[] missed;
        private final DoubleList[] insteadOf;
        /** Which item was taken along by who bought each, and would have been by who would have; -1 for none. */
        private final DoubleList[] brought;

        private final DoubleList[] wouldBring;
        private final int[] lost;

        Chances(int items) {
            sold = lists(items);
            ready = lists(items);
            missed = lists(items);
            insteadOf = lists(items);
            brought = lists(items);
            wouldBring = lists(items);
            lost = new int[items];
        }

        private static DoubleList[] lists(int items) {
            DoubleList[] lists = new DoubleList[items];
            Arrays.setAll(lists, n -> new DoubleList());
            return lists;
        }
    }

    private static final class DoubleList {
        private double[] values = new double[8];
        private int size;

        void add(double value) {
            if (size == values.length) {
                values = Arrays.copyOf(values, 2 * size);
            }
            values[size++] = value;
        }
    }

    private final class Run {
        private final int[] made;
        private final int[] stock;
        private final int[] there;
        private final Chances chances;

        Run(int[] made, Chances chances) {
            this.made = made;
            this.chances = chances;
            stock = new int[made.length];
            for (int item = 0; item < stock.length; item++) {
                stock[item] = season.items().get(item).stock() + made[item];
            }
            there = new int[stock.length];
        }

        double play(Visit[] visits) {
            double takings = 0;
            for (int event = 0; event < visits.length; event++) {
                takings += play(season.coming().get(event), visits[event]);
            }
            for (int item = 0; item < stock.length; item++) {
                takings += season.items().get(item).worthOfUnsold(stock[item]);
            }
            return takings;
        }

        private double play(ComingEvent event, Visit visit) {
            double brought = 1;
            for (int item = 0; item < stock.length; item++) {
                there[item] = season.items().get(item).isWantedAt(event) ? stock[item] : 0;
            }
            if (event.outlet() == Outlet.FAIR) {
                brought = layOut(event.table());
            }
            double[] its = net[event.outlet().ordinal()];
            double takings = 0;
            for (int n = 0; n < visit.wants().length; n++) {
                int wanted = visit.wants()[n];
                double mood = visit.mood()[n];
                int taken = wanted;
                boolean takesAnother = mood < substitution[wanted];
                if (there[wanted] == 0) {
                    taken = takesAnother ? another(wanted, mood, visit.appeal(), false) : -1;
                }
                if (taken >= 0) {
                    there[taken]--;
                    stock[taken]--;
                    takings += its[taken];
                }
                int second = taken < 0 || along[taken].length == 0 ? -1 : secondOf(taken, mood, visit.appeal(), its);
                takings += second < 0 ? 0 : its[second];
                if (chances != null) {
                    note(visit, n, taken, second, its, brought);
                }
            }
            return takings;
        }

        /** Lets the buyer of a bag take one of another design along; answers which, -1 for none. */
        private int secondOf(int first, double mood, double[] appeal, double[] its) {
            int[] choice = alongWith(first, mood);
            int second = chosen(choice, first, mood, appeal, false);
            if (second >= 0) {
                there[second]--;
                stock[second]--;
                if (chances != null) {
                    chances.sold[second].add(its[second]);
                    chances.ready[second].add(1);
                    chances.brought[second].add(-1);
                }
            } else if (chances != null) {
                int missing = chosen(choice, first, mood, appeal, true);
                if (missing >= 0 && stock[missing] == 0) {
                    chances.missed[missing].add(its[missing]);
                    chances.insteadOf[missing].add(-1);
                    chances.wouldBring[missing].add(-1);
                    chances.lost[missing]++;
                }
            }
            return second;
        }

        /** Which of some items goes with one: of the same cloth if it is there, else by how much each is wanted; -1 if there is none. */
        private int chosen(int[] choice, int with, double mood, double[] appeal, boolean evenIfNotThere) {
            double sum = 0;
            for (int item : choice) {
                if (evenIfNotThere ? appeal[item] > 0 : there[item] > 0) {
                    if (season.items()
                            .get(item)
                            .cloth()
                            .equals(season.items().get(with).cloth())) {
                        return item;
                    }
                    sum += appeal[item];
                }
            }
            double left = closely(mood, 1) * sum;
            int last = -1;
            for (int item : choice) {
                if (evenIfNotThere ? appeal[item] > 0 : there[item] > 0) {
                    last = item;
                    left -= appeal[item];
                    if (left < 0) {
                        return item;
                    }
                }
            }
            return last;
        }

        private void note(Visit visit, int buyer, int taken, int second, double[] its, double brought) {
            int wanted = visit.wants()[buyer];
            double mood = visit.mood()[buyer];
            boolean takesAnother = mood < substitution[wanted];
            if (taken >= 0) {
                chances.sold[taken].add(its[taken]);
                chances.ready[taken].add(takesAnother ? 1 : 0);
                chances.brought[taken].add(second);
            }
            if (taken == wanted || stock[wanted] > 0 && spread(buyer) >= brought) {
                return;
            }
            chances.missed[wanted].add(its[wanted]);
            chances.insteadOf[wanted].add(taken);
            // Who took another bag instead took its companion with that one.
            chances.wouldBring[wanted].add(
                    taken >= 0 || along[wanted].length == 0
                            ? -1
                            : chosen(alongWith(wanted, mood), wanted, mood, visit.appeal(), true));
            if (taken < 0) {
                chances.lost[wanted]++;
                if (takesAnother) {
                    int other = another(wanted, mood, visit.appeal(), true);
                    if (other >= 0 && stock[other] == 0) {
                        chances.missed[other].add(its[other] * HALF);
                        chances.insteadOf[other].add(-1);
                        chances.wouldBring[other].add(-1);
                    }
                }
            }
        }

        /** Another item of the design that a buyer takes; -1 if there is none. */
        private int another(int wanted, double mood, double[] appeal, boolean evenIfNotThere) {
            double sum = 0;
            for (int mate : mates[wanted]) {
                if (mate != wanted && (evenIfNotThere || there[mate] > 0)) {
                    sum += appeal[mate];
                }
            }
            double left = mood / substitution[wanted] * sum;
            int chosen = -1;
            for (int mate : mates[wanted]) {
                if (mate != wanted && (evenIfNotThere || there[mate] > 0) && appeal[mate] > 0) {
                    chosen = mate;
                    left -= appeal[mate];
                    if (left < 0) {
                        return mate;
                    }
                }
            }
            return chosen;
        }

        /** Lays out what the table holds of what is there, and returns the part of it that it holds. */
        private double layOut(int table) {
            long need = 0;
            int[] wanted = there.clone();
            for (int item = 0; item < wanted.length; item++) {
                need += (long) wanted[item] * space[item];
            }
            if (need <= table) {
                return 1;
            }
            double[] cutOff = new double[stock.length];
            List<Integer> order = new ArrayList<>(stock.length);
            long room = table;
            for (int item = 0; item < stock.length; item++) {
                long share = (long) wanted[item] * table;
                there[item] = (int) (share / need);
                cutOff[item] = (share - there[item] * need) / (double) need;
                room -= (long) there[item] * space[item];
                order.add(item);
            }
            order.sort((one, other) -> Double.compare(cutOff[other], cutOff[one]));
            for (int item : order) {
                if (space[item] <= room && there[item] < wanted[item]) {
                    there[item]++;
                    room -= space[item];
                }
            }
            return (double) table / need;
        }

        /** What a piece that is sold adds by the bag that goes along with it: nothing where somebody else would have taken that one. */
        private double ofSecond(DoubleList seconds, int at) {
            int second = (int) seconds.values[at];
            return second < 0 || stock[second] == 0
                    ? 0
                    : net[Outlet.FAIR.ordinal()][second]
                            - season.items().get(second).worthUnsold();
        }

        /** Adds what each piece made was, or would have been, worth in the season that was played. */
        void addWorth(double[][] worth, double weight) {
            for (int item = 0; item < worth.length; item++) {
                SeasonItem one = season.items().get(item);
                int asked = chances.sold[item].size + chances.missed[item].size;
                DoubleList sold = chances.sold[item];
                DoubleList missed = chances.missed[item];
                double instead = 0;
                int spare = 0;
                for (int mate : mates[item]) {
                    if (mate != item && stock[mate] > 0) {
                        spare += stock[mate];
                        instead += stock[mate]
                                * (net[Outlet.FAIR.ordinal()][mate]
                                        - season.items().get(mate).worthUnsold());
                    }
                }
                instead = spare == 0 ? 0 : instead / spare;
                int first = season.items().get(item).stock();
                for (int piece = 0; piece < worth[item].length; piece++) {
                    int at = first + piece;
                    double its = one.worthOfUnsold(at - asked + 1) - one.worthOfUnsold(at - asked);
                    if (at < sold.size) {
                        its = sold.values[at] + ofSecond(chances.brought[item], at);
                        if (sold.size - at <= spare && chances.ready[item].values[at] > 0) {
                            its -= instead;
                        }
                    } else if (at - sold.size < missed.size) {
                        int other = (int) chances.insteadOf[item].values[at - sold.size];
                        its = missed.values[at - sold.size] + ofSecond(chances.wouldBring[item], at - sold.size);
                        if (other >= 0) {
                            boolean isWantedElse = stock[other] == 0 && chances.lost[other] > 0;
                            its -= isWantedElse
                                    ? 0
                                    : net[Outlet.FAIR.ordinal()][other]
                                            - season.items().get(other).worthUnsold();
                        }
                    }
                    worth[item][piece] += weight * its;
                }
            }
        }
    }

    /** A number from 0 to 1 that is spread evenly over the buyers, and the same for a buyer each time. */
    private static double spread(int buyer) {
        double golden = buyer * 0.6180339887498949;
        return golden - Math.floor(golden);
    }
}
