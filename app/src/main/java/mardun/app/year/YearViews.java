package mardun.app.year;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import mardun.app.show.Views.WorkingView;
import org.jspecify.annotations.Nullable;

/** What a year adds up to. A chart, its figures and its CSV sheet are the same rows. */
public final class YearViews {

    private YearViews() {}

    /** A question that a year answers. */
    public enum Question {
        EARNS_BY_DESIGN,
        EARNS_BY_SIZE,
        EARNS_BY_CLOTH,
        EARNS_BY_CHANNEL,
        MONTHS,
        FLOW,
        FAIRS,
        SHELF,
        HOURS,
        TIMES,
        PRICES,
        SPOILED
    }

    /**
     * Twelve months.
     *
     * @param words as they are read
     * @param sold how many bags were sold in them
     * @param firstSale the day of the first sale that there is at all; absent where nothing was sold yet
     */
    public record YearView(
            LocalDate first,
            LocalDate last,
            String words,
            int sold,
            @Nullable LocalDate firstSale,
            List<AnswerView> charts) {}

    /**
     * A question with its answer.
     *
     * @param answer a sentence
     * @param note what the figures leave out; empty for nothing
     * @param against what the figures are compared with; absent for nothing
     */
    public record AnswerView(
            Question key,
            String question,
            String answer,
            String note,
            @Nullable FigureCell against,
            FigureTable table) {}

    public record FigureTable(List<FigureColumn> columns, List<FigureRow> rows) {}

    /**
     * A column.
     *
     * @param unit of its figures, for a sheet; empty for none
     * @param figure whether it holds figures, else words
     */
    public record FigureColumn(String name, String unit, boolean figure) {}

    /**
     * A row.
     *
     * @param marked it deserves a look
     */
    public record FigureRow(List<FigureCell> cells, boolean marked) {}

    /**
     * A cell.
     *
     * @param text as it is read
     * @param exact as a sheet holds it
     * @param size for drawing to scale: minor units, seconds, numbers; absent where there is no figure
     * @param working how it came about; absent where that is plain
     */
    public record FigureCell(
            String text,
            String exact,
            @Nullable Double size,
            @Nullable WorkingView working) {}

    /** What something remarked is about. */
    public enum Subject {
        EARNING,
        SHELF,
        TIME
    }

    /**
     * Something in the figures that deserves to be said.
     *
     * @param key to put it away
     */
    public record RemarkView(String key, Subject subject, String sentence) {}

    /** At most one remark. */
    public record RemarksView(@Nullable RemarkView remark) {}

    /** A remark that isn't to be said again for a while. */
    public record RemarkAwayForm(@NotBlank @Size(max = 600) String key) {}

    /** What the books of a year hold entries of. */
    public enum Book {
        SALES,
        PURCHASES,
        FAIRS,
        HOURS
    }

    /**
     * A year for whoever keeps the books.
     *
     * @param table month by month, then the whole year
     * @param stock what lay on the shelf at both ends
     */
    public record BooksView(
            LocalDate first, LocalDate last, String words, FigureTable table, FigureTable stock, List<String> notes) {}
}
