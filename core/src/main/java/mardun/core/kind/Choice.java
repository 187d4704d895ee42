package mardun.core.kind;

import java.util.Arrays;
import java.util.List;
import mardun.core.design.BagPart;

/**
 * What can be decided about how a bag is made; each kind of bag asks only for what it has. Where two choices can't be
 * together, the one that stands first here is kept.
 */
public enum Choice {
    LINING("Lining", BagPart.LINING),
    CORNERS("Corners", BagPart.BODY),
    BASE("Base", BagPart.BODY),
    TOP("Top", BagPart.BODY),
    ZIP_ENDS("Zip ends", BagPart.ZIP),
    STIFFENING("Stiffening", BagPart.STIFFENING),
    POCKET("Pocket inside", BagPart.POCKETS),
    CLOSING("Closing", BagPart.CLOSING),
    FLAP("Flap", BagPart.CLOSING),
    SLOTS("Slots", BagPart.POCKETS),
    CORDS("Cords", BagPart.CLOSING),
    HANDLES("Handles", BagPart.STRAPS),
    HANDLE_COUNT("How many handles", BagPart.STRAPS),
    STRAP("Strap", BagPart.STRAPS),
    FILLING("Filling", BagPart.FILLING),
    LOOP("Hang loop", BagPart.STRAPS),
    LABEL("Label", BagPart.LABEL);

    private final String words;
    private final BagPart part;

    Choice(String words, BagPart part) {
        this.words = words;
        this.part = part;
    }

    /** The part of the bag that it decides about. */
    public BagPart part() {
        return part;
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
