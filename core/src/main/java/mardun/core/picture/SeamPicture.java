package mardun.core.picture;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import mardun.core.design.Design;
import mardun.core.design.FormMeasure;
import mardun.core.design.Mark;
import mardun.core.design.Outline;
import mardun.core.design.Point;
import mardun.core.design.Role;
import mardun.core.design.SizedDesign;
import mardun.core.design.SizedMark;
import mardun.core.design.SizedPiece;
import mardun.core.design.StitchLines;
import mardun.core.design.TrimNeed;
import mardun.core.making.Lay;
import mardun.core.making.Step;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;

/**
 * What is sewn in a step, seen on the pieces: which edges, how far inside, and where a gap stays open. The pieces are drawn as they
 * are cut, apart from one another.
 *
 * @param lies how they lie when they are sewn, in words: {@code right sides together}, {@code zip face down}
 */
public record SeamPicture(String step, List<String> lies, List<Layer> layers) {

    private static final double NM_PER_MM = LengthUnit.MILLIMETRE.nanometres();

    /** Where nothing is said of an edge's allowance it is drawn so far inside. */
    private static final double UNSAID = 6;

    /**
     * A piece that goes through the step.
     *
     * @param layers how many of it lie on one another
     * @param sewn the lines that are sewn, without what stays open
     * @param open what stays open, each a line of two points
     */
    public record Layer(
            String letter,
            String name,
            Role role,
            int layers,
            double width,
            double height,
            Outline outline,
            List<List<Point>> sewn,
            List<List<Point>> open) {}

    public SeamPicture {
        lies = List.copyOf(lies);
        layers = List.copyOf(layers);
    }

    /** Of every step that says along which edges it sews. */
    public static List<SeamPicture> of(Design design, SizedDesign sized) {
        return design.steps().stream()
                .map(step -> of(step, sized))
                .flatMap(Optional::stream)
                .toList();
    }

    /** Of one step; empty where it doesn't say along which edges it sews, or sews nothing. */
    static Optional<SeamPicture> of(Step step, SizedDesign sized) {
        if (!step.station().sews()) {
            return Optional.empty();
        }
        List<Layer> layers = new ArrayList<>();
        for (Step.Use use : step.uses()) {
            if (!use.along().isEmpty()) {
                sized.piece(use.letter()).map(piece -> layer(piece, use, sized)).ifPresent(layers::add);
            }
        }
        return layers.isEmpty()
                ? Optional.empty()
                : Optional.of(new SeamPicture(step.key(), lies(step, sized), layers));
    }

    /** How what goes through a step lies, in words; none where that isn't said. */
    public static List<String> lies(Step step, SizedDesign sized) {
        if (step.lay().isEmpty()) {
            return List.of();
        }
        Lay lay = step.lay().get();
        boolean hasZip = step.uses().stream()
                .anyMatch(use -> sized.trim(use.letter())
                        .filter(trim -> trim.trim().kind() == TrimNeed.Kind.ZIP)
                        .isPresent());
        return lay == Lay.RIGHT_SIDES_TOGETHER && hasZip ? List.of(lay.words(), "zip face down") : List.of(lay.words());
    }

    /**
     * About how much is sewn for one bag. A piece of which two or more go through is sewn to its like, in a seam of its own; those that go
     * through singly are sewn onto one another, in one seam as long as the longest.
     */
    public Length length() {
        double millimetres = 0;
        double longestOfSingles = 0;
        for (Layer layer : layers) {
            double its = Math.max(0, length(layer.sewn()) - length(layer.open()));
            if (layer.layers() > 1) {
                millimetres += its;
            } else {
                longestOfSingles = Math.max(longestOfSingles, its);
            }
        }
        return new Length(Math.round((millimetres + longestOfSingles) * NM_PER_MM));
    }

    private static double length(List<List<Point>> lines) {
        double sum = 0;
        for (List<Point> line : lines) {
            for (int i = 1; i < line.size(); i++) {
                sum += Math.hypot(
                        line.get(i).x() - line.get(i - 1).x(),
                        line.get(i).y() - line.get(i - 1).y());
            }
        }
        return sum;
    }

    private static Layer layer(SizedPiece piece, Step.Use use, SizedDesign sized) {
        double width = millimetres(piece.width().value());
        double height = millimetres(piece.height().value());
        Map<Step.Side, Double> inside = new EnumMap<>(Step.Side.class);
        Map<String, Double> byName = new HashMap<>();
        for (Step.Side side : use.along()) {
            String name = side.name().toLowerCase(Locale.ROOT);
            double allowance = Optional.ofNullable(piece.allowances().get(name))
                    .map(SeamPicture::millimetres)
                    .or(() -> sideSeam(sized))
                    .orElse(UNSAID);
            inside.put(side, allowance);
            byName.put(name, Math.max(allowance, 0.1));
        }
        List<List<Point>> open = new ArrayList<>();
        piece.marks().stream()
                .filter(mark -> mark.mark().kind() == Mark.Kind.GAP)
                .forEach(mark -> gap(mark, width, height, inside).ifPresent(open::add));
        return new Layer(
                use.letter(),
                piece.piece().name(),
                piece.piece().role(),
                use.layers(),
                width,
                height,
                piece.outline(),
                StitchLines.of(piece.outline(), byName),
                open);
    }

    private static Optional<Double> sideSeam(SizedDesign sized) {
        return sized.sewn()
                .filter(sewn -> sewn.has(FormMeasure.SIDE))
                .map(sewn -> sewn.get(FormMeasure.SIDE).value().doubleValue() / NM_PER_MM)
                .filter(seam -> seam > 0);
    }

    /** A gap on the stitch line of the edge that it lies at, if that edge is sewn here. */
    private static Optional<List<Point>> gap(
            SizedMark mark, double width, double height, Map<Step.Side, Double> inside) {
        double x = millimetres(mark.across().orElse(Length.ZERO));
        double y = millimetres(mark.down().orElse(Length.ZERO));
        if (mark.width().isPositive()) {
            Step.Side side = y > height / 2 ? Step.Side.BOTTOM : Step.Side.TOP;
            return Optional.ofNullable(inside.get(side)).map(in -> {
                double at = side == Step.Side.BOTTOM ? height - in : in;
                return List.of(new Point(x, at), new Point(x + millimetres(mark.width()), at));
            });
        }
        if (mark.height().isPositive()) {
            Step.Side side = x > width / 2 ? Step.Side.RIGHT : Step.Side.LEFT;
            return Optional.ofNullable(inside.get(side)).map(in -> {
                double at = side == Step.Side.RIGHT ? width - in : in;
                return List.of(new Point(at, y), new Point(at, y + millimetres(mark.height())));
            });
        }
        return Optional.empty();
    }

    private static double millimetres(Length length) {
        return length.nanometres() / NM_PER_MM;
    }
}
