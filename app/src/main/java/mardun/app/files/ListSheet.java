package mardun.app.files;

import java.util.List;
import mardun.app.show.CsvSheet;

/** A list that goes out as a CSV sheet and comes in from one. What goes out can come in again and changes nothing. */
public interface ListSheet {

    /** Its name in addresses and file names. */
    String key();

    List<Column> columns();

    /** Writes all lines of the list, in the order of {@link #columns()}. */
    void write(CsvSheet sheet);

    /**
     * A reader for some lines of a file, which knows what is stored when it is made; it may remember what earlier lines said.
     *
     * @param lines that it is going to read, in their order
     */
    LineReader reader(List<SheetLine> lines);

    /**
     * A column of the sheet.
     *
     * @param name its head
     * @param required a file without it isn't taken
     * @param hint what stands in it, for the maker
     */
    record Column(String name, boolean required, String hint) {}

    /** Says what a line of a file would do. Lines are read in their order, inside one transaction. */
    @FunctionalInterface
    interface LineReader {
        Verdict read(SheetLine line);
    }

    /**
     * What a line would do.
     *
     * @param what it is about, in a few words
     * @param reasons why it is refused, or what would change
     * @param apply does it, inside the caller's transaction; nothing for a line that is refused or changes nothing
     */
    record Verdict(Kind kind, String what, List<String> reasons, Runnable apply) {

        /** What happens to a line. */
        public enum Kind {
            ADD,
            CHANGE,
            SAME,
            REFUSE
        }

        public static Verdict add(String what, Runnable apply) {
            return new Verdict(Kind.ADD, what, List.of(), apply);
        }

        public static Verdict change(String what, List<String> changes, Runnable apply) {
            return new Verdict(Kind.CHANGE, what, changes, apply);
        }

        public static Verdict same(String what) {
            return new Verdict(Kind.SAME, what, List.of(), () -> {});
        }

        public static Verdict refuse(String what, List<String> reasons) {
            return new Verdict(Kind.REFUSE, what, reasons, () -> {});
        }
    }
}
