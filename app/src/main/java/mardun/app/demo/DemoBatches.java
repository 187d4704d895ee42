package mardun.app.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.batch.BatchEntry;
import mardun.app.batch.BatchReading;
import mardun.app.batch.BatchViews.BatchForm;
import mardun.app.batch.BatchViews.BatchView;
import mardun.app.batch.BatchViews.CutForm;
import mardun.app.batch.BatchViews.CutShortForm;
import mardun.app.batch.BatchViews.DoneForm;
import mardun.app.batch.BatchViews.FinishForm;
import mardun.app.batch.BatchViews.KeepForm;
import mardun.app.batch.BatchViews.LineForm;
import mardun.app.batch.BatchViews.LineUnits;
import mardun.app.batch.BatchViews.SlotChoice;
import mardun.app.batch.ClothCutting;
import mardun.app.batch.CuttingShort;
import mardun.app.batch.Finishing;
import mardun.app.batch.Pausing;
import mardun.app.batch.Reserving;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The invented maker's batches, made through the same doors as a person's. */
@Component
@ConditionalOnProperty("mardun.demo")
class DemoBatches {

    private final DemoDesigns designs;
    private final BatchEntry entry;
    private final BatchReading reading;
    private final ClothCutting cutting;
    private final Finishing finishing;
    private final CuttingShort cuttingShort;
    private final Reserving reserving;
    private final Pausing pausing;
    private final TravellingClock clock;

    DemoBatches(
            DemoDesigns designs,
            BatchEntry entry,
            BatchReading reading,
            ClothCutting cutting,
            Finishing finishing,
            CuttingShort cuttingShort,
            Reserving reserving,
            Pausing pausing,
            TravellingClock clock) {
        this.designs = designs;
        this.entry = entry;
        this.reading = reading;
        this.cutting = cutting;
        this.finishing = finishing;
        this.cuttingShort = cuttingShort;
        this.reserving = reserving;
        this.pausing = pausing;
        this.clock = clock;
    }

    /**
     * A line of a batch.
     *
     * @param materials ids by slot, where they aren't the design's usual ones
     * @param price the maker's own; empty for the suggested one
     */
    record Line(String design, String size, int units, Map<String, MaterialId> materials, String price) {}

    /** Plans a batch on a day. */
    BatchId planned(LocalDate day, LocalDate due, String forWhat, Line... lines) {
        List<BatchId> made = new ArrayList<>();
        clock.on(
                day,
                () -> made.add(entry.create(new BatchForm(
                        UUID.randomUUID(),
                        0,
                        null,
                        List.of(lines).stream().map(this::form).toList(),
                        due,
                        forWhat,
                        null))));
        return made.get(0);
    }

    private LineForm form(Line line) {
        Map<String, MaterialId> materials = new LinkedHashMap<>(designs.usual(line.design()));
        materials.putAll(line.materials());
        return new LineForm(
                null,
                designs.idOf(line.design()),
                null,
                line.size(),
                Integer.toString(line.units()),
                null,
                materials.entrySet().stream()
                        .map(slot -> new SlotChoice(slot.getKey(), slot.getValue()))
                        .toList(),
                line.price(),
                null,
                null);
    }

    /** Cuts all cloths of a batch and keeps the first offcut that is proposed. */
    void cut(LocalDate day, BatchId id) {
        clock.on(day, () -> {
            BatchView batch = reading.get(id);
            cutting.cut(
                    id,
                    new CutForm(
                            batch.version(),
                            batch.sheet().mark(),
                            "",
                            batch.sheet().leftOver().stream()
                                    .limit(1)
                                    .map(left -> new KeepForm(
                                            left.materialId(),
                                            left.width().exact(),
                                            left.height().exact(),
                                            "1",
                                            "basket"))
                                    .toList(),
                            null));
        });
    }

    /** Cuts one cloth of a batch. */
    void cutOnly(LocalDate day, BatchId id, MaterialId cloth) {
        clock.on(
                day,
                () -> cutting.cut(id, new CutForm(reading.get(id).version(), null, "", List.of(), List.of(cloth))));
    }

    /** Bags are done: the good ones, the seconds and the scrap of each line, as they are typed. */
    void finish(LocalDate day, BatchId id, DoneForm... done) {
        clock.on(day, () -> finishing.finish(id, new FinishForm(reading.get(id).version(), null, "", List.of(done))));
    }

    /** So many of a line aren't made; their cut pieces are put by. */
    void cutShort(LocalDate day, BatchId id, int line, int units, String why) {
        clock.on(
                day,
                () -> cuttingShort.cutShort(
                        id,
                        new CutShortForm(
                                reading.get(id).version(),
                                List.of(new LineUnits(line, Integer.toString(units))),
                                false,
                                why)));
    }

    void putAside(LocalDate day, BatchId id) {
        clock.on(day, () -> pausing.pause(id, reading.get(id).version()));
    }

    void reserve(LocalDate day, BatchId id) {
        clock.on(day, () -> reserving.reserve(id, reading.get(id).version()));
    }
}
