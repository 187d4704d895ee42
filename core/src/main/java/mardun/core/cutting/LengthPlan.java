package mardun.core.cutting;

import java.util.List;
import mardun.core.material.Roll;
import mardun.core.measure.Length;

/**
 * Which lengths are cut from which rolls and left-over lengths.
 *
 * @param cuts those that are cut into, the shortest first
 * @param missing what the shelf doesn't give, and has to be bought in one piece
 * @param isLeast nothing better is possible; else the search was given up before all was tried
 */
public record LengthPlan(List<CutRoll> cuts, List<LengthPiece> missing, Length endTrim, boolean isLeast) {

    public LengthPlan {
        cuts = List.copyOf(cuts);
        missing = List.copyOf(missing);
    }

    /**
     * A roll that is cut into.
     *
     * @param pieces what it gives, the longest first
     * @param rest what is left of it
     * @param isKept the rest is long enough to keep; else it is lost
     */
    public record CutRoll(Roll roll, List<LengthPiece> pieces, Length rest, boolean isKept) {

        public CutRoll {
            pieces = List.copyOf(pieces);
        }

        /** What leaves the shelf: all of it, where the rest is lost. */
        public Length taken() {
            return isKept ? roll.length().minus(rest) : roll.length();
        }

        /** What is too short to keep. */
        public Length lost() {
            return isKept ? Length.ZERO : rest;
        }
    }

    /** What leaves the shelf. */
    public Length taken() {
        return cuts.stream().map(CutRoll::taken).reduce(Length.ZERO, Length::plus);
    }

    /** The rests that are too short to keep, together. */
    public Length lost() {
        return cuts.stream().map(CutRoll::lost).reduce(Length.ZERO, Length::plus);
    }

    /** What has to be bought in one piece, with what is trimmed off its end; zero for nothing. */
    public Length toBuy() {
        return missing.isEmpty()
                ? Length.ZERO
                : missing.stream().map(LengthPiece::together).reduce(endTrim, Length::plus);
    }

    /** How many ends are trimmed. */
    public int trimmed() {
        return cuts.size() + (missing.isEmpty() ? 0 : 1);
    }
}
