package mardun.app.note;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.UUID;
import mardun.app.id.BatchId;
import org.jspecify.annotations.Nullable;

/** Notes as they are written and shown. */
public final class NoteViews {

    private NoteViews() {}

    /**
     * A note as it is written; sent twice, it is the same.
     *
     * @param id made where it is written
     * @param batchId in which batch it came up; absent for none
     */
    public record NoteForm(
            @NotNull UUID id,
            @NotNull @Valid NotePin pin,
            @Nullable BatchId batchId,
            @NotNull @Size(max = 1000) String text) {}

    /** Whether a note has had its day. */
    public record PutAwayForm(boolean putAway) {}

    /**
     * A note.
     *
     * @param on the day it was written
     */
    public record NoteView(
            UUID id, NotePin pin, @Nullable BatchId batchId, String text, LocalDate on, boolean putAway) {}
}
