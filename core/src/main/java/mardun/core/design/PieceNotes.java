package mardun.core.design;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import mardun.core.working.Sentence;
import mardun.core.working.Value;

/**
 * What has to be cut away from a piece and marked on it, as a maker says it to whoever cuts: from the edge that is nearer, from a
 * fold, from the centre, from this to that.
 */
public final class PieceNotes {

    private static final Length NEAR = new Length(1_000);

    private final SizedPiece piece;
    private final Extent extent;

    private PieceNotes(SizedPiece piece) {
        this.piece = piece;
        this.extent = piece.extent();
    }

    /** The notes of a piece, shapes first. */
    public static List<Sentence> of(SizedPiece piece) {
        PieceNotes notes = new PieceNotes(piece);
        List<Sentence> all = new ArrayList<>();
        piece.shapes().forEach(shape -> all.add(notes.shape(shape)));
        piece.boxed().ifPresent(corner -> all.add(notes.boxed(corner)));
        piece.marks().forEach(mark -> all.add(notes.mark(mark)));
        return all;
    }

    private Sentence shape(SizedShape shape) {
        Value across = Value.of(shape.across());
        Value along = Value.of(shape.along());
        String where = shape.place().words();
        boolean allOfTheEnd = isNear(shape.across().times(2), extent.width());
        boolean even = shape.across().equals(shape.along());
        return switch (shape.kind()) {
            case RECTANGLE -> Sentence.of("A plain rectangle.");
            case CORNERS_CUT -> Sentence.of("Corners cut out {0} × {1} " + where + ".", across, along);
            case SLANTED ->
                allOfTheEnd
                        ? Sentence.of("Pointed " + where + ": the point is {0} high.", along)
                        : Sentence.of(
                                "Corners cut off on the slant, {0} wide and {1} high, " + where + ".", across, along);
            case ROUNDED -> {
                if (allOfTheEnd) {
                    yield even
                            ? Sentence.of("Half a circle " + where + ", radius {0}.", across)
                            : Sentence.of("Half a round " + where + ", {0} high.", along);
                }
                yield even
                        ? Sentence.of("Corners rounded {0} " + where + ".", across)
                        : Sentence.of("Corners rounded {0} wide and {1} high " + where + ".", across, along);
            }
            case NOTCHED -> Sentence.of("A V {0} wide and {1} deep in the middle " + where + ".", across, along);
            case TAPERED -> Sentence.of("Each side leans in {0} " + where + ".", across);
            case CIRCLE ->
                Sentence.of(
                        "A circle {0} across.",
                        Value.of(extent.width().compareTo(extent.height()) < 0 ? extent.width() : extent.height()));
            case DRAWN -> drawn(shape);
            case OVAL -> Sentence.of("An oval in the rectangle.");
            case CIRCLE_WITH_FLAT ->
                Sentence.of(
                        "A circle {0} across, cut straight "
                                + (shape.place() == Shape.Place.TOP ? Shape.Place.TOP : Shape.Place.BOTTOM).words()
                                + ".",
                        Value.of(extent.width()));
        };
    }

    private Sentence drawn(SizedShape shape) {
        double rectangle = Quantity.of(extent.width())
                .times(Quantity.of(extent.height()))
                .value()
                .doubleValue();
        double squareMillimetre = Math.pow(LengthUnit.MILLIMETRE.nanometres(), 2);
        Value taken = new Value.Share(BigDecimal.valueOf(piece.outline().area() * squareMillimetre / rectangle)
                .setScale(2, RoundingMode.HALF_EVEN));
        return shape.along().isPositive()
                ? Sentence.of(
                        "Cut by its template, {0} let in across; it takes {1} of its rectangle.",
                        Value.of(shape.along()), taken)
                : Sentence.of("Cut by its template; it takes {0} of its rectangle.", taken);
    }

