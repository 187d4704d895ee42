package mardun.core.selling;

/** How a buyer pays. */
public enum Tender {
    CASH,
    CARD,
    /** A transfer, a voucher, on account. */
    OTHER
}
