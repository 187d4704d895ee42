package mardun.app.files;

import java.util.Map;

/**
 * A line of a CSV file.
 *
 * @param number of the row in the table; the head is row 1
 * @param cells by the column's name; a column that the file doesn't have is missing
 */
public record SheetLine(long number, Map<String, String> cells) {

    public boolean has(String column) {
        return cells.containsKey(column);
    }

    /** What stands in a column; empty where the file doesn't have it. */
    public String get(String column) {
        return cells.getOrDefault(column, "");
    }

    /** What stands in a column, or what was there before where the file doesn't have it. */
    public String get(String column, String before) {
        return cells.getOrDefault(column, before);
    }
}
