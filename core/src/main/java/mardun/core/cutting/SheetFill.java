package mardun.core.cutting;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import mardun.core.cutting.SearchProblem.Sheet;

/**
 * Fills a sheet of fixed size with the pieces that are worth most: strips are cut off it one after another, across it or
 * along it, until no piece fits what is left.
 */
final class SheetFill {

    private static final int TRIES = 4;

    private final SearchProblem problem;
    private final Random random;
    private final StripFill across;
    private final StripFill along;

    SheetFill(SearchProblem problem, Random random) {
        this.problem = problem;
        this.random = random;
        int longest = problem.sheets().stream().mapToInt(Sheet::length).max().orElse(1);
        int widest = problem.sheets().stream().mapToInt(Sheet::width).max().orElse(1);
        this.across = new StripFill(problem.bolt(), widest, longest);
        this.along = new StripFill(problem.along(), longest, widest);
    }

    /**
     * A strip that is cut off a sheet.
     *
     * @param along it lies along the sheet, so that its pattern is one of the problem with its sides changed over
     * @param length of the strip: what the sheet measures across (or along) at that moment
     */
    record Strip(boolean along, int length, StripPattern pattern) {}

    /** How a sheet is cut: strips in their order, and the sides of what is left. */
    record Filled(List<Strip> strips, int restWidth, int restLength) {

        List<StripPattern> patterns() {
            return strips.stream().map(Strip::pattern).toList();
        }

        double worth(double[] value) {
            double worth = 0;
            for (Strip strip : strips) {
                worth += strip.pattern().worth(value);
            }
            return worth;
        }
    }

    /** How strips are cut off in one attempt. */
    private enum Way {
        ACROSS,
        ALONG,
        EITHER,
        AS_IT_COMES
    }

    /** The best of some ways to fill a sheet; without strips if nothing fits. */
    Filled fill(int which, int[] wanted, double[] value) {
        Sheet sheet = problem.sheets().get(which);
        Filled best = new Filled(List.of(), sheet.width(), sheet.length());
        for (Way way : Way.values()) {
            Filled next = fill(sheet, way, wanted, value);
            best = next.worth(value) > best.worth(value) ? next : best;
        }
        return best;
    }

    long workDone() {
        return across.workDone() + along.workDone();
    }

    private Filled fill(Sheet sheet, Way way, int[] wanted, double[] value) {
        int[] left = wanted.clone();
        List<Strip> strips = new ArrayList<>();
        int width = sheet.width();
        int length = sheet.length();
        while (width > 0 && length > 0) {
            boolean isAlong = isAlong(way);
            Strip next = next(isAlong, width, length, left, value);
            if (next == null && (way == Way.EITHER || way == Way.AS_IT_COMES)) {
                isAlong = !isAlong;
                next = next(isAlong, width, length, left, value);
            }
            if (next == null) {
                break;
            }
            for (int kind = 0; kind < left.length; kind++) {
                left[kind] -= next.pattern().counts()[kind];
            }
            width -= isAlong ? next.pattern().height() : 0;
            length -= isAlong ? 0 : next.pattern().height();
            strips.add(next);
        }
        return new Filled(strips, width, length);
    }

    private boolean isAlong(Way way) {
        return switch (way) {
            case ACROSS -> false;
            case ALONG -> true;
            case EITHER, AS_IT_COMES -> random.nextBoolean();
        };
    }

    private Strip next(boolean isAlong, int width, int length, int[] left, double[] value) {
        StripProblem pieces = isAlong ? problem.along() : problem.bolt();
        int free = isAlong ? width : length;
        int side = isAlong ? length : width;
        int[] fitting = IntStream.range(0, pieces.items())
                .filter(item -> left[pieces.kindOf()[item]] >= pieces.timesOf()[item]
                        && pieces.heightOf()[item] <= free
                        && pieces.widthOf()[item] <= side)
                .map(item -> pieces.heightOf()[item])
                .distinct()
                .toArray();
        if (fitting.length == 0) {
            return null;
        }
        int lowest = IntStream.of(fitting).min().orElse(free);
        StripFill fill = isAlong ? along : across;
        fill.prepare(value, left, free);
        StripPattern best = null;
        double most = 0;
        for (int i = 0; i < TRIES; i++) {
            StripPattern pattern = fill.strip(i == 0 ? free : height(fitting, free), side);
            if (pattern != null) {
                boolean closes = free - pattern.height() < lowest;
                double rate = pattern.worth(value) / (closes ? free : pattern.height());
                if (rate > most) {
                    most = rate;
                    best = pattern;
                }
            }
        }
        return best == null ? null : new Strip(isAlong, side, best);
    }

    private int height(int[] fitting, int free) {
        int height = fitting[random.nextInt(fitting.length)];
        return random.nextInt(3) == 0 ? Math.min(free, height + fitting[random.nextInt(fitting.length)]) : height;
    }
}
