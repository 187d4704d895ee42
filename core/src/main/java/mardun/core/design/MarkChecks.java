package mardun.core.design;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.SideEdge;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.Quantity;
import mardun.core.measure.ShownRounding;
import mardun.core.working.Sentence;
import mardun.core.working.Value;

/** Whether pockets stay clear of corners and zips, and whether the halves of fasteners face each other. */
final class MarkChecks {

    /** How far a curve may lie from its outline when a pocket is looked at, in millimetres. */
    private static final double FLAT = 0.1;

    private final Design design;
    private final SizedDesign sized;
    private final Findings findings;

    MarkChecks(Design design, SizedDesign sized, Findings findings) {
        this.design = design;
        this.sized = sized;
        this.findings = findings;
    }

    /** A mark with the piece or panel that it is on. */
    private record Placed(SizedMark mark, String on, String place, Extent extent) {

        /** How far right of the middle it lies; negative on the left. */
        Length fromMiddle() {
            Length twice = mark.across().orElse(Length.ZERO).times(2).minus(extent.width());
            return new Length(twice.nanometres() / 2);
        }
    }

    void all() {
        Map<String, List<Placed>> pairs = new LinkedHashMap<>();
        sized.pieces().forEach(piece -> {
            String place = "pieces." + piece.piece().letter();
            boolean boxed = piece.piece().boxed() || isOfTheForm(piece.piece().letter());
            look(piece.marks(), piece.piece().name(), place, piece.extent(), boxed, List.of(), pairs);
            cutAway(piece, place);
            motifs(piece.marks(), piece.piece().name(), place, 1);
        });
        sized.panels().forEach(panel -> {
            String place = "panels." + panel.panel().letter();
            Extent extent = new Extent(panel.width().value(), panel.height().value());
            look(
                    panel.marks(),
                    panel.panel().name(),
                    place,
                    extent,
                    isOfTheForm(panel.panel().letter()),
                    zips(panel),
                    pairs);
            motifs(panel.marks(), panel.panel().name(), place, 0);
        });
        pairs.forEach(this::halves);
    }

    /** A piece shows one part of the print at a place of its choice; a panel, which is joined, none. */
    private void motifs(List<SizedMark> marks, String name, String place, int most) {
        List<Mark> shown = marks.stream()
                .map(SizedMark::mark)
                .filter(mark -> mark.kind() == Mark.Kind.MOTIF)
                .toList();
        if (shown.size() > most) {
            findings.care(
                    Check.MOTIF,
                    place + ".marks." + shown.get(most).label(),
                    Sentence.of(
                            most == 0
                                    ? "{0} is a panel, which is joined from pieces: what it shows of the print is a matter of theirs."
                                    : "{0} has to show several parts of the print, and where it lies is chosen for the first one.",
                            Value.of(name)),
                    Sentence.of(
                            most == 0
                                    ? "Mark the part of the print on a piece of it."
                                    : "Leave one such mark on it; others lie where the print has them."));
        }
    }

    private boolean isOfTheForm(String letter) {
        return design.form().outer().filter(letter::equals).isPresent()
                || design.form().lining().filter(letter::equals).isPresent();
    }

    /** A rectangle on a piece or panel, from its top left corner. */
    private record Area(Length left, Length top, Length right, Length bottom) {

        boolean overlaps(Area other) {
            return left.compareTo(other.right) < 0
                    && other.left.compareTo(right) < 0
                    && top.compareTo(other.bottom) < 0
                    && other.top.compareTo(bottom) < 0;
        }
    }

    private static List<Area> zips(SizedPanel panel) {
        boolean down = panel.panel().direction() == Panel.Direction.DOWN;
        return panel.zips().stream()
                .map(zip -> down
                        ? new Area(Length.ZERO, zip.from(), panel.width().value(), zip.to())
                        : new Area(
                                zip.from(),
                                Length.ZERO,
                                zip.to(),
                                panel.height().value()))
                .toList();
    }

    private void look(
            List<SizedMark> marks,
            String name,
            String place,
            Extent extent,
            boolean boxed,
            List<Area> zips,
            Map<String, List<Placed>> pairs) {
        List<Area> corners = boxed ? corners(extent) : List.of();
        for (int i = 0; i < marks.size(); i++) {
            SizedMark mark = marks.get(i);
            String at = place + ".marks." + marks.get(i).mark().label();
            mark.mark()
                    .pair()
                    .ifPresent(pair -> pairs.computeIfAbsent(pair, p -> new ArrayList<>())
                            .add(new Placed(mark, name, at, extent)));
            if (mark.mark().kind() == Mark.Kind.POCKET) {
                pocket(mark, name, at, corners, zips);
            }
        }
    }

