package mardun.core.batch;

import java.math.RoundingMode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.batch.CutList.PieceLine;
import mardun.core.cutting.PieceKey;
import mardun.core.cutting.PrintPlace;
import mardun.core.design.Mark;
import mardun.core.design.SizedMark;
import mardun.core.design.SizedPiece;
import mardun.core.material.PrintMotif;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;

/**
 * Which pieces show a part of a cloth's print, and where they have to lie for it. A piece says by a mark what it shows and where on it;
 * the cloth says where in its print that is. The cloth's end is squared where the first such piece begins.
 *
 * @param places of the kinds that show something
 * @param beginning where the end is squared; empty where no piece shows anything
 */
public record ShownMotifs(Map<PieceKey, PrintPlace> places, Optional<Beginning> beginning) {

    /** A cloth's end is squared so far above the middle of a part of its print. */
    public record Beginning(PrintMotif motif, Length above) {}

    public ShownMotifs {
        places = Map.copyOf(places);
    }

    /** What all the pieces that are cut from a cloth show of it. */
    public static ShownMotifs of(Supply supply, List<PieceLine> kinds) {
        Map<PieceKey, PrintPlace> places = new LinkedHashMap<>();
        Optional<Beginning> beginning = Optional.empty();
        Optional<Length> repeat = supply.lie().repeat().map(supply.shrinkage()::whenCut);
        if (repeat.isEmpty() || supply.sheet().isPresent()) {
            return new ShownMotifs(places, beginning);
        }
        Length edge = selvageInside(supply, kinds);
        Length first = Length.ZERO;
        for (PieceLine kind : kinds) {
            Optional<SizedMark> mark = markOf(kind.piece());
            Optional<PrintMotif> motif = mark.flatMap(its -> wanted(its, supply));
            if (motif.isEmpty()) {
                continue;
            }
            Extent cut = supply.shrinkage().toCut(kind.piece().extent());
            Length fromLeft = scaled(
                    mark.get().across().orElseThrow(), kind.piece().width().value(), cut.width());
            Length fromTop = scaled(
                    mark.get().down().orElseThrow(), kind.piece().height().value(), cut.height());
            Length begins = supply.shrinkage().whenCut(motif.get().down()).minus(fromTop);
            if (beginning.isEmpty()) {
                beginning = Optional.of(new Beginning(motif.get(), fromTop));
                first = begins;
            }
            places.put(
                    kind.key(),
                    new PrintPlace(
                            motif.get().name(),
                            motif.get()
                                    .across()
                                    .map(across -> supply.shrinkage()
                                            .whenCut(across)
                                            .plus(edge)
                                            .minus(fromLeft)),
                            within(begins.minus(first), repeat.get()),
                            fromLeft,
                            fromTop));
        }
        return new ShownMotifs(places, beginning);
    }

    /** The mark that says which part of the print a piece shows. */
    static Optional<SizedMark> markOf(SizedPiece piece) {
        return piece.marks().stream()
                .filter(mark -> mark.mark().kind() == Mark.Kind.MOTIF)
                .findFirst();
    }

    /** The part of a cloth's print that a mark asks for by its name; the first one where it has none. */
    static Optional<PrintMotif> wanted(SizedMark mark, Supply supply) {
        String name = mark.mark().label().strip();
        return supply.lie().motifs().stream()
                .filter(motif -> name.isEmpty() || motif.name().equalsIgnoreCase(name))
                .findFirst();
    }

    /** What squares a cloth's end: as much as ever, and up to a repeat where it begins at a part of the print. */
    public static Length squaring(Supply supply, List<PieceLine> kinds, Length usual) {
        return of(supply, kinds).beginning().isEmpty()
                ? usual
                : usual.plus(supply.shrinkage().whenCut(supply.lie().repeat().orElseThrow()));
    }

    /** How wide the selvage is on the left within the width that is cut. */
    private static Length selvageInside(Supply supply, List<PieceLine> kinds) {
        Length usable = supply.shrinkage().whenCut(supply.usableWidth().orElseThrow());
        return new Length(ClothNeeds.widthToCut(supply, kinds).minus(usable).nanometres() / 2);
    }

    /** A place on a piece that is cut larger than it is to be. */
    private static Length scaled(Length at, Length side, Length cut) {
        return Length.rounded(at.exact().multiply(cut.exact()).divide(side.exact()), RoundingMode.HALF_UP);
    }

    private static Length within(Length height, Length repeat) {
        return new Length(Math.floorMod(height.nanometres(), repeat.nanometres()));
    }
}
