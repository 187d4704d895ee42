package mardun.app.story;

import java.time.LocalDate;
import java.util.List;
import mardun.app.goods.GoodsKind;
import mardun.app.goods.GoodsViews.FinishedGoodsLine;
import mardun.app.id.FairId;
import mardun.app.show.Views.MoneyView;
import mardun.app.show.Views.TimeView;
import org.jspecify.annotations.Nullable;

/**
 * All that is known of bags that were done together, from the bench to their buyers.
 *
 * @param made how many there were
 * @param material what of the cost of one is material; absent where nobody knows what the work in it cost
 * @param labour what is work; absent likewise
 * @param overheads what is overheads; absent likewise
 * @param time hands-on time that one took; absent where nobody knows
 * @param soldUnits how many of them were sold in all
 * @param from the lot from which these were parted, because they turned out to be seconds; absent for all others
 */
public record BagStory(
        FinishedGoodsLine bags,
        int made,
        @Nullable MoneyView material,
        @Nullable MoneyView labour,
        @Nullable MoneyView overheads,
        @Nullable TimeView time,
        @Nullable Long from,
        List<Long> seconds,
        List<TicketsThen> tickets,
        List<SoldThen> sold,
        int soldUnits,
        List<MovedThen> moved) {

    /** Tickets that were printed for them. */
    public record TicketsThen(
            LocalDate day,
            int units,
            @Nullable MoneyView price,
            @Nullable String channel) {}

    /**
     * Some of them that were sold.
     *
     * @param where the fair, or the channel
     * @param fairId absent where it wasn't at a fair
     * @param paid for all of these together
     */
    public record SoldThen(
            LocalDate day, String where, @Nullable FairId fairId, int units, MoneyView paid, String note) {}

    /** Some of them that came to a place or left it. */
    public record MovedThen(LocalDate day, GoodsKind kind, String place, int change, String reason) {}
}
