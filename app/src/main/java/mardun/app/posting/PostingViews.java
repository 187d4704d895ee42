package mardun.app.posting;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import mardun.app.id.DesignId;
import mardun.app.show.Views.AmountView;
import mardun.app.show.Views.LengthView;
import mardun.app.show.Views.MoneyView;
import org.jspecify.annotations.Nullable;

/** What the interface sends and gets to see of posting. */
public final class PostingViews {

    private PostingViews() {}

    /**
     * What stands on parcels, and the postage table, as typed.
     *
     * @param sender the maker's name and address, a line each
     * @param packing what a packing weighs
     * @param pressCard how to press a bag on arrival
     * @param unironedCard the same for bags that no iron may touch
     */
    public record PostingForm(
            long version,
            @NotNull @Size(max = 600) String sender,
            @NotNull @Size(max = 40) String packing,
            @NotNull @Size(max = 1000) String pressCard,
            @NotNull @Size(max = 1000) String unironedCard,
            @NotNull @Size(max = 100) List<@NotNull @Valid RateForm> rates) {}

    /**
     * A row of the postage table, as typed.
     *
     * @param most the heaviest that may be posted so
     * @param longest the most for the longest side; empty where that doesn't matter
     * @param middle likewise
     * @param shortest likewise
     */
    public record RateForm(
            @NotNull @Size(max = 60) String zone,
            @NotNull @Size(max = 80) String name,
            @NotNull @Size(max = 40) String most,
            @NotNull @Size(max = 40) String longest,
            @NotNull @Size(max = 40) String middle,
            @NotNull @Size(max = 40) String shortest,
            @NotNull @Size(max = 40) String price) {}

    /**
     * A bag as it is posted.
     *
     * @param weight of one, as typed; empty where nobody said
     * @param thick how thick one is when it lies flat, as typed; empty likewise
     * @param usuallyThick how thick it counts where nobody said
     */
    public record BagWeight(
            DesignId designId, String sizeKey, String name, String weight, String thick, LengthView usuallyThick) {}

    /** What a bag weighs, as typed. */
    public record BagWeightForm(
            @NotNull DesignId designId,
            @NotNull @Size(max = 60) String sizeKey,
            @NotNull @Size(max = 40) String weight,
            @NotNull @Size(max = 40) String thick) {}

    /**
     * A parcel for an order.
     *
     * @param missing bags of which nobody said what they weigh; the parcel is lighter by them
     * @param customs what a customs form asks for, in words
     * @param postagePaid what the buyer paid for postage
     */
    public record ParcelView(
            long orderId,
            String number,
            List<String> address,
            AmountView weight,
            LengthView longest,
            LengthView middle,
            LengthView shortest,
            List<String> missing,
            List<ZoneView> zones,
            MoneyView postagePaid,
            String customs) {}

    /**
     * How a parcel goes to a zone.
     *
     * @param rate the cheapest; absent where it goes at none
     * @param why why it goes at none; absent where it goes
     */
    public record ZoneView(
            String zone,
            @Nullable String rate,
            @Nullable MoneyView price,
            @Nullable String why) {}
}
