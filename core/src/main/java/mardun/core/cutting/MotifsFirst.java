package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.material.ClothPiece;
import mardun.core.measure.Area;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * The pieces of a job that show a part of the print lie first, each in the smallest gap that holds it where the print wants it, or else
 * in a strip of its own. What they leave between them is laid out for the others like offcuts that cost nothing.
 */
final class MotifsFirst {

    /** No lot of the shelf is called so. */
    private static final String GAP = "gap ";

    private final CuttingJob job;
    private final ShelfCloth cloth;
    private final List<Placed> laid = new ArrayList<>();
    private final Set<Gap> gaps = new LinkedHashSet<>();
    private Length end = Length.ZERO;

    private MotifsFirst(CuttingJob job) {
        this.job = job;
        this.cloth = job.cloth();
    }

    /** A rectangle of cloth that is still free. */
    private record Gap(Length x, Length y, Length width, Length height) {

        Area area() {
            return Area.of(width, height);
        }

        Length right() {
            return x.plus(width);
        }

        Length top() {
            return y.plus(height);
        }

        boolean isAny() {
            return width.isPositive() && height.isPositive();
        }
    }

    /** Empty where no piece of a job has to show a part of the print. */
    static Optional<MotifsFirst> of(CuttingJob job) {
        List<CutPiece> kinds = job.pieces().stream()
                .filter(job.cloth()::isPlacedOn)
                .sorted(Comparator.comparing((CutPiece piece) -> piece.extent().height())
                        .reversed()
                        .thenComparing(CutPiece::key))
                .toList();
        return IntStream.range(0, kinds.size())
                .mapToObj(first -> laid(job, beginningWith(first, kinds)))
                .min(Comparator.comparing(motifs -> motifs.end));
    }

    private static List<CutPiece> beginningWith(int first, List<CutPiece> kinds) {
        List<CutPiece> order = new ArrayList<>(kinds);
        order.add(0, order.remove(first));
        return order;
    }

    private static MotifsFirst laid(CuttingJob job, List<CutPiece> kinds) {
        MotifsFirst motifs = new MotifsFirst(job);
        kinds.forEach(motifs::lay);
        return motifs;
    }

    /** Lays all pieces of a kind. A gap only becomes smaller, so one that doesn't hold such a piece isn't looked at again. */
    private void lay(CutPiece kind) {
        PriorityQueue<Gap> holding = new PriorityQueue<>(Comparator.comparing(Gap::area));
        gaps.stream().filter(gap -> at(kind, gap).isPresent()).forEach(holding::add);
        for (long i = 0; i < kind.count(); i++) {
            Gap gap = holding.isEmpty() ? strip(kind) : holding.remove();
            Placed piece = at(kind, gap).orElseThrow(() -> CannotBeCutException.offThePrint(kind, job.width()));
            gaps.remove(gap);
            lay(piece, gap).stream().filter(rest -> at(kind, rest).isPresent()).forEach(holding::add);
        }
    }

    /** A new strip for a piece that no gap holds, with what is cut away before it. */
    private Gap strip(CutPiece kind) {
        Length begin = end;
        end = cloth.upTo(end, kind).plus(kind.extent().height());
        return new Gap(Length.ZERO, begin, job.width(), end.minus(begin));
    }

    /** Where in a gap a piece can lie so that it shows what it has to. */
    private Optional<Placed> at(CutPiece kind, Gap gap) {
        Length edge = cloth.leftOf(kind);
        Length y = cloth.upTo(gap.y(), kind);
        Length most = gap.right().compareTo(job.width().minus(edge)) < 0
                ? gap.right()
                : job.width().minus(edge);
        return cloth.acrossTo(gap.x().max(edge), kind)
                .map(x -> new Placed(
                        kind.key(), x, y, kind.extent().width(), kind.extent().height(), false))
                .filter(piece ->
                        piece.right().compareTo(most) <= 0 && piece.top().compareTo(gap.top()) <= 0);
    }

