package mardun.app.shop;

/** How an order of the online shop stands. */
public enum OrderState {
    /** All its bags are put aside for it. */
    RESERVED,
    /** Bags are missing: they have to be made, or the buyer asked. */
    SHORT,
    POSTED,
    ARRIVED,
    CAME_BACK,
    CANCELLED
}
