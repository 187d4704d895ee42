package mardun.core.measure;

/** The finest fraction of an inch that is shown: what the maker's ruler is marked in. */
public enum InchStep {
    EIGHTH(8),
    SIXTEENTH(16);

    private final int parts;

    InchStep(int parts) {
        this.parts = parts;
    }

    public int parts() {
        return parts;
    }
}
