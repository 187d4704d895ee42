package mardun.app.material;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;
import org.jspecify.annotations.Nullable;

/**
 * A material as it is typed.
 *
 * @param requestId made by the form when it opens, so that sending it twice makes one material
 * @param version of the material that the form was filled from; 0 for a new one
 * @param usableWidth width without selvages, for cloth; may stay empty where the full width and the selvage are given
 * @param sheetHeight of what is bought by the sheet, whose width is {@code usableWidth}; absent for anything else
 * @param cloth what kind of cloth it is; absent where the maker hasn't said, or for anything else
 * @param price for the amount in {@code pricePer}; empty where nobody knows it
 * @param pricePer an amount such as {@code 1 yd}, {@code 1 m} or {@code 10}; may stay empty with the price
 * @param lowAt below which it is shown as low; empty for never
 * @param facts what it is like; absent to leave it as it is
 * @param onHand what is on the shelf when it is first entered; empty for nothing
 * @param given what is on the shelf was given
 */
public record MaterialForm(
        @NotNull UUID requestId,
        long version,
        @NotNull MaterialKind kind,
        @NotNull String name,
        @NotNull String note,
        @NotNull String colour,
        @Nullable String usableWidth,
        @Nullable String sheetHeight,
        boolean directional,
        @Nullable ClothKind cloth,
        @NotNull String price,
        @NotNull String pricePer,
        @NotNull String lowAt,
        @NotNull String onHand,
        @Nullable Boolean given,
        @Nullable @Valid FactsForm facts) {}
