package mardun.core.kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import mardun.core.design.Design;
import mardun.core.design.Piece;
import mardun.core.design.SizedDesign;
import mardun.core.design.SizedPiece;
import mardun.core.design.SizedTrim;
import mardun.core.design.Sizing;
import mardun.core.design.TrimNeed;
import mardun.core.measure.Length;
import mardun.core.measure.LengthWriter;
import mardun.core.measure.UnitSystem;
import mardun.core.working.Sentence;
import mardun.core.working.Value;

/**
 * What a paper says of the other pieces, held against what the bag's measures ask for. What the paper says is kept as it stands;
 * what doesn't agree is named.
 */
public final class PaperCheck {

    private PaperCheck() {}

    /**
     * What a paper says of a piece or a trim.
     *
     * @param width empty where it says nothing, and of a trim
     * @param height of a trim its length; empty where it says nothing
     */
    public record Says(String letter, Optional<Length> width, Optional<Length> height) {}

    /** The design with what the paper says, and what of that doesn't agree with its measures. */
    public record Checked(Design design, List<Sentence> disagreements) {}

    public static Checked of(Design design, List<Says> paper, UnitSystem system) {
        Map<String, Says> said =
                paper.stream().collect(Collectors.toMap(Says::letter, Function.identity(), (a, b) -> b));
        SizedDesign sized = Sizing.of(design, 0);
        List<Sentence> disagreements = new ArrayList<>();
        List<Piece> pieces = design.pieces().stream()
                .map(piece -> sized.piece(piece.letter())
                        .filter(one -> said.containsKey(piece.letter()))
                        .map(one -> kept(one, said.get(piece.letter()), system, disagreements))
                        .orElse(piece))
                .toList();
        List<TrimNeed> trims = design.trims().stream()
                .map(trim -> sized.trim(trim.letter())
                        .filter(one -> said.containsKey(trim.letter()))
                        .map(one -> kept(one, said.get(trim.letter()), system, disagreements))
                        .orElse(trim))
                .toList();
        return new Checked(design.withCut(pieces, trims), disagreements);
    }

    private static Piece kept(SizedPiece sized, Says says, UnitSystem system, List<Sentence> disagreements) {
        Length width = sized.width().value();
        Length height = sized.height().value();
        Length wide = says.width().orElse(width);
        Length high = says.height().orElse(height);
        if (wide.equals(width) && high.equals(height)) {
            return sized.piece();
        }
        disagreements.add(Sentence.of(
                "{0}: the paper says {1} × {2}, and with these measures it comes to {3} × {4}.",
                Value.of(sized.piece().name()), Value.of(wide), Value.of(high), Value.of(width), Value.of(height)));
        return sized.piece()
                .cut(
                        wide.equals(width) ? sized.piece().width() : LengthWriter.exactly(wide, system),
                        high.equals(height) ? sized.piece().height() : LengthWriter.exactly(high, system));
    }

    private static TrimNeed kept(SizedTrim sized, Says says, UnitSystem system, List<Sentence> disagreements) {
        Length length = sized.length().value();
        Length said = says.height().orElse(length);
        if (said.equals(length)) {
            return sized.trim();
        }
        disagreements.add(Sentence.of(
                "{0}: the paper says {1}, and with these measures it comes to {2}.",
                Value.of(sized.trim().name()), Value.of(said), Value.of(length)));
        return sized.trim().asLongAs(LengthWriter.exactly(said, system));
    }
}
