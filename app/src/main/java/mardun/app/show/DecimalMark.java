package mardun.app.show;

import java.util.regex.Pattern;

/** The mark before decimals: what is typed with a comma is shown with one. Both are read everywhere. */
public enum DecimalMark {
    POINT,
    COMMA;

    private static final Pattern BETWEEN_DIGITS = Pattern.compile("(?<=\\d)\\.(?=\\d)");
    private static final Pattern EITHER_BETWEEN_DIGITS = Pattern.compile("(?<=\\d)[.,](?=\\d)");

    /** A figure, or a text of the application's own with figures in it, with this mark. */
    public String in(String text) {
        return this == POINT ? text : BETWEEN_DIGITS.matcher(text).replaceAll(",");
    }

    /** A formula, whose parts are parted by semicolons, with this mark, whichever it was written with. */
    public String inFormula(String formula) {
        return EITHER_BETWEEN_DIGITS.matcher(formula).replaceAll(this == POINT ? "." : ",");
    }

    /** What parts the cells of a list, so that a spreadsheet that uses this mark reads it. */
    public char separator() {
        return this == POINT ? ',' : ';';
    }
}
