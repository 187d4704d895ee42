package mardun.core.measure;

/** A length as it is shown, and whether that differs from the exact one. */
public record Shown(String text, boolean rounded) {

    /** The text, marked with ≈ if it was rounded. */
    public String marked() {
        return rounded ? "≈ " + text : text;
    }
}
