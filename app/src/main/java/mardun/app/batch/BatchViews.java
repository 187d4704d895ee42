package mardun.app.batch;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import mardun.app.batch.CuttingViews.SidesView;
import mardun.app.design.DesignViews.CornerView;
import mardun.app.design.DesignViews.FinishedView;
import mardun.app.design.DesignViews.PieceView;
import mardun.app.design.DesignViews.TrimView;
import mardun.app.design.TicketView;
import mardun.app.material.StockViews.SizeToScale;
import mardun.app.show.Views.AmountView;
import mardun.app.show.Views.FindingView;
import mardun.app.show.Views.LengthView;
import mardun.app.show.Views.MoneyView;
import mardun.app.show.Views.TimeFigure;
import mardun.app.show.Views.TimeView;
import mardun.app.show.Views.WorkingView;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import org.jspecify.annotations.Nullable;

/** What the interface sends and gets to see of batches. */
public final class BatchViews {

    private BatchViews() {}

    /** Which material fills which of the design's slots. */
    public record SlotChoice(@NotNull String slot, long materialId) {}

    /**
     * A batch as it is typed.
     *
     * @param batchId the batch that is being changed; absent for a new one
     * @param units how many, as typed
     * @param ownPrice the maker's price at the stall; empty to take the suggested one
     * @param offcuts the lots of offcuts and precuts that it is cut from first; absent for none
     * @param forWhat the fair or the order it is for; may be empty
     */
    public record BatchForm(
            @NotNull UUID requestId,
            long version,
            @Nullable Long batchId,
            long designId,
            @NotNull String sizeName,
            @NotNull String units,
            @NotNull @Size(max = 50) List<@NotNull @Valid SlotChoice> materials,
            @NotNull String ownPrice,
            @Nullable LocalDate dueOn,
            @NotNull @Size(max = 120) String forWhat,
            @Nullable @Size(max = 200) List<@NotNull Long> offcuts) {}

    /**
     * A stage to be confirmed.
     *
     * @param reason why the shelf may go below zero; empty if it needn't
     * @param keep when cutting, the offcuts that are kept; absent for none
     * @param goodUnits when finishing, how many came out well, as typed
     * @param mark the plan's mark as it was shown, so that nothing else is booked than was confirmed
     */
    public record StageForm(
            long version,
            @Nullable @Size(max = 40) String mark,
            @NotNull @Size(max = 300) String reason,
            @NotNull String goodUnits,
            @Nullable @Size(max = 100) List<@NotNull @Valid KeepForm> keep) {}

    /** An offcut to be kept, as it is typed. */
    public record KeepForm(
            long materialId,
            @NotNull String width,
            @NotNull String height,
            @NotNull String count,
            @NotNull @Size(max = 80) String place) {}

    /** A batch for which material was reserved, and what goes short, each in a sentence. */
    public record BatchReserved(BatchView batch, List<String> missing) {}

    /**
     * A reservation to be made or given back.
     *
     * @param version that the batch was read at
     */
    public record HoldForm(long version) {}

    /**
     * A batch with its plan.
     *
     * @param plannedCost what one was to cost when its cloth was about to be cut; absent before that
     */
    public record BatchView(
            long id,
            long version,
            long designId,
            String designName,
            BatchStage stage,
            @Nullable LocalDate dueOn,
            String forWhat,
            String ownPrice,
            List<SlotChoice> materials,
            List<Long> offcuts,
            @Nullable Integer finishedUnits,
            @Nullable MoneyView plannedCost,
            BatchSheet sheet) {}

    /** A batch in the list. */
    public record BatchLine(
            long id,
            String designName,
            String sizeName,
            int units,
            BatchStage stage,
            @Nullable LocalDate dueOn,
            String forWhat,
            String clothName,
            @Nullable Integer finishedUnits,
            @Nullable Instant finishedAt,
            boolean isShort,
            TimeView hoursLeft,
            @Nullable MoneyView cost,
            @Nullable MoneyView price,
            @Nullable MoneyView perHour) {}

    /**
     * All batches that are planned or under way.
     *
     * @param lines those due first first
     * @param stepsOfTheFirst all steps of the first of them
     * @param shortages what they still need together, where that is more than there is
     */
    public record OpenBatches(List<BatchLine> lines, List<StepLine> stepsOfTheFirst, List<ShortLine> shortages) {}

    /**
     * All that follows from a batch's choices.
     *
     * @param mark tells this state of the plan from another that takes or leaves something else
     */
    public record BatchSheet(
            String mark,
            String designName,
            String sizeName,
            int units,
            List<CutLine> cutList,
            List<TrimLine> trims,
            List<NeedLine> needs,
            List<OffcutOffer> offcuts,
            List<LeftLine> leftOver,
            TimesView times,
            List<StepLine> steps,
            @Nullable CornerView corner,
            @Nullable FinishedView finished,
            @Nullable TicketView ticket,
            List<CautionView> cautions,
            List<FindingView> findings) {}

    /**
     * A line of the cut list.
     *
     * @param from the cloth's name, or what its slot is called
     * @param cutAs the size in which it is cut, where its cloth shrinks afterwards
     */
    public record CutLine(
            PieceView piece,
            long count,
            String from,
            @Nullable SidesView cutAs) {}

    public record TrimLine(TrimView trim, long count, String from) {}

    /**
     * What the batch takes of a material.
     *
     * @param part of a two-part notion, which half
     * @param held what is reserved for this batch
     * @param heldForOthers what other batches have reserved
     * @param shortBy what is missing of what others haven't reserved; absent where there is enough
     */
    public record NeedLine(
            long materialId,
            String slot,
            Part part,
            String name,
            MaterialKind kind,
            AmountView needed,
            AmountView onHand,
            AmountView held,
            AmountView heldForOthers,
            @Nullable AmountView shortBy,
            WorkingView working) {}

    /**
     * Another material that the design allows in a slot, and of which enough is free for the batch.
     *
     * @param needed what the batch would take of it
     * @param cost of one unit with it; absent where the batch isn't complete
     */
    public record Replacement(
            long materialId,
            String name,
            String colour,
            AmountView needed,
            AmountView free,
            @Nullable MoneyView cost) {}

    /**
     * Offcuts or precuts of one size that the batch could be cut from first.
     *
     * @param chosen the batch uses them
     * @param gives what they give, in words: {@code 6 of A, 2 of C}
     * @param saves how much less is cut from the roll
     */
    public record OffcutOffer(
            long lotId,
            long materialId,
            String name,
            String colour,
            LengthView width,
            LengthView height,
            SizeToScale size,
            long count,
            boolean chosen,
            String gives,
            AmountView saves) {}

    /** What cutting leaves at the ends of the strips and is large enough to keep. */
    public record LeftLine(long materialId, String name, LengthView width, LengthView height, long count) {}

    public record TimesView(
            TimeFigure oneByOne,
            TimeFigure asBatch,
            TimeView saved,
            TimeView sewing,
            TimeView settingUp,
            TimeView passive) {}

    /** A step with what has to be changed on the machine before it. */
    public record StepLine(
            String name,
            Stage stage,
            Station station,
            List<String> changes,
            TimeView time,
            String check,
            String caution,
            String note) {}

    public record CautionView(Stage stage, String title, String text) {}

    /** A material that open batches need more of than there is, or that is low. */
    public record ShortLine(
            long materialId,
            String name,
            MaterialKind kind,
            String colour,
            AmountView onHand,
            AmountView needed,
            AmountView shortBy,
            List<ShortBatch> batches) {}

    /** A batch that goes short, and by how much. */
    public record ShortBatch(long batchId, String name, AmountView shortBy) {}
}
