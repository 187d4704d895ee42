package mardun.core.batch;

import java.time.Duration;
import java.util.Map;
import java.util.TreeMap;
import mardun.core.money.Apportionment;

/**
 * Cut pieces that came to a line of a batch from elsewhere or went from it: onto the shelf, cut and not sewn, or with bags into a
 * batch of their own. What is cut of a cloth for the line is for its bags and for those whose pieces went, without those whose
 * pieces came.
 *
 * @param cloths by the cloth's key
 * @param cutting for how many bags more than it makes the cutting is the line's work; fewer where it is below zero
 * @param time hands-on time that came with bags, less what went with them
 */
public record PiecesMoved(Map<String, OfCloth> cloths, int cutting, Duration time) {

    public static final PiecesMoved NONE = new PiecesMoved(Map.of(), 0, Duration.ZERO);

    /**
     * The pieces of one cloth.
     *
     * @param came for how many bags pieces came
     * @param went for how many bags pieces went
     * @param minor what those that came cost, less what those that went cost, in minor units
     */
    public record OfCloth(int came, int went, long minor) {

        public static final OfCloth NONE = new OfCloth(0, 0, 0);

        /** Pieces for so many bags go, with what their cloth cost. */
        public OfCloth goes(int bags, long itsMinor) {
            return new OfCloth(came, Math.addExact(went, bags), Math.subtractExact(minor, itsMinor));
        }

        /** Pieces for so many bags come. */
        public OfCloth comes(int bags, long itsMinor) {
            return new OfCloth(Math.addExact(came, bags), went, Math.addExact(minor, itsMinor));
        }

        /** Pieces that went come back, as if they had stayed. */
        public OfCloth back(int bags, long itsMinor) {
            return new OfCloth(came, Math.subtractExact(went, bags), Math.addExact(minor, itsMinor));
        }
    }

    public PiecesMoved {
        cloths = Map.copyOf(cloths);
    }

    public OfCloth of(String cloth) {
        return cloths.getOrDefault(cloth, OfCloth.NONE);
    }

    /** The same with other figures for one cloth. */
    public PiecesMoved with(String cloth, OfCloth its) {
        Map<String, OfCloth> next = new TreeMap<>(cloths);
        next.put(cloth, its);
        if (its.equals(OfCloth.NONE)) {
            next.remove(cloth);
        }
        return new PiecesMoved(next, cutting, time);
    }

    /** The same, where the cutting of so many bags more is the line's work, and so much time came with bags. */
    public PiecesMoved working(int moreBags, Duration moreTime) {
        return new PiecesMoved(cloths, Math.addExact(cutting, moreBags), time.plus(moreTime));
    }

    /** The same for a line that makes only so many: what it would bring beyond them stays where it is. */
    PiecesMoved atMost(int bags) {
        PiecesMoved fewer = this;
        for (Map.Entry<String, OfCloth> cloth : cloths.entrySet()) {
            OfCloth its = cloth.getValue();
            if (its.went == 0 && its.came > bags) {
                fewer = fewer.with(
                        cloth.getKey(), new OfCloth(bags, 0, Apportionment.share(its.minor, bags, its.came)));
            }
        }
        return fewer;
    }

    /** For how many bags this cloth is cut here, of a line that makes so many. */
    public int cutHere(String cloth, int bags) {
        OfCloth its = of(cloth);
        return Math.max(0, bags + its.went - its.came);
    }

    /** For how many bags the cutting is the line's work. */
    public int cutting(int bags) {
        return Math.max(0, bags + cutting);
    }
}
