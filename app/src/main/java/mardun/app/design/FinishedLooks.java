package mardun.app.design;

import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.material.StockShelves;
import mardun.app.material.StockShelves.Shelves;
import mardun.app.problem.FieldReader;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.core.design.Design;
import mardun.core.design.Finished;
import mardun.core.design.SizedDesign;
import mardun.core.design.Sizing;
import mardun.core.material.ClothKind;
import mardun.core.measure.Length;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.picture.BagPainter;
import mardun.core.working.Figure;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** How finished bags look and how much room they take, for whoever shows or packs them. */
@Component
public class FinishedLooks {

    private final DesignService designs;
    private final StockShelves shelves;
    private final Remembered<SizeOf, Optional<FinishedExtent>> extents;

    FinishedLooks(DesignService designs, StockShelves shelves, Changes changes) {
        this.designs = designs;
        this.shelves = shelves;
        this.extents = new Remembered<>(changes, "design", "design_revision");
    }

    private record SizeOf(DesignId design, String sizeKey) {}

    /**
     * A finished bag.
     *
     * @param picture empty where it can't be drawn
     * @param deep nothing for what is flat
     */
    public record FinishedLook(Optional<PictureView> picture, Length wide, Length deep, Length high) {}

    /**
     * A size of a design in materials that were chosen for it.
     *
     * @param chosen by slot; the others are filled as usual
     * @return empty where the design has no such size any more, or can't be worked out
     */
    @Transactional(readOnly = true)
    public Optional<FinishedLook> of(DesignId id, String sizeKey, Map<String, MaterialId> chosen) {
        return asItIs(id, sizeKey).flatMap(its -> its.sized().finished().map(finished -> look(its, chosen, finished)));
    }

    /**
     * What a finished bag measures.
     *
     * @param deep nothing for what is flat
     */
    public record FinishedExtent(Length wide, Length deep, Length high) {}

    /** What a size of a design measures; empty where there is no such size any more, or it can't be worked out. */
    @Transactional(readOnly = true)
    public Optional<FinishedExtent> extent(DesignId id, String sizeKey) {
        return extents.get(new SizeOf(id, sizeKey), its -> measured(id, sizeKey));
    }

    private Optional<FinishedExtent> measured(DesignId id, String sizeKey) {
        return asItIs(id, sizeKey)
                .flatMap(its -> its.sized().finished())
                .map(finished -> new FinishedExtent(
                        length(finished.width()), length(finished.depth()), length(finished.height())));
    }

    /** Whether an iron may touch a design's outer cloth, as the cloth is that it asks for. */
    @Transactional(readOnly = true)
    public boolean isIronable(DesignId id) {
        Design design = DocumentReader.read(designs.document(id), new FieldReader());
        return design.outerSlot()
                .flatMap(design::clothOf)
                .map(ClothKind::isIronable)
                .orElse(true);
    }

    private record AsItIs(DesignDocument document, Design design, SizedDesign sized) {}

    private Optional<AsItIs> asItIs(DesignId id, String sizeKey) {
        DesignDocument document = designs.document(id);
        FieldReader fields = new FieldReader();
        Design design = DocumentReader.read(document, fields);
        int size = document.sizeKeys() == null ? -1 : document.sizeKeys().indexOf(sizeKey);
        return size < 0 || !fields.problems().isEmpty()
                ? Optional.empty()
                : Optional.of(new AsItIs(document, design, Sizing.of(design, size)));
    }

    private FinishedLook look(AsItIs its, Map<String, MaterialId> chosen, Finished finished) {
        DesignDocument document = its.document();
        Set<MaterialId> used = new HashSet<>(DesignService.materialsOf(document));
        used.addAll(chosen.values());
        Shelves read = shelves.read(used);
        Optional<PictureView> picture = BagPainter.paint(its.design(), its.sized())
                .map(painted -> PictureView.of(
                        painted,
                        slot -> Optional.ofNullable(chosen.get(slot))
                                .or(() -> document.slots().stream()
                                        .filter(one -> one.key().equals(slot))
                                        .findFirst()
                                        .flatMap(one -> Optional.ofNullable(one.materialId())))
                                .flatMap(read::look)));
        return new FinishedLook(picture, length(finished.width()), length(finished.depth()), length(finished.height()));
    }

    private static Length length(Figure<Quantity> measured) {
        return measured.value().toLength(ShownRounding.NEAREST);
    }
}
