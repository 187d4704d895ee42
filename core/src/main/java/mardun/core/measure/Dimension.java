package mardun.core.measure;

/** What a value in a formula measures; only like things can be added. Angles are held in degrees. */
public enum Dimension {
    NUMBER("a number", 0),
    LENGTH("a length", 1),
    AREA("an area", 2),
    ANGLE("an angle", 0);

    private final String words;
    private final int power;

    Dimension(String words, int power) {
        this.words = words;
        this.power = power;
    }

    public String words() {
        return words;
    }

    /** The power of length in it; a number and an angle have none. */
    int power() {
        return power;
    }

    /** The dimension with the given power of length, for numbers, lengths and areas. */
    static Dimension ofPower(int power) {
        return switch (power) {
            case 0 -> NUMBER;
            case 1 -> LENGTH;
            case 2 -> AREA;
            default -> throw new IllegalArgumentException("nothing is measured with the power " + power);
        };
    }
}
