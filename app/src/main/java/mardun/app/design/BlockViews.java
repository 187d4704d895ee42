package mardun.app.design;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;

/** What the interface sends and gets to see of building blocks. */
public final class BlockViews {

    private BlockViews() {}

    /**
     * A building block to choose from.
     *
     * @param key its name for putting it in: a shipped one's, or {@code own-} and a number
     * @param own the maker keeps it; else it ships with the application
     * @param brings what it puts into a design, in words
     */
    public record BlockView(String key, String name, String variant, boolean own, List<String> brings) {}

    /** A design into which a block shall be put. */
    public record DesignWithBlock(
            @NotNull @Valid DesignDocument document,
            @NotNull String block) {}

    /**
     * Steps of a design to be kept as a block.
     *
     * @param steps the keys of the steps; what they use comes along
     */
    public record NewBlock(
            @NotNull UUID requestId,
            @NotNull String name,
            @NotNull String variant,
            @NotNull @Valid DesignDocument document,
            @NotNull List<String> steps) {}
}
