package mardun.app.log;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.id.BatchId;
import mardun.app.note.NotePin;
import mardun.core.making.SetUp;
import org.jspecify.annotations.Nullable;

/**
 * Something that happened at the bench, as a device tells it. Sent twice, it is the same.
 *
 * @param id made by the device
 * @param line of the batch
 * @param step its key in the line's design
 * @param stepName what it was called when it was done
 * @param bags how many were finished since the entry before; negative to take counts back; of a slip, of how many bags
 * @param millis hands-on time since the entry before; of a slip, what mending took
 * @param slow the maker was slow today: not for estimates
 * @param at when, by the device's clock
 * @param place the key of the machine or table; empty where that isn't told
 * @param puts of a set-up: what is on the machine for it now; absent while that isn't done yet, and otherwise
 * @param ofEvent the event that is left out, put right or withdrawn; absent otherwise
 * @param reason why; of a note, what it says; empty for none
 * @param slip how a slip ended; absent of what is none
 * @param pin where a note is pinned; absent of what is none
 * @param confirmed the checks that were confirmed before bags were counted; absent for none
 */
public record LogEntry(
        @NotNull UUID id,
        @NotNull BatchId batchId,
        @Min(1) int line,
        @NotNull @Size(max = 300) String step,
        @NotNull @Size(max = 300) String stepName,
        @NotNull EventKind kind,
        @Min(-1000) @Max(1000) int bags,
        @Min(0) @Max(MOST_MILLIS) long millis,
        boolean slow,
        @NotNull Instant at,
        @NotNull @Size(max = 60) String place,
        @Nullable @Size(max = 20) Map<SetUp.@NotNull Part, @NotNull @Size(max = 300) String> puts,
        @Nullable UUID ofEvent,
        @NotNull @Size(max = 1000) String reason,
        @Nullable @Valid LoggedSlip slip,
        @Nullable @Valid NotePin pin,
        @Nullable @Size(max = 60) List<@NotNull @Size(max = 300) String> confirmed) {

    /** No entry tells of more than a day. */
    static final long MOST_MILLIS = 86_400_000;

    /** So many bags that were finished without being counted at this entry's step. */
    LogEntry finished(int uncounted) {
        return new LogEntry(
                UUID.randomUUID(),
                batchId,
                line,
                step,
                stepName,
                EventKind.FINISHED,
                uncounted,
                0,
                false,
                at,
                "",
                null,
                null,
                "",
                null,
                null,
                null);
    }

    /** What is said later of something that was logged. */
    public static LogEntry about(UUID id, LoggedTouch touch, EventKind kind, long millis, Instant at, String reason) {
        return new LogEntry(
                id,
                touch.batchId(),
                touch.line(),
                touch.step(),
                touch.stepName(),
                kind,
                0,
                millis,
                false,
                at,
                "",
                null,
                touch.id(),
                reason,
                null,
                null,
                null);
    }
}
