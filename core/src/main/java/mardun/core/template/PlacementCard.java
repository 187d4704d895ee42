package mardun.core.template;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import mardun.core.design.ClothFold;
import mardun.core.design.Mark;
import mardun.core.design.Point;
import mardun.core.design.SizedMark;
import mardun.core.design.SizedPiece;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;

/**
 * A card to place by what is marked on a piece: the piece's own corner, as far as the marks go that lie nearest to it. It is laid on the
 * corner, edge on edge, and the marks are pricked through, bag after bag, without a ruler.
 *
 * @param corners on which it is laid; of two that are alike but for their side it is turned over for the second one
 * @param marks that are placed by it
 * @param boxed what is boxed later is drawn on it
 * @param width in millimetres
 * @param height likewise
 * @param forWords where words stand clear of a corner that is cut out
 */
public record PlacementCard(
        List<Corner> corners,
        List<Placed> marks,
        boolean boxed,
        double width,
        double height,
        List<TemplateLine> lines,
        CardArea forWords) {

    /** How far a card goes beyond its marks, and how small one may be that is still held: millimetres. */
    private static final double BEYOND = 16;

    /** How much wider one is where a corner is cut out of it, for its words. */
    private static final double FOR_WORDS = 45;

    private static final double SMALLEST = 45;
    private static final double FLAT = 0.01;

    /** What lies closer than a printer draws is the same. */
    private static final double SAME = 0.1;

    private static final Set<Mark.Kind> PLACED =
            EnumSet.of(Mark.Kind.HARDWARE, Mark.Kind.POCKET, Mark.Kind.GAP, Mark.Kind.NOTCH);

    /** A corner of a piece. */
    public enum Corner {
        TOP_LEFT,
        TOP_RIGHT,
        BOTTOM_LEFT,
        BOTTOM_RIGHT;

        boolean isLeft() {
            return this == TOP_LEFT || this == BOTTOM_LEFT;
        }

        public boolean isTop() {
            return this == TOP_LEFT || this == TOP_RIGHT;
        }

        /** As it is said: top left. */
        public String words() {
            return name().toLowerCase(Locale.ROOT).replace('_', ' ');
        }

        static Corner nearest(double x, double y, double width, double height) {
            boolean left = x <= width / 2;
            boolean top = y <= height / 2;
            return top ? (left ? TOP_LEFT : TOP_RIGHT) : left ? BOTTOM_LEFT : BOTTOM_RIGHT;
        }
    }

    /**
     * A mark as it lies from the card's corner: of a gap one of its ends, of a pocket the corner of it that is nearest.
     *
     * @param fromSide from the piece's left or right edge
     * @param fromEnd from its top or bottom edge
     */
    public record Placed(Mark mark, Length fromSide, Length fromEnd) {}

    public PlacementCard {
        corners = List.copyOf(corners);
        marks = List.copyOf(marks);
        lines = List.copyOf(lines);
    }

    /** Whether anything of a piece is placed. */
    public static boolean isFor(SizedPiece piece) {
        return piece.boxed().isPresent()
                || piece.marks().stream()
                        .anyMatch(one -> PLACED.contains(one.mark().kind()));
    }

    /** The cards of a piece, from its upper left corner on; none where nothing is placed on it. */
    public static List<PlacementCard> of(SizedPiece piece) {
        Template whole = Template.of(piece, "", List.of());
        Map<Corner, List<Spot>> spots = new EnumMap<>(Corner.class);
        piece.marks().stream()
                .filter(mark -> PLACED.contains(mark.mark().kind()))
                .flatMap(mark -> spots(mark, whole))
                .forEach(spot -> spots.computeIfAbsent(spot.corner(whole), corner -> new ArrayList<>())
                        .add(spot));
        Map<Corner, Reach> boxed = boxed(piece);
        List<PlacementCard> cards = new ArrayList<>();
        for (Corner corner : Corner.values()) {
            List<Spot> its = spots.getOrDefault(corner, List.of());
            Optional<Reach> box = Optional.ofNullable(boxed.get(corner));
            if (!its.isEmpty() || box.isPresent()) {
                add(card(piece, whole, corner, its, box), cards);
            }
        }
        return cards;
    }

    private static void add(PlacementCard card, List<PlacementCard> cards) {
        int alike = 0;
        while (alike < cards.size() && !cards.get(alike).isTurned(card)) {
            alike++;
        }
        if (alike < cards.size()) {
            cards.set(alike, cards.get(alike).alsoOn(card.corners.get(0)));
        } else {
            cards.add(card);
        }
    }

    /** How far something goes from a corner, in millimetres. */
    private record Reach(double across, double down) {
        Reach with(Reach other) {
            return new Reach(Math.max(across, other.across), Math.max(down, other.down));
        }
    }

    /** What is placed of a mark, as far as it lies on what is drawn of the piece: a point, or a pocket's rectangle. */
    private record Spot(Mark mark, double left, double top, double right, double bottom) {

        Corner corner(Template whole) {
            return Corner.nearest((left + right) / 2, (top + bottom) / 2, whole.width(), whole.height());
        }

        Reach reach(Corner corner, Template whole) {
            return new Reach(
                    corner.isLeft() ? right : whole.width() - left, corner.isTop() ? bottom : whole.height() - top);
        }

        Placed placed(Corner corner, Template whole) {
            return new Placed(
                    mark,
                    length(corner.isLeft() ? left : whole.width() - right),
                    length(corner.isTop() ? top : whole.height() - bottom));
        }
    }

    private static Stream<Spot> spots(SizedMark mark, Template whole) {
        double x = mark.across().map(PlacementCard::millimetres).orElse(0.0);
        double y = mark.down().map(PlacementCard::millimetres).orElse(0.0);
        double wide = millimetres(mark.width());
        double high = millimetres(mark.height());
        Stream<Spot> all = switch (mark.mark().kind()) {
            case GAP ->
                Stream.of(
                        new Spot(mark.mark(), x, y, x, y),
                        high > 0
                                ? new Spot(mark.mark(), x, y + high, x, y + high)
                                : new Spot(mark.mark(), x + wide, y, x + wide, y));
            case POCKET -> Stream.of(new Spot(mark.mark(), x, y, x + wide, y + high));
            default -> Stream.of(new Spot(mark.mark(), x, y, x, y));
        };
        // Of a piece on the fold only the half is drawn.
        return all.filter(spot -> spot.left() <= whole.width() && spot.top() <= whole.height())
                .map(spot -> new Spot(
                        spot.mark(),
                        spot.left(),
                        spot.top(),
                        Math.min(spot.right(), whole.width()),
                        Math.min(spot.bottom(), whole.height())));
    }

    /** Boxed corners are at the base: of a piece that is cut on the fold there, at the fold. */
    private static Map<Corner, Reach> boxed(SizedPiece piece) {
        Map<Corner, Reach> reaches = new EnumMap<>(Corner.class);
        piece.boxed().ifPresent(box -> {
            Length down =
                    piece.piece().fold() == ClothFold.BASE ? box.fromFold().orElse(box.fromBase()) : box.fromBase();
            Reach reach = new Reach(millimetres(box.fromSide()), millimetres(down));
            reaches.put(Corner.BOTTOM_LEFT, reach);
            if (piece.piece().fold() != ClothFold.SIDE) {
                reaches.put(Corner.BOTTOM_RIGHT, reach);
            }
        });
        return reaches;
    }

    private static PlacementCard card(
            SizedPiece piece, Template whole, Corner corner, List<Spot> spots, Optional<Reach> box) {
        Reach reach = Stream.concat(spots.stream().map(spot -> spot.reach(corner, whole)), box.stream())
                .reduce(new Reach(0, 0), Reach::with);
        double width =
                Math.min(whole.width(), Math.max(SMALLEST, reach.across() + (box.isPresent() ? FOR_WORDS : BEYOND)));
        double height = Math.min(whole.height(), Math.max(SMALLEST, reach.down() + BEYOND));
        double left = corner.isLeft() ? 0 : whole.width() - width;
        double top = corner.isTop() ? 0 : whole.height() - height;
        CardArea area = new CardArea(left, top, left + width, top + height);
        List<Point> outline = area.partOfClosed(piece.outline().points(FLAT));
        List<TemplateLine> lines = new ArrayList<>();
        List<Point> round = new ArrayList<>(outline);
        round.add(outline.get(0));
        lines.add(new TemplateLine(TemplateLine.Kind.CUT, 0, round).moved(-left, -top));
        whole.lines().stream()
                .filter(line -> line.kind() != TemplateLine.Kind.CUT
                        && line.kind() != TemplateLine.Kind.ON_FOLD
                        && line.kind() != TemplateLine.Kind.GRAIN)
                .flatMap(line -> area.part(line.points()).stream()
                        .map(part -> new TemplateLine(line.kind(), 0, part).moved(-left, -top)))
                .forEach(lines::add);
        return new PlacementCard(
                List.of(corner),
                spots.stream().map(spot -> spot.placed(corner, whole)).toList(),
                box.isPresent(),
                width,
                height,
                lines,
                forWords(corner, box.map(Reach::across).orElse(0.0), width, height));
    }

    private static CardArea forWords(Corner corner, double beside, double width, double height) {
        return corner.isLeft() ? new CardArea(beside, 0, width, height) : new CardArea(0, 0, width - beside, height);
    }

    private static Length length(double millimetres) {
        return new Length(Math.round(millimetres * LengthUnit.MILLIMETRE.nanometres()));
    }

    private static double millimetres(Length length) {
        return length.nanometres() / (double) LengthUnit.MILLIMETRE.nanometres();
    }

    /** Whether another one is just this one turned over, left for right. */
    private boolean isTurned(PlacementCard other) {
        return corners.get(0).isTop() == other.corners.get(0).isTop()
                && Math.abs(width - other.width) < SAME
                && Math.abs(height - other.height) < SAME
                && isOn(other)
                && other.isOn(this);
    }

    /** Whether each point of it, turned over, is on another one. */
    private boolean isOn(PlacementCard other) {
        return lines.stream()
                .allMatch(line -> line.points().stream()
                        .map(point -> new Point(width - point.x(), point.y()))
                        .allMatch(turned -> other.lines.stream()
                                .filter(its -> its.kind() == line.kind())
                                .flatMap(its -> its.points().stream())
                                .anyMatch(point -> point.distance(turned) < SAME)));
    }

    private PlacementCard alsoOn(Corner corner) {
        List<Corner> both = new ArrayList<>(corners);
        both.add(corner);
        return new PlacementCard(both, marks, boxed, width, height, lines, forWords);
    }

    /** The card with what is written on it. */
    public Template template(String name, List<String> words) {
        return new Template(name, words, width, height, lines, forWords);
    }
}
