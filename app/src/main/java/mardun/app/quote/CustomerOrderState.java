package mardun.app.quote;

/** How a private order stands. */
public enum CustomerOrderState {
    /** It is agreed; its bags are to be made, or are made and wait. */
    AGREED,
    /** The customer has the bags and has paid. */
    HANDED_OVER,
    /** All of its bags came back. */
    CAME_BACK,
    /** Nothing came of it. */
    CANCELLED
}
