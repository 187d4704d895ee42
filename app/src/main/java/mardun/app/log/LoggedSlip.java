package mardun.app.log;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import mardun.app.id.MaterialId;
import mardun.core.material.Part;

/**
 * How a slip ended.
 *
 * @param usedUp what went with it: of a bag that is scrapped all that it had, of another what it takes once more
 */
public record LoggedSlip(
        @NotNull SlipOutcome outcome,
        @NotNull @Size(max = 60) List<@NotNull @Valid UsedUp> usedUp) {

    /** As much of a material as one bag takes. */
    public record UsedUp(
            @NotNull MaterialId materialId, @NotNull Part part) {}
}
