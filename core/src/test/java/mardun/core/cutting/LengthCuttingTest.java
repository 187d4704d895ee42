package mardun.core.cutting;

import static mardun.core.cutting.Cutting.in;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import mardun.core.cutting.LengthPlan.CutRoll;
import mardun.core.material.Roll;
import mardun.core.measure.Length;
import org.junit.jupiter.api.Test;

class LengthCuttingTest {

    private static LengthPiece piece(String letter, String length, long count) {
        return new LengthPiece(letter, letter, in(length), count);
    }

    private static Roll roll(String key, String length) {
        return new Roll(key, "", in(length));
    }

    private static LengthPlan plan(List<LengthPiece> pieces, Roll... rolls) {
        return LengthCutting.plan(pieces, List.of(rolls), in("1/4"), in("4"), false);
    }

    @Test
    void aLeftOverLengthComesBeforeTheRoll() {
        LengthPlan plan = plan(List.of(piece("Z", "9", 6)), roll("roll", "200"), roll("left", "20"));
        assertThat(plan.cuts()).extracting(cut -> cut.roll().key()).containsExactly("left", "roll");
        CutRoll left = plan.cuts().get(0);
        assertThat(left.pieces()).containsExactly(piece("Z", "9", 2));
        assertThat(left.rest()).isEqualTo(in("1 3/4"));
        assertThat(left.isKept()).isFalse();
        assertThat(left.taken()).isEqualTo(in("20"));
        assertThat(plan.cuts().get(1).taken()).isEqualTo(in("36 1/4"));
        assertThat(plan.lost()).isEqualTo(in("1 3/4"));
        assertThat(plan.missing()).isEmpty();
        assertThat(plan.toBuy().isZero()).isTrue();
        assertThat(plan.isLeast()).isTrue();
    }

    @Test
    void lengthsAreMixedSoThatNothingIsLost() {
        LengthPlan plan =
                plan(List.of(piece("A", "7", 3), piece("B", "5", 3)), roll("1", "12 1/4"), roll("2", "24 1/4"));
        assertThat(plan.missing()).isEmpty();
        assertThat(plan.lost().isZero()).isTrue();
        assertThat(plan.cuts()).extracting(CutRoll::rest).allMatch(Length::isZero);
    }

    @Test
    void aMadeRestIsNotShorterThanWhatIsKept() {
        LengthPlan exact = plan(List.of(piece("A", "10", 1)), roll("1", "14 1/4"));
        assertThat(exact.cuts().get(0).isKept()).isTrue();
        assertThat(exact.taken()).isEqualTo(in("10 1/4"));
        LengthPlan less = plan(List.of(piece("A", "10", 1)), roll("1", "14 15/64"));
        assertThat(less.cuts().get(0).isKept()).isFalse();
        assertThat(less.taken()).isEqualTo(in("14 15/64"));
    }

    @Test
    void whatTheShelfDoesNotGiveIsBought() {
        LengthPlan plan = plan(List.of(piece("A", "30", 3)), roll("1", "40"), roll("2", "40"));
        assertThat(plan.missing()).containsExactly(piece("A", "30", 1));
        assertThat(plan.toBuy()).isEqualTo(in("30 1/4"));
        assertThat(plan(List.of(piece("A", "30", 3))).toBuy()).isEqualTo(in("90 1/4"));
    }

    @Test
    void equalLengthsOfTwoNamesAreToldApart() {
        LengthPlan plan = plan(List.of(piece("A", "8", 2), piece("B", "8", 2)), roll("1", "24 1/4"), roll("2", "100"));
        assertThat(plan.cuts().stream().flatMap(cut -> cut.pieces().stream()))
                .containsExactly(piece("A", "8", 2), piece("B", "8", 1), piece("B", "8", 1));
    }

