package mardun.app.selling;

import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.UUID;

/** A fair and its day. */
public record FairView(long id, String name, LocalDate heldOn) {

    /** A fair as it is typed. */
    public record NewFair(
            @NotNull UUID requestId,
            @NotNull String name,
            @NotNull LocalDate heldOn) {}
}
