package mardun.core.cutting;

/**
 * What a kind of piece is known by in a batch: two lines may be of designs that both have an A, and these never meet.
 *
 * @param line the number of the batch's line, from 1 on
 * @param letter of the piece in its line's design
 */
public record PieceKey(int line, String letter) implements Comparable<PieceKey> {

    public PieceKey {
        if (line < 1) {
            throw new IllegalArgumentException("lines are numbered from 1 on: " + line);
        }
    }

    /** A piece of a batch's first line, or of its only one. */
    public static PieceKey of(String letter) {
        return new PieceKey(1, letter);
    }

    @Override
    public int compareTo(PieceKey other) {
        int byLine = Integer.compare(line, other.line);
        return byLine != 0 ? byLine : letter.compareTo(other.letter);
    }

    /** As it is written where a batch has several lines: {@code 3A}, or {@code 3·2a} where the letter begins with a digit. */
    @Override
    public String toString() {
        boolean runsTogether = !letter.isEmpty() && Character.isDigit(letter.charAt(0));
        return line + (runsTogether ? "·" : "") + letter;
    }
}
