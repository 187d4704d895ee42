package mardun.core.nesting;

import mardun.core.material.ClothKind;

/** What a cutting machine cuts with. Which one serves follows from the cloth. */
public enum Blade {
    ROLLING(
            "rolling blade",
            "Woven cloth moves and frays under a blade that is dragged: it is cut by one that rolls, pressed flat and well stuck to the mat."),
    FINE("fine drag blade", "It lies flat and holds its edge: a fine blade is dragged through it, lightly set."),
    DEEP(
            "deep drag blade",
            "It is thick: a deep blade is dragged through it in several passes. Cut one on a scrap first.");

    private final String words;
    private final String why;

    Blade(String words, String why) {
        this.words = words;
        this.why = why;
    }

    public String words() {
        return words;
    }

    /** Why this one, and what to look at. */
    public String why() {
        return why;
    }

    /** Which blade cuts a kind of cloth. */
    public static Blade of(ClothKind cloth) {
        return switch (cloth) {
            case QUILTING_COTTON, LINEN, CANVAS, DENIM, MESH, BATTING -> ROLLING;
            case LAMINATE, CLEAR_VINYL, FUSIBLE -> FINE;
            case LEATHER_LIKE, CORK, FELT, FOAM -> DEEP;
        };
    }
}
