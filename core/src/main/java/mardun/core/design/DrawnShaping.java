package mardun.core.design;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import mardun.core.working.Sentence;
import mardun.core.working.Value;

/** Works an outline that is drawn by hand out for one size, and tells what of it can't be cut. */
final class DrawnShaping {

    private static final double NM_PER_MM = LengthUnit.MILLIMETRE.nanometres();

    /** How far straight parts may lie from the curves that they stand for, in millimetres; of a large outline that share of it. */
    private static final double FLAT = 0.01;

    private static final double FLAT_SHARE = 1 / 20_000.0;

    /** How far an outline may lie beyond its rectangle: a curve's arcs are rounded. */
    private static final double BEYOND = 0.05;

    /** What formulas of its points call the height of the piece less what is let in across it. */
    private static final String DRAWN_HEIGHT = "drawn_height";

    private final Piece piece;
    private final Extent extent;
    private final Map<String, Length> allowances;
    private final Measures measures;
    private final Findings findings;
    private final String at;

    /**
     * @param at the place of the shape among the findings
     */
    DrawnShaping(
            Piece piece,
            Extent extent,
            Map<String, Length> allowances,
            Measures measures,
            Findings findings,
            String at) {
        this.piece = piece;
        this.extent = extent;
        this.allowances = allowances;
        this.measures = measures;
        this.findings = findings;
        this.at = at;
    }

    /** An outline with how far it was moved to lie in its rectangle. */
    private record Laid(Outline outline, double right, double down) {}

    /** The shape with its outline, as far as that can be cut. */
    SizedShape sized(Shape shape) {
        DrawnOutline drawn = shape.drawn().orElseThrow();
        Map<String, Quantity> own = new HashMap<>(Measures.ofThePiece(extent));
        Optional<Length> tallerAt = measures.position(at + ".drawn.tallerAt", drawn.tallerAt(), own);
        Length tallerBy =
                measures.position(at + ".drawn.tallerBy", drawn.tallerBy(), own).orElse(Length.ZERO);
        own.put(DRAWN_HEIGHT, Quantity.of(extent.height()).minus(Quantity.of(tallerBy)));
        // What is drawn where it is sewn is laid into its rectangle when it is known how large it is cut.
        double from = drawn.mirrored() && drawn.line() == DrawnOutline.Line.CUT ? millimetres(extent.width()) / 2 : 0;
        List<Freehand.Node> nodes = nodes(drawn, from, own);
        boolean isWhole = nodes.size() == drawn.points().size();
        double top = nodes.stream().mapToDouble(node -> node.at().y()).min().orElse(0);
        double cutAcross = top + tallerAt.map(DrawnShaping::millimetres).orElse(0.0);
        double letIn = millimetres(tallerBy);
        Optional<Laid> laid = isWhole && isTallerAtAPlace(drawn, tallerBy)
                ? round(nodes, drawn.mirrored(), from)
                        .flatMap(round -> goesRoundOnce(Freehand.through(round, cutAcross, letIn)))
                        .flatMap(line -> laid(line, drawn))
                : Optional.empty();
        List<SizedDrawing.Handle> handles = isWhole
                ? nodes.stream()
                        .map(node -> handle(node.at(), from, node.at().y() > cutAcross ? letIn : 0, laid))
                        .toList()
                : List.of();
        laid.ifPresent(it -> lookAtItsRectangle(it.outline()));
        return new SizedShape(
                shape.kind(),
                shape.place(),
                Length.ZERO,
                tallerBy,
                Optional.of(new SizedDrawing(laid.map(Laid::outline), handles)));
    }

    private static SizedDrawing.Handle handle(Point point, double from, double letIn, Optional<Laid> laid) {
        double right = laid.map(Laid::right).orElse(0.0);
        double down = laid.map(Laid::down).orElse(0.0) + letIn;
        return new SizedDrawing.Handle(point.plus(right, down), new Point(from + right, down));
    }