    /** A pocket where a V or a corner is cut away has nothing to lie on. */
    private void cutAway(SizedPiece piece, String place) {
        for (SizedMark mark : piece.marks()) {
            if (mark.mark().kind() != Mark.Kind.POCKET) {
                continue;
            }
            piece.shapes().stream()
                    .filter(shape -> takesFrom(pocketOf(mark), shape, piece.extent()))
                    .findFirst()
                    .ifPresent(shape -> findings.care(
                            Check.POCKET_CLEAR,
                            place + ".marks." + mark.mark().label(),
                            Sentence.of(
                                    "“{0}” on {1} lies where "
                                            + (switch (shape.kind()) {
                                                case NOTCHED -> "the V is cut out.";
                                                case DRAWN -> "its outline leaves no cloth.";
                                                default -> "a corner is cut out.";
                                            }),
                                    Value.of(mark.mark().label()),
                                    Value.of(piece.piece().name())),
                            Sentence.of("Move it clear of what is cut away, or make it smaller.")));
        }
    }

    private static Area pocketOf(SizedMark mark) {
        Length left = mark.across().orElse(Length.ZERO);
        Length top = mark.down().orElse(Length.ZERO);
        return new Area(left, top, left.plus(mark.width()), top.plus(mark.height()));
    }

    private static boolean takesFrom(Area pocket, SizedShape shape, Extent extent) {
        if (shape.outline().isPresent()) {
            return !liesOn(pocket, new Polygon(shape.outline().get().points(FLAT)));
        }
        boolean atTop = shape.isAt(true) && takesFromTop(pocket, shape, extent);
        return atTop
                || (shape.isAt(false)
                        && takesFromTop(
                                new Area(
                                        pocket.left(),
                                        extent.height().minus(pocket.bottom()),
                                        pocket.right(),
                                        extent.height().minus(pocket.top())),
                                shape,
                                extent));
    }

    /** Whether the corners of a pocket and the middles of its sides lie on the cloth. */
    private static boolean liesOn(Area pocket, Polygon outline) {
        double[] across = {millimetres(pocket.left()), 0, millimetres(pocket.right())};
        double[] down = {millimetres(pocket.top()), 0, millimetres(pocket.bottom())};
        across[1] = (across[0] + across[2]) / 2;
        down[1] = (down[0] + down[2]) / 2;
        return Arrays.stream(across).allMatch(x -> Arrays.stream(down).allMatch(y -> outline.holds(new Point(x, y))));
    }

    private static double millimetres(Length length) {
        return length.nanometres() / (double) LengthUnit.MILLIMETRE.nanometres();
    }

    private static boolean takesFromTop(Area pocket, SizedShape shape, Extent extent) {
        if (pocket.top().compareTo(shape.along()) >= 0) {
            return false;
        }
        return switch (shape.kind()) {
            case CORNERS_CUT ->
                pocket.left().compareTo(shape.across()) < 0
                        || pocket.right().compareTo(extent.width().minus(shape.across())) > 0;
            case NOTCHED -> {
                double open = (double) shape.along().minus(pocket.top()).nanometres()
                        / shape.along().nanometres();
                double half = open * shape.across().nanometres() / 2;
                double middle = extent.width().nanometres() / 2.0;
                yield pocket.left().nanometres() < middle + half
                        && pocket.right().nanometres() > middle - half;
            }
            default -> false;
        };
    }

    /** What boxing takes of a panel: at each bottom corner half the depth beyond the stitch lines. */
    private List<Area> corners(Extent extent) {
        if (!(design.form() instanceof BoxedBag bag)
                || sized.corner().isEmpty()
                || sized.sewn().isEmpty()) {
            return List.of();
        }
        Sewn sewn = sized.sewn().get();
        Quantity half = sewn.get(FormMeasure.DEPTH).dividedBy(Quantity.of(2));
        Length across = half.plus(sewn.get(FormMeasure.SIDE)).toLength(ShownRounding.UP);
        Length along = half.plus(sewn.get(FormMeasure.BASE)).toLength(ShownRounding.UP);
        Length right = extent.width().minus(across);
        if (bag.sides().isRound()) {
            return cornersRound(bag.sides(), extent, sewn, along);
        }
        if (bag.base() == BaseEdge.FOLD) {
            Length middle = new Length(extent.height().nanometres() / 2);
            return List.of(
                    new Area(Length.ZERO, middle.minus(along), across, middle.plus(along)),
                    new Area(right, middle.minus(along), extent.width(), middle.plus(along)));
        }
        Length top = extent.height().minus(along);
        return List.of(
                new Area(Length.ZERO, top, across, extent.height()),
                new Area(right, top, extent.width(), extent.height()));
    }

    private static Sentence clearOf(Area corner) {
        Value fromBase = Value.of(corner.bottom().minus(corner.top()));
        return corner.left().isPositive()
                ? Sentence.of(
                        "Move it up, clear of the corner: {0} from the base, or away from the bag's side.", fromBase)
                : Sentence.of(
                        "Move it up or in, clear of the corner: {0} from the side or {1} from the base.",
                        Value.of(corner.right()), fromBase);
    }

