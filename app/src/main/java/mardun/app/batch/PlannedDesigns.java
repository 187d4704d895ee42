package mardun.app.batch;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import mardun.app.batch.BatchViews.ChangedDesignView;
import mardun.app.batch.BatchViews.TakeDesignForm;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignDocument.SlotRow;
import mardun.app.design.DesignService;
import mardun.app.design.DesignViews.LatestRevision;
import mardun.app.design.DesignViews.RevisionView;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.ChosenLine;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.problem.RefusedException;
import mardun.app.settings.SettingsService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The designs that a batch is planned with. A batch is planned with its designs as they are then, each in one way for all lines
 * of it; when one is changed, the batch says so, and takes the change over when the maker wants it.
 */
@Service
public class PlannedDesigns {

    private final BatchRepository repository;
    private final Batches batches;
    private final BatchHolds holds;
    private final BatchPlans plans;
    private final DesignService designs;
    private final SettingsService settings;
    private final Clock clock;

    PlannedDesigns(
            BatchRepository repository,
            Batches batches,
            BatchHolds holds,
            BatchPlans plans,
            DesignService designs,
            SettingsService settings,
            Clock clock) {
        this.repository = repository;
        this.batches = batches;
        this.holds = holds;
        this.plans = plans;
        this.designs = designs;
        this.settings = settings;
        this.clock = clock;
    }

    /** Those that are another by now. */
    List<ChangedDesignView> changed(Planned planned) {
        Map<DesignId, Integer> revisions = planned.lines().stream()
                .map(PlannedLine::chosen)
                .collect(Collectors.toMap(ChosenLine::designId, ChosenLine::revision, Math::min, LinkedHashMap::new));
        List<ChangedDesignView> changed = new ArrayList<>();
        revisions.forEach((id, revision) -> {
            LatestRevision latest = designs.latest(id);
            if (latest.revision() != revision) {
                changed.add(new ChangedDesignView(
                        id,
                        latest.name(),
                        LocalDate.ofInstant(latest.changedAt(), clock.getZone()),
                        revision,
                        latest.revision()));
            }
        });
        return changed;
    }

    /** Plans a batch with a design as it is now; what it holds follows. */
    @Transactional
    public void take(BatchId id, TakeDesignForm form) {
        take(batches.forChange(id, form.version()), form.designId());
    }

    /** The same, inside the caller's transaction, after the design was changed for the sake of this batch. */
    @Transactional
    public void take(BatchId id, DesignId designId) {
        take(batches.forChange(id), designId);
    }

    private void take(Batch batch, DesignId designId) {
        if (batch.stage() != BatchStage.PLANNED) {
            throw RefusedException.conflict(
                    "Its cloth is cut, so it is sewn from the design as it was then. Nothing was changed.");
        }
        bring(batch, designs.revision(designId, designs.latest(designId).revision()));
        BatchRefusals.refuseIncomplete(plans.of(batches.chosen(batch), settings.current()), settings.current());
        repository.saveAndFlush(batch);
        holds.follow(batch);
        holds.followPieces(batch);
    }

    /** Before two batches become one: a design of both is planned with in the later of its two ways. */
    void meet(Batch one, Batch other) {
        Map<DesignId, Integer> ofOne = revisions(one);
        revisions(other).forEach((id, theirs) -> {
            int ours = ofOne.getOrDefault(id, theirs);
            if (ours != theirs) {
                bring(ours < theirs ? one : other, designs.revision(id, Math.max(ours, theirs)));
            }
        });
    }

    private static Map<DesignId, Integer> revisions(Batch batch) {
        return batch.lines().stream()
                .collect(Collectors.toMap(
                        StoredLine::designId, StoredLine::designRevision, Math::max, LinkedHashMap::new));
    }

    private static void bring(Batch batch, RevisionView revision) {
        List.copyOf(batch.lines()).stream()
                .filter(line -> line.designId().equals(revision.id()))
                .forEach(line -> batch.put(
                        line.chosen()
                                .at(
                                        revision.revision(),
                                        size(line.chosen(), revision),
                                        materials(line.chosen(), revision.document())),
                        line.position()));
    }

    /** What the line's size is called now, whatever it was called when it was chosen. */
    private static String size(ChosenLine line, RevisionView revision) {
        DesignDocument document = revision.document();
        OptionalInt size = document.indexOf(line.sizeKey(), line.sizeName());
        if (size.isEmpty()) {
            throw RefusedException.conflict("“" + document.name() + "” has no size “" + line.sizeName()
                    + "” any more; it has " + String.join(", ", document.sizes())
                    + ". Choose one of these on its line first, or keep the design as it was planned with.");
        }
        return document.sizes().get(size.getAsInt());
    }

    /** What was chosen for the slots that are still there, and the usual materials of those that are new. */
    private static Map<String, MaterialId> materials(ChosenLine line, DesignDocument document) {
        Map<String, MaterialId> materials = new LinkedHashMap<>();
        for (SlotRow slot : document.slots()) {
            MaterialId chosen = line.materials().getOrDefault(slot.key(), slot.materialId());
            if (Objects.nonNull(chosen)) {
                materials.put(slot.key(), chosen);
            }
        }
        return materials;
    }
}
