package mardun.app.quote;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import mardun.app.id.BatchId;
import mardun.app.show.PageView;
import mardun.app.show.Views.MoneyView;
import mardun.core.selling.Tender;
import org.jspecify.annotations.Nullable;

/** What the interface sends and gets to see of private orders. */
public final class CustomerOrderViews {

    private CustomerOrderViews() {}

    /** All orders. */
    public record CustomerOrders(List<CustomerOrderRow> open, PageView<CustomerOrderRow> closed) {}

    /**
     * An order in the list.
     *
     * @param who empty where that was forgotten
     * @param units how many bags were ordered
     * @param made how many its batch has given so far
     * @param isLate it is open, and its day is over
     * @param closedOn when it was handed over or cancelled; absent while it is open
     */
    public record CustomerOrderRow(
            long id,
            CustomerOrderState state,
            String who,
            List<String> lines,
            int units,
            int made,
            MoneyView total,
            @Nullable LocalDate dueOn,
            boolean isLate,
            @Nullable LocalDate closedOn) {}

    /**
     * An order with all that is known of it.
     *
     * @param reach how to reach the customer; may be empty
     * @param rest what is paid when it is handed over
     * @param depositKept it was cancelled, and the deposit stays with the maker
     * @param reason why it was cancelled; empty else
     * @param paid what was paid for it in the end, deposit included; absent as long as it isn't handed over
     * @param forgotten whose it was is kept no longer
     * @param atHome how many good bags of its batch are at home
     * @param putAside how many of them are put aside for it
     */
    public record CustomerOrderView(
            long id,
            long version,
            long quoteId,
            int quoteNumber,
            CustomerOrderState state,
            String who,
            String reach,
            List<String> lines,
            int units,
            int made,
            MoneyView total,
            MoneyView deposit,
            MoneyView rest,
            @Nullable LocalDate depositPaidOn,
            boolean depositKept,
            LocalDate agreedOn,
            @Nullable LocalDate dueOn,
            boolean isLate,
            @Nullable LocalDate closedOn,
            String reason,
            @Nullable MoneyView paid,
            @Nullable Tender tender,
            boolean forgotten,
            @Nullable BatchId batchId,
            int atHome,
            int putAside,
            List<OrderNoteView> notes) {}

    public record OrderNoteView(UUID id, LocalDate writtenOn, String text) {}

    /**
     * Bags that can be handed over.
     *
     * @param kind tells them from others
     * @param own they come from the order's batch
     * @param proposed how many of them are probably handed over
     */
    public record HandOverBags(String kind, String words, String place, int units, boolean own, int proposed) {}

    /**
     * Bags are handed over.
     *
     * @param place where they are
     * @param paid for all of them, with what was paid before, as typed
     * @param on absent for today
     */
    public record HandOverForm(
            @NotNull UUID requestId,
            long version,
            @NotNull @Size(max = 80) String place,

            @NotNull @Size(min = 1, max = 100, message = "Say which bags are handed over.")
            List<@NotNull @Valid HandedBags> bags,

            @NotNull @Size(max = 40) String paid,
            @NotNull Tender tender,
            @Nullable LocalDate on) {}

    /** So many bags of a kind, as typed. */
    public record HandedBags(
            @NotNull @Size(max = 400) String kind,
            @NotNull @Size(max = 20) String units) {}

    /** Nothing comes of an order. */
    public record CancelForm(
            long version, @NotNull @Size(max = 500) String reason, boolean keepsDeposit) {}

    /** The deposit of an order was paid, or wasn't after all. */
    public record DepositForm(long version, boolean paid) {}

    /** An order is opened again. */
    public record OrderStep(long version) {}

    /** Something that was said, as it is written down. */
    public record OrderNoteForm(
            @NotNull UUID id, @NotNull @Size(max = 1000) String text) {}
}