    /** One piece that goes round has its corners where the bag's sides come to lie: at a fold, or on both edges of a seam. */
    private static List<Area> cornersRound(SideEdge sides, Extent extent, Sewn sewn, Length along) {
        Quantity half = sewn.get(FormMeasure.DEPTH).dividedBy(Quantity.of(2));
        Quantity seam = sewn.get(FormMeasure.SIDE);
        Quantity round = Quantity.of(extent.width()).minus(seam.times(Quantity.of(2)));
        List<Quantity> at = sides == SideEdge.ONE_FOLD
                ? List.of(seam, seam.plus(round.dividedBy(Quantity.of(2))), seam.plus(round))
                : List.of(
                        seam.plus(round.dividedBy(Quantity.of(4))),
                        seam.plus(round.times(Quantity.of(3)).dividedBy(Quantity.of(4))));
        Length top = extent.height().minus(along);
        return at.stream()
                .map(side -> new Area(
                        side.minus(half).toLength(ShownRounding.DOWN),
                        top,
                        side.plus(half).toLength(ShownRounding.UP),
                        extent.height()))
                .toList();
    }

    private void pocket(SizedMark mark, String name, String place, List<Area> corners, List<Area> zips) {
        Area pocket = pocketOf(mark);
        if (corners.stream().anyMatch(pocket::overlaps)) {
            findings.care(
                    Check.POCKET_CLEAR,
                    place,
                    Sentence.of("“" + mark.mark().label() + "” on " + name + " lies under a boxed corner."),
                    clearOf(corners.get(0)));
        }
        if (zips.stream().anyMatch(pocket::overlaps)) {
            findings.care(
                    Check.POCKET_CLEAR,
                    place,
                    Sentence.of("“" + mark.mark().label() + "” on " + name + " lies across a zip."),
                    Sentence.of("Move it to one side of the zip."));
        }
    }

    private void halves(String pair, List<Placed> halves) {
        long sockets = halves.stream()
                .filter(h -> h.mark().mark().half() == Mark.Half.SOCKET)
                .count();
        long studs = halves.stream()
                .filter(h -> h.mark().mark().half() == Mark.Half.STUD)
                .count();
        String place = halves.get(0).place();
        if (sockets != 1 || studs != 1) {
            findings.care(
                    Check.HALVES_FACE,
                    place,
                    Sentence.of("“" + pair + "” has " + sockets + " sockets and " + studs + " studs."),
                    Sentence.of("A fastener closes with one of each."));
            return;
        }
        Placed one = halves.get(0);
        Placed other = halves.get(1);
        Optional<Length> miss = miss(one, other);
        miss.ifPresent(by -> findings.care(
                Check.HALVES_FACE,
                place,
                Sentence.of(
                        "“{0}”: the halves on {1} and {2} miss each other by {3} when the bag is closed.",
                        Value.of(pair),
                        Value.of(one.on()),
                        Value.of(other.on()),
                        Value.of(new Length(Math.abs(by.nanometres())))),
                Sentence.of(
                        closing(one, other) != Mark.Closing.FACE_TO_FACE
                                ? "Folded over, what lies right of the middle stays there; from the fold both lie"
                                        + " equally far."
                                : "What lies left of the middle on one side lies right of it on the other.")));
    }

    /** How they come together: as either half says, else as the pieces let suppose. */
    private static Mark.Closing closing(Placed one, Placed other) {
        Mark.Closing said = one.mark().mark().closing() == Mark.Closing.AS_IT_LIES
                ? other.mark().mark().closing()
                : one.mark().mark().closing();
        if (said != Mark.Closing.AS_IT_LIES) {
            return said;
        }
        return one.on().equals(other.on()) ? Mark.Closing.FOLDED : Mark.Closing.FACE_TO_FACE;
    }

    /** By how much two halves miss each other; empty where they meet. */
    private Optional<Length> miss(Placed one, Placed other) {
        Mark.Closing closing = closing(one, other);
        boolean samePiece = closing == Mark.Closing.FOLDED;
        Length across = closing != Mark.Closing.FACE_TO_FACE
                ? one.fromMiddle().minus(other.fromMiddle())
                : one.fromMiddle().plus(other.fromMiddle());
        if (isMoreThanNear(across)) {
            return Optional.of(across);
        }
        Optional<Length> first = one.mark().down();
        Optional<Length> second = other.mark().down();
        if (first.isEmpty() || second.isEmpty()) {
            return Optional.empty();
        }
        if (closing == Mark.Closing.FLAP_OVER) {
            return Optional.empty();
        }
        boolean foldedAtItsBase = design.form() instanceof BoxedBag bag && bag.base() == BaseEdge.FOLD;
        Length down = Length.ZERO;
        if (samePiece && foldedAtItsBase) {
            down = first.get().plus(second.get()).minus(one.extent().height());
        } else if (!samePiece && one.extent().height().equals(other.extent().height())) {
            down = first.get().minus(second.get());
        }
        return isMoreThanNear(down) ? Optional.of(down) : Optional.empty();
    }

    private static boolean isMoreThanNear(Length difference) {
        return Math.abs(difference.nanometres()) > DesignChecks.NEAR.nanometres();
    }
}
