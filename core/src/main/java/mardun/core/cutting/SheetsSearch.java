package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.function.Consumer;
import mardun.core.cutting.SearchProblem.Sheet;
import mardun.core.cutting.SheetFill.Filled;

/**
 * Lays pieces on as few equal sheets as can be found. Each sheet is filled with what is worth most before the next one is cut
 * into; then the emptiest is taken apart with some others, and they are filled anew with other worths, as long as there is time.
 */
final class SheetsSearch {

    /** So many sheets are taken apart together, besides the emptiest. */
    private static final int MOST_APART = 4;

    /** A piece is worth more than its area as it gets larger, for large ones are harder to place; how much more is tried. */
    private static final double[] LARGER_IS_HARDER = {1.1, 1, 1.5, 2.5, 4};

    private static final double[] SPREADS = {0.02, 0.1, 0.4};

    private final SearchProblem problem;
    private final Budget budget;
    private final Random random;
    private final SheetFill fill;
    private final double[] area;
    private final double sheetArea;

    /** @param problem with one sheet, of which there are as many as are needed; each piece fits it in some way */
    SheetsSearch(SearchProblem problem, long seed, Budget budget) {
        this.problem = problem;
        this.budget = budget;
        this.random = new Random(seed);
        this.fill = new SheetFill(problem, random);
        this.area = new double[problem.bolt().kinds()];
        for (int kind = 0; kind < area.length; kind++) {
            area[kind] = Math.max(problem.bolt().area(kind), problem.along().area(kind));
        }
        Sheet sheet = problem.sheets().get(0);
        this.sheetArea = (double) sheet.width() * sheet.length();
    }

    /** Tells of each filling that is as good as the best or better: fewer sheets, or as few with more of them full. */
    void solve(Consumer<List<Filled>> better) {
        int[] demand = problem.bolt().demand();
        List<Filled> best = filled(demand, worths(LARGER_IS_HARDER[0], 0), Integer.MAX_VALUE);
        for (int i = 1; i < LARGER_IS_HARDER.length; i++) {
            List<Filled> next = filled(demand, worths(LARGER_IS_HARDER[i], 0), best.size());
            best = next == null || isWorse(next, best) ? best : next;
        }
        better.accept(best);
        while (best.size() > 1 && !budget.isSpent()) {
            List<Filled> next = anew(best);
            budget.spend(1 + fill.workDone());
            if (next != null && !isWorse(next, best)) {
                best = next;
                better.accept(best);
            }
        }
    }

    /** The same pieces with some sheets filled anew; null if that takes more of them. */
    private List<Filled> anew(List<Filled> sheets) {
        List<Filled> kept = new ArrayList<>(sheets);
        kept.sort(Comparator.comparingDouble(this::covered));
        int apart = Math.min(kept.size(), 2 + random.nextInt(MOST_APART));
        int[] wanted = new int[area.length];
        for (int i = 0; i < apart; i++) {
            Filled taken = kept.remove(i == 0 ? 0 : random.nextInt(kept.size()));
            taken.patterns().forEach(pattern -> {
                for (int kind = 0; kind < wanted.length; kind++) {
                    wanted[kind] += pattern.counts()[kind];
                }
            });
        }
        List<Filled> again = filled(
                wanted,
                worths(
                        LARGER_IS_HARDER[random.nextInt(LARGER_IS_HARDER.length)],
                        SPREADS[random.nextInt(SPREADS.length)]),
                apart);
        if (again == null) {
            return null;
        }
        kept.addAll(again);
        return kept;
    }

    private List<Filled> filled(int[] wanted, double[] worths, int most) {
        int[] left = wanted.clone();
        List<Filled> sheets = new ArrayList<>();
        while (Arrays.stream(left).anyMatch(count -> count > 0)) {
            if (sheets.size() == most) {
                return null;
            }
            Filled next = fill.fill(0, left, worths);
            if (next.strips().isEmpty()) {
                throw new IllegalStateException("a piece fits no sheet");
            }
            next.patterns().forEach(pattern -> {
                for (int kind = 0; kind < left.length; kind++) {
                    left[kind] -= pattern.counts()[kind];
                }
            });
            sheets.add(next);
        }
        return sheets;
    }

    private double[] worths(double power, double spread) {
        double[] worths = new double[area.length];
        for (int kind = 0; kind < worths.length; kind++) {
            worths[kind] = Math.pow(area[kind], power) * Math.exp(spread * random.nextGaussian());
        }
        return worths;
    }

    private boolean isWorse(List<Filled> one, List<Filled> other) {
        return one.size() > other.size() || (one.size() == other.size() && evenness(one) < evenness(other));
    }

    /** Higher where some sheets are full and others nearly empty, which can be done without next. */
    private double evenness(List<Filled> sheets) {
        return sheets.stream()
                .mapToDouble(this::covered)
                .map(share -> share * share)
                .sum();
    }

    /** The share of a sheet that pieces cover. */
    private double covered(Filled sheet) {
        return sheet.worth(area) / sheetArea;
    }
}
