package mardun.app.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import mardun.app.WorkroomFolder;
import mardun.app.batch.BatchViews.DoneForm;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialForm;
import mardun.app.material.MaterialService;
import mardun.app.material.MovementForm;
import mardun.app.material.StockService;
import mardun.core.material.MaterialKind;
import mardun.core.material.MovementKind;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Busy years before the season of the demo: in each of them 500 batches of two lines, 30 fairs at which some 6 000 bags are sold, and 2 000
 * materials on the shelf from the beginning. They are lived through the same services as a person's, and show how the workroom is to work
 * in after so long. None unless {@code mardun.demo.years} says how many. They take hours, so a file in the data folder says how far they
 * are, and the next start goes on from there; what was done since that file was written is done once more, as further batches.
 */
@Component
@ConditionalOnProperty("mardun.demo")
class DemoYears {

    private static final int MATERIALS = 2_000;
    private static final int CLOTHS = 600;
    private static final int BATCHES_A_YEAR = 500;
    private static final int FAIRS_A_YEAR = 30;
    private static final int UNITS_OF_A_LINE = 6;
    private static final int SOLD_OF_A_KIND = 12;
    private static final int DAYS_A_YEAR = 365;
    private static final int BATCHES_BETWEEN_ARRIVALS = 20;
    private static final List<String> COLOURS =
            List.of("#6f8fa8", "#3f6b5c", "#7a7f52", "#d9c27a", "#a35d4e", "#5b5f73");
    private static final List<String> WORDS =
            List.of("Harbour", "Moss", "Oat", "Rust", "Slate", "Thrift", "Willow", "Sorrel", "Teasel", "Plover");

    /** What batches take besides their cloths, and how much of it comes at a time. */
    private static final Map<String, String> ARRIVALS =
            Map.of("Zip tape, navy", "60 yd", "Slider, nickel", "300", "Soft fusible", "80 yd", "Woven label", "300");

    private final MaterialService materials;
    private final StockService stock;
    private final DemoBatches batches;
    private final DemoBench bench;
    private final DemoFairs fairs;
    private final TravellingClock clock;
    private final JsonMapper json;
    private final Path begun;
    private final int years;
    private final Random random = new Random(1010);
    private final List<MaterialId> cloths = new ArrayList<>();

    DemoYears(
            MaterialService materials,
            StockService stock,
            DemoBatches batches,
            DemoBench bench,
            DemoFairs fairs,
            TravellingClock clock,
            JsonMapper json,
            @Value("${mardun.data}") Path data,
            @Value("${mardun.demo.years:0}") int years) {
        this.materials = materials;
        this.stock = stock;
        this.batches = batches;
        this.bench = bench;
        this.fairs = fairs;
        this.clock = clock;
        this.json = json;
        this.begun = data.resolve(WorkroomFolder.DEMO_YEARS_BEGUN);
        this.years = years;
    }

    /**
     * How far they are, and what is to be known to go on.
     *
     * @param batches how many batches lie behind
     * @param materials the demo's own, by their names
     * @param designs by their names
     * @param shops suppliers by their names
     * @param cloths those of which the batches are made
     */
    record Begun(
            int batches,
            Map<String, MaterialId> materials,
            Map<String, DesignId> designs,
            Map<String, Long> shops,
            List<MaterialId> cloths) {

        private Begun after(int all) {
            return new Begun(all, materials, designs, shops, cloths);
        }
    }

    /** How far they were when the application stopped in the midst of them. */
    Optional<Begun> begun() {
        return Files.exists(begun) ? Optional.of(json.readValue(begun.toFile(), Begun.class)) : Optional.empty();
    }

    /** The day on which they begin: the given one, if there are none. */
    LocalDate begin(LocalDate season) {
        return season.minusDays((long) years * DAYS_A_YEAR);
    }

