package mardun.core.material;

/**
 * A colour as eyes see it: lightness and two opponents (CIELAB, daylight). How far two colours are from one another is told by
 * CIEDE2000: below 2 hardly anybody tells them apart, below 10 they go together at a seam.
 */
public record Colour(double lightness, double greenRed, double blueYellow) {

    private static final double WHITE_X = 0.95047;
    private static final double WHITE_Z = 1.08883;
    private static final double TO_25_7 = Math.pow(25, 7);

    /**
     * Reads a colour as screens write it.
     *
     * @param hex {@code #6f8fa8}
     * @throws IllegalArgumentException if it isn't written so
     */
    public static Colour of(String hex) {
        if (!hex.matches("#[0-9a-fA-F]{6}")) {
            throw new IllegalArgumentException("not a colour: " + hex);
        }
        int rgb = Integer.parseInt(hex.substring(1), 16);
        double red = linear(rgb >> 16);
        double green = linear(rgb >> 8 & 0xff);
        double blue = linear(rgb & 0xff);
        double x = bent((0.4124564 * red + 0.3575761 * green + 0.1804375 * blue) / WHITE_X);
        double y = bent(0.2126729 * red + 0.7151522 * green + 0.0721750 * blue);
        double z = bent((0.0193339 * red + 0.1191920 * green + 0.9503041 * blue) / WHITE_Z);
        return new Colour(116 * y - 16, 500 * (x - y), 200 * (y - z));
    }

    private static double linear(int channel) {
        double share = channel / 255.0;
        return share <= 0.04045 ? share / 12.92 : Math.pow((share + 0.055) / 1.055, 2.4);
    }

    private static double bent(double t) {
        return t > 216.0 / 24389 ? Math.cbrt(t) : (24389.0 / 27 * t + 16) / 116;
    }

    /** How far another colour is from this one, by CIEDE2000. */
    public double distance(Colour other) {
        double meanChroma = (Math.hypot(greenRed, blueYellow) + Math.hypot(other.greenRed, other.blueYellow)) / 2;
        double grey = 1 + 0.5 * (1 - Math.sqrt(Math.pow(meanChroma, 7) / (Math.pow(meanChroma, 7) + TO_25_7)));
        double mine = greenRed * grey;
        double theirs = other.greenRed * grey;
        double chroma = Math.hypot(mine, blueYellow);
        double otherChroma = Math.hypot(theirs, other.blueYellow);
        double hue = hue(mine, blueYellow);
        double otherHue = hue(theirs, other.blueYellow);
        boolean isGrey = chroma * otherChroma == 0;
        double turn = isGrey ? 0 : otherHue - hue;
        turn = turn > 180 ? turn - 360 : turn < -180 ? turn + 360 : turn;
        double hueBetween = 2 * Math.sqrt(chroma * otherChroma) * Math.sin(Math.toRadians(turn / 2));
        double lightBetween = other.lightness - lightness;
        double chromaBetween = otherChroma - chroma;
        double meanHue = isGrey ? hue + otherHue : meanHue(hue, otherHue);
        double meanLight = (lightness + other.lightness) / 2;
        double mean = (chroma + otherChroma) / 2;
        double byHue = 1
                - 0.17 * Math.cos(Math.toRadians(meanHue - 30))
                + 0.24 * Math.cos(Math.toRadians(2 * meanHue))
                + 0.32 * Math.cos(Math.toRadians(3 * meanHue + 6))
                - 0.20 * Math.cos(Math.toRadians(4 * meanHue - 63));
        double offMiddle = Math.pow(meanLight - 50, 2);
        double light = lightBetween / (1 + 0.015 * offMiddle / Math.sqrt(20 + offMiddle));
        double vivid = chromaBetween / (1 + 0.045 * mean);
        double tint = hueBetween / (1 + 0.015 * mean * byHue);
        double blues = -2
                * Math.sqrt(Math.pow(mean, 7) / (Math.pow(mean, 7) + TO_25_7))
                * Math.sin(Math.toRadians(60 * Math.exp(-Math.pow((meanHue - 275) / 25, 2))));
        return Math.sqrt(light * light + vivid * vivid + tint * tint + blues * vivid * tint);
    }

    private static double hue(double a, double b) {
        double hue = a == 0 && b == 0 ? 0 : Math.toDegrees(Math.atan2(b, a));
        return hue < 0 ? hue + 360 : hue;
    }

    private static double meanHue(double one, double other) {
        if (Math.abs(one - other) <= 180) {
            return (one + other) / 2;
        }
        return one + other < 360 ? (one + other + 360) / 2 : (one + other - 360) / 2;
    }
}
