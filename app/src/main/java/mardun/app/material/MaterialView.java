package mardun.app.material;

import java.time.Instant;
import java.util.List;
import mardun.app.id.BatchId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.show.Views.AmountView;
import mardun.app.show.Views.LengthView;
import mardun.app.show.Views.MoneyView;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;
import mardun.core.material.MovementKind;
import mardun.core.material.Part;
import org.jspecify.annotations.Nullable;

/**
 * A material on the shelf.
 *
 * @param usableWidth of a cloth, or of a sheet
 * @param sheetHeight of what is bought by the sheet
 * @param onHand what is there; of a two-part notion, whole sets
 * @param held what batches have reserved of it
 * @param free what nobody has reserved
 * @param parts what is there of each half; empty for anything that isn't two-part
 * @param pieces how many offcuts and precuts there are beside
 * @param low there is less than the maker wants to have
 * @param facts what it is like, as it is typed
 * @param putAway it is kept with its history and offered nowhere
 * @param photo where its picture is; absent where there is none
 */
public record MaterialView(
        MaterialId id,
        long version,
        MaterialKind kind,
        String name,
        String note,
        String colour,
        @Nullable LengthView usableWidth,
        @Nullable LengthView sheetHeight,
        boolean directional,
        @Nullable ClothKind cloth,
        MoneyView price,
        AmountView pricePer,
        @Nullable AmountView lowAt,
        @Nullable AmountView target,
        AmountView onHand,
        AmountView held,
        AmountView free,
        List<PartView> parts,
        long pieces,
        boolean low,
        FactsForm facts,
        boolean putAway,
        @Nullable String photo) {

    /** What there is of one half. */
    public record PartView(Part part, AmountView onHand) {}

    /** A movement of a material, the latest first in lists. */
    public record MovementView(
            long id,
            MovementKind kind,
            Part part,
            AmountView change,
            String reason,
            Instant movedAt,
            @Nullable BatchId batchId,
            @Nullable LotId lotId) {}
}
