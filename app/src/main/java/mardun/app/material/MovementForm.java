package mardun.app.material;

import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import mardun.core.material.MovementKind;

/**
 * A movement as it is typed.
 *
 * @param requestId made by the form when it opens, so that sending it twice moves once
 * @param amount what came or left, always positive; for {@code COUNTED} what lies on the shelf
 * @param reason why, where the kind asks for it, or the shelf would go below zero
 */
public record MovementForm(
        @NotNull UUID requestId,
        @NotNull MovementKind kind,
        @NotNull String amount,
        @NotNull String reason) {}
