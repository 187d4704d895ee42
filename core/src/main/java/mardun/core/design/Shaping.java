package mardun.core.design;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.Boxing;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.working.Sentence;
import mardun.core.working.Value;

/**
 * What is cut away from the pieces of one size: by their shapes, and where their corners are boxed.
 *
 * @param corner what is measured at a boxed corner, where the form has any
 */
record Shaping(BagForm form, Optional<Boxing.Corner> corner, Measures measures, Findings findings) {

    private static final double NM_PER_MM = LengthUnit.MILLIMETRE.nanometres();

    /** The line along which a piece is cut, shapes and boxed corners taken away. */
    Outline outline(Piece piece, Extent extent, List<SizedShape> shapes) {
        double w = millimetres(extent.width());
        double h = millimetres(extent.height());
        for (SizedShape shape : shapes) {
            switch (shape.kind()) {
                case CIRCLE -> {
                    double across = Math.min(w, h);
                    return Outline.oval(across, across).moved((w - across) / 2, (h - across) / 2);
                }
                case OVAL -> {
                    return Outline.oval(w, h);
                }
                case CIRCLE_WITH_FLAT -> {
                    return Outline.circleWithFlat(w, h, shape.place() == Shape.Place.TOP);
                }
                case DRAWN -> {
                    return shape.outline().orElseGet(() -> Outline.rectangle(w, h));
                }
                default -> {}
            }
        }
        Outlining outlining = new Outlining(w, h);
        shapes.forEach(shape ->
                outlining.with(shape.kind(), shape.place(), millimetres(shape.across()), millimetres(shape.along())));
        if (piece.boxed() && form instanceof BoxedBag bag && corner.isPresent()) {
            boxed(outlining, bag, corner.get(), w);
        }
        return outlining.outline();
    }

    /** Corners that are cut out after sewing are only marked, so the piece stays a rectangle. */
    private void boxed(Outlining outlining, BoxedBag bag, Boxing.Corner corner, double width) {
        if (bag.school().isCutOut()) {
            corners(outlining, bag, corner.fromSide().value(), corner.fromBase().value(), width);
        }
    }

    /**
     * The cut-outs of a boxed panel: at its bottom corners, at a base fold in the middle of its sides, and of a piece that goes
     * round the bag at its fold, or twice between its seam.
     */
    private void corners(Outlining outlining, BoxedBag bag, Quantity fromSide, Quantity fromBase, double width) {
        double across = millimetres(fromSide);
        double along = millimetres(fromBase);
        if (bag.base() == BaseEdge.FOLD) {
            outlining.sidesCut(across, 2 * along);
            return;
        }
        Quantity side = measures.length("form." + FormMeasure.SIDE.key(), bag.sideSeam())
                .orElse(Sewn.NOTHING);
        double fold = 2 * millimetres(fromFold(bag));
        double between = width - 2 * millimetres(side);
        switch (bag.sides()) {
            case SEAMS -> outlining.with(Shape.Kind.CORNERS_CUT, Shape.Place.BOTTOM, across, along);
            case ONE_FOLD ->
                outlining
                        .with(Shape.Kind.CORNERS_CUT, Shape.Place.BOTTOM, across, along)
                        .bottomCut(width / 2, fold, along);
            case BACK_SEAM ->
                outlining
                        .bottomCut(width / 2 - between / 4, fold, along)
                        .bottomCut(width / 2 + between / 4, fold, along);
        }
    }

    /** The shapes of a piece that can be cut together; one that can't is told and left out. */
    List<SizedShape> shapes(Piece piece, Extent extent, Map<String, Length> allowances, String place) {
        List<SizedShape> sized = new ArrayList<>();
        for (int i = 0; i < piece.shapes().size(); i++) {
            Shape shape = piece.shapes().get(i);
            String at = place + ".shapes." + i;
            if (shape.kind() == Shape.Kind.DRAWN) {
                if (isAlone(piece, i, at)) {
                    sized.add(new DrawnShaping(piece, extent, allowances, measures, findings, at).sized(shape));
                }
                continue;
            }
            Optional<Length> across = shape.kind().asksAcross()
                    ? measures.stated(at + ".across", shape.across())
                    : Optional.of(Length.ZERO);
            Optional<Length> along = shape.kind().asksAlong() || !shape.along().isBlank()
                    ? measures.stated(at + ".along", shape.along())
                    : across;
            if (across.isEmpty() || along.isEmpty()) {
                continue;
            }
            SizedShape one = new SizedShape(shape.kind(), shape.place(), across.get(), along.get(), Optional.empty());
            if (isAlone(piece, i, at) && fits(piece, extent, sized, one, at)) {
                sized.add(one);
            }
        }
        return List.copyOf(sized);
    }

    private boolean isAlone(Piece piece, int index, String at) {
        Shape shape = piece.shapes().get(index);
        boolean clashes = piece.shapes().subList(0, index).stream().anyMatch(shape::clashesWith)
                || (piece.boxed() && shape.kind() == Shape.Kind.DRAWN)
                || (piece.boxed()
                        && shape.kind().part() == Shape.Part.CORNERS
                        && shape.place().isAtBottom()
                        && form instanceof BoxedBag bag
                        && bag.base() != BaseEdge.FOLD);
        if (clashes) {
            findings.refuse(
                    at,
                    Sentence.of(
                            "{0}: two of its shapes are about "
                                    + shape.kind().part().words() + " "
                                    + shape.place().words() + ".",
                            Value.of(piece.name())),
                    Sentence.of("Keep one of them there, or put the other at the other end."));
        }
        return !clashes;
    }

