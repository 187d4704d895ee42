package mardun.app.unsewn;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.show.PageView;
import mardun.app.show.Views.LengthView;
import mardun.app.show.Views.MoneyView;

/** Pieces that are cut and not sewn, as they are shown and moved. */
public final class UnsewnViews {

    private UnsewnViews() {}

    /**
     * Pieces that are cut and not sewn.
     *
     * @param total what all of them are worth, those on other pages among them
     */
    public record UnsewnView(PageView<UnsewnLine> page, MoneyView total) {}

    /**
     * Pieces of one kind that a batch put by.
     *
     * @param pieces how many are there
     * @param held how many of them planned batches will take
     * @param perBag how many one bag takes
     */
    public record UnsewnLine(
            long id,
            BatchId batchId,
            String designName,
            String sizeName,
            String letter,
            String pieceName,
            MaterialId materialId,
            String clothName,
            String colour,
            LengthView width,
            LengthView height,
            long pieces,
            long held,
            long perBag,
            MoneyView worth) {}

    /**
     * Pieces that leave the shelf by hand, all of them or none.
     *
     * @param ids which kinds of pieces
     * @param count how many of each, or for how many bags, as typed
     * @param forBags {@code count} is bags, and of each kind as many leave as those take
     */
    public record UnsewnForm(
            @NotNull UUID requestId,
            @NotNull UnsewnKind kind,
            @NotNull @Size(min = 1, max = 200) List<@NotNull Long> ids,
            @NotNull String count,
            boolean forBags,
            @NotNull @Size(max = 300) String reason) {}
}
