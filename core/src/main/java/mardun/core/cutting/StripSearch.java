package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.Consumer;
import mardun.core.cutting.SearchProblem.Sheet;

/**
 * Searches for the strips that cost least. It begins with what the linear programme says, rounded down, cuts the rest into
 * strips one by one, and then takes some strips apart and cuts them anew, as long as there is time. On the way it learns which
 * pieces end up in wasteful strips, so that they are cut earlier, and keeps good strips to use them again. Offcuts and precuts
 * are cut in strips too, across or along, and are filled before the bolt.
 */
final class StripSearch {

    private static final int MOST_HEIGHTS = 450;
    private static final double STACKED = 4;
    private static final int TRIES = 5;
    private static final int ROUNDED = 12;
    private static final int WALKS = 3;
    private static final double TOGETHER = 0.6;
    private static final int STEPS_IN_TURN = 20;
    private static final int MOST_APART = 7;
    private static final double WARM = 0.001;
    private static final double COLD = 1e-5;
    private static final double COOLING = 0.9995;
    private static final double[] SPREADS = {0.03, 0.1, 0.3, 0.8};

    /** How often a piece is worth what was learnt, and not what the linear programme says. */
    private static final double LEARNT = 0.8;

    private static final double SPREAD_OF_LEARNT = 0.05;

    /** A piece is worth a little more than its area as it gets larger: large ones are harder to place. */
    private static final double LARGER_IS_HARDER = 1.02;

    /** How often a strip is taken from those that are known, if one of them is good enough. */
    private static final double FROM_KNOWN = 0.9;

    private static final int MOST_KNOWN = 150;

    /** A strip that wastes less of its area is worth knowing. */
    private static final double LITTLE_WASTE = 0.03;

    /** How often a precut that lies there uncut is tried; most of them are too dear most of the time. */
    private static final double PRECUT_TRIED = 0.2;

    private final SearchProblem problem;
    private final StripProblem bolt;
    private final Score score;
    private final Budget budget;
    private final Random random;
    private final int[] heights;
    private final StripFill fill;
    private final SheetFill sheets;
    private final double[] learnt;
    private final List<StripPattern> known = new ArrayList<>();
    private final Set<Integer> signatures = new HashSet<>();
    private double[] value;
    private List<StripPattern> usual = List.of();

    StripSearch(SearchProblem problem, Score score, long seed, Budget budget) {
        this.problem = problem;
        this.bolt = problem.bolt();
        this.score = score;
        this.budget = budget;
        this.random = new Random(seed);
        this.heights = heights(bolt);
        this.fill = new StripFill(bolt, bolt.width(), heights[heights.length - 1]);
        this.value = new double[bolt.kinds()];
        for (int kind = 0; kind < value.length; kind++) {
            value[kind] = (double) bolt.area(kind) / bolt.width();
        }
        this.learnt = value.clone();
        this.sheets = new SheetFill(problem, random);
    }

    /**
     * The heights that a strip may have: those of all stacks up to a few times the tallest piece, or up to as high as keeps
     * them few enough to search.
     */
    private static int[] heights(StripProblem problem) {
        int[] singles = Arrays.stream(problem.heightOf()).distinct().sorted().toArray();
        int tallest = problem.tallest();
        double cap = STACKED * tallest;
        BitSet sums = sums(singles, (int) cap);
        while (sums.cardinality() > MOST_HEIGHTS && cap > tallest) {
            cap *= 0.92;
            sums = sums(singles, (int) Math.max(cap, tallest));
        }
        if (sums.cardinality() > MOST_HEIGHTS) {
            sums.clear();
        }
        for (int single : singles) {
            sums.set(single);
        }
        return sums.stream().toArray();
    }

    /** All sums of the heights, up to a most. */
    private static BitSet sums(int[] singles, int most) {
        BitSet sums = new BitSet(most + 1);
        for (int h = 1; h <= most; h++) {
            for (int single : singles) {
                if (single == h || (single < h && sums.get(h - single))) {
                    sums.set(h);
                    break;
                }
            }
        }
        return sums;
    }

    /**
     * Strips of the bolt and of the sheets, with what they cost.
     *
     * @param sheets how each sheet is cut; null where it isn't
     */
    record Draft(List<StripPattern> strips, SheetFill.Filled[] sheets, double cost) {}

