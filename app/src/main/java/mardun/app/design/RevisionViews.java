package mardun.app.design;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import mardun.app.id.DesignId;
import mardun.app.show.Views.TimeView;
import org.jspecify.annotations.Nullable;

/** What is shown of a design's past. */
final class RevisionViews {

    private static final int LONGEST_NOTE = 500;

    private RevisionViews() {}

    /** The past of a design, the latest revision first. */
    record RevisionsView(DesignId id, long version, List<RevisionLine> revisions) {}

    /**
     * One of its revisions.
     *
     * @param version of the note
     * @param batches planned with it and not given up
     * @param bags that came out of these, seconds too
     * @param lost that came to nothing
     * @param changes how many things were changed in it; absent for the first
     * @param each how long one bag took, as it was measured; absent where nothing was timed
     * @param timedSteps at how many steps
     * @param slips with how many bags something went wrong
     * @param slipReason why, most often; may be empty
     * @param notes what was noted while it was the latest, as far as there are any
     */
    record RevisionLine(
            int number,
            long version,
            LocalDate madeOn,
            String note,
            int batches,
            int bags,
            int lost,
            @Nullable Integer changes,
            @Nullable TimeView each,
            int timedSteps,
            int slips,
            String slipReason,
            List<RevisionNoted> notes) {}

    /**
     * Something noted at the bench.
     *
     * @param about which part it is about; empty for all of it
     */
    record RevisionNoted(LocalDate on, String about, String text) {}

    enum DifferenceKind {
        ADDED,
        GONE,
        CHANGED
    }

    /**
     * Something that is other.
     *
     * @param part which part of the design
     * @param name what it is called there; empty for the part itself
     */
    record Difference(String part, String name, DifferenceKind kind, List<FieldDifference> fields) {}

    /** A value before and after; what is nothing is empty. */
    record FieldDifference(String field, String before, String after) {}

    /** Two of its revisions, and what is other in the later one. */
    record RevisionComparison(
            int from, int to, List<Difference> differences, DesignDocument before, DesignDocument after) {}

    record RevisionNote(
            long version, @NotNull @Size(max = LONGEST_NOTE) String note) {}

    /** @param version of the design that was shown */
    record BroughtBack(long version) {}
}
