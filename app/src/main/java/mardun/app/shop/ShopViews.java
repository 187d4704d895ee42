package mardun.app.shop;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import mardun.app.id.BatchId;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.show.Views.MoneyView;
import mardun.core.selling.PayoutMatch.Finding;
import org.jspecify.annotations.Nullable;

/** The online shop: what is offered, what was ordered, what was paid out. */
public final class ShopViews {

    private ShopViews() {}

    /**
     * Bags of a kind that are offered, or could be.
     *
     * @param price what is asked in the shop, or would be
     * @param there how many are at home
     * @param told how many the shop knows of; absent where it knows of none yet
     */
    public record ListingView(
            String kind,
            String words,
            @Nullable MoneyView price,
            boolean offered,
            int there,
            @Nullable Integer told) {}

    public record ListingForm(
            @NotNull @Size(max = 500) String kind,
            @NotNull @Size(max = 40) String price,
            boolean offered) {}

    /**
     * Bags in an order.
     *
     * @param missing how many of them are still to be made
     * @param batchId the batch that is planned or under way for those; absent for none
     * @param toMake with what a batch of those begins; absent where none are missing, one is made, or their design isn't known
     */
    public record OrderLineView(
            String words,
            int units,
            MoneyView price,
            int missing,
            @Nullable BatchId batchId,
            @Nullable ToMakeView toMake) {}

    /**
     * Bags to be made.
     *
     * @param slot that their cloth fills; absent with it
     */
    public record ToMakeView(
            DesignId designId,
            String sizeName,
            @Nullable String slot,
            @Nullable MaterialId materialId) {}

    /**
     * An order.
     *
     * @param buyer absent once it is forgotten
     * @param late it waits longer than buyers are told
     * @param forWhat what a batch is said to be for that is made for it
     * @param wantsBack why the buyer wants to give it back; empty for nothing
     * @param cameBack which bags came back, what became of them and why; empty for none
     * @param refunded what the buyer got back in all; absent for nothing
     * @param stillPaid what is paid for what the buyer keeps, postage included
     * @param refundTold whether the shop knows of all of it
     */
    public record ShopOrderView(
            long id,
            long version,
            String number,
            OrderState state,
            @Nullable Instant placedAt,
            @Nullable BuyerView buyer,
            List<OrderLineView> lines,
            MoneyView postage,
            MoneyView paid,
            @Nullable LocalDate postBy,
            boolean late,
            String forWhat,
            @Nullable LocalDate postedOn,
            @Nullable LocalDate arrivedOn,
            String wantsBack,
            String cameBack,
            @Nullable MoneyView refunded,
            MoneyView stillPaid,
            boolean refundTold,
            boolean paidOut) {}

    public record BuyerView(String name, String reach, List<String> address) {}

    public record PayoutLineView(
            String order, MoneyView paid, MoneyView fee, Finding finding, MoneyView off, List<String> with) {}

    /**
     * A payout.
     *
     * @param off by how much it is more than its own lines
     * @param clean everything is as it should be
     */
    public record PayoutView(
            long id,
            String name,
            Instant paidAt,
            MoneyView total,
            MoneyView off,
            boolean clean,
            List<PayoutLineView> lines) {}

    /**
     * The shop.
     *
     * @param trouble what it didn't do when it was looked at last; empty for nothing
     * @param open orders that wait to be posted, the oldest first
     * @param unpaid orders that were posted a fortnight ago or longer, and that no payout has named; the oldest first
     */
    public record OnlineShopView(
            boolean connected,
            @Nullable ChannelId channelId,
            @Nullable Instant lookedAt,
            String trouble,
            List<ListingView> listings,
            List<ShopOrderView> open,
            List<ShopOrderView> unpaid) {}

    public record LinkForm(boolean connected, @Nullable ChannelId channelId) {}

    public record OrderForm(long version) {}

    /** What one does to the simulated shop. */
    public enum ShopAct {
        ORDER,
        CANCEL_LAST,
        WANT_LAST_BACK,
        PAY_OUT,
        PAY_OUT_WRONG,
        GO_AWAY,
        COME_BACK,
        ASK_TOO_OFTEN,
        TELL_TWICE,
        TELL_ONCE
    }

    public record ShopActForm(@NotNull ShopAct act) {}

    /** The simulated shop as one stands before it. */
    public record SimulatedShopView(boolean away, boolean tellsTwice, int untold, int orders, List<String> offers) {}
}
