package mardun.app.buying;

import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import mardun.app.id.MaterialId;
import mardun.app.show.Views.AmountView;
import mardun.app.show.Views.MoneyFigure;
import mardun.app.show.Views.MoneyView;
import mardun.app.show.Views.WorkingView;
import mardun.core.material.MaterialKind;
import org.jspecify.annotations.Nullable;

/** Shops, what they sell, and what to buy where. */
public final class BuyingViews {

    private BuyingViews() {}

    public record SupplierView(long id, long version, String name, MoneyView postage) {}

    /**
     * A shop as it is typed.
     *
     * @param requestId made by the form when it opens, so that sending it twice makes one shop
     * @param version of the shop that the form was filled from; 0 for a new one
     * @param postage of one order, whatever is in it; 0 for a shop that one walks to
     */
    public record SupplierForm(
            @NotNull UUID requestId,
            long version,
            @NotNull String name,
            @NotNull String postage) {}

    /** A pack that a shop sells. */
    public record OfferView(long id, long supplierId, String supplier, AmountView content, MoneyView price) {}

    /**
     * A pack as it is typed. The same pack from the same shop with another price replaces the one before.
     *
     * @param requestId made by the form when it opens, so that sending it twice makes one offer
     * @param content what is in one, such as {@code 10}, {@code 0.5 m} or {@code 1 kg}
     * @param price of one
     */
    public record OfferForm(
            @NotNull UUID requestId,
            long supplierId,
            @NotNull String content,
            @NotNull String price) {}

    /**
     * What to buy for the open batches and the low stock.
     *
     * @param shops those to buy from, with what to buy there
     * @param nowhere what no shop is known to sell
     * @param total of the goods and the postage
     */
    public record BuyingView(List<ShopView> shops, List<WantLine> nowhere, MoneyFigure total) {}

    /** What to buy in one shop; {@code sum} is the goods and the postage. */
    public record ShopView(SupplierView supplier, List<BuyLine> lines, MoneyView sum) {}

    /**
     * So many packs of an offer.
     *
     * @param key names the line
     * @param soldMaterialId what is in them: what is wanted, or the nearest longer zip
     * @param insteadName the longer zip that is bought because nobody sells the one wanted; absent otherwise
     * @param want what they are for; packs of several sizes may share one
     * @param content of one pack
     * @param amount of all of them
     * @param each price of one pack
     * @param price of all of them
     */
    public record BuyLine(
            String key,
            WantLine want,
            MaterialId soldMaterialId,
            @Nullable String insteadName,
            long packs,
            AmountView content,
            AmountView amount,
            MoneyView each,
            MoneyView price) {}

    /**
     * A material that has to be bought.
     *
     * @param needed what open batches still take
     * @param keep below which the maker calls it low
     * @param toBuy what is missing
     */
    public record WantLine(
            MaterialId materialId,
            String name,
            MaterialKind kind,
            String colour,
            AmountView needed,
            AmountView keep,
            AmountView onHand,
            AmountView toBuy,
            WorkingView working) {}
}
