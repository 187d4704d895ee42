package mardun.app.selling;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import mardun.core.selling.Tender;
import org.jspecify.annotations.Nullable;

/**
 * Something that happened at a stall, as a device tells it. Sent twice, it is the same.
 *
 * @param id made by the device; of a sale it is the sale's
 * @param at by the device's clock
 * @param bags what was sold, given away, broken, stolen or promised; none otherwise
 * @param tender of a sale
 * @param paidMinor of a sale: what the buyer paid for all of it, in minor units
 * @param ofEntry what is undone or released; of a sale the promise that it keeps; absent otherwise
 * @param payment what a card reader calls the payment; empty for none
 * @param note for whom a bag is promised, why one was given away
 */
public record StallEntry(
        @NotNull UUID id,
        @NotNull StallEventKind kind,
        @NotNull Instant at,
        @NotNull @Size(max = 60) List<@NotNull @Valid Bags> bags,
        @Nullable Tender tender,
        @Nullable Long paidMinor,
        @Nullable UUID ofEntry,
        @NotNull @Size(max = 100) String payment,
        @NotNull @Size(max = 300) String note) {

    /**
     * Bags of a kind.
     *
     * @param kind its key, as the stall was shown it
     * @param priceMinor what one is usually sold for, in minor units
     */
    public record Bags(@NotNull @Size(max = 500) String kind, int units, long priceMinor) {}
}
