package mardun.app.bench;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import mardun.app.batch.BatchViews.CautionView;
import mardun.app.design.DesignViews.PieceView;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.log.LogEntry;
import mardun.app.log.SlipOutcome;
import mardun.app.note.NoteViews.NoteView;
import mardun.app.show.Views.AmountView;
import mardun.app.show.Views.LengthView;
import mardun.app.show.Views.TimeView;
import mardun.core.making.Prompt;
import mardun.core.making.SetUp;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.making.Step;
import mardun.core.material.Part;
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
     * @param slips what went wrong, and wasn't withdrawn
     * @param oneFirst one bag is sewn to the end before the others are begun
     * @param firstIsSewn and it is: it can be measured, and the others go on or wait
     * @param notes about its designs and its materials
     * @param cautions usual care with what it is made of and with
     * @param materials what it is made of, to pin a note to
     * @param reasons from what things went wrong before, or usually do
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
            List<WorkSlip> slips,
            boolean oneFirst,
            boolean firstIsSewn,
            List<NoteView> notes,
            List<CautionView> cautions,
            List<WorkMaterial> materials,
            List<String> reasons,
            List<RefusedEntry> refused) {}

    /** A material of a batch. */
    public record WorkMaterial(MaterialId id, String name) {}

    /**
     * Something that went wrong.
     *
     * @param mending what mending took
     * @param cutAgain what was cut once more because of it, and from what
     */
    public record WorkSlip(
            UUID id,
            int line,
            String step,
            String stepName,
            int bags,
            SlipOutcome outcome,
            String reason,
            TimeView mending,
            List<String> cutAgain,
            Instant at) {}

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
     * @param lies how they lie, in words: {@code right sides together}
     * @param upkeep what at its machine has had its time, in sentences
     * @param notes about the step, its pieces and its machine
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
            List<String> lies,
            String check,
            String caution,
            String note,
            List<String> upkeep,
            List<NoteView> notes) {}

    /**
     * A piece in an operation.
     *
     * @param layers how many of it lie on one another at the thickest place
     * @param along the edges along which it is sewn; empty where that isn't said
     */
    public record WorkPiece(PieceView piece, int layers, Set<Step.Side> along) {}

    /**
     * A line's bags at an operation.
     *
     * @param step its key in the line's design
     * @param what the design and the size
     * @param cloth its outer cloth
     * @param colour of that; empty where there is none
     * @param started up to how many bags it is done here: all that are begun, or those of the bundle and the ones before
     * @param all how many are begun
     * @param done for how many the operation is done: counted, or finished
     * @param before the keys of the steps that one has been through when it comes here
     * @param prompts what is shown within the step, one after another
     * @param takes what one takes beside cloth
     * @param photo where one of how it is done is; absent for none
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
            int all,
            int done,
            Set<String> before,
            List<WorkPrompt> prompts,
            List<WorkTake> takes,
            @Nullable String photo,
            TimeView each) {}

    /**
     * Something small to do or to look at within a step.
     *
     * @param mark how far from an edge; absent where that isn't said
     * @param from the edge
     * @param gate it must be confirmed before a bag is counted
     * @param seconds how long something is held or waits; 0 for nothing
     * @param times how often
     */
    public record WorkPrompt(
            Prompt.Kind kind,
            String text,
            @Nullable LengthView mark,
            String from,
            boolean gate,
            int seconds,
            int times) {}

    /**
     * Something that a bag takes beside cloth.
     *
     * @param amount of one bag
     * @param byNow it is in the bag when this step is done
     */
    public record WorkTake(MaterialId materialId, Part part, String name, AmountView amount, boolean byNow) {}

    /** An operation that is done for all bags. */
    public record DoneTurn(String name, List<Integer> lines, int bags) {}

    /** Something that happened and can't be kept. */
    public record RefusedEntry(UUID id, String reason) {}
}
