package mardun.core.construction;

/** How the faces of a boxed bag are joined at their sides. */
public enum SideEdge {
    /** Two panels with a seam on each side. */
    SEAMS("a seam on each side"),
    /** One piece round the bag, folded at one side and sewn at the other. */
    ONE_FOLD("one piece, folded at a side"),
    /** One piece round the bag as a tube, with its one seam in the middle of the back. */
    BACK_SEAM("a tube with one seam behind");

    private final String words;

    SideEdge(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Whether one piece goes all the way round. */
    public boolean isRound() {
        return this != SEAMS;
    }
}
