package mardun.app.bench;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.design.DesignViews.PieceView;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.log.LogEntry;
import mardun.app.show.Views.LengthView;
import mardun.app.show.Views.TimeView;
import mardun.core.making.SetUp;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import org.jspecify.annotations.Nullable;

/** What the screen beside the machine shows of a batch, and what it tells. */
public final class WorkViews {

    private WorkViews() {}

    /**
     * What happened since the screen last told, in its order; and it wants to know how the batch stands now.
     *
     * @param entries of this batch or others; those that are known already are known and no more
     */
    public record WorkForm(
            @NotNull BatchId batchId,
            @NotNull @Size(max = 500) List<@NotNull @Valid LogEntry> entries) {}

    /**
     * A batch at the bench.
     *
     * @param open something of it is still to be made
     * @param turns what is still to be done, in its order
     * @param done what is done for all bags
     * @param refused entries that can't be kept, with the reason
     */
    public record WorkView(
            BatchId batchId,
            String name,
            String forWhat,
            @Nullable LocalDate dueOn,
            boolean open,
            TimeView left,
            List<WorkTurn> turns,
            List<DoneTurn> done,
            List<RefusedEntry> refused) {}

    /**
     * An operation that is still to be done.
     *
     * @param place the key of the machine or table
     * @param at what that is called
     * @param changes what has to be changed on the machine now, and only that, if what stands before it was done
     * @param setUp all that it needs on the machine
     * @param parts what it is done for, line by line
     * @param once hands-on time that is spent once
     * @param passive time after it that needs no hands
     * @param bags on how many measured bags its time rests
     * @param seam the allowance of a seam; absent where it isn't sewn, or the design has none that is called so
     * @param pieces what goes through, as it is cut, of the first line
     */
    public record WorkTurn(
            String key,
            String name,
            Stage stage,
            Station station,
            String place,
            String at,
            List<String> changes,
            Map<SetUp.Part, String> setUp,
            List<WorkPart> parts,
            TimeView once,
            TimeView passive,
            int bags,
            @Nullable LengthView seam,
            List<WorkPiece> pieces,
            String check,
            String caution,
            String note) {}

    /**
     * A piece in an operation.
     *
     * @param layers how many of it lie on one another at the thickest place
     */
    public record WorkPiece(PieceView piece, int layers) {}

    /**
     * A line's bags at an operation.
     *
     * @param step its key in the line's design
     * @param what the design and the size
     * @param cloth its outer cloth
     * @param colour of that; empty where there is none
     * @param started how many bags are begun
     * @param done for how many the operation is done: counted, or finished
     * @param each how long one takes
     */
    public record WorkPart(
            int line,
            DesignId designId,
            String step,
            String what,
            String cloth,
            String colour,
            int started,
            int done,
            TimeView each) {}

    /** An operation that is done for all bags. */
    public record DoneTurn(String name, List<Integer> lines, int bags) {}

    /** Something that happened and can't be kept. */
    public record RefusedEntry(UUID id, String reason) {}
}
