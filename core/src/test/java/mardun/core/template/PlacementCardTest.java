package mardun.core.template;

import static mardun.core.design.DesignMaker.folded;
import static mardun.core.design.DesignMaker.marked;
import static mardun.core.design.DesignMaker.shaped;
import static mardun.core.template.PlacementCard.Corner.BOTTOM_LEFT;
import static mardun.core.template.PlacementCard.Corner.BOTTOM_RIGHT;
import static mardun.core.template.PlacementCard.Corner.TOP_LEFT;
import static mardun.core.template.PlacementCard.Corner.TOP_RIGHT;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.stream.DoubleStream;
import mardun.core.design.ClothFold;
import mardun.core.design.DesignMaker;
import mardun.core.design.Mark;
import mardun.core.design.Piece;
import mardun.core.design.Point;
import mardun.core.design.Role;
import mardun.core.design.Shape;
import mardun.core.design.SizedPiece;
import mardun.core.design.Sizing;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import mardun.core.template.TemplateLine.Kind;
import org.junit.jupiter.api.Test;

/** Cards to place by are the piece's own corners with its marks where they are. */
class PlacementCardTest {

    private static final Piece FACE = Piece.of("A", "Face", Role.OUTER, "outer", "1", "10 in", "8 in");
    private static final double INCH = 25.4;

    private static List<PlacementCard> cards(Piece piece) {
        SizedPiece sized = Sizing.of(DesignMaker.empty().pieces(piece).make(), 0)
                .piece("A")
                .orElseThrow();
        assertThat(PlacementCard.isFor(sized))
                .isEqualTo(!PlacementCard.of(sized).isEmpty());
        return PlacementCard.of(sized);
    }

