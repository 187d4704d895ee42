package mardun.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Stream;
import mardun.core.cutting.Aim;
import mardun.core.cutting.Budget;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.LayoutCheck;
import mardun.core.cutting.LayoutSearch;
import tools.jackson.databind.json.JsonMapper;

/**
 * Lays out all instances and prints, for each family, how much longer the cloth is than the lower bound (or the known least
 * length), or where offcuts and precuts are there how much more it costs, in per cent of the pieces' area: mean and worst,
 * with the seconds of a search and the longest time until there was a first layout. Every layout is checked.
 */
public final class CuttingTable {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final long SEED = 1;

    /** So many searches aren't counted, as in an application that has been up for a while. */
    private static final int WARM_UP = 8;

    /** The clock ends a search, and not the work. */
    private static final double MORE = 1.7;

    private CuttingTable() {}

    /** A family's results so far. */
    private record Row(int layouts, double sum, double worst, double seconds, double first) {

        Row plus(double gap, Found found) {
            return new Row(
                    layouts + 1,
                    sum + gap,
                    Math.max(worst, gap),
                    seconds + found.seconds(),
                    Math.max(first, found.firstAfter()));
        }
    }

    /**
     * What a search found.
     *
     * @param firstAfter so many seconds from its beginning there was a layout
     */
    private record Found(CuttingLayout layout, double seconds, double firstAfter) {}

    /**
     * Prints the table.
     *
     * @param arguments the folder of the instances, the seconds for each search, and if they shall be kept, a folder for the
     *     layouts
     */
    public static void main(String[] arguments) throws IOException {
        Path folder = Path.of(arguments[0]);
        double seconds = Double.parseDouble(arguments[1]);
        Optional<Path> kept = arguments.length > 2 ? Optional.of(Path.of(arguments[2])) : Optional.empty();
        Map<String, Row> rows = new TreeMap<>();
        try (Stream<Path> all = Files.list(folder)) {
            List<Path> files = all.sorted().toList();
            for (Path file : files.subList(0, Math.min(WARM_UP, files.size()))) {
                search(Instance.read(JSON.readTree(Files.readString(file))), seconds);
            }
            for (Path file : files) {
                Instance instance = Instance.read(JSON.readTree(Files.readString(file)));
                Found found = search(instance, seconds);
                CuttingLayout layout = found.layout();
                List<LayoutCheck.Flaw> flaws = LayoutCheck.flaws(layout, instance.job());
                if (!flaws.isEmpty()) {
                    throw new IllegalStateException(file + " can't be cut: " + flaws);
                }
                if (kept.isPresent()) {
                    LayoutFiles.write(kept.get(), file, instance, layout, found.seconds());
                }
                String name = file.getFileName().toString();
                double gap = instance.gap(layout);
                rows.merge(
                        name.substring(0, name.lastIndexOf('-')),
                        new Row(0, 0, 0, 0, 0).plus(gap, found),
                        (before, one) -> before.plus(gap, found));
            }
        }
        System.out.printf(
                "%-12s %8s %8s %8s %9s %9s%n", "family", "layouts", "mean %", "worst %", "seconds", "first ms");
        rows.forEach((family, row) -> System.out.printf(
                Locale.ROOT,
                "%-12s %8d %8.2f %8.2f %9.2f %9.1f%n",
                family,
                row.layouts(),
                row.sum() / row.layouts(),
                row.worst(),
                row.seconds() / row.layouts(),
                row.first() * 1000));
    }

    private static Found search(Instance instance, double seconds) {
        long begun = System.nanoTime();
        long end = begun + (long) (seconds * 1e9);
        AtomicLong first = new AtomicLong();
        Budget budget = Budget.of((long) (LayoutSearch.USUAL_WORK * MORE * seconds), () -> System.nanoTime() > end);
        CuttingLayout layout = LayoutSearch.search(
                instance.job(), Aim.LEAST_CLOTH, SEED, budget, better -> first.compareAndSet(0, System.nanoTime()));
        return new Found(layout, (System.nanoTime() - begun) / 1e9, (first.get() - begun) / 1e9);
    }
}
