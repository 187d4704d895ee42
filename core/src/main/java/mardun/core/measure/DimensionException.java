package mardun.core.measure;

/** Unlike things were added, or a value isn't of the dimension that is wanted. */
public final class DimensionException extends RuntimeException {

    public DimensionException(String why) {
        super(why);
    }

    public DimensionException(String why, Throwable cause) {
        super(why, cause);
    }
}
