package mardun.app.material;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import mardun.app.id.BatchId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.show.PageView;
import mardun.app.show.Views.AmountView;
import mardun.app.show.Views.LengthView;
import mardun.app.show.Views.MoneyView;
import mardun.core.material.MaterialKind;
import mardun.core.material.MovementKind;
import mardun.core.material.Part;
import mardun.core.material.ValueSchool;
import org.jspecify.annotations.Nullable;

/** Lots, reservations, stock-takes and what the shelf is worth. */
public final class StockViews {

    private StockViews() {}

    /**
     * The shelf of one material at the end of a day.
     *
     * @param on the day; today for now
     * @param worth of all that is left, by the maker's school
     * @param unplaced what was taken before it had been entered; absent where nothing was
     */
    public record ShelfView(
            LocalDate on,
            AmountView onHand,
            MoneyView worth,
            ValueSchool school,
            List<LotView> lots,
            List<ReservedView> reserved,
            @Nullable AmountView unplaced) {}

    /**
     * A lot that isn't used up.
     *
     * @param quantity what came
     * @param left what is left of it
     * @param held what batches have reserved of just this lot
     * @param worth what was paid for it, with its share of postage and duty
     * @param extra that share
     * @param measuredWidth the usable width as it was measured; absent where nobody did
     * @param width of an offcut or a precut; absent for what is cut from the roll
     * @param isOld an offcut that has lain longer than the maker keeps them and is small; it may go into the scrap bag
     */
    public record LotView(
            LotId id,
            long version,
            Part part,
            MovementKind origin,
            Instant cameAt,
            String cameFrom,
            String soldAs,
            AmountView quantity,
            AmountView left,
            AmountView held,
            MoneyView worth,
            MoneyView extra,
            String dyeLot,
            String place,
            @Nullable LengthView measuredWidth,
            @Nullable LengthView width,
            @Nullable LengthView height,
            @Nullable SizeToScale size,
            boolean isOld) {}

    /** A size in nanometres, for drawing to scale. */
    public record SizeToScale(long width, long height) {}

    /** What a batch has reserved; {@code lotId} where it is of one lot. */
    public record ReservedView(
            BatchId batchId, Part part, @Nullable LotId lotId, AmountView amount) {}

    /**
     * What is said about a lot.
     *
     * @param measuredWidth the usable width as it was measured; empty where nobody did
     */
    public record LotForm(
            long version,
            @NotNull String dyeLot,
            @NotNull String place,
            @NotNull String measuredWidth) {}

    /**
     * An offcut or a precut as it is entered by hand.
     *
     * @param requestId made by the form when it opens, so that sending it twice keeps one
     * @param given it was given; else it was found on the shelf
     */
    public record PieceForm(
            @NotNull UUID requestId,
            @NotNull String width,
            @NotNull String height,
            @NotNull String count,
            @NotNull String place,
            boolean given) {}

    /** What lies on the shelf, to be counted: one page of it, place by place, and all places where something lies. */
    public record StockTakeView(PageView<CountLine> page, List<String> places) {}

    /**
     * Something to be counted: a material, a half of it, or offcuts and precuts of one size.
     *
     * @param lotId of offcuts and precuts; absent for what is counted of the whole material
     * @param book what there should be
     */
    public record CountLine(
            MaterialId materialId,
            @Nullable LotId lotId,
            Part part,
            String name,
            MaterialKind kind,
            String colour,
            String place,
            @Nullable String size,
            AmountView book) {}

    /**
     * A walk along the shelf.
     *
     * @param requestId made when the walk begins, so that sending it twice counts once
     * @param reason for all differences that have none of their own
     */
    public record StockTakeForm(
            @NotNull UUID requestId,
            @NotNull String reason,
            @NotNull @Valid @Size(max = 5000) List<@NotNull @Valid CountedLine> lines) {}

    /**
     * What was counted.
     *
     * @param bookValue what there should have been, in the smallest units, when it was counted
     * @param there what is there, as it is typed
     * @param reason why it differs; empty for the reason of the whole walk
     */
    public record CountedLine(
            @NotNull MaterialId materialId,
            @Nullable LotId lotId,
            @NotNull Part part,
            long bookValue,
            @NotNull String there,
            @NotNull String reason) {}

    /** How many differences a walk found. */
    public record StockTakeDone(int counted, int differences) {}

    /** What the shelf is worth at the end of a day. */
    public record StockValueView(
            LocalDate on,
            ValueSchool school,
            List<KindValue> kinds,
            CutPiecesValue cutPieces,
            MoneyView total,
            List<ValueLine> lines) {}

    /** Pieces that are cut and not sewn, at what their cloth cost. */
    public record CutPiecesValue(long pieces, MoneyView worth) {}

    public record KindValue(MaterialKind kind, int materials, MoneyView worth) {}

    /** What is left of a material and what that is worth; {@code pieces} are offcuts and precuts, valued apart. */
    public record ValueLine(
            MaterialId materialId,
            String name,
            MaterialKind kind,
            AmountView onHand,
            long pieces,
            MoneyView worth,
            MoneyView worthOfPieces) {}

    /** Offcuts that may go into the scrap bag. */
    public record ScrapLine(
            LotId lotId,
            MaterialId materialId,
            String name,
            String colour,
            LengthView width,
            LengthView height,
            long count,
            Instant keptAt) {}

    /** Which of them go. */
    public record ScrapForm(
            @NotNull UUID requestId,
            @NotNull @Size(min = 1, max = 500) List<LotId> lotIds) {}
}
