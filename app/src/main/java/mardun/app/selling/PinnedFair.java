package mardun.app.selling;

import java.time.LocalDate;
import mardun.app.id.FairId;

/** A fair that comes, as it is pinned to the tape and written into a calendar. */
public record PinnedFair(FairId id, String name, LocalDate heldOn, LocalDate endsOn) {}
