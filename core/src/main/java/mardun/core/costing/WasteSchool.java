package mardun.core.costing;

/** Who bears the cloth that no piece is cut from, where several lines of a batch are cut from one cloth. */
public enum WasteSchool {
    BY_STRIP("each line bears the strips that its pieces lie in, shared by area within a strip"),
    BY_AREA("all lines bear all of it, by the area of their pieces");

    private final String words;

    WasteSchool(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
