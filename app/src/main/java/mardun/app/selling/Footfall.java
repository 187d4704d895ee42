package mardun.app.selling;

/** How many walk through a fair, as its maker sees it. */
public enum Footfall {
    SMALL,
    MEDIUM,
    LARGE
}
