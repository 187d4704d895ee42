package mardun.core.kind;

import java.util.Arrays;
import java.util.List;

/**
 * What can be decided about how a bag is made; each kind of bag asks only for what it has. Where two choices can't be
 * together, the one that stands first here is kept.
 */
public enum Choice {
    LINING("Lining"),
    CORNERS("Corners"),
    BASE("Base"),
    TOP("Top"),
    ZIP_ENDS("Zip ends"),
    STIFFENING("Stiffening"),
    POCKET("Pocket inside"),
    CLOSING("Closing"),
    FLAP("Flap"),
    SLOTS("Slots"),
    CORDS("Cords"),
    HANDLES("Handles"),
    HANDLE_COUNT("How many handles"),
    STRAP("Strap"),
    FILLING("Filling"),
    LOOP("Hang loop"),
    LABEL("Label");

    private final String words;

    Choice(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** All that can be chosen of it, of any kind of bag. */
    public List<Option> options() {
        return Arrays.stream(Option.values())
                .filter(option -> option.choice() == this)
                .toList();
    }
}
