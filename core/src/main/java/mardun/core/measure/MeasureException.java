package mardun.core.measure;

/** A text that couldn't be read as a measure or a number: what was read, why it can't be, and what would be right. */
public final class MeasureException extends RuntimeException {

    private final String read;
    private final String why;
    private final String right;

    public MeasureException(String read, String why, String right) {
        super("“" + read + "” " + why + ". " + right);
        this.read = read;
        this.why = why;
        this.right = right;
    }

    /** The text as it was typed. */
    public String read() {
        return read;
    }

    /** Why it can't be, as the end of a sentence that begins with the text. */
    public String why() {
        return why;
    }

    /** What would be right, as a sentence. */
    public String right() {
        return right;
    }
}