    /** Whether a shape leaves something of its rectangle, beside those before it; if not, it can't be cut, and that is told. */
    private boolean fits(Piece piece, Extent extent, List<SizedShape> before, SizedShape shape, String at) {
        if (shape.kind() == Shape.Kind.CIRCLE_WITH_FLAT) {
            boolean isRound = extent.height().compareTo(extent.width()) <= 0
                    && extent.height().times(2).compareTo(extent.width()) >= 0;
            if (!isRound) {
                findings.refuse(
                        at,
                        Sentence.of(
                                "{0} is {1} high, and a circle of {2} with a flat is at least half as high and at most as high as"
                                        + " it is wide.",
                                Value.of(piece.name()), Value.of(extent.height()), Value.of(extent.width())),
                        Sentence.of("Make it lower or higher, or take an oval."));
            }
            return isRound;
        }
        List<SizedShape> all = Stream.concat(before.stream(), Stream.of(shape)).toList();
        boolean leaves = leavesSomething(all, extent, true)
                && leavesSomething(all, extent, false)
                && !high(all, true, Shape.Part.CORNERS)
                        .plus(high(all, false, Shape.Part.CORNERS))
                        .isLongerThan(extent.height())
                && high(all, true, Shape.Part.MIDDLE)
                                .plus(high(all, false, Shape.Part.MIDDLE))
                                .compareTo(extent.height())
                        < 0;
        if (!leaves) {
            findings.refuse(
                    at,
                    Sentence.of("{0}: what its shape takes away leaves nothing of it.", Value.of(piece.name())),
                    Sentence.of("Make the cut-out, the notch or the radius smaller, or the piece larger."));
        }
        return leaves;
    }

    /** The most that shapes of a part take of the height at an end. */
    private static Length high(List<SizedShape> shapes, boolean top, Shape.Part part) {
        return shapes.stream()
                .filter(shape -> shape.isAt(top) && shape.kind().part() == part)
                .map(SizedShape::along)
                .reduce(Length.ZERO, Length::max);
    }

    /** Whether the cut-outs, the notch and the lean of an end have room beside one another in its width. */
    private static boolean leavesSomething(List<SizedShape> shapes, Extent extent, boolean top) {
        Length taken = Length.ZERO;
        boolean cutOut = false;
        for (SizedShape shape : shapes) {
            if (shape.isAt(top)) {
                taken = taken.plus(
                        switch (shape.kind().part()) {
                            case CORNERS, SIDES -> shape.across().times(2);
                            case MIDDLE -> shape.across();
                            case WHOLE -> Length.ZERO;
                        });
                cutOut |= shape.kind() == Shape.Kind.CORNERS_CUT;
            }
        }
        int room = taken.compareTo(extent.width());
        return cutOut ? room < 0 : room <= 0;
    }

    /** Corners that are boxed after sewing: their lines lie as far from the stitching as the school says. */
    Optional<Outline> markedCorners(Piece piece, Extent extent) {
        if (!piece.boxed()
                || corner.isEmpty()
                || !(form instanceof BoxedBag bag)
                || bag.school().isCutOut()) {
            return Optional.empty();
        }
        Quantity side = measures.length("form." + FormMeasure.SIDE.key(), bag.sideSeam())
                .orElse(Sewn.NOTHING);
        Quantity base = bag.base() == BaseEdge.FOLD
                ? Sewn.NOTHING
                : measures.length("form." + FormMeasure.BASE.key(), bag.baseSeam())
                        .orElse(Sewn.NOTHING);
        double w = millimetres(extent.width());
        Outlining marked = new Outlining(w, millimetres(extent.height()));
        corners(
                marked,
                bag,
                corner.get().fromSide().value().plus(side),
                corner.get().fromBase().value().plus(base),
                w);
        return Optional.of(marked.outline());
    }

    /** What boxing takes of a corner, as it is said. */
    Optional<SizedPiece.BoxedCorner> boxedCorner() {
        return corner.map(one -> new SizedPiece.BoxedCorner(
                one.fromSide().value().toLength(ShownRounding.NEAREST),
                one.fromBase().value().toLength(ShownRounding.NEAREST),
                form instanceof BoxedBag bag && bag.sides().isRound()
                        ? Optional.of(fromFold(bag).toLength(ShownRounding.NEAREST))
                        : Optional.empty()));
    }

    private Quantity fromFold(BoxedBag bag) {
        Quantity boxing = measures.length("form." + FormMeasure.BOXING.key(), bag.boxingSeam())
                .orElse(Sewn.NOTHING);
        Quantity depth =
                measures.length("form." + FormMeasure.DEPTH.key(), bag.depth()).orElse(Sewn.NOTHING);
        return Boxing.fromFold(bag.school(), depth, boxing).value();
    }

    private static double millimetres(Length length) {
        return length.nanometres() / NM_PER_MM;
    }

    private static double millimetres(Quantity quantity) {
        return quantity.value().doubleValue() / NM_PER_MM;
    }
}