    /** The best draft found until the budget is spent; there is one as soon as it is asked for. */
    Draft solve(Consumer<Draft> better) {
        Draft best = completed(
                new ArrayList<>(),
                new SheetFill.Filled[problem.sheets().size()],
                bolt.demand().clone());
        Draft simple = byKind();
        best = simple.cost() < best.cost() ? simple : best;
        better.accept(best);
        StripMaster master = new StripMaster(bolt, fill, heights, budget);
        master.solve();
        value = master.values();
        System.arraycopy(value, 0, learnt, 0, learnt.length);
        List<StripMaster.Share> shares = master.shares();
        usual = shares.stream().map(StripMaster.Share::pattern).toList();
        List<Draft> starts = new ArrayList<>();
        starts.add(best);
        for (int round = 0; round < ROUNDED && !budget.isSpent(); round++) {
            starts.add(rounded(shares, round));
        }
        starts.sort(Comparator.comparingDouble(Draft::cost));
        better.accept(starts.get(0));
        return improved(starts.subList(0, Math.min(WALKS, starts.size())), better);
    }

    /** As with a pencil: strips of one kind of piece each, from the bolt. */
    private Draft byKind() {
        List<StripPattern> strips = new ArrayList<>();
        for (int kind = 0; kind < bolt.kinds(); kind++) {
            int left = bolt.demand()[kind];
            int item = bestAlone(kind);
            int across = bolt.across(item);
            StripPattern full = left >= across ? row(item, across) : null;
            for (; left >= across; left -= across) {
                strips.add(full);
            }
            if (left > 0) {
                strips.add(row(item, left));
            }
        }
        SheetFill.Filled[] none = new SheetFill.Filled[problem.sheets().size()];
        return new Draft(strips, none, cost(strips, none));
    }

    /** The way round in which all pieces of a kind by themselves take the least length. */
    private int bestAlone(int kind) {
        int best = -1;
        long least = Long.MAX_VALUE;
        for (int item = 0; item < bolt.items(); item++) {
            if (bolt.kindOf()[item] == kind && bolt.timesOf()[item] == 1) {
                int across = bolt.across(item);
                long length = (long) bolt.heightOf()[item] * ((bolt.demand()[kind] + across - 1) / across);
                if (length < least) {
                    least = length;
                    best = item;
                }
            }
        }
        return best;
    }

    private StripPattern row(int item, int times) {
        StripPattern.Column column = new StripPattern.Column(bolt.widthOf()[item], new int[] {item});
        return StripPattern.of(bolt, Collections.nCopies(times, column));
    }

    /** Each strip as often as the linear programme says, rounded down or by chance; the rest is cut strip by strip. */
    private Draft rounded(List<StripMaster.Share> shares, int round) {
        int[] left = bolt.demand().clone();
        SheetFill.Filled[] filled = new SheetFill.Filled[problem.sheets().size()];
        fillSheets(filled, left, wanted());
        List<StripPattern> strips = new ArrayList<>();
        for (StripMaster.Share share : shares) {
            double chance = round == 0 ? 0 : random.nextDouble() * 0.7;
            int times = (int) Math.floor(share.times() + chance);
            for (int i = 0; i < times && isWanted(share.pattern(), left); i++) {
                take(share.pattern(), left);
                strips.add(share.pattern());
            }
        }
        return completed(strips, filled, left);
    }

    private static boolean isWanted(StripPattern pattern, int[] left) {
        for (int kind = 0; kind < left.length; kind++) {
            if (pattern.counts()[kind] > left[kind]) {
                return false;
            }
        }
        return true;
    }

    private static void take(StripPattern pattern, int[] left) {
        for (int kind = 0; kind < left.length; kind++) {
            left[kind] -= pattern.counts()[kind];
        }
    }

    private static void give(StripPattern pattern, int[] left) {
        for (int kind = 0; kind < left.length; kind++) {
            left[kind] += pattern.counts()[kind];
        }
    }

    /**
     * Takes some strips apart and cuts their pieces anew, also where that is a little worse. At first several drafts are tried
     * beside each other, because where one ends depends on its beginning; then only the best one.
     */
    private Draft improved(List<Draft> starts, Consumer<Draft> better) {
        Draft best = starts.get(0);
        List<Walk> walks = new ArrayList<>();
        starts.forEach(start -> walks.add(new Walk(start)));
        double begun = budget.share();
        while (!budget.isSpent()) {
            for (Walk walk : walks) {
                for (int i = 0; i < STEPS_IN_TURN && !budget.isSpent(); i++) {
                    Draft next = walk.step();
                    if (next.cost() < best.cost() - 1e-9) {
                        best = next;
                        better.accept(best);
                    }
                }
            }
            boolean settled = budget.share() > begun + (1 - begun) * TOGETHER;
            if (settled && walks.size() > 1) {
                walks.sort(Comparator.comparingDouble(walk -> walk.own.cost()));
                walks.subList(1, walks.size()).clear();
            }
        }
        return best;
    }

    /** A way from one draft to better ones. */
    private final class Walk {

        private final double scale;
        private double heat;
        private Draft current;
        private Draft own;

