package mardun.core.measure;

/**
 * An exact weight or volume of something that is filled in. Weights are whole nanograms (1 oz is 28 349 523 125 ng),
 * volumes whole femtolitres (1 US fluid ounce is 29 573 529 562 500 fl), so that both systems are held without error.
 *
 * @param amount nanograms or femtolitres, after {@code kind}; negative only for what leaves the shelf
 */
public record Bulk(Kind kind, long amount) {

    /** What is measured. */
    public enum Kind {
        WEIGHT,
        VOLUME
    }

    public Bulk times(long factor) {
        return new Bulk(kind, Math.multiplyExact(amount, factor));
    }
}
