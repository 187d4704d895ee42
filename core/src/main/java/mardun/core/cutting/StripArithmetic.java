package mardun.core.cutting;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.working.Figure;
import mardun.core.working.Value;
import mardun.core.working.Working;

/**
 * The maker's own arithmetic with a pencil: for each kind of piece, how many lie side by side in a strip across the
 * cloth, how many strips that makes, and the heights of all strips added up. A piece without a top is turned where that
 * takes less.
 */
public final class StripArithmetic implements ClothPlanner {

    @Override
    public ClothNeed plan(ShelfCloth cloth, List<CutPiece> pieces) {
        List<ClothNeed.Strip> strips = new ArrayList<>();
        for (CutPiece piece : pieces) {
            strips.add(strip(cloth.widthFor(piece), piece));
        }
        Length total = strips.stream().map(ClothNeed.Strip::length).reduce(Length.ZERO, Length::plus);
        Working.Builder working = Working.of("Strips across the usable width, one after another: for each kind of piece"
                + " the number of strips times the strip's height.");
        List<String> terms = new ArrayList<>();
        for (int i = 0; i < strips.size(); i++) {
            ClothNeed.Strip strip = strips.get(i);
            String rows = "strips " + (i + 1);
            String height = "height " + (i + 1);
            terms.add("{" + rows + "} × {" + height + "}");
            working.input(
                            rows,
                            "strips of " + strip.piece().name(),
                            Value.of(strip.rows()),
                            rows(cloth.widthFor(strip.piece()), strip))
                    .input(
                            height,
                            strip.turned() ? "height of the strip, pieces turned" : "height of the strip",
                            Value.of(strip.height()));
        }
        Working told = working.expression(String.join(" + ", terms)).gives(new Value.OnTheShelf(total));
        return new ClothNeed(new Figure<>(total, told), List.copyOf(strips));
    }

    private static ClothNeed.Strip strip(Length usableWidth, CutPiece piece) {
        Optional<ClothNeed.Strip> upright = strip(usableWidth, piece, false);
        Optional<ClothNeed.Strip> turned = piece.mayTurn() ? strip(usableWidth, piece, true) : Optional.empty();
        if (upright.isEmpty() && turned.isEmpty()) {
            throw CannotBeCutException.tooWide(piece, usableWidth);
        }
        if (upright.isEmpty()) {
            return turned.get();
        }
        return turned.filter(t -> upright.get().length().isLongerThan(t.length()))
                .orElse(upright.get());
    }

    private static Optional<ClothNeed.Strip> strip(Length usableWidth, CutPiece piece, boolean turned) {
        Extent extent = turned ? piece.extent().turned() : piece.extent();
        long across = usableWidth.fits(extent.width());
        if (across == 0) {
            return Optional.empty();
        }
        long rows = (piece.count() + across - 1) / across;
        return Optional.of(new ClothNeed.Strip(piece, extent.height(), rows, across, turned));
    }

    private static Working rows(Length usableWidth, ClothNeed.Strip strip) {
        Extent extent =
                strip.turned() ? strip.piece().extent().turned() : strip.piece().extent();
        return Working.of("As many side by side as fit the usable width; as many strips as that takes.")
                .expression("{n} ÷ ({width} ÷ {w})")
                .input("n", "pieces", Value.of(strip.piece().count()))
                .input("width", "usable width", Value.of(usableWidth))
                .input("w", "width of the piece", Value.of(extent.width()))
                .rounded("side by side rounded down to " + strip.across() + ", strips rounded up")
                .gives(Value.of(strip.rows()));
    }
}
