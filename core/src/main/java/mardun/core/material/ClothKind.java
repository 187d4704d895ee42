package mardun.core.material;

import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;

/**
 * What kind of cloth it is, with the usual values of that kind: how thick a layer is, whether an iron may touch it,
 * whether its edge frays, and which needles suit it.
 */
public enum ClothKind {
    QUILTING_COTTON("quilting cotton", 3, true, true, 70, 90),
    LINEN("linen", 4, true, true, 80, 90),
    CANVAS("canvas", 7, true, true, 90, 100),
    DENIM("denim", 9, true, true, 90, 110),
    LAMINATE("laminate", 4, false, false, 80, 90),
    CLEAR_VINYL("clear vinyl", 4, false, false, 80, 100),
    LEATHER_LIKE("leather-like vinyl", 10, false, false, 90, 110),
    CORK("cork", 7, false, false, 80, 100),
    FELT("felt", 15, true, false, 80, 100),
    MESH("mesh", 4, false, false, 80, 90),
    FUSIBLE("fusible interfacing", 2, true, false, 70, 100),
    BATTING("batting or fleece", 20, true, false, 70, 100),
    FOAM("foam", 30, false, false, 80, 100);

    private final String words;
    private final Length thickness;
    private final boolean ironable;
    private final boolean frays;
    private final int finestNeedle;
    private final int heaviestNeedle;

    ClothKind(
            String words,
            int tenthsOfMillimetre,
            boolean ironable,
            boolean frays,
            int finestNeedle,
            int heaviestNeedle) {
        this.words = words;
        this.thickness = Length.of(tenthsOfMillimetre, 10, LengthUnit.MILLIMETRE);
        this.ironable = ironable;
        this.frays = frays;
        this.finestNeedle = finestNeedle;
        this.heaviestNeedle = heaviestNeedle;
    }

    public String words() {
        return words;
    }

    /** How thick one layer usually is under the foot. */
    public Length thickness() {
        return thickness;
    }

    public boolean isIronable() {
        return ironable;
    }

    /** What an iron does to it, where none may touch it. */
    public String underAnIron() {
        return this == CORK ? "it dries out and comes off its backing" : "it melts and fumes";
    }

    /** Whether its edge is overlocked or zigzagged. */
    public boolean frays() {
        return frays;
    }

    /** Whether it is folded rather than crumpled when a bag is turned. */
    public boolean isStiff() {
        return this == FOAM || this == CORK || this == LEATHER_LIKE;
    }

    /** The finest needle that suits it, as its metric number. */
    public int finestNeedle() {
        return finestNeedle;
    }

    /** The heaviest needle that suits it, as its metric number. */
    public int heaviestNeedle() {
        return heaviestNeedle;
    }

    /** Of two kinds, the one that asks for the heavier needle, or is thicker where both ask for the same. */
    public static ClothKind heaviest(ClothKind first, ClothKind second) {
        if (first.finestNeedle != second.finestNeedle) {
            return first.finestNeedle > second.finestNeedle ? first : second;
        }
        return second.thickness.isLongerThan(first.thickness) ? second : first;
    }
}