        Walk(Draft start) {
            current = start;
            own = start;
            scale = Math.abs(start.cost()) + 1e-9;
            heat = WARM * scale;
        }

        /** The next draft, taken or not. */
        Draft step() {
            budget.spend(1);
            Draft next = changed(current);
            boolean taken = next.cost() <= current.cost() + heat * random.nextDouble();
            current = taken ? next : current;
            own = next.cost() < own.cost() ? next : own;
            heat *= COOLING;
            if (heat < COLD * scale && current.cost() > own.cost()) {
                current = own;
                heat = WARM * scale;
            }
            return next;
        }
    }

    private Draft changed(Draft current) {
        List<StripPattern> strips = new ArrayList<>(current.strips());
        SheetFill.Filled[] filled = current.sheets().clone();
        int[] left = new int[bolt.kinds()];
        int most =
                Math.min(strips.size(), 2 + random.nextInt(Math.min(MOST_APART, Math.max(1, strips.size() / 2) + 1)));
        for (int i = 0; i < most; i++) {
            give(strips.remove(wasteful(strips)), left);
        }
        if (filled.length > 0) {
            int emptied = random.nextInt(4);
            for (int i = 0; i < emptied; i++) {
                int which = random.nextInt(filled.length);
                if (filled[which] != null) {
                    filled[which].patterns().forEach(strip -> give(strip, left));
                    filled[which] = null;
                }
            }
        }
        return completed(strips, filled, left);
    }

    /** A strip to be taken apart: of two, the one that wastes more. */
    private int wasteful(List<StripPattern> strips) {
        int one = random.nextInt(strips.size());
        int other = random.nextInt(strips.size());
        return waste(strips.get(other)) > waste(strips.get(one)) ? other : one;
    }

    private double waste(StripPattern strip) {
        return 1 - (double) strip.area() / ((long) strip.height() * bolt.width());
    }

    /** What a piece of each kind is worth now, a little by chance. */
    private double[] wanted() {
        boolean fromLearnt = random.nextDouble() < LEARNT;
        double[] from = fromLearnt ? learnt : value;
        double spread = fromLearnt ? SPREAD_OF_LEARNT : SPREADS[random.nextInt(SPREADS.length)];
        double[] wanted = new double[from.length];
        for (int kind = 0; kind < wanted.length; kind++) {
            wanted[kind] = from[kind] * (1 + spread * (2 * random.nextDouble() - 1)) + 1e-3;
        }
        return wanted;
    }

    /** The pieces of a strip are worth its height, what it wastes included, so that a wasteful one is cut earlier next time. */
    private void learn(StripPattern strip) {
        double wasteful = (double) strip.height() * bolt.width() / strip.area();
        for (int kind = 0; kind < learnt.length; kind++) {
            int count = strip.counts()[kind];
            if (count > 0) {
                double now = Math.pow((double) bolt.area(kind) / bolt.width(), LARGER_IS_HARDER) * wasteful;
                double weight = 2.0 * bolt.demand()[kind];
                learnt[kind] = (weight * learnt[kind] + count * now) / (weight + count);
            }
        }
    }

    /** Keeps a strip that wastes little; where there are too many, of two the more wasteful one goes. */
    private void remember(StripPattern strip) {
        if (waste(strip) >= LITTLE_WASTE || !signatures.add(strip.signature())) {
            return;
        }
        if (known.size() < MOST_KNOWN) {
            known.add(strip);
        } else {
            int goes = wasteful(known);
            signatures.remove(known.get(goes).signature());
            known.set(goes, strip);
        }
    }

    /** Cuts what is left: into the sheets that are empty as far as they are worth it, then strip by strip. */
    private Draft completed(List<StripPattern> strips, SheetFill.Filled[] filled, int[] left) {
        double[] wanted = wanted();
        fillSheets(filled, left, wanted);
        while (isAnyLeft(left)) {
            StripPattern next = next(strips, left, wanted);
            take(next, left);
            strips.add(next);
            learn(next);
        }
        return new Draft(strips, filled, cost(strips, filled));
    }

    private static boolean isAnyLeft(int[] left) {
        for (int count : left) {
            if (count > 0) {
                return true;
            }
        }
        return false;
    }

    private double cost(List<StripPattern> strips, SheetFill.Filled[] filled) {
        long length = 0;
        for (StripPattern strip : strips) {
            length += strip.height();
        }
        double cost = length * score.perStep() + score.of(strips, bolt.width());
        for (int i = 0; i < filled.length; i++) {
            if (filled[i] != null) {
                Sheet sheet = problem.sheets().get(i);
                cost += sheet.cost() + score.of(filled[i], sheet);
            }
        }
        return cost;
    }

