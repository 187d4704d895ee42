package mardun.app.ticket;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import mardun.app.goods.Quality;
import mardun.app.id.BatchId;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.paper.LabelDrawing.CodeKind;
import mardun.app.paper.LabelView;
import mardun.app.show.Views.MoneyView;
import org.jspecify.annotations.Nullable;

/** What the interface sends and gets to see of price tickets. */
public final class TicketViews {

    private TicketViews() {}

    /** Where tickets come out. */
    public enum PrintTarget {
        SHEET,
        PRINTER
    }

    /** What stands on a ticket beside the name, the price, and what has to be said. */
    public enum Shown {
        SIZE,
        CLOTH,
        FIBRE,
        CARE,
        BATCH
    }

    /**
     * Tickets to be printed.
     *
     * @param channelId in which channel the price holds; absent for tickets without a price
     * @param first the first label of the sheet that isn't gone, from 1, as typed
     * @param more words of the maker's own for all of them; may be empty
     */
    public record TicketsForm(
            @NotNull UUID requestId,
            @NotNull PrintTarget target,
            @Nullable ChannelId channelId,
            @NotNull @Size(max = 40) String sheetKey,
            @NotNull @Size(max = 20) String first,
            @NotNull Set<@NotNull Shown> shown,
            @NotNull CodeKind code,
            @NotNull @Size(max = 200) String more,

            @NotNull @Size(min = 1, max = 500, message = "Choose from 1 to 500 lines.")
            List<@NotNull @Valid TicketLineForm> lines) {}

    /**
     * So many tickets that are alike: for finished bags, for bags of a batch that are still to be made, or for a size of a design.
     *
     * @param batchId the batch whose bags are still to be made, with the number of its line
     * @param units how many, as typed
     * @param price as typed; empty for the book's
     * @param cloth in which cloth a size of a design is; empty for the design's usual one
     * @param clothId that cloth, where it is another one than the usual
     */
    public record TicketLineForm(
            @Nullable Long goodsId,
            @Nullable BatchId batchId,
            @Nullable Integer lineNumber,
            @Nullable DesignId designId,
            @Nullable @Size(max = 60) String sizeKey,
            @NotNull @Size(max = 120) String cloth,
            @Nullable MaterialId clothId,
            @NotNull @Size(max = 20) String units,
            @NotNull @Size(max = 20) String price) {}

    /**
     * The bags that are there with their tickets, the sheets to choose from, and what was printed last.
     *
     * @param outOfDate how many tickets say another price than is asked now, over all
     */
    public record TicketsView(
            @Nullable ChannelId channelId,
            List<TicketGoods> goods,
            int outOfDate,
            List<SheetView> sheets,
            List<TicketRunView> runs) {}

    /**
     * Bags that are there, or are still to be made in a batch.
     *
     * @param goodsId absent for those that are still to be made
     * @param lineNumber the line of the batch; absent where no batch gave them
     * @param units how many
     * @param price what is asked for one in the chosen channel; absent where there is none, or for seconds
     * @param right how many have a ticket that holds
     * @param outOfDate how many have one with another price than is asked now
     * @param without how many have none
     * @param toPrint how many have to be printed for every bag to have one that holds
     * @param wrongPrice what stands on those that are out of date; absent if none are
     * @param licence what the pattern's licence says against selling them; absent where it allows it
     */
    public record TicketGoods(
            @Nullable Long goodsId,
            @Nullable BatchId batchId,
            @Nullable Integer lineNumber,
            String designName,
            String sizeName,
            String clothName,
            Quality quality,
            int units,
            @Nullable MoneyView price,
            int right,
            int outOfDate,
            int without,
            int toPrint,
            @Nullable MoneyView wrongPrice,
            @Nullable String licence) {}

    /**
     * A sheet of labels.
     *
     * @param key by which it is chosen
     * @param own the maker measured it
     * @param next the first label that isn't gone, from 1
     * @param pageWidth in millimetres, as all that follow
     */
    public record SheetView(
            String key,
            String name,
            boolean own,
            int next,
            int across,
            int down,
            double pageWidth,
            double pageHeight,
            double left,
            double top,
            double labelWidth,
            double labelHeight,
            double stepAcross,
            double stepDown) {}

    /** A sheet of the maker's own, each measure as typed. */
    public record SheetForm(
            @NotNull UUID requestId,
            @NotNull @Size(max = 200) String name,
            @NotNull @Size(max = 40) String pageWidth,
            @NotNull @Size(max = 40) String pageHeight,
            @NotNull @Size(max = 40) String left,
            @NotNull @Size(max = 40) String top,
            @NotNull @Size(max = 40) String labelWidth,
            @NotNull @Size(max = 40) String labelHeight,
            @NotNull @Size(max = 40) String stepAcross,
            @NotNull @Size(max = 40) String stepDown,
            @NotNull @Size(max = 20) String across,
            @NotNull @Size(max = 20) String down) {}

    /**
     * How the tickets will look, one of each line.
     *
     * @param pages how many sheets they take; 0 for the label printer
     */
    public record TicketPreview(List<LabelView> labels, int units, int pages) {}

    /**
     * Tickets that were printed at once.
     *
     * @param about for which bags
     * @param trouble why the label printer stopped; absent if it didn't
     */
    public record TicketRunView(
            long id,
            LocalDate madeOn,
            PrintTarget target,
            String about,
            String channel,
            int units,
            int cameOut,
            boolean takenBack,
            @Nullable String trouble) {}
}
