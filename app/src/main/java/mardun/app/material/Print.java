package mardun.app.material;

/** What a cloth looks like from afar, drawn as a hatch on its swatch. */
public enum Print {
    PLAIN,
    DOTS,
    STRIPES,
    CHECKS,
    FLORAL,
    TEXTURE
}
