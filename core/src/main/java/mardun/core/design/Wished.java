package mardun.core.design;

/**
 * What a bag is meant to measure, as formulas, apart from what its pieces make of it; empty where nothing is wished. Once
 * pieces are cut from paper instead of from the measures, only this still knows what was wanted.
 */
public record Wished(String width, String height) {

    public static final Wished NOTHING = new Wished("", "");
}
