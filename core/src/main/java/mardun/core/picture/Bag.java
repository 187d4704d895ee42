package mardun.core.picture;

import java.util.Optional;
import java.util.OptionalDouble;
import mardun.core.design.Design;
import mardun.core.design.Finished;
import mardun.core.design.FormMeasure;
import mardun.core.design.GussetedBag;
import mardun.core.design.Shape;
import mardun.core.design.SizedDesign;
import mardun.core.design.SizedPiece;
import mardun.core.design.SizedShape;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;

/** A size of a design as it is drawn: what it measures in millimetres, and what it is made of. */
final class Bag {

    private static final double NM_PER_MM = LengthUnit.MILLIMETRE.nanometres();

    final Design design;
    final SizedDesign sized;
    final double w;
    final double h;
    final double d;
    final String outer;
    final String inside;

    Bag(Design design, SizedDesign sized, Finished finished) {
        this.design = design;
        this.sized = sized;
        this.w = millimetres(finished.width().value());
        this.h = millimetres(finished.height().value());
        this.d = millimetres(finished.depth().value());
        this.outer = slotOf(design.form().outer()).orElse("");
        this.inside = slotOf(design.form().lining()).orElse(outer);
    }

    static boolean isPositive(Quantity quantity) {
        return quantity.value().signum() > 0;
    }

    Optional<SizedShape> topShape() {
        return design.form().outer().flatMap(sized::piece).stream()
                .flatMap(piece -> piece.shapes().stream())
                .filter(shape -> shape.kind() == Shape.Kind.NOTCHED || shape.kind() == Shape.Kind.SLANTED)
                .filter(shape -> shape.place() != Shape.Place.BOTTOM)
                .findFirst();
    }

    /** The outer of a free form, where it is about as large as what it becomes. */
    Optional<SizedPiece> whole() {
        return design.form().outer().flatMap(sized::piece);
    }

    Optional<String> slotOf(Optional<String> letter) {
        return letter.flatMap(its -> sized.piece(its)
                .map(piece -> piece.piece().slot())
                .or(() -> Bands.of(design, sized).stream()
                        .filter(band -> !band.isZip())
                        .map(Bands.Band::slot)
                        .findFirst()));
    }

    Optional<String> slotOfOther() {
        return design.form() instanceof GussetedBag bag
                ? sized.piece(bag.gusset()).map(piece -> piece.piece().slot())
                : Optional.empty();
    }

    double sewn(FormMeasure measure) {
        return sized.sewn()
                .filter(sewn -> sewn.has(measure))
                .map(sewn -> millimetres(sewn.get(measure)))
                .orElse(0.0);
    }

    /** What a measurement of the design comes to. */
    OptionalDouble typed(String symbol) {
        return Optional.ofNullable(sized.measurements().get(symbol.strip()))
                .map(figure -> OptionalDouble.of(millimetres(figure.value())))
                .orElse(OptionalDouble.empty());
    }

    static double millimetres(Length length) {
        return length.nanometres() / NM_PER_MM;
    }

    static double millimetres(Quantity quantity) {
        return quantity.value().doubleValue() / NM_PER_MM;
    }
}
