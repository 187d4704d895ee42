package mardun.app.material;

/** How heavy a cloth is, in the trade's three words. */
public enum WeightClass {
    LIGHT,
    MEDIUM,
    HEAVY
}
