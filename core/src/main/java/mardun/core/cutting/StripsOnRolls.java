package mardun.core.cutting;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.cutting.LengthPlan.CutRoll;
import mardun.core.material.Roll;
import mardun.core.measure.Length;

/**
 * Which strip is cut from which roll: none goes over the end of one. Short rolls come before long ones, as left-over lengths do,
 * and each has its end squared.
 */
public final class StripsOnRolls {

    private final CuttingJob job;
    private final Set<PieceKey> meetingPrint;

    private StripsOnRolls(CuttingJob job) {
        this.job = job;
        this.meetingPrint = job.pieces().stream()
                .filter(job.cloth()::isMetBy)
                .map(CutPiece::key)
                .collect(Collectors.toSet());
    }

    /**
     * The same layout on the job's rolls. What they don't give stays on any roll, which has to be bought.
     *
     * @param layout on any roll
     */
    static CuttingLayout of(CuttingLayout layout, CuttingJob job) {
        return job.cloth().rolls().isEmpty() ? layout : new StripsOnRolls(job).spread(layout);
    }

    /**
     * What has to be bought in one piece for strips that lie on any roll, because what the rolls still give is too short.
     *
     * @param any lies on any roll
     * @param layout all that is cut
     * @return zero where nobody said which rolls there are
     */
    public static Length toBuy(ClothLayout any, CuttingLayout layout, ShelfCloth cloth, Length squaring) {
        if (cloth.rolls().isEmpty()) {
            return Length.ZERO;
        }
        Set<String> begun = layout.bolts().stream().map(ClothLayout::lot).collect(Collectors.toSet());
        List<Roll> whole = cloth.rolls().stream()
                .filter(roll -> !begun.contains(roll.key()))
                .toList();
        List<LengthPiece> strips = withWhatIsCutAwayAbove(CutTree.of(any).parts()).stream()
                .map(height -> new LengthPiece("", "", height, 1))
                .toList();
        return LengthCutting.plan(strips, whole, squaring, Length.ZERO, cloth.oneDye())
                .toBuy();
    }

    /** The heights of strips, each with the rests that lie above it and below the next one, as a print may ask for. */
    private static List<Length> withWhatIsCutAwayAbove(List<CutTree> parts) {
        List<Length> heights = new ArrayList<>();
        Length rests = Length.ZERO;
        for (CutTree part : parts) {
            if (part.isRest()) {
                rests = rests.plus(part.height());
                continue;
            }
            boolean isFirst = heights.isEmpty();
            if (!isFirst) {
                int last = heights.size() - 1;
                heights.set(last, heights.get(last).plus(rests));
            }
            heights.add(isFirst ? rests.plus(part.height()) : part.height());
            rests = Length.ZERO;
        }
        return heights;
    }

    private CuttingLayout spread(CuttingLayout layout) {
        List<ClothLayout> cloths = new ArrayList<>();
        for (ClothLayout cloth : layout.cloths()) {
            if (cloth.isOfAnyRoll()) {
                cloths.addAll(spread(cloth));
            } else {
                cloths.add(cloth);
            }
        }
        return new CuttingLayout(cloths);
    }

    /**
     * What is cut off a roll in one go: a strip; of one whose pieces meet the print also those that lie in the gap before the next
     * such one.
     */
    private record Strip(Length y, Length height, boolean meetsPrint, List<Placed> pieces) {

        Strip with(CutTree inTheGap) {
            List<Placed> both = new ArrayList<>(pieces);
            inTheGap.pieces().forEach(both::add);
            return new Strip(y, inTheGap.y().plus(inTheGap.height()).minus(y), true, both);
        }
    }

    private List<Strip> strips(ClothLayout bolt) {
        List<CutTree> parts =
                CutTree.of(bolt).parts().stream().filter(part -> !part.isRest()).toList();
        int last = -1;
        for (int i = 0; i < parts.size(); i++) {
            last = meetsPrint(parts.get(i)) ? i : last;
        }
        List<Strip> strips = new ArrayList<>();
        for (int i = 0; i < parts.size(); i++) {
            CutTree part = parts.get(i);
            Strip before = strips.isEmpty() ? null : strips.get(strips.size() - 1);
            if (i < last && !meetsPrint(part) && before != null && before.meetsPrint()) {
                strips.set(strips.size() - 1, before.with(part));
            } else {
                strips.add(new Strip(
                        part.y(), part.height(), meetsPrint(part), part.pieces().toList()));
            }
        }
        return strips;
    }

    private List<ClothLayout> spread(ClothLayout bolt) {
        Map<Length, Deque<Strip>> byHeight = new TreeMap<>();
        strips(bolt)
                .forEach(strip -> byHeight.computeIfAbsent(height(strip), height -> new ArrayDeque<>())
                        .add(strip));
        List<LengthPiece> strips = byHeight.entrySet().stream()
                .map(entry ->
                        new LengthPiece("", "", entry.getKey(), entry.getValue().size()))
                .toList();
        LengthPlan plan = LengthCutting.plan(
                strips,
                job.cloth().rolls(),
                job.terms().squaring(),
                job.terms().keepShort(),
                job.cloth().oneDye());
        List<ClothLayout> cloths = new ArrayList<>();
        for (CutRoll roll : plan.cuts()) {
            List<Placed> pieces = new ArrayList<>();
            Length length = lay(taken(roll.pieces(), byHeight), pieces);
            cloths.add(new ClothLayout(roll.roll().key(), true, bolt.width(), length, pieces));
        }
        if (!plan.missing().isEmpty()) {
            List<Placed> pieces = new ArrayList<>();
            Length length = lay(taken(plan.missing(), byHeight), pieces);
            cloths.add(ClothLayout.onBolt(bolt.width(), length, pieces));
        }
        return cloths;
    }

    /** What a strip takes of a roll, with the gaps before it and before the next one where its pieces meet the print. */
    private Length height(Strip strip) {
        return strip.meetsPrint() ? job.cloth().toTheRepeat(beginning(strip).plus(strip.height())) : strip.height();
    }

    /** How far beyond where the print begins anew a strip has to begin whose pieces meet it. */
    private Length beginning(Strip strip) {
        return strip.meetsPrint() ? job.cloth().withinRepeat(strip.y()) : Length.ZERO;
    }

    private boolean meetsPrint(CutTree strip) {
        return strip.pieces().anyMatch(piece -> meetingPrint.contains(piece.key()));
    }

    /** The strips of these heights, in the order in which they lay. */
    private static List<Strip> taken(List<LengthPiece> heights, Map<Length, Deque<Strip>> byHeight) {
        return heights.stream()
                .flatMap(height -> Stream.generate(
                                () -> byHeight.get(height.length()).remove())
                        .limit(height.count()))
                .toList();
    }

    /** Lays strips one after another, those that meet the print first; answers where the last one ends. */
    private Length lay(List<Strip> strips, List<Placed> laid) {
        Length y = Length.ZERO;
        Length end = Length.ZERO;
        for (boolean first : new boolean[] {true, false}) {
            for (Strip strip : strips) {
                if (strip.meetsPrint() == first) {
                    Length begin = y.plus(beginning(strip));
                    strip.pieces()
                            .forEach(piece -> laid.add(
                                    piece.along(piece.y().minus(strip.y()).plus(begin))));
                    end = begin.plus(strip.height());
                    y = y.plus(height(strip));
                }
            }
            y = end;
        }
        return end;
    }
}
