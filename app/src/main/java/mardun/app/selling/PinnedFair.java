package mardun.app.selling;

import java.time.LocalDate;
import java.util.List;
import mardun.app.id.FairId;

/**
 * A fair that comes, as it is pinned to the tape and written into a calendar.
 *
 * @param deadlines what is still to be done for it by a day: applying, paying
 */
public record PinnedFair(FairId id, String name, LocalDate heldOn, LocalDate endsOn, List<Deadline> deadlines) {

    /** Something to be done by a day. */
    public record Deadline(String what, LocalDate day) {}
}
