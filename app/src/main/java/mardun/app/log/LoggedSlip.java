package mardun.app.log;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import mardun.app.id.MaterialId;
import mardun.core.material.Part;
import org.jspecify.annotations.Nullable;

/**
 * How a slip ended.
 *
 * @param usedUp what went with it: of a bag that is scrapped all that it had, of another what it takes once more
 * @param again what is cut once more for it; of a bag that is scrapped all that it was cut from, so that another is begun in its place;
 *     absent for nothing
 */
public record LoggedSlip(
        @NotNull SlipOutcome outcome,
        @NotNull @Size(max = 60) List<@NotNull @Valid UsedUp> usedUp,
        @Nullable @Valid CutAgain again) {

    /**
     * Pieces that are cut once more.
     *
     * @param pieces by their letters, each as often as a bag needs another; of a bag that is scrapped it is all of them, whatever is said
     * @param dyes of which dye each cloth is; of one that isn't named it is of the first that there is
     */
    public record CutAgain(
            @NotNull @Size(max = 60) List<@NotNull @Size(max = 10) String> pieces,
            @NotNull @Size(max = 60) List<@NotNull @Valid OfDye> dyes) {}

    /** The dyer's mark of a cloth, as it compares with others; empty for none. */
    public record OfDye(
            @NotNull MaterialId materialId,
            @NotNull @Size(max = 60) String dye) {}

    /** As much of a material as one bag takes. */
    public record UsedUp(
            @NotNull MaterialId materialId, @NotNull Part part) {}
}
