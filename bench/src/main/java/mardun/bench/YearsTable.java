package mardun.bench;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.function.Supplier;

/**
 * How long the interface waits for each screen after some busy years (500 batches, 30 fairs and 6 000 sales each, with 2 000 materials on
 * the shelf): the median, and the 95th and 99th of a hundred answers, over HTTP, once each screen was asked for as often before; then the
 * first answer of each after a sale, after a movement of a material and after a touch at the bench, when what was remembered is worked out
 * anew; then how long it takes
 * to tell the stall a sale, to save all as one archive, and to start again.
 */
public final class YearsTable {

    private static final int ASKED = 100;
    private static final int CHANGED = 20;

    /** The zip tape that is in nearly every bag. */
    private static final String MATERIAL = "/api/materials/15/movements";

    private static final double NS_A_MS = 1e6;
    private static final String NO_FOLDER = "-";

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
            "/api/batches?list=FINISHED&page=3",
            "/api/batches/3",
            "/api/batches/3/cutting",
            "/api/batches/3/gather",
            "/api/batches/3/order",
            "/api/batches/3/tally",
            "/api/finished-goods",
            "/api/finished-goods?query=pouch",
            "/api/finished-goods?all=true&query=pouch",
            "/api/finished-goods?place=home",
            "/api/prices/book",
            "/api/fairs",
            "/api/fairs/10",
            "/api/fairs/10/settlement",
            "/api/logbook",
            "/api/logbook?query=zip",
            "/api/logbook/figures",
            "/api/upkeep",
            "/api/year",
            "/api/year/books?from={year}-01-01",
            "/api/season-plan",
            "/api/online-shop",
            "/api/online-shop/orders",
            "/api/online-shop/payouts",
            "/api/fairs/{coming}/packing",
            "/api/fairs/{coming}/stall",
            "/api/orders",
            "/api/resellers",
            "/api/posting",
            "/api/quotes",
            "/api/settings");

    private YearsTable() {}

    /** @param args how many years; and a folder in which they are kept, so that they are lived once and measured again; a dash for none */
    public static void main(String[] args) throws IOException {
        int years = Integer.parseInt(args[0]);
        long begun = System.nanoTime();
        try (MardunUnderLoad mardun = lived(years, args.length > 1 ? args[1] : NO_FOLDER)) {
            System.out.printf(
                    Locale.ROOT,
                    "%d busy years lived in %.0f s%n",
                    years,
                    (System.nanoTime() - begun) / NS_A_MS / 1000);
            System.out.printf("%-38s %8s %8s %8s%n", "milliseconds", "p50", "p95", "p99");
            String coming = mardun.get("/api/fairs").body().replaceAll("(?s).*?\"coming\":\\[\\{\"id\":(\\d+).*", "$1");
            for (String screen : SCREENS) {
                String path = path(screen, coming);
                print(screen, ask(() -> mardun.get(path)));
            }
            printAfterChanges(mardun, coming);
            String stall = "/api/fairs/" + coming + "/stall";
            String kind = kindAt(mardun, stall);
            print("a sale that is told to the stall", ask(() -> mardun.post(stall, sale(kind))));
            long begunToSave = System.nanoTime();
            long bytes = mardun.size("/api/backups/archive.zip");
            System.out.printf(
                    Locale.ROOT,
                    "all saved as one archive of %d MB in %.1f s%n",
                    bytes / 1_000_000,
                    (System.nanoTime() - begunToSave) / NS_A_MS / 1000);
            System.out.printf(Locale.ROOT, "started again in %.1f s%n", mardun.startAgain() / 1000.0);
            System.gc();
            Runtime runtime = Runtime.getRuntime();
            System.out.printf(
                    Locale.ROOT, "heap in use %d MB%n", (runtime.totalMemory() - runtime.freeMemory()) / 1_000_000);
        }
    }

    /** Something that is stored, after which much is worked out anew. */
    private record Change(String what, Runnable happens) {}

    private static void printAfterChanges(MardunUnderLoad mardun, String coming) {
        String stall = "/api/fairs/" + coming + "/stall";
        String kind = kindAt(mardun, stall);
        List<Change> changes = List.of(
                new Change("a sale", () -> asked(() -> mardun.post(stall, sale(kind)))),
                new Change("a movement", () -> asked(() -> mardun.post(MATERIAL, movement()))),
                new Change("a touch at the bench", new TouchAtTheBench(mardun)));
        System.out.printf("%-38s", "the first answer after");
        changes.forEach(change -> System.out.printf(" %22s", change.what()));
        System.out.printf("%n%-38s", "milliseconds");
        changes.forEach(change -> System.out.printf(" %13s %8s", "p50", "p95"));
        System.out.println();
        for (String screen : SCREENS) {
            String path = path(screen, coming);
            System.out.printf("%-38s", screen);
            for (Change change : changes) {
                double[] took = ask(CHANGED, change.happens(), () -> mardun.get(path));
                System.out.printf(Locale.ROOT, " %13.1f %8.1f", took[CHANGED / 2], took[CHANGED * 95 / 100]);
            }
            System.out.println();
        }
    }

    private static String path(String screen, String coming) {
        return screen.replace("{coming}", coming)
                .replace("{year}", Integer.toString(LocalDate.now().getYear()));
    }

    /** A kind of bags that the stall knows. */
    private static String kindAt(MardunUnderLoad mardun, String stall) {
        return mardun.get(stall).body().replaceAll("(?s).*?\"key\":\"([^\"]+)\".*", "$1");
    }

    /** A little of a material is used up. */
    private static String movement() {
        return """
                {"requestId":"%s","kind":"USED","amount":"1 mm","reason":""}""".formatted(UUID.randomUUID());
    }

    private static MardunUnderLoad lived(int years, String folder) throws IOException {
        String asked = "--mardun.demo.years=" + years;
        return folder.equals(NO_FOLDER) ? new MardunUnderLoad(asked) : MardunUnderLoad.on(Path.of(folder), asked);
    }

    private static void print(String what, double[] took) {
        System.out.printf(
                Locale.ROOT,
                "%-38s %8.1f %8.1f %8.1f%n",
                what,
                took[ASKED / 2],
                took[ASKED * 95 / 100],
                took[ASKED * 99 / 100]);
    }

    /** What a device tells that has sold a bag for cash. */
    private static String sale(String kind) {
        return """
                {"device":"%s","entries":[{"id":"%s","kind":"SOLD","at":"%s","tender":"CASH","paidMinor":1200,
                "payment":"","note":"","bags":[{"kind":"%s","units":1,"priceMinor":1200}]}]}""".formatted(UUID.randomUUID(), UUID.randomUUID(), Instant.now(), kind);
    }

    private static double[] ask(Supplier<HttpResponse<String>> asking) {
        ask(ASKED, () -> {}, asking);
        return ask(ASKED, () -> {}, asking);
    }

    /** How long so many answers took, the quickest first, each after something else; one before them isn't counted. */
    private static double[] ask(int times, Runnable before, Supplier<HttpResponse<String>> asking) {
        double[] took = new double[times];
        before.run();
        asked(asking);
        for (int i = 0; i < times; i++) {
            before.run();
            long begun = System.nanoTime();
            asked(asking);
            took[i] = (System.nanoTime() - begun) / NS_A_MS;
        }
        Arrays.sort(took);
        return took;
    }

    private static void asked(Supplier<HttpResponse<String>> asking) {
        HttpResponse<String> answer = asking.get();
        if (answer.statusCode() / 100 != 2) {
            throw new IllegalStateException(answer.uri() + " answers " + answer.statusCode() + ": " + answer.body());
        }
    }
}
