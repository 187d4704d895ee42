package mardun.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import mardun.core.order.FoundOrder;
import mardun.core.order.OrderFinder;
import mardun.core.order.OrderProblem;
import tools.jackson.databind.json.JsonMapper;

/**
 * Puts all instances in order and prints, for each family, how many orders are proven best, how much dearer they are than the best that is
 * known, in per cent, mean and worst, how far from their own lower bound, and the seconds of a search, mean and longest.
 */
public final class OrderTable {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int WARM_UP = 6;
    private static final int ANY_WIDTH = 4_000_000;

    private OrderTable() {}

    private record Row(int orders, int proven, double over, double worst, double gap, double seconds, double longest) {

        Row plus(FoundOrder found, OrderInstance instance, double its) {
            double more = 100.0 * (found.cost() - instance.best()) / instance.best();
            return new Row(
                    orders + 1,
                    proven + (found.isProven() ? 1 : 0),
                    over + more,
                    Math.max(worst, more),
                    gap + 100.0 * (found.cost() - found.leastCost()) / found.cost(),
                    seconds + its,
                    Math.max(longest, its));
        }
    }

    /**
     * Prints the table.
     *
     * @param arguments the folder of the instances, the seconds for each search, and if they shall be kept, a folder for the orders
     */
    public static void main(String[] arguments) throws IOException {
        Path folder = Path.of(arguments[0]);
        double seconds = Double.parseDouble(arguments[1]);
        Optional<Path> kept = arguments.length > 2 ? Optional.of(Path.of(arguments[2])) : Optional.empty();
        Map<String, Row> rows = new TreeMap<>();
        try (Stream<Path> all = Files.list(folder)) {
            List<Path> files = all.sorted().toList();
            for (Path file : files.subList(files.size() - WARM_UP, files.size())) {
                find(read(file).problem(), seconds);
            }
            for (Path file : files) {
                OrderInstance instance = read(file);
                long begun = System.nanoTime();
                FoundOrder found = find(instance.problem(), seconds);
                double its = (System.nanoTime() - begun) / 1e9;
                check(instance, found);
                rows.merge(
                        instance.family(),
                        new Row(0, 0, 0, 0, 0, 0, 0).plus(found, instance, its),
                        (row, one) -> row.plus(found, instance, its));
                System.out.printf(
                        Locale.ROOT,
                        "%-10s %5d  %s %5d  known %5d  %6.2f s%n",
                        instance.name(),
                        found.cost(),
                        found.isProven() ? "proven      " : "not less than",
                        found.leastCost(),
                        instance.best(),
                        its);
                if (kept.isPresent()) {
                    write(kept.get(), instance, found);
                }
            }
        }
        System.out.printf(
                "%n%-8s %7s %7s %9s %9s %9s %9s %9s%n",
                "family", "orders", "proven", "over %", "worst %", "gap %", "mean s", "longest");
        rows.forEach((family, row) -> System.out.printf(
                Locale.ROOT,
                "%-8s %7d %7d %9.2f %9.2f %9.2f %9.2f %9.2f%n",
                family,
                row.orders(),
                row.proven(),
                row.over() / row.orders(),
                row.worst(),
                row.gap() / row.orders(),
                row.seconds() / row.orders(),
                row.longest()));
    }

    private static OrderInstance read(Path file) throws IOException {
        return OrderInstance.read(JSON.readTree(Files.readString(file)));
    }

    private static FoundOrder find(OrderProblem problem, double seconds) {
        long end = System.nanoTime() + (long) (seconds * 1e9);
        return OrderFinder.find(problem, ANY_WIDTH, 1, () -> System.nanoTime() > end);
    }

    private static void check(OrderInstance instance, FoundOrder found) {
        boolean right = instance.problem().isAllowed(found.operations())
                && instance.problem().cost(found.operations()) == found.cost()
                && found.leastCost() <= found.cost()
                && found.leastCost() <= instance.best();
        if (!right) {
            throw new IllegalStateException(instance.name() + " isn't right: " + found);
        }
    }

    private static void write(Path folder, OrderInstance instance, FoundOrder found) throws IOException {
        Files.createDirectories(folder);
        List<String> order =
                Arrays.stream(found.operations()).mapToObj(instance.ids()::get).toList();
        Files.writeString(folder.resolve(instance.name() + ".json"), JSON.writeValueAsString(Map.of("order", order)));
    }
}
