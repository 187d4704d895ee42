package mardun.core.selling;

/** How a buyer pays. */
public enum Tender {
    CASH("cash"),
    CARD("card"),
    /** A transfer, a voucher, on account. */
    OTHER("another way");

    private final String words;

    Tender(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