    private void fillSheets(SheetFill.Filled[] filled, int[] left, double[] wanted) {
        int start = filled.length == 0 ? 0 : random.nextInt(filled.length);
        List<Sheet> refused = new ArrayList<>();
        for (int i = 0; i < filled.length && isAnyLeft(left); i++) {
            int which = (start + i) % filled.length;
            Sheet sheet = problem.sheets().get(which);
            if (filled[which] == null && !refused.contains(sheet)) {
                SheetFill.Filled next = isTried(sheet) ? filled(which, left, wanted) : null;
                if (next == null) {
                    refused.add(sheet);
                } else {
                    filled[which] = next;
                    next.patterns().forEach(strip -> take(strip, left));
                }
            }
        }
    }

    private boolean isTried(Sheet sheet) {
        return sheet.cost() == 0 || random.nextDouble() < PRECUT_TRIED;
    }

    /** A sheet as it is best cut; null if that isn't worth what it costs, more or less. */
    private SheetFill.Filled filled(int which, int[] left, double[] wanted) {
        SheetFill.Filled next = sheets.fill(which, problem.wantedOfSheets(left), wanted);
        budget.spend(sheets.workDone());
        double worth = next.worth(wanted) * score.perStep() * (0.6 + 0.8 * random.nextDouble());
        return worth > problem.sheets().get(which).cost() ? next : null;
    }

    /** Of some strips that could come next, the one that gives most for its height. */
    private StripPattern next(List<StripPattern> strips, int[] left, double[] wanted) {
        boolean fromKnown = random.nextDouble() < FROM_KNOWN;
        Choice choice = new Choice(strips, left, wanted);
        choice.offer(usual);
        if (score.countsCuts()) {
            choice.offerSome(strips);
        }
        if (fromKnown) {
            choice.offer(known);
            if (choice.most > score.perStep()) {
                budget.spend(1);
                return choice.best;
            }
        }
        int[] tried = new int[TRIES];
        int highest = 0;
        for (int i = 0; i < TRIES; i++) {
            tried[i] = height(left, i == 0);
            highest = Math.max(highest, tried[i]);
        }
        fill.prepare(wanted, left, highest);
        for (int height : tried) {
            StripPattern pattern = fill.strip(height);
            if (pattern != null) {
                remember(pattern);
                choice.offer(pattern);
            }
        }
        budget.spend(1 + fill.workDone());
        return choice.best;
    }

    /** The strip that gives most for its height, of those that are offered. */
    private final class Choice {

        private final List<StripPattern> strips;
        private final int[] left;
        private final double[] wanted;
        private StripPattern best;
        private double most = Double.NEGATIVE_INFINITY;

        Choice(List<StripPattern> strips, int[] left, double[] wanted) {
            this.strips = strips;
            this.left = left;
            this.wanted = wanted;
        }

        void offer(List<StripPattern> patterns) {
            for (StripPattern pattern : patterns) {
                if (isWanted(pattern, left)) {
                    offer(pattern);
                }
            }
        }

        /** Some strips that are there already: one more of them needs no other setting of the ruler. */
        void offerSome(List<StripPattern> patterns) {
            for (int i = 0; i < TRIES && !patterns.isEmpty(); i++) {
                StripPattern pattern = patterns.get(random.nextInt(patterns.size()));
                if (isWanted(pattern, left)) {
                    offer(pattern);
                }
            }
        }

        void offer(StripPattern pattern) {
            double rate = rate(pattern, strips, wanted);
            if (rate > most) {
                most = rate;
                best = pattern;
            }
        }
    }

    private double rate(StripPattern pattern, List<StripPattern> strips, double[] wanted) {
        double worth = pattern.worth(wanted) * score.perStep() - score.ofAdding(pattern, strips);
        return worth / pattern.height();
    }

    /** A height for the next strip: of the piece that is hardest to place, or of any, or of a few of them stacked. */
    private int height(int[] left, boolean tallest) {
        int chosen = 0;
        int seen = 0;
        for (int item = 0; item < bolt.items(); item++) {
            if (left[bolt.kindOf()[item]] >= bolt.timesOf()[item]) {
                int height = bolt.heightOf()[item];
                if (tallest) {
                    chosen = Math.max(chosen, lowest(bolt.kindOf()[item]));
                } else if (random.nextInt(++seen) == 0) {
                    chosen = height;
                }
            }
        }
        if (!tallest && random.nextInt(3) == 0) {
            int any = heights[random.nextInt(heights.length)];
            return Math.max(any, chosen);
        }
        return chosen;
    }

    private int lowest(int kind) {
        int lowest = Integer.MAX_VALUE;
        for (int item = 0; item < bolt.items(); item++) {
            if (bolt.kindOf()[item] == kind) {
                lowest = Math.min(lowest, bolt.heightOf()[item]);
            }
        }
        return lowest;
    }
}
