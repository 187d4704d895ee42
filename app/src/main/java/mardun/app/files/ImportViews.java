package mardun.app.files;

import java.time.LocalDate;
import java.util.List;
import mardun.app.files.ListSheet.Verdict;
import org.jspecify.annotations.Nullable;

/** Lists that come in from files. */
public final class ImportViews {

    private ImportViews() {}

    /** A list that can go out and come in. */
    public record ListView(String key, List<ColumnView> columns) {}

    public record ColumnView(String name, boolean required, String hint) {}

    /** How far a file has come. */
    public enum ImportState {
        READING,
        READ,
        ENTERING,
        ENTERED,
        REFUSED,
        GIVEN_UP
    }

    /**
     * A file that is coming in.
     *
     * @param done lines that were looked at, or entered
     * @param refusal why the file isn't taken, or not all of it; absent where nothing is wrong with it
     * @param note what is known of this very file from before; absent if it is new
     * @param separator what stands between its cells, in a word
     * @param encoding in which it was read
     * @param unknown columns that were left out
     * @param lines some of its lines, those that are refused first
     */
    public record ImportView(
            String id,
            String list,
            ImportState state,
            int done,
            int total,
            int adds,
            int changes,
            int same,
            int refused,
            @Nullable String refusal,
            @Nullable String note,
            @Nullable String separator,
            @Nullable String encoding,
            List<String> unknown,
            List<ImportLine> lines) {}

    /**
     * A file that was broken off before all of its lines were entered.
     *
     * @param linesIn how many are entered, from its first
     */
    public record BrokenOffView(String mark, String list, int linesIn, int total, LocalDate on) {}

    /** What would happen to a line, and why. */
    public record ImportLine(long number, Verdict.Kind verdict, String what, List<String> reasons) {}
}
