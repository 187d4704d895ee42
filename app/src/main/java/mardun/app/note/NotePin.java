package mardun.app.note;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import org.jspecify.annotations.Nullable;

/**
 * Where a note is pinned.
 *
 * @param designId of a step, a piece or a design; absent otherwise
 * @param step the key of a step in its design; empty for none
 * @param stepName what it was called; empty for none
 * @param letter of a piece; empty for none
 * @param materialId of a material; absent otherwise
 * @param machine the key of a machine; empty for none
 */
public record NotePin(
        @NotNull NoteAbout about,
        @Nullable DesignId designId,
        @NotNull @Size(max = 300) String step,
        @NotNull @Size(max = 300) String stepName,
        @NotNull @Size(max = 10) String letter,
        @Nullable MaterialId materialId,
        @NotNull @Size(max = 60) String machine) {

    /** At a whole design. */
    public static NotePin ofDesign(DesignId designId) {
        return new NotePin(NoteAbout.DESIGN, designId, "", "", "", null, "");
    }

    /** Whether it says what it is pinned to. */
    boolean isWhole() {
        return switch (about) {
            case STEP -> designId != null && !step.isBlank();
            case PIECE -> designId != null && !letter.isBlank();
            case DESIGN -> designId != null;
            case MATERIAL -> materialId != null;
            case MACHINE -> !machine.isBlank();
        };
    }
}
