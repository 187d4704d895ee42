package mardun.app.cutting;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.plan.ChosenLayouts;
import mardun.app.plan.CuttingJobs;
import mardun.app.plan.LayoutDocument;
import mardun.app.problem.RefusedException;
import mardun.core.cutting.Aim;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.PieceKey;
import mardun.core.cutting.Recut;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Keeps the layouts of batches, and how far each is cut. Whoever changes them holds the batch for the transaction. */
@Component
public class CuttingSheets implements ChosenLayouts {

    private final StoredSheetRepository sheets;
    private final JsonMapper json;
    private final Map<Long, CuttingLayout> layouts = Collections.synchronizedMap(new Lately());

    CuttingSheets(StoredSheetRepository sheets, JsonMapper json) {
        this.sheets = sheets;
        this.json = json;
    }

    /** The layouts that were looked at lately. */
    private static final class Lately extends LinkedHashMap<Long, CuttingLayout> {

        private static final int MOST = 400;

        Lately() {
            super(MOST, 0.75f, true);
        }

        @Override
        protected boolean removeEldestEntry(Map.Entry<Long, CuttingLayout> eldest) {
            return size() > MOST;
        }
    }

    /**
     * A layout as it is kept.
     *
     * @param layout without the pieces that are cut once more
     * @param recuts the pieces that are cut once more
     * @param done the steps that are cut, each as where it begins
     */
    public record Sheet(
            MaterialId materialId,
            Aim aim,
            boolean chosen,
            CuttingLayout layout,
            List<Recut> recuts,
            List<String> done) {

        /** How many pieces of each kind are cut once more. */
        public Map<PieceKey, Long> extra() {
            return CuttingJobs.extra(recuts);
        }
    }

    /** A piece that is cut once more, as it is stored. */
    record RecutRow(int cloth, LayoutDocument.PlacedRow piece) {}

    @Override
    @Transactional(readOnly = true)
    public Map<BatchId, Map<MaterialId, ChosenLayout>> chosenFor(Collection<BatchId> batchIds) {
        Map<BatchId, Map<MaterialId, ChosenLayout>> chosen = new HashMap<>();
        if (!batchIds.isEmpty()) {
            sheets.findByBatchIdInAndChosenTrue(batchIds)
                    .forEach(stored -> chosen.computeIfAbsent(stored.batchId(), id -> new LinkedHashMap<>())
                            .put(stored.materialId(), new ChosenLayout(layout(stored), recuts(stored))));
        }
        return chosen;
    }

    /** All layouts of a batch, for all aims. */
    @Transactional(readOnly = true)
    public List<Sheet> all(BatchId batchId) {
        return sheets.findByBatchIdOrderById(batchId).stream().map(this::read).toList();
    }

    /** Puts new layouts of a cloth in the place of the old ones, of which nothing may be cut. */
    @Transactional
    public void put(BatchId batchId, MaterialId materialId, Map<Aim, CuttingLayout> layouts, Aim chosen) {
        refuseIfBegun(batchId, materialId);
        sheets.removeOf(batchId, materialId);
        layouts.forEach((aim, layout) -> sheets.save(new StoredSheet(
                batchId, materialId, aim, aim == chosen, json.writeValueAsString(LayoutDocument.of(layout)))));
    }

    /**
     * Chooses for what a batch is laid out, of which nothing may be cut. A cloth without a layout for that aim, because its
     * layout came from a file, keeps the one it has.
     *
     * @param isCut whether a cloth is cut already, so that its layout stays
     */
    @Transactional
    public void choose(BatchId batchId, Aim aim, Predicate<MaterialId> isCut) {
        List<StoredSheet> all = sheets.findByBatchIdOrderById(batchId).stream()
                .filter(sheet -> !isCut.test(sheet.materialId()))
                .toList();
        all.forEach(sheet -> refuseIfBegun(batchId, sheet.materialId()));
        Set<MaterialId> have = all.stream()
                .filter(sheet -> sheet.aim() == aim)
                .map(StoredSheet::materialId)
                .collect(Collectors.toSet());
        all.stream().filter(sheet -> have.contains(sheet.materialId())).forEach(sheet -> {
            sheet.choose(sheet.aim() == aim);
            sheets.save(sheet);
        });
    }

    /** Says that a step is cut, or isn't after all; saying it twice changes nothing. */
    @Transactional
    public void tick(BatchId batchId, MaterialId materialId, String step, boolean done) {
        StoredSheet sheet = find(batchId, materialId);
        List<String> steps = new ArrayList<>(List.of(json.readValue(sheet.done(), String[].class)));
        steps.remove(step);
        if (done) {
            steps.add(step);
        }
        sheet.cut(json.writeValueAsString(steps));
        sheets.save(sheet);
    }

    /** Adds pieces that are cut once more. */
    @Transactional
    public void recut(BatchId batchId, MaterialId materialId, List<Recut> more) {
        StoredSheet sheet = find(batchId, materialId);
        List<RecutRow> rows = new ArrayList<>(List.of(json.readValue(sheet.recuts(), RecutRow[].class)));
        more.forEach(recut -> rows.add(new RecutRow(recut.cloth(), LayoutDocument.PlacedRow.of(recut.piece()))));
        sheet.recut(json.writeValueAsString(rows));
        sheets.save(sheet);
    }

    private StoredSheet find(BatchId batchId, MaterialId materialId) {
        return sheets.findByBatchIdAndMaterialIdAndChosenTrue(batchId, materialId).stream()
                .findFirst()
                .orElseThrow(() -> RefusedException.missing("This cloth isn't laid out yet, or not any more."));
    }

    private void refuseIfBegun(BatchId batchId, MaterialId materialId) {
        sheets.findByBatchIdAndMaterialIdAndChosenTrue(batchId, materialId).stream()
                .filter(sheet -> !sheet.done().equals("[]") || !sheet.recuts().equals("[]"))
                .findFirst()
                .ifPresent(sheet -> {
                    throw RefusedException.conflict(
                            "Some of it is cut already, so the layout stays as it is. If nothing"
                                    + " is cut, take the ticks away first.");
                });
    }

    /** A stored layout never changes, so it is read once. */
    private CuttingLayout layout(StoredSheet stored) {
        return layouts.computeIfAbsent(
                stored.id(),
                id -> json.readValue(stored.layout(), LayoutDocument.class).layout());
    }

    private List<Recut> recuts(StoredSheet stored) {
        return List.of(json.readValue(stored.recuts(), RecutRow[].class)).stream()
                .map(row -> new Recut(row.cloth(), row.piece().piece()))
                .toList();
    }

    private Sheet read(StoredSheet stored) {
        return new Sheet(
                stored.materialId(),
                stored.aim(),
                stored.isChosen(),
                layout(stored),
                recuts(stored),
                List.of(json.readValue(stored.done(), String[].class)));
    }
}
