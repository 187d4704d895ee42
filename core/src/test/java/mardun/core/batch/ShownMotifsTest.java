package mardun.core.batch;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.batch.CutList.PieceLine;
import mardun.core.batch.CutList.PieceShare;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.PieceKey;
import mardun.core.cutting.PrintPlace;
import mardun.core.design.DesignMaker;
import mardun.core.design.Mark;
import mardun.core.design.Piece;
import mardun.core.design.PieceNotes;
import mardun.core.design.Role;
import mardun.core.design.Sizing;
import mardun.core.material.Amount;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import mardun.core.material.PrintMotif;
import mardun.core.material.Shrinkage;
import mardun.core.material.Stock;
import mardun.core.material.UnitPrice;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

/** Where pieces have to lie so that they show their parts of a print. */
class ShownMotifsTest {

    private static final UnitPrice PRICE = new UnitPrice(Money.of(CurrencyUnit.EUR, 9), Amount.of(in("36")));

    private static Length in(String text) {
        return LengthReader.read(text, LengthUnit.INCH);
    }

    private static PieceLine piece(String letter, String width, String height, Mark... marks) {
        Piece piece =
                DesignMaker.marked(Piece.of(letter, "Piece " + letter, Role.OUTER, "outer", "1", width, height), marks);
        return new PieceLine(
                PieceKey.of(letter),
                Optional.empty(),
                List.of(new PieceShare(
                        1,
                        1,
                        Sizing.of(
                                        DesignMaker.empty()
                                                .cloth("outer")
                                                .pieces(piece)
                                                .make(),
                                        0)
                                .pieces()
                                .get(0))));
    }

    private static Mark motif(String name, String across, String down) {
        return Mark.at(Mark.Kind.MOTIF, name, Mark.From.RAW, across, down);
    }

    private static Supply cloth(Shrinkage shrinkage, Optional<Length> repeat, PrintMotif... motifs) {
        return new Supply(
                "outer",
                "1",
                "Fox canvas",
                MaterialKind.CLOTH,
                Optional.of(in("42")),
                Optional.empty(),
                Optional.empty(),
                true,
                shrinkage,
                Optional.empty(),
                Optional.empty(),
                Map.of(Part.WHOLE, Stock.of(Amount.of(in("100")), PRICE)),
                List.of(),
                PRICE,
                new Supply.Lie(List.of(), false, repeat, Optional.of(in("12")), List.of(motifs), in("1/2")));
    }

    private static Supply cloth(PrintMotif... motifs) {
        return cloth(Shrinkage.NONE, Optional.of(in("16")), motifs);
    }

    private static PrintMotif fox() {
        return new PrintMotif("Fox", Optional.of(in("6")), in("5"));
    }

    @Test
    void theMiddleOfAPieceLiesOnTheMiddleOfItsPart() {
        ShownMotifs shown = ShownMotifs.of(cloth(fox()), List.of(piece("A", "10 in", "8 in", motif("fox", "", ""))));
        assertThat(shown.places())
                .containsExactly(Map.entry(
                        PieceKey.of("A"), new PrintPlace("Fox", Optional.of(in("1")), Length.ZERO, in("5"), in("4"))));
        assertThat(shown.beginning()).contains(new ShownMotifs.Beginning(fox(), in("4")));
    }

    @Test
    void theSecondBeginsAsFarBeyondTheFirstAsThePrintHasIt() {
        PrintMotif owl = new PrintMotif("owl", Optional.empty(), in("1"));
        ShownMotifs shown = ShownMotifs.of(
                cloth(fox(), owl),
                List.of(
                        piece("A", "10 in", "8 in", motif("fox", "2 in", "3 in")),
                        piece("B", "6 in", "6 in", motif("owl", "", "1 in"))));
        // The fox's piece begins at 5 − 3 of the repeat, the owl's at 1 − 1, which is 14 beyond.
        assertThat(shown.places().get(PieceKey.of("A")).across()).contains(in("4"));
        assertThat(shown.places().get(PieceKey.of("B")).along()).isEqualTo(in("14"));
        assertThat(shown.places().get(PieceKey.of("B")).across()).isEmpty();
    }

    @Test
    void aMarkWithoutANameTakesTheFirstPart() {
        ShownMotifs shown = ShownMotifs.of(
                cloth(new PrintMotif("owl", Optional.empty(), in("1")), fox()),
                List.of(piece("A", "10 in", "8 in", motif(" ", "", ""))));
        assertThat(shown.beginning().orElseThrow().motif().name()).isEqualTo("owl");
    }

    @Test
    void withoutARepeatOrThePartNothingIsPlaced() {
        List<PieceLine> pieces = List.of(piece("A", "10 in", "8 in", motif("fox", "", "")));
        for (Supply cloth : List.of(
                cloth(),
                cloth(new PrintMotif("owl", Optional.empty(), in("1"))),
                cloth(Shrinkage.NONE, Optional.empty(), fox()))) {
            assertThat(ShownMotifs.of(cloth, pieces).places()).isEmpty();
            assertThat(ShownMotifs.squaring(cloth, pieces, in("1/2"))).isEqualTo(in("1/2"));
            PieceLine from = new PieceLine(
                    PieceKey.of("A"), Optional.of(cloth), pieces.get(0).shares());
            assertThat(BatchFindings.unmarked(List.of(from)))
                    .singleElement()
                    .satisfies(finding -> assertThat(finding.what().words())
                            .contains("Piece A")
                            .contains("has to show"));
        }
        PieceLine there = new PieceLine(
                PieceKey.of("A"), Optional.of(cloth(fox())), pieces.get(0).shares());
        assertThat(BatchFindings.unmarked(List.of(there))).isEmpty();
    }

    @Test
    void upToARepeatIsCutOffToBeginAtThePart() {
        assertThat(ShownMotifs.squaring(
                        cloth(fox()), List.of(piece("A", "10 in", "8 in", motif("fox", "", ""))), in("1/2")))
                .isEqualTo(in("16 1/2"));
    }

    @Test
    void theWashedPrintIsSmallerAndAPieceThatShrinksLaterIsMarkedWhereItsLargerCutIs() {
        List<PieceLine> pieces = List.of(piece("A", "10 in", "8 in", motif("fox", "4 in", "2 in")));
        PrintPlace washed = ShownMotifs.of(
                        cloth(new Shrinkage(new BigDecimal("0.1"), false), Optional.of(in("16")), fox()), pieces)
                .places()
                .get(PieceKey.of("A"));
        assertThat(washed.across()).contains(in("1.4"));
        PrintPlace later = ShownMotifs.of(
                        cloth(new Shrinkage(new BigDecimal("0.2"), true), Optional.of(in("16")), fox()), pieces)
                .places()
                .get(PieceKey.of("A"));
        assertThat(later.fromLeft()).isEqualTo(in("5"));
        assertThat(later.fromTop()).isEqualTo(in("2 1/2"));
    }

    @Test
    void whatIsCutKnowsWhereItHasToLieAndTheNotesSaySo() {
        PieceLine line = piece("A", "10 in", "8 in", motif("fox", "", "3 in"));
        CutPiece cut = ClothNeeds.cutPieces(cloth(fox()), List.of(line)).get(0);
        assertThat(cut.shows()).isPresent();
        assertThat(cut.meetsPrint()).isTrue();
        assertThat(PieceNotes.of(line.piece()))
                .singleElement()
                .satisfies(note -> assertThat(note.words()).contains("of the print"));
    }
}
