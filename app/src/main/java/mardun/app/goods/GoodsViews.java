package mardun.app.goods;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.TreeSet;
import java.util.UUID;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.show.PageView;
import mardun.app.show.Views.MoneyView;
import org.jspecify.annotations.Nullable;

/** Finished bags, by design, size, cloth, batch and place. */
public final class GoodsViews {

    private GoodsViews() {}

    /** Finished bags with all places that were ever used. */
    public record GoodsView(PageView<FinishedGoodsLine> page, List<String> places) {}

    /**
     * Bags of a line of a batch that were done together, with where they are.
     *
     * @param totalCost what all of them cost that were made, to the cent
     * @param daysOld how many days ago they were done
     */
    public record FinishedGoodsLine(
            long id,
            @Nullable BatchId batchId,
            String designName,
            String sizeName,
            String clothName,
            Quality quality,
            int units,
            List<PlaceView> places,
            MoneyView unitCost,
            MoneyView totalCost,
            MoneyView price,
            LocalDate finishedOn,
            int daysOld) {}

    public record PlaceView(String place, int units) {}

    /** What was there at the end of a day, and what it had cost. */
    public record GoodsOnDay(LocalDate day, List<GoodsOnDayLine> lines, int units, MoneyView worth) {}

    /** A lot as it was at the end of a day. */
    public record GoodsOnDayLine(long id, String words, List<PlaceView> places, int units, MoneyView worth) {}

    /**
     * Bags of several lots go from one place to another.
     *
     * @param requestId made by the form when it opens, so that sending it twice moves once
     */
    public record SeveralMoved(
            @NotNull UUID requestId,
            @NotNull @Size(max = 200) String place,
            @NotNull @Size(max = 200) String toPlace,

            @NotNull @Size(min = 1, max = 500, message = "Say how many of at least one kind of bag are moved.")
            List<@NotNull @Valid SomeOfLot> lots) {}

    /** So many bags of a lot, as typed. */
    public record SomeOfLot(
            long goodsId, @NotNull @Size(max = 20) String units) {}

    public record GoodsMovementView(
            long id, GoodsKind kind, String place, int change, String reason, Instant movedAt) {}

    /**
     * Bags that are moved, given away, kept or written off, as it is typed.
     *
     * @param requestId made by the form when it opens, so that sending it twice moves once
     * @param place where they are
     * @param toPlace where they go; only for {@code MOVED}
     * @param units how many; for {@code COUNTED} how many are there
     * @param reason why, where the kind asks for it
     */
    public record GoodsForm(
            @NotNull UUID requestId,
            @NotNull GoodsKind kind,
            @NotNull String place,
            @Nullable String toPlace,
            @NotNull String units,
            @NotNull String reason) {}

    /**
     * Bags that a line of a batch gave, or kits of the pieces that were cut for it.
     *
     * @param batchId absent for kits: the batch's figures go by the bags that it gave
     * @param lineNumber likewise
     * @param sizeKey what the size is known by; absent where nobody kept that
     * @param choice what was chosen otherwise than usual
     * @param clothId the material of the outer cloth; absent where the design has none
     * @param totalCostMinor what all of them cost together
     * @param made the work in them
     */
    public record NewGoods(
            @Nullable BatchId batchId,
            @Nullable Integer lineNumber,
            DesignId designId,
            String designName,
            @Nullable String sizeKey,
            String sizeName,
            Choice choice,
            @Nullable MaterialId clothId,
            String clothName,
            Quality quality,
            int units,
            long totalCostMinor,
            long priceMinor,
            Made made) {}

    /**
     * What was chosen otherwise than usual of a design that leaves something open; empty for nothing.
     *
     * @param key the same for the same alternatives
     * @param words as it is read
     */
    public record Choice(String key, String words) {

        /** By the keys of the alternatives that were picked. */
        public static Choice of(Collection<String> picked, String words) {
            return new Choice(String.join("+", new TreeSet<>(picked)), words);
        }
    }

    /**
     * The work in bags that a line of a batch gave.
     *
     * @param labourMinor what all of it costs
     * @param overheadMinor what they bear of overheads
     * @param seconds hands-on time that all of them took
     */
    public record Made(long labourMinor, long overheadMinor, long seconds) {}
}