    /**
     * Lays a piece in a gap: what is below and above it goes from side to side, what is beside it is as high as it is. Answers what is
     * still free.
     */
    private List<Gap> lay(Placed piece, Gap gap) {
        laid.add(piece);
        List<Gap> rests = Stream.of(
                        new Gap(gap.x(), gap.y(), gap.width(), piece.y().minus(gap.y())),
                        new Gap(gap.x(), piece.top(), gap.width(), gap.top().minus(piece.top())),
                        new Gap(gap.x(), piece.y(), piece.x().minus(gap.x()), piece.height()),
                        new Gap(piece.right(), piece.y(), gap.right().minus(piece.right()), piece.height()))
                .filter(Gap::isAny)
                .toList();
        gaps.addAll(rests);
        return rests;
    }

    /** The other pieces, with the gaps to lie in; empty where there are no others. */
    Optional<CuttingJob> others() {
        List<CutPiece> others =
                job.pieces().stream().filter(piece -> !cloth.isPlacedOn(piece)).toList();
        if (others.isEmpty()) {
            return Optional.empty();
        }
        List<ClothPiece> sheets = new ArrayList<>(cloth.sheets());
        byKey(others)
                .forEach((key, same) ->
                        sheets.add(new ClothPiece(key, extent(same.get(0)), same.size(), BigFraction.ZERO)));
        Set<PieceKey> keys = others.stream().map(CutPiece::key).collect(Collectors.toSet());
        return Optional.of(new CuttingJob(
                others, cloth.withSheets(sheets), job.terms(), Bags.only(job.bags(), keys), job.chosen()));
    }

    private static Extent extent(Gap gap) {
        return new Extent(gap.width(), gap.height());
    }

    /** The gaps that hold one of these pieces at least, those of one size together, away from the selvages where that matters. */
    private Map<String, List<Gap>> byKey(List<CutPiece> others) {
        Map<Extent, List<Gap>> sizes = new LinkedHashMap<>();
        gaps.stream()
                .map(this::betweenEdges)
                .filter(Gap::isAny)
                .filter(gap -> others.stream().anyMatch(piece -> holds(gap, piece)))
                .forEach(gap -> sizes.computeIfAbsent(extent(gap), size -> new ArrayList<>())
                        .add(gap));
        Map<String, List<Gap>> keyed = new LinkedHashMap<>();
        sizes.forEach((size, same) -> keyed.put(GAP + (keyed.size() + 1), same));
        return keyed;
    }

    private boolean holds(Gap gap, CutPiece piece) {
        return !cloth.isMetBy(piece)
                && (Offcuts.fits(piece.extent(), extent(gap))
                        || piece.mayTurn() && Offcuts.fits(piece.extent().turned(), extent(gap)));
    }

    private Gap betweenEdges(Gap gap) {
        Length wide = cloth.selvages().wide();
        Length left = gap.x().max(wide);
        Length right = gap.right().compareTo(job.width().minus(wide)) < 0
                ? gap.right()
                : job.width().minus(wide);
        return new Gap(left, gap.y(), right.minus(left), gap.height());
    }

    /** A layout of no other pieces. */
    CuttingLayout alone() {
        return new CuttingLayout(List.of(ClothLayout.onBolt(job.width(), end, laid)));
    }

    /** A layout of the other pieces together with these: what lies on the roll begins where these end. */
    CuttingLayout with(CuttingLayout others) {
        Map<String, List<Gap>> free = new HashMap<>();
        byKey(job.pieces().stream().filter(piece -> !cloth.isPlacedOn(piece)).toList())
                .forEach((key, same) -> free.put(key, new ArrayList<>(same)));
        List<ClothLayout> cloths = new ArrayList<>();
        List<Placed> pieces = new ArrayList<>(laid);
        Length length = end;
        for (ClothLayout one : others.cloths()) {
            if (one.isBolt()) {
                boolean meets = job.pieces().stream()
                        .anyMatch(piece -> cloth.isMetBy(piece)
                                && one.pieces().stream()
                                        .anyMatch(its -> its.key().equals(piece.key())));
                Length from = meets ? cloth.toTheRepeat(end) : end;
                one.pieces().forEach(piece -> pieces.add(piece.moved(Length.ZERO, from)));
                length = from.plus(one.length());
            } else if (free.containsKey(one.lot())) {
                Gap gap = free.get(one.lot()).remove(0);
                one.pieces().forEach(piece -> pieces.add(piece.moved(gap.x(), gap.y())));
            } else {
                cloths.add(one);
            }
        }
        cloths.add(ClothLayout.onBolt(job.width(), length, pieces));
        return new CuttingLayout(cloths);
    }
}
