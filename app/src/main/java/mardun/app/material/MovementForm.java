package mardun.app.material;

import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import mardun.app.id.LotId;
import mardun.core.material.MovementKind;
import mardun.core.material.Part;
import org.jspecify.annotations.Nullable;

/**
 * A movement as it is typed.
 *
 * @param requestId made by the form when it opens, so that sending it twice moves once
 * @param amount what came or left, always positive; for {@code COUNTED} what lies on the shelf
 * @param reason why, where the kind asks for it, or the shelf would go below zero
 * @param lotId of which lot; absent for the oldest, and for what comes
 * @param part of a two-part notion, which half; absent for sets of both
 * @param paid for what is bought, all together; empty for the usual price
 * @param dyeLot of what comes; absent or empty where it has none
 * @param place where it is put; absent or empty for where the material usually lies
 */
public record MovementForm(
        @NotNull UUID requestId,
        @NotNull MovementKind kind,
        @NotNull String amount,
        @NotNull String reason,
        @Nullable LotId lotId,
        @Nullable Part part,
        @Nullable String paid,
        @Nullable String dyeLot,
        @Nullable String place) {

    /** A movement of a material as a whole, from the oldest lots. */
    public static MovementForm of(MovementKind kind, String amount, String reason) {
        return new MovementForm(UUID.randomUUID(), kind, amount, reason, null, null, null, null, null);
    }
}