    private Sentence boxed(SizedPiece.BoxedCorner corner) {
        boolean marked = piece.markedCorners().isPresent();
        String from = marked
                ? "Corners marked for boxing: {0} from the side seam, {1} from the base"
                : "Corners cut out for boxing: {0} from the side, {1} from the base";
        Value side = Value.of(corner.fromSide());
        Value base = Value.of(corner.fromBase());
        return corner.fromFold()
                .map(fold -> Sentence.of(from + ", {2} on each side of a fold.", side, base, Value.of(fold)))
                .orElseGet(() -> Sentence.of(from + ".", side, base));
    }

    private Sentence mark(SizedMark mark) {
        List<Value> values = new ArrayList<>();
        values.add(Value.of(named(mark.mark())));
        Optional<String> size = size(mark, values);
        Optional<String> across = mark.across()
                .map(at -> place(
                        at,
                        mark.width(),
                        extent.width(),
                        new Edge("left", "the left"),
                        new Edge("right", "the right"),
                        mark,
                        values));
        Optional<String> down = mark.down()
                .map(at -> place(
                        at,
                        mark.height(),
                        extent.height(),
                        new Edge("top", "the top"),
                        new Edge("bottom", "the bottom"),
                        mark,
                        values));
        String where = String.join(
                ", ", Stream.of(size, down, across).flatMap(Optional::stream).toList());
        return where.isEmpty()
                ? Sentence.of("{0}.", values.get(0))
                : new Sentence("{0}: " + where + ".", List.copyOf(values));
    }

    private static String named(Mark mark) {
        if (mark.kind() == Mark.Kind.MOTIF && !mark.label().isBlank()) {
            return "“" + mark.label() + "” of the print";
        }
        String label = mark.label().isBlank() ? mark.kind().words() : mark.label();
        return switch (mark.half()) {
            case WHOLE -> label;
            case SOCKET -> label + " (socket)";
            case STUD -> label + " (stud)";
        };
    }

    private static Optional<String> size(SizedMark mark, List<Value> values) {
        boolean wide = mark.width().isPositive();
        boolean high = mark.height().isPositive();
        if (wide && high) {
            return Optional.of(put(mark.width(), values) + " × " + put(mark.height(), values));
        }
        return wide
                ? Optional.of(put(mark.width(), values) + " wide")
                : high ? Optional.of(put(mark.height(), values) + " high") : Optional.empty();
    }

    private static String put(Length length, List<Value> values) {
        values.add(Value.of(length));
        return "{" + (values.size() - 1) + "}";
    }

    /** An edge with its key among the allowances and its name. */
    private record Edge(String key, String words) {}

    /** Where something of a size begins between two edges: in the middle, or so far from the nearer edge, or from this to that. */
    private String place(
            Length at, Length size, Length whole, Edge first, Edge last, SizedMark mark, List<Value> values) {
        Length rest = whole.minus(at).minus(size);
        if (isNear(at, rest)) {
            return first.key().equals("left") ? "in the middle" : "in the middle of the height";
        }
        boolean fromLast = rest.compareTo(at) < 0;
        Edge edge = fromLast ? last : first;
        boolean finished = mark.mark().from() == Mark.From.FINISHED;
        Length inside = finished ? piece.allowances().getOrDefault(edge.key(), Length.ZERO) : Length.ZERO;
        Length near = (fromLast ? rest : at).minus(inside);
        String from = isFold(edge.key()) ? "the fold" : edge.words() + (finished ? " seam" : " edge");
        if (!size.isPositive() && near.nanometres() == 0) {
            return "along " + from;
        }
        return size.isPositive()
                ? "from " + put(near, values) + " to " + put(near.plus(size), values) + " from " + from
                : put(near, values) + " from " + from;
    }

    private boolean isFold(String side) {
        return piece.piece().edges().bySide().getOrDefault(side, "").strip().equals(Edges.FOLD);
    }

    private static boolean isNear(Length one, Length other) {
        return Math.abs(one.minus(other).nanometres()) <= NEAR.nanometres();
    }
}
