package mardun.app.printer;

import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.List;
import mardun.app.paper.LabelView;
import org.jspecify.annotations.Nullable;

/** What the interface sends and gets to see of the simulated label printer. */
final class PrinterViews {

    private PrinterViews() {}

    /** What can be done at the printer. */
    enum Act {
        LOAD,
        CLEAR_JAM,
        JAM_NEXT,
        SWITCH_OFF,
        SWITCH_ON,
        TAKE_LABELS_AWAY
    }

    /**
     * Somebody does something at the printer.
     *
     * @param labels how many are on the roll that is put in, as typed; absent for anything else
     */
    record ActForm(@NotNull Act act, @Nullable String labels) {}

    /**
     * The printer and what lies before it, the latest first.
     *
     * @param trouble what keeps it from printing; absent if nothing does
     * @param came how many labels lie there, crumpled ones included
     */
    record PrinterView(
            boolean offline,
            boolean jammed,
            boolean jamsNext,
            int labelsLeft,
            @Nullable String trouble,
            long came,
            List<CameOutView> latest) {}

    record CameOutView(long id, Instant cameAt, boolean crumpled, LabelView label) {}
}