    /**
     * Lives through them.
     *
     * @param season the day on which the season of the demo begins
     * @param known how far they are, or what was entered before them
     */
    void live(LocalDate season, Begun known) {
        if (years == 0) {
            return;
        }
        LocalDate first = begin(season);
        Begun soFar = known;
        if (soFar.cloths().isEmpty()) {
            clock.on(first, this::enterMaterials);
            soFar = new Begun(0, known.materials(), known.designs(), known.shops(), List.copyOf(cloths));
        } else {
            cloths.addAll(soFar.cloths());
        }
        goOn(first, soFar);
        try {
            Files.deleteIfExists(begun);
        } catch (IOException notDeleted) {
            throw new UncheckedIOException(notDeleted);
        }
    }

    private void goOn(LocalDate first, Begun soFar) {
        int all = years * BATCHES_A_YEAR;
        int betweenFairs = BATCHES_A_YEAR / FAIRS_A_YEAR;
        Map<String, MaterialId> ids = soFar.materials();
        for (int i = soFar.batches(); i < all; i++) {
            LocalDate day = first.plusDays((long) i * years * DAYS_A_YEAR / all);
            if (i % BATCHES_BETWEEN_ARRIVALS == 0) {
                clock.on(day, () -> arrive(ids));
            }
            make(day, i);
            if (i % betweenFairs == betweenFairs - 1) {
                boolean isLastOfTheYear = i / BATCHES_A_YEAR != (i + betweenFairs) / BATCHES_A_YEAR;
                fairs.busy(day, "Fair " + WORDS.get(i / betweenFairs % WORDS.size()), SOLD_OF_A_KIND, isLastOfTheYear);
                write(soFar.after(i + 1));
            }
        }
    }

    private void write(Begun soFar) {
        try {
            Path next = Files.createTempFile(begun.getParent(), "years", ".json");
            json.writeValue(next.toFile(), soFar);
            Files.move(next, begun, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException unwritten) {
            throw new UncheckedIOException(unwritten);
        }
    }

    private void make(LocalDate day, int number) {
        BatchId batch = batches.planned(day, day.plusDays(7), "", line("small", number), line("medium", number + 7));
        batches.cut(day, batch);
        bench.sewInBulk(day, batch);
        String good = Integer.toString(UNITS_OF_A_LINE);
        batches.finish(day, batch, new DoneForm(1, good, "", ""), new DoneForm(2, good, "", ""));
    }

    private DemoBatches.Line line(String size, int number) {
        return new DemoBatches.Line(
                "Heron pouch",
                size,
                UNITS_OF_A_LINE,
                Map.of("outer", cloths.get(number % cloths.size()), "lining", cloths.get((number + 3) % cloths.size())),
                "");
    }

    private void arrive(Map<String, MaterialId> ids) {
        ARRIVALS.forEach((name, amount) -> stock.move(
                ids.get(name),
                new MovementForm(UUID.randomUUID(), MovementKind.BOUGHT, amount, "", null, null, "40", null, null)));
    }

    private void enterMaterials() {
        for (int i = 0; i < MATERIALS; i++) {
            boolean isCloth = i < CLOTHS;
            String name =
                    WORDS.get(i % WORDS.size()) + " " + WORDS.get(i / WORDS.size() % WORDS.size()) + " " + (i + 1);
            MaterialId id = materials
                    .create(new MaterialForm(
                            UUID.randomUUID(),
                            0,
                            isCloth ? MaterialKind.CLOTH : MaterialKind.NOTION,
                            name,
                            "",
                            COLOURS.get(random.nextInt(COLOURS.size())),
                            isCloth ? "44 in" : null,
                            null,
                            false,
                            null,
                            isCloth ? "9.50" : "3",
                            isCloth ? "1 yd" : "10",
                            "",
                            isCloth ? "120 yd" : "60",
                            false,
                            null))
                    .id();
            if (isCloth) {
                cloths.add(id);
            }
        }
    }
}