    private Optional<List<Freehand.Node>> round(List<Freehand.Node> nodes, boolean mirrored, double middle) {
        List<Freehand.Node> round = mirrored ? Freehand.withMirrorImage(nodes, middle) : nodes;
        boolean isTooFew = round.size() < 3;
        if (isTooFew || nodes.size() > DrawnOutline.MOST_POINTS) {
            findings.refuse(
                    at,
                    Sentence.of("{0}: its outline has {1} points.", name(), Value.of((long) nodes.size())),
                    isTooFew
                            ? Sentence.of("An outline goes round: give it three points or more, of a half two.")
                            : Sentence.of(
                                    "Draw it with {0} at most: a curve needs few.",
                                    Value.of((long) DrawnOutline.MOST_POINTS)));
            return Optional.empty();
        }
        return Optional.of(round);
    }

    private Value name() {
        return Value.of(piece.name());
    }

    private static double millimetres(Length length) {
        return length.nanometres() / NM_PER_MM;
    }

    private static Value length(double millimetres) {
        return Value.of(new Length(Math.round(millimetres * NM_PER_MM)));
    }

    /** The points that have a place, so fewer than are drawn where one has none, which is told. */
    private List<Freehand.Node> nodes(DrawnOutline drawn, double from, Map<String, Quantity> own) {
        List<Freehand.Node> nodes = new ArrayList<>();
        for (int i = 0; i < drawn.points().size(); i++) {
            DrawnOutline.DrawnPoint point = drawn.points().get(i);
            String place = at + ".drawn.points." + i;
            Optional<Length> across = position(place + ".across", point.across(), own);
            Optional<Length> down = position(place + ".down", point.down(), own);
            if (across.isEmpty() || down.isEmpty()) {
                continue;
            }
            if (isFar(across.get()) || isFar(down.get())) {
                findings.refuse(
                        place + (isFar(across.get()) ? ".across" : ".down"),
                        Sentence.of(
                                "{0}: point {1} lies farther away than {2}.",
                                name(), Value.of(i + 1L), Value.of(Measures.LONGEST_PIECE)),
                        Sentence.of("Look at its unit."));
                continue;
            }
            if (drawn.mirrored() && across.get().nanometres() < 0) {
                findings.refuse(
                        place + ".across",
                        Sentence.of(
                                "{0}: point {1} lies {2} left of the middle.",
                                name(), Value.of(i + 1L), Value.of(Length.ZERO.minus(across.get()))),
                        Sentence.of("Only the right half is drawn: type how far right of the middle it lies."));
                continue;
            }
            nodes.add(new Freehand.Node(
                    new Point(from + millimetres(across.get()), millimetres(down.get())),
                    point.curved(),
                    point.corner(),
                    point.side()));
        }
        return nodes;
    }

    private static boolean isFar(Length length) {
        return Math.abs(length.nanometres()) > Measures.LONGEST_PIECE.nanometres();
    }

    /** So flat that an outline of any size has about as many parts. */
    private static double flat(Outline outline) {
        Polygon corners = new Polygon(outline.corners().stream()
                .map(corner -> new Point(corner.x(), corner.y()))
                .toList());
        return Math.max(FLAT, FLAT_SHARE * Math.max(corners.width(), corners.height()));
    }

    private Optional<Length> position(String place, String formula, Map<String, Quantity> own) {
        if (formula.isBlank()) {
            findings.refuse(
                    place,
                    Sentence.of("{0}: a point of its outline has no place yet.", name()),
                    Sentence.of("Type how far it lies from the edge, or take the point away."));
            return Optional.empty();
        }
        return measures.position(place, formula, own);
    }

