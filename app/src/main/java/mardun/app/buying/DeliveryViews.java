package mardun.app.buying;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import mardun.app.id.MaterialId;
import mardun.app.show.Views.MoneyView;
import org.jspecify.annotations.Nullable;

/** Deliveries: what came in one go, with one paper. */
public final class DeliveryViews {

    private DeliveryViews() {}

    /**
     * A delivery as it is typed from its paper.
     *
     * @param requestId made by the form when it opens, so that sending it twice enters it once
     * @param paperNumber the invoice's number; may be empty
     * @param postage of the whole delivery; spread over the lines by value
     * @param duty of the whole delivery; spread over the lines by value
     * @param total what the paper says that all of it costs
     */
    public record DeliveryForm(
            @NotNull UUID requestId,
            long supplierId,
            @NotNull String paperNumber,
            @NotNull LocalDate cameOn,
            @NotNull String postage,
            @NotNull String duty,
            @NotNull String total,
            @NotNull @Size(min = 1, max = 200) List<@Valid DeliveryLine> lines) {}

    /**
     * A line of the paper.
     *
     * @param packs how many of what the shop sells
     * @param content what is in one: {@code 1/2 yd}, {@code 10}, {@code 100 m}; of precuts, how many pieces
     * @param price of the whole line
     * @param dyeLot empty where it has none
     * @param place where it is put; empty for where the material usually lies
     * @param measuredWidth the usable width as it was measured, for cloth; empty where nobody did
     * @param pieceWidth of precuts; empty for anything else
     * @param pieceHeight of precuts; empty for anything else
     */
    public record DeliveryLine(
            @NotNull MaterialId materialId,
            @NotNull String packs,
            @NotNull String content,
            @NotNull String price,
            @NotNull String dyeLot,
            @NotNull String place,
            @NotNull String measuredWidth,
            @NotNull String pieceWidth,
            @NotNull String pieceHeight) {}

    /** A delivery that was entered. */
    public record DeliveryView(
            long id,
            String supplier,
            String paperNumber,
            LocalDate cameOn,
            MoneyView postage,
            MoneyView duty,
            MoneyView total) {}

    /**
     * What a delivery's lines add up to while it is typed.
     *
     * @param sum of the lines, the postage and the duty
     * @param difference what the paper's total says more, or less; absent where they agree or no total is typed
     * @param shares of postage and duty, line by line
     */
    public record DeliverySum(MoneyView sum, @Nullable MoneyView difference, List<MoneyView> shares) {}
}
