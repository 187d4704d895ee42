package mardun.app.selling;

/** How a fair stands. */
public enum FairState {
    THINKING("thinking of it"),
    APPLIED("applied"),
    ACCEPTED("accepted"),
    PAID("paid"),
    DONE("settled"),
    NOT_GOING("not going");

    private final String words;

    FairState(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
