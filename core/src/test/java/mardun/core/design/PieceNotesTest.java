package mardun.core.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import mardun.core.construction.BaseEdge;
import mardun.core.construction.BoxingSchool;
import mardun.core.measure.LengthWriter;
import mardun.core.measure.ShownRounding;
import mardun.core.measure.UnitSystem;
import mardun.core.working.Sentence;
import mardun.core.working.Value;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PieceNotesTest {

    /** The notes as they are read, lengths in inches. */
    private static List<String> notes(SizedPiece piece) {
        return PieceNotes.of(piece).stream().map(PieceNotesTest::read).toList();
    }

    private static String read(Sentence sentence) {
        String words = sentence.words();
        for (int i = 0; i < sentence.values().size(); i++) {
            if (sentence.values().get(i) instanceof Value.Measured measured) {
                words = words.replace(
                        "{" + i + "}",
                        LengthWriter.exactly(measured.quantity().toLength(ShownRounding.NEAREST), UnitSystem.INCH));
            }
        }
        return words;
    }

    private static SizedPiece piece(Edges edges, List<Mark> marks, Shape... shapes) {
        Piece plain = DesignMaker.shaped(Piece.of("A", "Face", Role.OUTER, "outer", "1", "10 in", "8 in"), shapes);
        Piece piece = DesignMaker.marked(DesignMaker.edged(plain, edges), marks.toArray(Mark[]::new));
        return Sizing.of(DesignMaker.empty().pieces(piece).make(), 0).piece("A").orElseThrow();
    }

    private static String note(Mark mark) {
        return notes(piece(Edges.all("1/2 in"), List.of(mark))).get(0);
    }

    private static Mark pocket(String across, String down) {
        return Mark.at(Mark.Kind.POCKET, "pocket", Mark.From.RAW, across, down).sized("4 in", "3 in");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "CORNERS_CUT | 1 1/4 in | 1 in | Corners cut out 1 ¼ in × 1 in at the top.",
                "SLANTED | 1 in | 2 in | Corners cut off on the slant, 1 in wide and 2 in high, at the top.",
                "SLANTED | 5 in | 3 in | Pointed at the top: the point is 3 in high.",
                "ROUNDED | 1 in | '' | Corners rounded 1 in at the top.",
                "ROUNDED | 2 in | 1 in | Corners rounded 2 in wide and 1 in high at the top.",
                "ROUNDED | 5 in | '' | Half a circle at the top, radius 5 in.",
                "ROUNDED | 5 in | 3 in | Half a round at the top, 3 in high.",
                "NOTCHED | 4 in | 2 in | A V 4 in wide and 2 in deep in the middle at the top.",
                "TAPERED | 1 in | '' | Each side leans in 1 in at the top.",
                "OVAL | '' | '' | An oval in the rectangle.",
                "CIRCLE_WITH_FLAT | '' | '' | A circle 10 in across, cut straight at the top."
            })
    void shapesAreSaidWithTheirSizes(Shape.Kind kind, String across, String along, String words) {
        Shape shape = new Shape(kind, Shape.Place.TOP, across, along);
        assertThat(notes(piece(Edges.UNSTATED, List.of(), shape))).containsExactly(words);
    }

    @Test
    void boxedCornersAreCutOutOrMarked() {
        Design cut = DesignMaker.from(Pouch.design())
                .form(Pouch.bag(BoxingSchool.CUT_BEFORE_SEWING, BaseEdge.SEAM))
                .make();
        assertThat(notes(Sizing.of(cut, 1).piece("A").orElseThrow()).get(0)).startsWith("Corners cut out for boxing: ");
        Design after = DesignMaker.from(Pouch.design())
                .form(Pouch.bag(BoxingSchool.LINE_ACROSS, BaseEdge.SEAM))
                .make();
        assertThat(notes(Sizing.of(after, 1).piece("A").orElseThrow()).get(0))
                .startsWith("Corners marked for boxing: ");
    }

    @Test
    void aMarkIsSaidFromTheNearerEdge() {
        assertThat(note(pocket("3 in", "1 in")))
                .isEqualTo("pocket: 4 in × 3 in, from 1 in to 4 in from the top edge, in the middle.");
        assertThat(note(pocket("1 in", "4 in")))
                .isEqualTo(
                        "pocket: 4 in × 3 in, from 1 in to 4 in from the bottom edge, from 1 in to 5 in from the left edge.");
    }

    @Test
    void hardwareIsSaidFromTheFinishedEdges() {
        Mark snap = Mark.at(Mark.Kind.HARDWARE, "snap", Mark.From.FINISHED, "8 in", "1 in")
                .halfOf("flap", Mark.Half.SOCKET);
        assertThat(note(snap)).isEqualTo("snap (socket): 1 in from the top seam, 1 in from the right seam.");
    }

    @Test
    void aGapIsSaidFromThisToThatAndAFoldIsNamed() {
        Mark gap = Mark.at(Mark.Kind.GAP, "gap", Mark.From.RAW, "", "2 in").sized("", "4 in");
        SizedPiece folded = piece(new Edges("fold", "1/2 in", "1/2 in", "1/2 in"), List.of(gap));
        assertThat(notes(folded)).containsExactly("gap: 4 in high, in the middle of the height.");
        Mark below = Mark.at(Mark.Kind.GAP, "gap", Mark.From.RAW, "1 in", "0 in")
                .sized("4 in", "")
                .measuredFrom(Mark.AcrossFrom.LEFT, Mark.DownFrom.BOTTOM);
        assertThat(notes(piece(Edges.UNSTATED, List.of(below))))
                .containsExactly("gap: 4 in wide, along the bottom edge, from 1 in to 5 in from the left edge.");
        Mark higher = Mark.at(Mark.Kind.GAP, "gap", Mark.From.RAW, "", "1 in").sized("", "4 in");
        assertThat(notes(piece(new Edges("fold", "", "", ""), List.of(higher))))
                .containsExactly("gap: 4 in high, from 1 in to 5 in from the fold.");
    }

    @Test
    void aMarkIsMeasuredFromWhereTheRulerLies() {
        Mark centred = pocket("0 in", "1 in").measuredFrom(Mark.AcrossFrom.CENTRE, Mark.DownFrom.BOTTOM);
        assertThat(note(centred))
                .isEqualTo("pocket: 4 in × 3 in, from 1 in to 4 in from the bottom edge, in the middle.");
        SizedMark sized = piece(Edges.UNSTATED, List.of(centred)).marks().get(0);
        assertThat(LengthWriter.exactly(sized.across().orElseThrow(), UnitSystem.INCH))
                .isEqualTo("3 in");
        assertThat(LengthWriter.exactly(sized.down().orElseThrow(), UnitSystem.INCH))
                .isEqualTo("4 in");
        Mark right = Mark.at(Mark.Kind.HARDWARE, "ring", Mark.From.FINISHED, "2 in", "0 in")
                .measuredFrom(Mark.AcrossFrom.RIGHT, Mark.DownFrom.CENTRE);
        assertThat(note(right)).isEqualTo("ring: in the middle of the height, 2 in from the right seam.");
    }
}
