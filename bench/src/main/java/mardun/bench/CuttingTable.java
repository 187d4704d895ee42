package mardun.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import mardun.core.cutting.ClothLayout;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.LayoutCheck;
import mardun.core.cutting.LayoutSearch;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Lays out all instances and prints, for each family, how much longer the cloth is than the lower bound (or the known least
 * length): mean and worst, in per cent, with the seconds of a search. Every layout is checked.
 */
public final class CuttingTable {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final long SEED = 1;

    private CuttingTable() {}

    /** A family's results so far. */
    private record Row(int layouts, double sum, double worst, double seconds) {

        Row plus(double gap, double took) {
            return new Row(layouts + 1, sum + gap, Math.max(worst, gap), seconds + took);
        }
    }

    /**
     * Prints the table.
     *
     * @param arguments the folder of the instances, and the seconds for each search
     */
    public static void main(String[] arguments) throws IOException {
        Path folder = Path.of(arguments[0]);
        double seconds = Double.parseDouble(arguments[1]);
        Map<String, Row> rows = new TreeMap<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.sorted().toList()) {
                JsonNode instance = JSON.readTree(Files.readString(file));
                long begun = System.nanoTime();
                double gap = gap(instance, begun + (long) (seconds * 1e9));
                double took = (System.nanoTime() - begun) / 1e9;
                String name = file.getFileName().toString();
                rows.merge(
                        name.substring(0, name.lastIndexOf('-')),
                        new Row(0, 0, 0, 0).plus(gap, took),
                        (before, one) -> before.plus(gap, took));
            }
        }
        System.out.printf("%-12s %8s %8s %8s %9s%n", "family", "layouts", "mean %", "worst %", "seconds");
        rows.forEach((family, row) -> System.out.printf(
                Locale.ROOT,
                "%-12s %8d %8.2f %8.2f %9.2f%n",
                family,
                row.layouts(),
                row.sum() / row.layouts(),
                row.worst(),
                row.seconds() / row.layouts()));
    }

    private static double gap(JsonNode instance, long end) {
        long unit = instance.get("unit").asString().equals("0.1mm") ? 100_000 : 396_875;
        List<CutPiece> pieces = new ArrayList<>();
        for (JsonNode piece : instance.get("pieces")) {
            String id = piece.get("id").asString();
            pieces.add(new CutPiece(
                    id,
                    id,
                    new Extent(
                            new Length(piece.get("w").asLong() * unit),
                            new Length(piece.get("h").asLong() * unit)),
                    piece.get("qty").asLong(),
                    piece.get("rotate").asBoolean()));
        }
        ClothLayout layout = LayoutSearch.search(
                new Length(instance.get("W").asLong() * unit), pieces, () -> System.nanoTime() > end, SEED);
        List<LayoutCheck.Flaw> flaws = LayoutCheck.flaws(layout, pieces);
        if (!flaws.isEmpty()) {
            throw new IllegalStateException(instance.get("id").asString() + " can't be cut: " + flaws);
        }
        double least = (instance.has("opt") ? instance.get("opt") : instance.get("lb")).asDouble() * unit;
        return 100 * (layout.length().nanometres() - least) / least;
    }
}
