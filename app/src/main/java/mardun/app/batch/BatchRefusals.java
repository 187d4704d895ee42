package mardun.app.batch;

import mardun.app.plan.Planned;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.show.ViewWriter;
import mardun.core.design.Finding;
import org.jspecify.annotations.Nullable;

/** Why a batch can't be kept, cut or finished as it is, in a sentence. */
final class BatchRefusals {

    private BatchRefusals() {}

    /** Something is missing or can't be made. */
    static void refuseIncomplete(Planned planned, Settings current) {
        ViewWriter writer = current.writer();
        planned.plan().findings().stream()
                .filter(Finding::isRefused)
                .findFirst()
                .ifPresent(finding -> {
                    throw RefusedException.conflict(where(planned, finding) + writer.sentence(finding.what()) + " "
                            + writer.sentence(finding.remedy()));
                });
    }

    /** Which line a finding is about, where the batch has several; empty otherwise. */
    static String where(Planned planned, Finding finding) {
        if (planned.lines().size() == 1 || !finding.place().startsWith("lines.")) {
            return "";
        }
        String[] place = finding.place().split("\\.");
        return planned.lines().stream()
                .filter(line -> Integer.toString(line.number()).equals(place[1]))
                .findFirst()
                .map(line -> line.design().name() + ", " + line.sizeName() + " (line " + line.number() + "): ")
                .orElse("");
    }

    /** What is confirmed is what was shown: a layout chosen meanwhile in another tab takes other cloth. */
    static void checkMark(@Nullable String mark, Planned planned) {
        if (mark != null && !mark.equals(planned.mark())) {
            throw RefusedException.conflict("What batch " + planned.batchId()
                    + " takes has changed since this was shown. Nothing was booked; look at it as it is now.");
        }
    }
}
