package mardun.bench;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * How long the interface waits for each screen after some busy years (500 batches, 30 fairs and 6 000 sales each, with 2 000 materials on
 * the shelf): the median, and the 95th and 99th of a hundred answers, over HTTP, once each screen was asked for as often before.
 */
public final class YearsTable {

    private static final int ASKED = 100;
    private static final double NS_A_MS = 1e6;

    private static final List<String> SCREENS = List.of(
            "/api/bench",
            "/api/days",
            "/api/designs",
            "/api/designs/1",
            "/api/designs/1/revisions",
            "/api/materials?size=60",
            "/api/materials?size=60&query=moss",
            "/api/materials/7/shelf",
            "/api/stock-value",
            "/api/stock-take",
            "/api/buying",
            "/api/batches",
            "/api/batches?stage=FINISHED&page=3",
            "/api/batches/3",
            "/api/batches/3/tally",
            "/api/finished-goods",
            "/api/prices/book",
            "/api/fairs",
            "/api/fairs/10",
            "/api/fairs/10/settlement",
            "/api/logbook",
            "/api/logbook?query=zip",
            "/api/logbook/figures",
            "/api/year",
            "/api/season-plan",
            "/api/online-shop",
            "/api/quotes",
            "/api/settings");

    private YearsTable() {}

    /** @param args how many years */
    public static void main(String[] args) throws IOException {
        int years = Integer.parseInt(args[0]);
        long begun = System.nanoTime();
        try (MardunUnderLoad mardun = new MardunUnderLoad("--mardun.demo.years=" + years)) {
            System.out.printf(
                    Locale.ROOT,
                    "%d busy years lived in %.0f s%n",
                    years,
                    (System.nanoTime() - begun) / NS_A_MS / 1000);
            System.out.printf("%-38s %8s %8s %8s%n", "milliseconds", "p50", "p95", "p99");
            for (String screen : SCREENS) {
                ask(mardun, screen);
                double[] took = ask(mardun, screen);
                System.out.printf(
                        Locale.ROOT,
                        "%-38s %8.1f %8.1f %8.1f%n",
                        screen,
                        took[ASKED / 2],
                        took[ASKED * 95 / 100],
                        took[ASKED * 99 / 100]);
            }
            System.gc();
            Runtime runtime = Runtime.getRuntime();
            System.out.printf(
                    Locale.ROOT, "heap in use %d MB%n", (runtime.totalMemory() - runtime.freeMemory()) / 1_000_000);
        }
    }

    private static double[] ask(MardunUnderLoad mardun, String screen) {
        double[] took = new double[ASKED];
        for (int i = 0; i < ASKED; i++) {
            long begun = System.nanoTime();
            int status = mardun.get(screen).statusCode();
            took[i] = (System.nanoTime() - begun) / NS_A_MS;
            if (status != 200) {
                throw new IllegalStateException(screen + " answers " + status);
            }
        }
        Arrays.sort(took);
        return took;
    }
}
