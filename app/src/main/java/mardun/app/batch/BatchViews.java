package mardun.app.batch;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import mardun.app.design.DesignViews.CornerView;
import mardun.app.design.DesignViews.FinishedView;
import mardun.app.design.DesignViews.PieceView;
import mardun.app.design.DesignViews.TrimView;
import mardun.app.design.TicketView;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.material.StockViews.SizeToScale;
import mardun.app.show.Views.AmountView;
import mardun.app.show.Views.FindingView;
import mardun.app.show.Views.LengthView;
import mardun.app.show.Views.MoneyView;
import mardun.app.show.Views.SidesView;
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

    /** No batch has more lines. */
    public static final int MOST_LINES = 60;

    private BatchViews() {}

    /** Which material fills which of the design's slots. */
    public record SlotChoice(@NotNull String slot, @NotNull MaterialId materialId) {}

    /** What is chosen where a design leaves something open: the keys of a choice and of the alternative that is taken. */
    public record Pick(
            @NotNull @Size(max = 60) String choice,
            @NotNull @Size(max = 60) String alternative) {

        /** Some of them by the keys of their choices; of nothing nothing. */
        static Map<String, String> byChoice(@Nullable List<Pick> picks) {
            return picks == null
                    ? Map.of()
                    : picks.stream().collect(Collectors.toMap(Pick::choice, Pick::alternative, (one, other) -> other));
        }
    }

    /**
     * A batch as it is typed.
     *
     * @param batchId the batch that is being changed; absent for a new one
     * @param lines in the order in which they are shown
     * @param offcuts the lots of offcuts and precuts that it is cut from first; absent for none
     * @param forWhat the fair or the order it is for; may be empty
     */
    public record BatchForm(
            @NotNull UUID requestId,
            long version,
            @Nullable BatchId batchId,

            @NotNull @Size(min = 1, max = MOST_LINES, message = "A batch has from 1 to 60 lines.")
            List<@NotNull @Valid LineForm> lines,

            @Nullable LocalDate dueOn,
            @NotNull @Size(max = 120) String forWhat,
            @Nullable @Size(max = 200) List<@NotNull LotId> offcuts) {}

    /**
     * A line as it is typed.
     *
     * @param number what the line is known by; absent for a new one
     * @param revision which of the design's revisions it is planned with; absent for that of the batch's other lines, or else the
     *     newest
     * @param units how many are wanted, as typed
     * @param started how many are begun, where that is more; empty for as many as are wanted
     * @param ownPrice the maker's price at the stall; empty to take the suggested one
     * @param brought cut pieces that are taken from the shelf; absent for none
     * @param picks what is chosen where the design leaves something open; absent for the usual
     */
    public record LineForm(
            @Nullable @Min(1) @Max(10_000) Integer number,
            @NotNull DesignId designId,
            @Nullable @Min(1) Integer revision,
            @NotNull @Size(max = 60) String sizeName,
            @NotNull String units,
            @Nullable String started,
            @NotNull @Size(max = 50) List<@NotNull @Valid SlotChoice> materials,
            @NotNull String ownPrice,
            @Nullable @Size(max = 50) List<@NotNull @Valid BroughtForm> brought,
            @Nullable @Size(max = 20) List<@NotNull @Valid Pick> picks) {}

    /** For so many bags of a line the pieces of a cloth are taken from those that lie there cut and not sewn. */
    public record BroughtForm(
            @NotNull MaterialId materialId,
            @Min(1) @Max(10_000) int bags) {}

    /**
     * Cloth that is cut, to be confirmed.
     *
     * @param mark the plan's mark as it was shown, so that nothing else is booked than was confirmed
     * @param reason why the shelf may go below zero; empty if it needn't
     * @param keep the offcuts that are kept; absent for none
     * @param cloths the materials that are cut; absent for all that aren't cut yet
     */
    public record CutForm(
            long version,
            @Nullable @Size(max = 40) String mark,
            @NotNull @Size(max = 300) String reason,
            @Nullable @Size(max = 100) List<@NotNull @Valid KeepForm> keep,
            @Nullable @Size(max = 200) List<@NotNull MaterialId> cloths) {}

    /**
     * Bags that are done, to be confirmed.
     *
     * @param lines how many of which lines
     */
    public record FinishForm(
            long version,
            @Nullable @Size(max = 40) String mark,
            @NotNull @Size(max = 300) String reason,
            @NotNull @Size(min = 1, max = MOST_LINES) List<@NotNull @Valid DoneForm> lines) {}

    /**
     * So many bags of a line, as typed; empty for none.
     *
     * @param seconds not quite as they should be, and sold as such
     * @param scrap didn't come out
     */
    public record DoneForm(
            int number,
            @NotNull String good,
            @NotNull String seconds,
            @NotNull String scrap) {}

    /**
     * Bags of a batch that become one of their own.
     *
     * @param lines how many of which lines
     */
    public record SplitForm(
            @NotNull UUID requestId,
            long version,
            @NotNull @Size(min = 1, max = MOST_LINES) List<@NotNull @Valid LineUnits> lines) {}

    /** So many bags of a line, as typed; empty for none. */
    public record LineUnits(int number, @NotNull String units) {}

    /**
     * Bags that aren't made though their cloth is cut.
     *
     * @param lines how many of which lines
     * @param throwAway their pieces are thrown away, and the others bear them; else they are put on the shelf
     */
    public record CutShortForm(
            long version,
            @NotNull @Size(min = 1, max = MOST_LINES) List<@NotNull @Valid LineUnits> lines,
            boolean throwAway,
            @NotNull @Size(max = 300) String reason) {}

    /** So many bags of a line whose pieces were put by, which are made after all. */
    public record TakeUpForm(
            long version, int line, @NotNull String units) {}

    /**
     * Cut pieces that were put by and are bundled to kits, as typed.
     *
     * @param requestId made by the form when it opens, so that sending it twice bundles once
     * @param minutes the work of cutting and bundling in each kit; empty for none that is counted
     * @param price for what one is sold
     * @param withNotions what a bag takes beside cloth goes along, from the shelf
     */
    public record KitForm(
            @NotNull UUID requestId,
            int line,
            @NotNull @Size(max = 20) String units,
            @NotNull @Size(max = 20) String minutes,
            @NotNull @Size(max = 40) String price,
            boolean withNotions) {}

    /**
     * Another planned batch that becomes part of this one, or a part of this one that is put back.
     *
     * @param otherVersion that the other was read at
     */
    public record JoinForm(long version, @NotNull BatchId otherId, long otherVersion) {}

    /** What one bag more and one fewer of a line change; absent where that can't be worked out. */
    public record MarginalView(
            @Nullable ChangeView more, @Nullable ChangeView fewer) {}

    /**
     * A change of the whole batch.
     *
     * @param money how much more or less it costs, with its sign
     * @param time how much longer or shorter it takes, with its sign
     * @param materials what is taken more or less, in words
     * @param ready the day on which the batch is ready then; absent where the free hours of a year aren't enough
     * @param movesBy so many days later than now, or earlier where it is below zero
     */
    public record ChangeView(
            String money,
            String time,
            List<String> materials,
            @Nullable LocalDate ready,
            long movesBy) {}

    /** An offcut to be kept, as it is typed. */
    public record KeepForm(
            @NotNull MaterialId materialId,
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
     * Whether a batch is done before all others.
     *
     * @param version that the batch was read at
     */
    public record FirstForm(long version, boolean first) {}

    /**
     * A batch with its plan.
     *
     * @param paused it is put aside for a while
     * @param changedDesigns those that are another by now than those it is planned with; none once its cloth is cut
     */
    public record BatchView(
            BatchId id,
            long version,
            BatchStage stage,
            boolean paused,
            @Nullable LocalDate dueOn,
            String forWhat,
            List<LineView> lines,
            List<LotId> offcuts,
            List<ClothState> cloths,
            @Nullable BatchId partedFrom,
            List<ChangedDesignView> changedDesigns,
            BatchSheet sheet) {}

    /**
     * A design that was changed after a batch was planned with it.
     *
     * @param on the day it was changed last
     * @param plannedWith the revision that the batch is planned with
     * @param latest the revision that it has now
     */
    public record ChangedDesignView(DesignId designId, String name, LocalDate on, int plannedWith, int latest) {}

    /**
     * A design is to be taken as it is now.
     *
     * @param version that the batch was read at
     */
    public record TakeDesignForm(long version, @NotNull DesignId designId) {}

    /**
     * A line as it was chosen, and how far it is.
     *
     * @param revision which of the design's revisions it is planned with
     * @param open how many are still to be made
     * @param secondsAtBench how many of them were said at the bench to become seconds
     * @param putBy for how many bags its pieces lie on the shelf, cut and not sewn, and can be taken up again
     * @param brought cut pieces that are taken from the shelf, while it is planned
     * @param plannedCost what one was to cost when its cloth was about to be cut; absent before that
     * @param picks what was chosen otherwise than usual where the design leaves something open
     * @param picked the same as it is read; empty for nothing
     */
    public record LineView(
            int number,
            DesignId designId,
            int revision,
            String designName,
            String sizeName,
            int wanted,
            int started,
            List<SlotChoice> materials,
            String ownPrice,
            int good,
            int seconds,
            int scrap,
            int open,
            int secondsAtBench,
            int putBy,
            List<BroughtForm> brought,
            @Nullable MoneyView plannedCost,
            List<Pick> picks,
            String picked) {}

    /** A cloth of a batch, and whether nothing of it is to be cut any more. */
    public record ClothState(MaterialId materialId, String name, String colour, boolean cut) {}

    /**
     * A batch in the list.
     *
     * @param designName of its design, or of several, one after the other
     * @param sizeName of its only size; empty where there are several
     * @param clothName of its outer cloth, or how many cloths
     * @param lineCount how many lines it has
     * @param units how many bags are started
     * @param doneUnits how many came out so far
     * @param cost of one bag; absent where it has several lines
     * @param total of all bags
     * @param price of one bag; absent where it has several lines
     */
    public record BatchRow(
            BatchId id,
            String designName,
            String sizeName,
            int lineCount,
            int units,
            BatchStage stage,
            boolean paused,
            @Nullable LocalDate dueOn,
            String forWhat,
            String clothName,
            int doneUnits,
            @Nullable Instant finishedAt,
            boolean isShort,
            TimeView hoursLeft,
            @Nullable MoneyView cost,
            @Nullable MoneyView total,
            @Nullable MoneyView price,
            @Nullable MoneyView perHour) {}

    /**
     * All batches that are planned or under way.
     *
     * @param lines those due first first
     * @param shortages what they still need together, where that is more than there is
     */
    public record OpenBatches(List<BatchRow> lines, List<ShortLine> shortages) {}

    /**
     * All that follows from a batch's choices.
     *
     * @param mark tells this state of the plan from another that takes or leaves something else
     * @param parts what the total is made of, adding up to it; none while something is missing
     */
    public record BatchSheet(
            String mark,
            int units,
            List<LineSheet> lines,
            List<CutLine> cutList,
            List<TrimLine> trims,
            List<NeedLine> needs,
            List<OffcutOffer> offcuts,
            List<CutOffer> cutBefore,
            List<LeftLine> leftOver,
            TimesView times,
            List<StepLine> steps,
            @Nullable MoneyView total,
            List<CostShare> parts,
            @Nullable MoneyView perHour,
            List<CautionView> cautions,
            List<FindingView> findings) {}

    /** What a material, the labour or the overheads of a whole batch cost. */
    public record CostShare(String name, MoneyView cost) {}

    /**
     * What follows for a line.
     *
     * @param colour of its outer cloth
     * @param photo the address of a photo of what is finished; absent for none
     * @param each what one bag costs; absent while something is missing
     * @param total what all its bags cost; absent while something is missing
     * @param ticket of the only line of a batch; those of several are asked for one by one
     */
    public record LineSheet(
            int number,
            String designName,
            String sizeName,
            int units,
            String clothName,
            String colour,
            @Nullable CornerView corner,
            @Nullable FinishedView finished,
            @Nullable String photo,
            @Nullable TicketView ticket,
            @Nullable MoneyView each,
            @Nullable MoneyView total) {}

    /**
     * A row of the cut list: pieces that are cut alike, for one line or several.
     *
     * @param label the piece's letter, with its line where the batch has several
     * @param name what it is called in its lines
     * @param lines for which lines it is
     * @param from the cloth's name, or what its slot is called
     * @param cutAs the size in which it is cut, where its cloth shrinks afterwards
     */
    public record CutLine(
            String label,
            String name,
            PieceView piece,
            long count,
            List<Integer> lines,
            String from,
            @Nullable SidesView cutAs) {}

    public record TrimLine(TrimView trim, long count, List<Integer> lines, String from) {}

    /** What a line of the batch bears of a material. */
    public record ShareView(int line, AmountView amount) {}

    /**
     * What the batch takes of a material.
     *
     * @param part of a two-part notion, which half
     * @param held what is reserved for this batch
     * @param heldForOthers what other batches have reserved
     * @param shortBy what is missing of what others haven't reserved; absent where there is enough
     * @param leavesWhenCut it leaves the shelf when it is cut; all else when the bags are finished
     * @param taken the batch has taken it all
     * @param shares which line bears how much; empty where only one takes it
     */
    public record NeedLine(
            MaterialId materialId,
            String slot,
            Part part,
            String name,
            MaterialKind kind,
            AmountView needed,
            AmountView onHand,
            AmountView held,
            AmountView heldForOthers,
            @Nullable AmountView shortBy,
            boolean leavesWhenCut,
            boolean taken,
            List<ShareView> shares,
            WorkingView working) {}

    /**
     * Another material that the design allows in a slot, and of which enough is free for the batch.
     *
     * @param needed what the batch would take of it
     * @param cost of one unit with it; absent where the batch isn't complete
     */
    public record Replacement(
            MaterialId materialId,
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
            LotId lotId,
            MaterialId materialId,
            String name,
            String colour,
            LengthView width,
            LengthView height,
            SizeToScale size,
            long count,
            boolean chosen,
            String gives,
            AmountView saves) {}

    /**
     * Pieces of a cloth that lie there cut and not sewn and would do for a line.
     *
     * @param line the line's number
     * @param letters of the pieces: {@code A, C}
     * @param bags for how many bags they are enough
     * @param chosen for how many they are taken
     * @param worth what their cloth cost
     */
    public record CutOffer(
            int line,
            String lineName,
            MaterialId materialId,
            String name,
            String colour,
            String letters,
            int bags,
            int chosen,
            MoneyView worth) {}

    /** What cutting leaves at the ends of the strips and is large enough to keep. */
    public record LeftLine(MaterialId materialId, String name, LengthView width, LengthView height, long count) {}

    public record TimesView(
            TimeFigure oneByOne,
            TimeFigure asBatch,
            TimeView saved,
            TimeView sewing,
            TimeView settingUp,
            TimeView passive) {}

    /** A step with what has to be changed on the machine before it, for the lines that have it. */
    public record StepLine(
            String name,
            List<Integer> lines,
            int units,
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
            MaterialId materialId,
            String name,
            MaterialKind kind,
            String colour,
            AmountView onHand,
            AmountView needed,
            AmountView shortBy,
            List<ShortBatch> batches) {}

    /** A batch that goes short, and by how much. */
    public record ShortBatch(BatchId batchId, String name, AmountView shortBy) {}
}
