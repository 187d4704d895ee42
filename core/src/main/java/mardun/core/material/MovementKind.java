package mardun.core.material;

/** Why material came to the shelf or left it. On hand is the sum of all movements. */
public enum MovementKind {
    BOUGHT("bought", Direction.IN),
    GIVEN("given", Direction.IN),
    RETURNED("returned", Direction.IN),
    OFFCUT_KEPT("offcut kept", Direction.IN),
    CUT("cut", Direction.OUT),
    USED("used", Direction.OUT),
    SPOILED("spoiled", Direction.OUT),
    SOLD_ON("sold on", Direction.OUT),
    SCRAPPED("into the scrap bag", Direction.OUT),
    COUNTED("counted", Direction.EITHER);

    /** Which way a movement goes. */
    public enum Direction {
        IN,
        OUT,
        EITHER
    }

    private final String words;
    private final Direction direction;

    MovementKind(String words, Direction direction) {
        this.words = words;
        this.direction = direction;
    }

    public String words() {
        return words;
    }

    public Direction direction() {
        return direction;
    }

    /** A count that differs from the book, and what was spoiled, say why. */
    public boolean needsReason() {
        return this == COUNTED || this == SPOILED;
    }
}
