package mardun.core.design;

import static mardun.core.design.DesignMaker.edged;
import static mardun.core.design.DesignMaker.marked;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import mardun.core.design.Mark.From;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MarksTest {

    private static final Edges EDGES = new Edges("1/2 in", "1/4 in", "fold", "1/4 in");

    private static SizedDesign withMark(Mark mark) {
        Piece piece = Piece.of("A", "Face", Role.OUTER, "outer", "1", "10 in", "8 in");
        return Sizing.of(
                DesignMaker.empty().pieces(marked(edged(piece, EDGES), mark)).make(), 0);
    }

    private static SizedMark sized(Mark mark) {
        SizedDesign sized = withMark(mark);
        assertThat(sized.findings()).isEmpty();
        return sized.piece("A").orElseThrow().marks().get(0);
    }

    @Test
    void hardwareIsMeasuredFromFinishedEdges() {
        SizedMark snap = sized(Mark.at(Mark.Kind.HARDWARE, "Snap", From.FINISHED, "4 3/4 in", "1 in"));
        assertThat(snap.across()).contains(in("5"));
        assertThat(snap.down()).contains(in("1 1/2"));
    }

    @Test
    void aPlaceMayUseThePiecesOwnSize() {
        SizedMark snap = sized(Mark.at(Mark.Kind.HARDWARE, "Snap", From.RAW, "piece_width / 2", "piece_height - 1 in"));
        assertThat(snap.across()).contains(in("5"));
        assertThat(snap.down()).contains(in("7"));
    }

    @Test
    void aFoldLineWithoutAPlaceAcrossGoesAllTheWay() {
        SizedMark fold = sized(Mark.at(Mark.Kind.FOLD_LINE, "Base", From.RAW, "", "4 in"));
        assertThat(fold.across()).isEmpty();
        assertThat(fold.down()).contains(in("4"));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    3         | is a number, and a place on a piece is a length
                    nowhere   | there is no such measurement
                    1 in +    | ends where a measurement or a number is wanted
                    """)
    void aPlaceThatCantBeIsTold(String across, String why) {
        SizedDesign sized = withMark(Mark.at(Mark.Kind.HARDWARE, "Snap", From.RAW, across, "1 in"));
        assertThat(sized.findings()).singleElement().satisfies(finding -> {
            assertThat(finding.place()).isEqualTo("pieces.A.marks.0.across");
            assertThat(finding.what().words()).contains(why);
        });
    }

    @Test
    void anEdgeThatIsAFoldHasNoAllowanceAndOneThatIsntStatedIsLeftOut() {
        SizedPiece piece = withMark(Mark.at(Mark.Kind.CENTRE, "Centre", From.RAW, "", ""))
                .piece("A")
                .orElseThrow();
        assertThat(piece.allowances())
                .containsEntry("bottom", Length.ZERO)
                .containsEntry("top", in("1/2"))
                .hasSize(4);
        Piece plain = Piece.of("A", "Face", Role.OUTER, "outer", "1", "10 in", "8 in");
        assertThat(Sizing.of(DesignMaker.empty().pieces(plain).make(), 0)
                        .piece("A")
                        .orElseThrow()
                        .allowances())
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"80/12 universal, 80", "90 topstitch, 90", "size 14/90, 90", "universal, -1", "12, -1", "100, 100"})
    void theMetricNumberOfANeedleIsRead(String typed, int size) {
        assertThat(StepChecks.needleSize(typed).orElse(-1)).isEqualTo(size);
    }

    @Test
    void aNameIsFoundForEachLetter() {
        SizedDesign sized = withMark(Mark.at(Mark.Kind.CENTRE, "Centre", From.RAW, "", ""));
        assertThat(sized.nameOf("A")).contains("Face");
        assertThat(sized.nameOf("Q")).isEqualTo(Optional.empty());
    }

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }
}
