package mardun.app.batch;

import java.util.ArrayList;
import java.util.List;
import mardun.app.batch.BatchViews.BatchForm;
import mardun.app.batch.BatchViews.LineForm;
import mardun.app.batch.BatchViews.Pick;
import mardun.app.batch.BatchViews.Replacement;
import mardun.app.batch.BatchViews.SlotChoice;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignService;
import mardun.app.material.MaterialService;
import mardun.app.material.ShelfMaterial;
import mardun.app.plan.Planned;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.design.Design;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What else would do in a slot of a batch. */
@Service
class Replacements {

    private final BatchEntry entry;
    private final DesignService designs;
    private final MaterialService materials;
    private final SettingsService settings;

    Replacements(BatchEntry entry, DesignService designs, MaterialService materials, SettingsService settings) {
        this.entry = entry;
        this.designs = designs;
        this.materials = materials;
        this.settings = settings;
    }

    /**
     * What the design allows in a slot and of which enough is free for the whole batch.
     *
     * @param line which of the form's lines, from 0
     */
    @Transactional(readOnly = true)
    public List<Replacement> of(BatchForm form, int line, String slot) {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        if (line >= form.lines().size()) {
            throw RefusedException.missing("The batch has no such line.");
        }
        LineForm its = form.lines().get(line);
        DesignDocument document = (its.revision() == null
                        ? designs.document(its.designId())
                        : designs.revision(its.designId(), its.revision()).document())
                .chosen(Pick.byChoice(its.picks()));
        DesignDocument.SlotRow wanted = document.slots().stream()
                .filter(one -> one.key().equals(slot))
                .findFirst()
                .orElseThrow(() -> RefusedException.missing("The design has no such slot."));
        List<Replacement> found = new ArrayList<>();
        Design design = DesignService.stored(document);
        for (ShelfMaterial material : materials.onShelf()) {
            boolean taken = material.putAway() || its.materials().contains(new SlotChoice(slot, material.id()));
            if (taken || !material.free().isPositive() || !DesignService.serves(design, wanted, material.candidate())) {
                continue;
            }
            Planned planned = entry.preview(BatchEntry.with(form, line, new SlotChoice(slot, material.id())), current);
            planned.plan().needs().stream()
                    .filter(need -> need.supply().key().equals(material.id().key()))
                    .filter(need -> !need.isShort())
                    .findFirst()
                    .ifPresent(need -> found.add(new Replacement(
                            material.id(),
                            material.name(),
                            material.colour(),
                            writer.amount(need.amount()),
                            writer.amount(material.free()),
                            planned.lines().get(line).cost().map(writer::money).orElse(null))));
        }
        return found;
    }
}
