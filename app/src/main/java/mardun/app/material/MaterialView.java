package mardun.app.material;

import java.time.Instant;
import mardun.app.show.Views.AmountView;
import mardun.app.show.Views.LengthView;
import mardun.app.show.Views.MoneyView;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;
import mardun.core.material.MovementKind;
import org.jspecify.annotations.Nullable;

/**
 * A material on the shelf.
 *
 * @param low there is less than the maker wants to have
 */
public record MaterialView(
        long id,
        long version,
        MaterialKind kind,
        String name,
        String note,
        String colour,
        @Nullable LengthView usableWidth,
        boolean directional,
        @Nullable ClothKind cloth,
        MoneyView price,
        AmountView pricePer,
        @Nullable AmountView lowAt,
        AmountView onHand,
        boolean low) {

    /** A movement of a material, the latest first in lists. */
    public record MovementView(
            long id,
            MovementKind kind,
            AmountView change,
            String reason,
            Instant movedAt,
            @Nullable Long batchId) {}
}
