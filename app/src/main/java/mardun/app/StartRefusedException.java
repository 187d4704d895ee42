package mardun.app;

/** The application can't start here and now; the message is a sentence for the person who started it. */
public final class StartRefusedException extends RuntimeException {

    public StartRefusedException(String message) {
        super(message);
    }

    public StartRefusedException(String message, Throwable cause) {
        super(message, cause);
    }
}