    /** What is let in needs a place, and a place something that is let in. */
    private boolean isTallerAtAPlace(DrawnOutline drawn, Length tallerBy) {
        if (tallerBy.nanometres() < 0) {
            findings.refuse(
                    at + ".drawn.tallerBy",
                    Sentence.of("{0}: {1} can't be let in.", name(), Value.of(tallerBy)),
                    Sentence.of("Type how much taller it becomes; draw it lower to make it lower."));
            return false;
        }
        if (drawn.tallerAt().isBlank() == drawn.tallerBy().isBlank()) {
            return true;
        }
        String missing = drawn.tallerAt().isBlank() ? "tallerAt" : "tallerBy";
        findings.refuse(
                at + ".drawn." + missing,
                Sentence.of(
                        drawn.tallerAt().isBlank()
                                ? "{0}: it isn't said where it becomes taller."
                                : "{0}: it isn't said by how much it becomes taller.",
                        name()),
                Sentence.of("Type both, or neither."));
        return false;
    }

    private Optional<Outline> goesRoundOnce(Outline line) {
        Polygon polygon = new Polygon(line.points(flat(line)));
        boolean crosses = polygon.crossesItself();
        boolean isFlat = line.area() < 1;
        if (crosses || isFlat) {
            findings.refuse(
                    at,
                    Sentence.of(
                            crosses ? "{0}: its outline crosses itself." : "{0}: its outline encloses nothing.",
                            name()),
                    Sentence.of("Put its points in the order in which one cuts round it."));
        }
        return crosses || isFlat ? Optional.empty() : Optional.of(line);
    }

    /**
     * The outline in its rectangle. What is drawn where it is cut lies as it is drawn; what is drawn where it is sewn is cut outside, and
     * begins at the top and the left.
     */
    private Optional<Laid> laid(Outline line, DrawnOutline drawn) {
        if (drawn.line() == DrawnOutline.Line.CUT) {
            return Optional.of(new Laid(line, 0, 0));
        }
        Map<String, Double> aside = new HashMap<>();
        allowances.forEach((side, allowance) -> aside.put(side, -millimetres(allowance)));
        Outline cut = new Parallel(line, aside, flat(line)).outline(drawn.tips());
        Polygon polygon = new Polygon(cut.points(flat(line)));
        if (polygon.crossesItself()) {
            findings.refuse(
                    at,
                    Sentence.of("{0}: where it is cut outside its seams, its outline crosses itself.", name()),
                    Sentence.of("Make the narrow place wider, or its seams narrower."));
            return Optional.empty();
        }
        double beside = drawn.mirrored() ? (millimetres(extent.width()) - polygon.width()) / 2 : 0;
        double right = beside - polygon.left();
        double down = -polygon.top();
        return Optional.of(new Laid(cut.moved(right, down), right, down));
    }

    private void lookAtItsRectangle(Outline outline) {
        Polygon polygon = new Polygon(outline.points(FLAT));
        double width = millimetres(extent.width());
        double height = millimetres(extent.height());
        boolean isInside = polygon.left() >= -BEYOND
                && polygon.top() >= -BEYOND
                && polygon.right() <= width + BEYOND
                && polygon.bottom() <= height + BEYOND;
        if (!isInside) {
            boolean wouldFit = polygon.width() <= width + BEYOND && polygon.height() <= height + BEYOND;
            findings.refuse(
                    at,
                    Sentence.of(
                            "{0}: its outline is {1} wide and {2} high"
                                    + (wouldFit
                                            ? ", but lies beyond its rectangle of {3} × {4}."
                                            : ", its rectangle {3} × {4}."),
                            name(),
                            length(polygon.width()),
                            length(polygon.height()),
                            Value.of(extent.width()),
                            Value.of(extent.height())),
                    Sentence.of(
                            wouldFit
                                    ? "Move its points inside."
                                    : "Give the piece the width and the height of its outline, or draw it smaller."));
            return;
        }
        double near = millimetres(DesignChecks.NEAR);
        if (polygon.width() < width - near || polygon.height() < height - near) {
            findings.care(
                    Check.DRAWN_OUTLINE,
                    at,
                    Sentence.of(
                            "{0}: its outline is {1} wide and {2} high, and cloth is laid out for {3} × {4}.",
                            name(),
                            length(polygon.width()),
                            length(polygon.height()),
                            Value.of(extent.width()),
                            Value.of(extent.height())),
                    Sentence.of("Give the piece the width and the height of its outline."));
        }
    }
}
