package mardun.app.sale;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;

/** What the interface sends and gets to see of bags that come back from their buyer. */
public final class ReturnViews {

    private ReturnViews() {}

    /**
     * Bags that a buyer has.
     *
     * @param units how many of them
     */
    public record BuyersBags(String kind, String words, int units) {}

    /** So many bags of a kind came back, as typed; empty for none. */
    public record BagsBack(
            @NotNull @Size(max = 400) String kind,
            @NotNull @Size(max = 20) String units) {}

    /**
     * Bags came back.
     *
     * @param version of their order
     * @param refund what was paid back for them, as typed; empty for nothing, or for all where all of them came back
     */
    public record CameBackForm(
            @NotNull UUID requestId,
            long version,
            @NotNull CameBack ended,
            @NotNull @Size(max = 300) String reason,
            @NotNull @Size(max = 40) String refund,

            @NotNull @Size(min = 1, max = 100, message = "Say which bags came back.")
            List<@NotNull @Valid BagsBack> bags) {}
}