    @Test
    void allComesFromOneDyeLotWhereItHasTo() {
        List<Roll> rolls =
                List.of(new Roll("1", "B 7", in("40")), new Roll("2", "b 7 ", in("61")), new Roll("3", "C", in("80")));
        List<LengthPiece> pieces = List.of(piece("A", "30", 3));
        LengthPlan one = LengthCutting.plan(pieces, rolls, in("1/4"), in("4"), true);
        assertThat(one.cuts()).extracting(cut -> cut.roll().key()).containsExactly("1", "2");
        List<Roll> unmarked = List.of(roll("4", "61"), roll("5", "61"));
        assertThat(LengthCutting.plan(pieces, unmarked, in("1/4"), in("4"), true)
                        .cuts())
                .as("nobody knows whether they are of one dye")
                .isEmpty();
        LengthPlan none = LengthCutting.plan(List.of(piece("A", "30", 4)), rolls, in("1/4"), in("4"), true);
        assertThat(none.cuts()).isEmpty();
        assertThat(none.toBuy()).isEqualTo(in("120 1/4"));
    }

    @Test
    void aPieceWithoutALengthIsRefused() {
        assertThatThrownBy(() -> piece("A", "0", 1)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> piece("A", "1", 0)).isInstanceOf(IllegalArgumentException.class);
    }

    /** Every way to cut few pieces from few rolls is gone through; what is found misses and loses no more. */
    @Test
    void nothingBetterIsPossible() {
        Random random = new Random(7);
        for (int round = 0; round < 400; round++) {
            List<LengthPiece> pieces = new ArrayList<>();
            for (int kind = 0; kind < 1 + random.nextInt(3); kind++) {
                pieces.add(new LengthPiece(
                        "P" + kind, "", new Length(3 + random.nextInt(12)), 1 + random.nextInt(kind == 0 ? 4 : 2)));
            }
            List<Roll> rolls = new ArrayList<>();
            for (int i = 0; i < random.nextInt(4); i++) {
                rolls.add(new Roll("R" + i, "", new Length(1 + random.nextInt(40))));
            }
            Length trim = new Length(random.nextInt(3));
            Length keep = new Length(random.nextInt(8));
            LengthPlan plan = LengthCutting.plan(pieces, rolls, trim, keep, false);
            assertThat(plan.isLeast()).isTrue();
            assertThat(given(plan)).containsExactlyInAnyOrderElementsOf(each(pieces));
            long[] found = {missing(plan), cost(plan, keep)};
            long[] least = least(each(pieces), rolls, new long[rolls.size()], 0, trim, keep);
            assertThat(found).as("%s from %s", pieces, rolls).isEqualTo(least);
        }
    }

    private static List<String> given(LengthPlan plan) {
        return each(Stream.concat(plan.cuts().stream().flatMap(cut -> cut.pieces().stream()), plan.missing().stream())
                .toList());
    }

    private static List<String> each(List<LengthPiece> pieces) {
        return pieces.stream()
                .flatMap(piece -> Stream.generate(
                                () -> piece.letter() + " " + piece.length().nanometres())
                        .limit(piece.count()))
                .toList();
    }

    private static long missing(LengthPlan plan) {
        return plan.missing().stream()
                .mapToLong(piece -> piece.together().nanometres())
                .sum();
    }

    private static long cost(LengthPlan plan, Length keep) {
        return plan.cuts().stream()
                .mapToLong(cut -> worth(cut.roll().length().nanometres(), keep)
                        - worth(cut.rest().nanometres(), keep)
                        + 1)
                .sum();
    }

    private static long worth(long length, Length keep) {
        return Math.max(0, length - keep.nanometres());
    }

    private static long[] least(
            List<String> pieces, List<Roll> rolls, long[] used, long missing, Length trim, Length keep) {
        if (pieces.isEmpty()) {
            long cost = 0;
            for (int i = 0; i < used.length; i++) {
                long whole = rolls.get(i).length().nanometres();
                cost += used[i] > 0 ? worth(whole, keep) - worth(whole - trim.nanometres() - used[i], keep) + 1 : 0;
            }
            return new long[] {missing, cost};
        }
        long length = Long.parseLong(pieces.get(0).split(" ")[1]);
        List<String> others = pieces.subList(1, pieces.size());
        long[] least = least(others, rolls, used, missing + length, trim, keep);
        for (int i = 0; i < used.length; i++) {
            if (used[i] + length + trim.nanometres() <= rolls.get(i).length().nanometres()) {
                used[i] += length;
                long[] other = least(others, rolls, used, missing, trim, keep);
                used[i] -= length;
                boolean isBetter = other[0] < least[0] || (other[0] == least[0] && other[1] < least[1]);
                least = isBetter ? other : least;
            }
        }
        return least;
    }
}