    private static Mark snap(String across, String down) {
        return Mark.at(Mark.Kind.HARDWARE, "snap", Mark.From.RAW, across, down);
    }

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }

    private static DoubleStream xs(PlacementCard card, Kind kind) {
        return card.lines().stream()
                .filter(line -> line.kind() == kind)
                .flatMap(line -> line.points().stream())
                .mapToDouble(Point::x);
    }

    @Test
    void aSnapNearACornerIsOnTheCardOfThatCorner() {
        PlacementCard card = cards(marked(FACE, snap("9 in", "1 1/2 in"))).get(0);
        assertThat(card.corners()).containsExactly(TOP_RIGHT);
        assertThat(card.marks()).singleElement().satisfies(placed -> {
            assertThat(placed.fromSide()).isEqualTo(in("1"));
            assertThat(placed.fromEnd()).isEqualTo(in("1 1/2"));
        });
        // The smallest that is held; the snap lies an inch from the card's right edge.
        assertThat(card.width()).isEqualTo(45);
        double middle = (xs(card, Kind.PLACE).min().orElseThrow()
                        + xs(card, Kind.PLACE).max().orElseThrow())
                / 2;
        assertThat(card.width() - middle).isCloseTo(INCH, within(1e-6));
    }

    @Test
    void whatIsAlikeOnBothSidesIsOneCardThatIsTurnedOver() {
        List<PlacementCard> alike = cards(marked(FACE, snap("1 in", "2 in"), snap("9 in", "2 in")));
        assertThat(alike)
                .singleElement()
                .satisfies(card -> assertThat(card.corners()).containsExactly(TOP_LEFT, TOP_RIGHT));
        List<PlacementCard> other = cards(marked(FACE, snap("1 in", "2 in"), snap("9 in", "2 1/8 in")));
        assertThat(other).extracting(PlacementCard::corners).containsExactly(List.of(TOP_LEFT), List.of(TOP_RIGHT));
    }

    @Test
    void aGapIsPlacedByItsEnds() {
        Mark gap = Mark.at(Mark.Kind.GAP, "turning gap", Mark.From.RAW, "3 in", "8 in")
                .sized("4 in", "");
        List<PlacementCard> ends = cards(marked(FACE, gap));
        assertThat(ends)
                .singleElement()
                .satisfies(card -> assertThat(card.corners()).containsExactly(BOTTOM_LEFT, BOTTOM_RIGHT));
        assertThat(ends.get(0).marks()).singleElement().satisfies(placed -> {
            assertThat(placed.fromSide()).isEqualTo(in("3"));
            assertThat(placed.fromEnd()).isEqualTo(Length.ZERO);
        });
    }

    /** Of a pocket the corner counts that is nearest; on the fold, half of it is on the half that is drawn. */
    @Test
    void aPocketIsPlacedByItsNearestCornerAlsoOnTheFold() {
        Mark pocket = Mark.at(Mark.Kind.POCKET, "slip pocket", Mark.From.RAW, "3 in", "1 in")
                .sized("4 in", "2 in");
        for (Piece piece : List.of(FACE, folded(FACE, ClothFold.SIDE))) {
            List<PlacementCard> cards = cards(marked(piece, pocket));
            assertThat(cards).hasSize(1);
            assertThat(cards.get(0).corners().get(0).isTop()).isTrue();
            assertThat(cards.get(0).marks())
                    .singleElement()
                    .satisfies(placed -> assertThat(placed.fromEnd()).isEqualTo(in("1")));
        }
        PlacementCard whole = cards(marked(FACE, pocket)).get(0);
        assertThat(whole.corners()).containsExactly(TOP_LEFT);
        assertThat(whole.marks().get(0).fromSide()).isEqualTo(in("3"));
        // As far as the pocket goes, and beyond.
        assertThat(whole.width()).isCloseTo(7 * INCH + 16, within(1e-6));
    }

    @Test
    void aRoundedCornerIsRoundedOnItsCard() {
        Piece rounded = shaped(FACE, new Shape(Shape.Kind.ROUNDED, Shape.Place.TOP, "1 in", ""));
        PlacementCard card = cards(marked(rounded, snap("1 in", "2 in"))).get(0);
        double nearest = card.lines().stream()
                .filter(line -> line.kind() == Kind.CUT)
                .flatMap(line -> line.points().stream())
                .mapToDouble(point -> point.distance(new Point(0, 0)))
                .min()
                .orElseThrow();
        assertThat(nearest).isCloseTo((Math.sqrt(2) - 1) * INCH, within(0.05));
    }

    @Test
    void whereNothingIsPlacedThereIsNoCard() {
        assertThat(cards(FACE)).isEmpty();
        assertThat(cards(marked(FACE, Mark.at(Mark.Kind.CENTRE, "", Mark.From.RAW, "", ""))))
                .isEmpty();
    }

    /** Clipped at random: what is left of a line lies inside, and is as long as what of its points lies inside. */
    @Test
    void whatLiesInAnAreaIsKept() {
        Random random = new Random(18);
        CardArea area = new CardArea(20, 30, 70, 90);
        for (int run = 0; run < 2_000; run++) {
            List<Point> line = List.of(
                    new Point(random.nextDouble() * 100, random.nextDouble() * 120),
                    new Point(random.nextDouble() * 100, random.nextDouble() * 120));
            double inside = 0;
            int parts = 2_000;
            double dx = line.get(1).x() - line.get(0).x();
            double dy = line.get(1).y() - line.get(0).y();
            for (int i = 0; i < parts; i++) {
                Point at = line.get(0).plus(dx * (i + 0.5) / parts, dy * (i + 0.5) / parts);
                if (at.x() > 20 && at.x() < 70 && at.y() > 30 && at.y() < 90) {
                    inside += Math.hypot(dx, dy) / parts;
                }
            }
            double kept = area.part(line).stream()
                    .mapToDouble(part -> part.get(0).distance(part.get(1)))
                    .sum();
            assertThat(kept).as("run " + run).isCloseTo(inside, within(0.2));
        }
    }
}
