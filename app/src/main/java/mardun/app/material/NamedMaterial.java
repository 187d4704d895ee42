package mardun.app.material;

import jakarta.validation.constraints.NotNull;
import java.util.Optional;
import java.util.UUID;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;
import mardun.core.material.UsualSale;
import mardun.core.material.Ware;
import mardun.core.measure.UnitSystem;
import org.jspecify.annotations.Nullable;

/**
 * A material that a maker names and hasn't yet, to be reckoned with as shops usually sell it.
 *
 * @param price for the amount in which shops usually sell it
 */
public record NamedMaterial(
        @NotNull UUID requestId,
        @NotNull MaterialKind kind,
        @Nullable ClothKind cloth,
        @Nullable Ware ware,
        @NotNull String name,
        @NotNull String price,
        @NotNull String colour,
        @NotNull Print print) {

    /** The same as a material that is entered, with nothing on hand. */
    MaterialForm entered(UnitSystem system) {
        UsualSale sale = UsualSale.of(kind, Optional.ofNullable(cloth), system);
        boolean twoPart = ware == Ware.SNAP || ware == Ware.MAGNET;
        return new MaterialForm(
                requestId,
                0,
                kind,
                name,
                "",
                colour,
                sale.width(),
                kind == MaterialKind.SHEET ? sale.width() : null,
                false,
                cloth,
                price,
                sale.per(),
                "",
                "",
                false,
                FactsForm.NONE.being(ware).looking(print, twoPart));
    }
}
