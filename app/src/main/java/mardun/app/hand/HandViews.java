package mardun.app.hand;

import java.util.List;
import mardun.app.id.DesignId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialView;
import mardun.app.material.StockViews.SizeToScale;
import mardun.app.show.Views.AmountView;
import mardun.app.show.Views.LengthView;
import mardun.app.show.Views.MoneyView;
import org.jspecify.annotations.Nullable;

/** What can be made from what is in the hand. */
public final class HandViews {

    private HandViews() {}

    /**
     * What is in the hand, and what can be made from it.
     *
     * @param amount how much of it
     * @param width of an offcut or a precut; absent for anything else
     * @param makeable by what is left for an hour, the best first
     * @param tooSmall the designs and sizes that it would serve but not suffice for, in words
     */
    public record HandView(
            MaterialView material,
            @Nullable LotId lotId,
            AmountView amount,
            @Nullable LengthView width,
            @Nullable LengthView height,
            @Nullable SizeToScale size,
            List<MakeableView> makeable,
            List<String> tooSmall) {}

    /**
     * A design in a size that can be made.
     *
     * @param slot which of its slots is filled from the hand
     * @param units how many
     * @param takes how much of what is in the hand that uses
     * @param others what else they take
     * @param price of one, by the maker's way of pricing; absent while a slot has no usual material
     * @param perHour what is left for an hour; absent while a slot has no usual material
     * @param missing what has to be chosen first; absent where nothing is missing
     */
    public record MakeableView(
            DesignId designId,
            String designName,
            String sizeName,
            String slot,
            String slotLabel,
            int units,
            AmountView takes,
            List<OtherView> others,
            @Nullable MoneyView price,
            @Nullable MoneyView perHour,
            @Nullable String missing) {}

    /** Something else that is taken; {@code shortBy} what is missing of it. */
    public record OtherView(
            MaterialId materialId,
            String name,
            AmountView amount,
            @Nullable AmountView shortBy) {}
}
