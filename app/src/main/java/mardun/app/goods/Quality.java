package mardun.app.goods;

/** How bags came out that can be sold. */
public enum Quality {
    GOOD,
    /** Not quite as they should be, and sold as such. */
    SECOND
}
