package mardun.app.gather;

import java.time.LocalDate;
import java.util.List;
import mardun.app.batch.BatchViews.CautionView;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.note.NoteViews.NoteView;
import mardun.app.show.Views.AmountView;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import org.jspecify.annotations.Nullable;

/** What is fetched before a batch is begun, and whether all is well with it. */
public final class GatherViews {

    private GatherViews() {}

    /**
     * A gather sheet.
     *
     * @param items what comes from the shelf, by its place
     * @param tools what is put on machines, and where it is done
     * @param checks the batch as a whole, what isn't well first
     * @param oneFirst one bag is sewn first and measured
     */
    public record GatherView(
            BatchId batchId,
            String name,
            String forWhat,
            @Nullable LocalDate dueOn,
            boolean open,
            List<GatherItem> items,
            List<GatherTool> tools,
            List<WholeCheck> checks,
            boolean oneFirst,
            List<NoteView> notes,
            List<CautionView> cautions) {}

    /**
     * Something to fetch.
     *
     * @param place where it usually lies; empty where that isn't said
     * @param amount how much is still needed
     * @param onHand how much is there
     * @param lots which offcuts and rolls, with their dye lots and places, where that was chosen
     * @param isShort not enough of it is free
     */
    public record GatherItem(
            MaterialId materialId,
            Part part,
            MaterialKind kind,
            String name,
            String colour,
            String place,
            AmountView amount,
            AmountView onHand,
            List<String> lots,
            boolean isShort) {}

    /** A kind of tool, and which of it. */
    public record GatherTool(String kind, List<String> which) {}

    /** Whether something is well with the batch, in a sentence. */
    public record WholeCheck(boolean ok, String sentence) {}
}
