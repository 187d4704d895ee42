package mardun.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import mardun.core.season.DemandPrior;
import mardun.core.season.SeasonAim;
import mardun.core.season.SeasonPlan;
import mardun.core.season.SeasonPlanner;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Plans all made-up seasons and prints, for each family, the mean gain in per cent of what somebody who knew the demand would have gained,
 * mean and worst, the same over making nothing, how far below the best simple rule the worst one is, and the seconds of a plan.
 */
public final class SeasonsTable {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int JUDGED = 2000;
    private static final int SIMPLE_RULES = 5;

    private SeasonsTable() {}

    private record Row(
            int seasons, double share, double worst, double added, double reference, double below, double seconds) {

        Row plus(Row other) {
            return new Row(
                    seasons + other.seasons,
                    share + other.share,
                    Math.min(worst, other.worst),
                    added + other.added,
                    reference + other.reference,
                    Math.max(below, other.below),
                    Math.max(seconds, other.seconds));
        }
    }

    /**
     * Prints the table.
     *
     * @param arguments the folder of the instances, truths and reference figures, and if the answers shall be kept, a folder for them
     */
    public static void main(String[] arguments) throws IOException {
        Path folder = Path.of(arguments[0]);
        Optional<Path> kept = arguments.length > 1 ? Optional.of(Path.of(arguments[1])) : Optional.empty();
        Map<String, Map<String, Double>> reference = reference(folder.resolve("reference.csv"));
        Map<String, Row> rows = new TreeMap<>();
        try (Stream<Path> all = Files.list(folder.resolve("instances"))) {
            for (Path file : all.sorted().toList()) {
                String name = file.getFileName().toString().replace(".json", "");
                SeasonInstance instance = SeasonInstance.read(JSON.readTree(Files.readString(file)));
                long begun = System.nanoTime();
                SeasonPlan plan = new SeasonPlanner(instance.season(), DemandPrior.USUAL, 1).plan(SeasonAim.BEST_MEAN);
                double seconds = (System.nanoTime() - begun) / 1e9;
                JsonNode truth =
                        JSON.readTree(Files.readString(folder.resolve("truths").resolve(file.getFileName())));
                double gain = new SeasonTruth(instance.season(), truth, JUDGED)
                        .gain(plan.made(), plan.outcome().use().spent());
                Map<String, Double> known = reference.get(name);
                double oracle = known.get("oracle");
                double nothing = known.get("making nothing");
                double simple = known.values().stream()
                        .limit(SIMPLE_RULES)
                        .max(Double::compare)
                        .orElseThrow();
                Row row = new Row(
                        1,
                        100 * gain / oracle,
                        100 * gain / oracle,
                        100 * (gain - nothing) / (oracle - nothing),
                        100 * known.get("e") / oracle,
                        100 * (simple - gain) / oracle,
                        seconds);
                rows.merge(name.replaceAll("-.*", ""), row, Row::plus);
                rows.merge("~ all", row, Row::plus);
                System.out.printf(
                        Locale.ROOT,
                        "%-9s %8.0f  %5.1f %%  reference %5.1f %%  expected %6.0f  gap %6.2f  %5.2f s%n",
                        name,
                        gain,
                        row.share(),
                        row.reference(),
                        plan.outcome().expected(),
                        plan.gap(),
                        seconds);
                if (kept.isPresent()) {
                    write(kept.get(), name, instance, plan);
                }
            }
        }
        System.out.printf(
                "%n%-8s %8s %8s %8s %8s %10s %14s %9s%n",
                "family", "seasons", "gain %", "worst %", "added %", "reference", "below a rule", "longest");
        rows.forEach((family, row) -> System.out.printf(
                Locale.ROOT,
                "%-8s %8d %8.2f %8.2f %8.2f %10.2f %14.2f %9.2f%n",
                family,
                row.seasons(),
                row.share() / row.seasons(),
                row.worst(),
                row.added() / row.seasons(),
                row.reference() / row.seasons(),
                row.below(),
                row.seconds()));
    }

    private static Map<String, Map<String, Double>> reference(Path file) throws IOException {
        List<String> lines = Files.readAllLines(file);
        String[] names = lines.get(0).split(",");
        Map<String, Map<String, Double>> reference = new HashMap<>();
        for (String line : lines.subList(1, lines.size())) {
            String[] cells = line.split(",");
            Map<String, Double> its = new LinkedHashMap<>();
            for (int n = 1; n < cells.length; n++) {
                its.put(names[n], Double.parseDouble(cells[n]));
            }
            reference.put(cells[0], its);
        }
        return reference;
    }

    private static void write(Path folder, String name, SeasonInstance instance, SeasonPlan plan) throws IOException {
        Files.createDirectories(folder);
        Map<String, Integer> make = new LinkedHashMap<>();
        List<String> ids = new ArrayList<>(instance.ids());
        for (int item = 0; item < ids.size(); item++) {
            if (plan.made()[item] > 0) {
                make.put(ids.get(item), plan.made()[item]);
            }
        }
        Files.writeString(folder.resolve(name + ".json"), JSON.writeValueAsString(Map.of("make", make)));
    }
}
