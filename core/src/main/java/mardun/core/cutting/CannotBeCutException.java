package mardun.core.cutting;

import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.working.Sentence;
import mardun.core.working.Value;

/** A piece that no cut from this cloth gives. */
public final class CannotBeCutException extends RuntimeException {

    private final transient Sentence sentence;

    public CannotBeCutException(Sentence sentence) {
        super(sentence.words());
        this.sentence = sentence;
    }

    /** A piece that is wider than the cloth, with what would do: turned where it may be, it is too wide all the same. */
    static CannotBeCutException tooWide(CutPiece piece, Length clothWidth) {
        Length width = piece.extent().width();
        Length height = piece.extent().height();
        Length needed = piece.mayTurn() && height.compareTo(width) < 0 ? height : width;
        boolean wouldFitTurned = !piece.mayTurn() && height.compareTo(clothWidth) <= 0;
        String remedy = wouldFitTurned
                ? "Turned it would fit, but it has a top: choose a cloth without direction, or one that is {1} wide."
                : "Join it from two, choose a cloth that is {1} wide, or a smaller size.";
        return new CannotBeCutException(Sentence.of(
                "{0} is {1} wide, and the cloth only {2}. " + remedy,
                Value.of(piece.name()),
                Value.of(needed),
                Value.of(clothWidth)));
    }

    /** A piece that the cloth doesn't hold whole at any place where it would show what it has to. */
    static CannotBeCutException offThePrint(CutPiece piece, Length clothWidth) {
        return new CannotBeCutException(Sentence.of(
                "{0} is {1} wide, and nowhere across the {2} of the cloth does it lie whole with its part of the print where it has"
                        + " to be. Mark another part of the print, or move the mark on the piece.",
                Value.of(piece.name()), Value.of(piece.extent().width()), Value.of(clothWidth)));
    }

    /** A piece that no sheet of a size holds. */
    public static CannotBeCutException largerThanASheet(CutPiece piece, Extent sheet) {
        return new CannotBeCutException(Sentence.of(
                "{0} is {1} × {2}, and a sheet only {3} × {4}. Join it from two, or choose a larger sheet or cloth from a roll.",
                Value.of(piece.name()),
                Value.of(piece.extent().width()),
                Value.of(piece.extent().height()),
                Value.of(sheet.width()),
                Value.of(sheet.height())));
    }

    public Sentence sentence() {
        return sentence;
    }
}
