package mardun.core.batch;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.batch.UnsewnPieces.Brought;
import mardun.core.batch.UnsewnPieces.Kind;
import mardun.core.batch.UnsewnPieces.Offer;
import mardun.core.batch.UnsewnPieces.Pile;
import mardun.core.batch.UnsewnPieces.Taken;
import mardun.core.design.Design;
import mardun.core.design.DesignMaker;
import mardun.core.design.Piece;
import mardun.core.design.Role;
import mardun.core.design.SizedPiece;
import mardun.core.design.Sizing;
import mardun.core.material.Amount;
import mardun.core.material.MaterialKind;
import mardun.core.material.UnitPrice;
import mardun.core.measure.Length;
import mardun.core.measure.LengthReader;
import mardun.core.measure.LengthUnit;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

/** Pieces that are cut and not sewn, and the lines that they would do for. */
class UnsewnPiecesTest {

    private static final Length SEAM = Sizing.USUAL_THICKEST_SEAM;

    private static Design tote(String height) {
        return DesignMaker.empty()
                .cloth("outer")
                .cloth("inside")
                .pieces(
                        Piece.of("A", "Face", Role.OUTER, "outer", "2", "15 in", height),
                        Piece.of("H", "Handle", Role.OUTER, "outer", "1", "4 in", "20 in"),
                        Piece.of("B", "Lining", Role.LINING, "inside", "2", "15 in", "15 in"))
                .make();
    }

    private static Supply cloth(String slot, String key) {
        return Supply.of(
                slot,
                key,
                key,
                MaterialKind.CLOTH,
                Optional.of(LengthReader.read("43", LengthUnit.INCH)),
                Optional.empty(),
                false,
                new UnitPrice(
                        Money.ofMinor(CurrencyUnit.EUR, 900), Amount.of(LengthReader.read("1 yd", LengthUnit.INCH))),
                Amount.none(MaterialKind.CLOTH.counting()));
    }

    private static BatchLine line(Design design, String outer, int units) {
        return BatchLine.only(
                design, 0, units, List.of(cloth("outer", outer), cloth("inside", "linen")), Optional.empty());
    }

    private static final BatchLine FIVE = line(tote("16 in"), "rust", 5);

    /** So many of a letter, for so much. */
    private static Pile pile(String key, String letter, String cloth, long count, long minor) {
        SizedPiece piece = FIVE.sized(SEAM).pieces().stream()
                .filter(one -> one.piece().letter().equals(letter))
                .findFirst()
                .orElseThrow();
        return new Pile(key, Kind.of("tote", cloth, piece), count, minor);
    }

    private static UnsewnPieces shelf() {
        return new UnsewnPieces(List.of(
                pile("1", "A", "rust", 4, 401),
                pile("2", "A", "rust", 4, 800),
                pile("3", "H", "rust", 3, 90),
                pile("4", "B", "linen", 1, 70)));
    }

    @Test
    void asManyBagsAsAllPiecesOfAClothAreThereFor() {
        assertThat(shelf().offers(FIVE, "tote", SEAM)).singleElement().satisfies(offer -> {
            assertThat(offer.cloth()).isEqualTo("rust");
            assertThat(offer.bags()).isEqualTo(3);
            assertThat(offer.pieces())
                    .extracting(piece -> piece.piece().letter())
                    .containsExactly("A", "H");
            // The four that were put by first, two of the next, and the three handles.
            assertThat(offer.minor()).isEqualTo(401 + 400 + 90);
        });
        assertThat(shelf().offers(line(tote("16 in"), "rust", 2), "tote", SEAM))
                .extracting(Offer::bags)
                .containsExactly(2);
    }

    @Test
    void piecesOfAnotherClothSizeOrDesignDontFit() {
        assertThat(shelf().offers(line(tote("16 in"), "navy", 5), "tote", SEAM)).isEmpty();
        assertThat(shelf().offers(line(tote("16 1/64 in"), "rust", 5), "tote", SEAM))
                .isEmpty();
        assertThat(shelf().offers(FIVE, "other", SEAM)).isEmpty();
    }

    @Test
    void whatOneLineTakesIsntThereForTheNext() {
        UnsewnPieces shelf = shelf();
        Brought first = shelf.bring(line(tote("16 in"), "rust", 2), "tote", SEAM, Map.of("rust", 5));
        assertThat(first.taken()).containsExactlyInAnyOrder(new Taken("1", 4, 401), new Taken("3", 2, 60));
        assertThat(first.moved().of("rust")).isEqualTo(new PiecesMoved.OfCloth(2, 0, 461));
        // The lining is cut here, so the cutting is still this line's work.
        assertThat(first.moved().cutting(2)).isEqualTo(2);
        Brought second = shelf.bring(FIVE, "tote", SEAM, Map.of("rust", 3, "linen", 1));
        assertThat(second.moved().of("rust")).isEqualTo(new PiecesMoved.OfCloth(1, 0, 430));
        assertThat(second.moved().of("linen")).isEqualTo(PiecesMoved.OfCloth.NONE);
        assertThat(shelf.offers(FIVE, "tote", SEAM)).isEmpty();
    }

    @Test
    void whereAllClothsAreBroughtTheCuttingIsDone() {
        UnsewnPieces shelf = new UnsewnPieces(List.of(
                pile("1", "A", "rust", 6, 600), pile("2", "H", "rust", 3, 90), pile("3", "B", "linen", 4, 200)));
        Brought brought = shelf.bring(FIVE, "tote", SEAM, Map.of("rust", 3, "linen", 2));
        assertThat(brought.moved().cutting(5)).isEqualTo(3);
        assertThat(brought.moved().cutHere("rust", 5)).isEqualTo(2);
        assertThat(brought.moved().cutHere("linen", 5)).isEqualTo(3);
        assertThat(brought.moved().atMost(2).of("rust")).isEqualTo(new PiecesMoved.OfCloth(2, 0, 460));
    }

    /** Taken bit by bit, the pieces are worth just what they were worth together. */
    @Test
    void theLastPiecesTakeTheRestAlong() {
        Pile pile = pile("1", "H", "rust", 7, 100);
        List<Long> worths = new ArrayList<>();
        while (pile.count() > 0) {
            worths.add(pile.worth(1));
            pile = new Pile(pile.key(), pile.kind(), pile.count() - 1, pile.minor() - pile.worth(1));
        }
        assertThat(worths).hasSize(7).allMatch(worth -> worth == 14 || worth == 15);
        assertThat(worths.stream().mapToLong(Long::longValue).sum()).isEqualTo(100);
    }
}
