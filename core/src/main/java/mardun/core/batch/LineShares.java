package mardun.core.batch;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import mardun.core.batch.CutList.PieceLine;
import mardun.core.costing.WasteSchool;
import mardun.core.cutting.ClothLayout;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.cutting.ClothNeed;
import mardun.core.cutting.CutTree;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.Offcuts;
import mardun.core.cutting.PieceKey;
import mardun.core.measure.Area;
import org.apache.commons.numbers.fraction.BigFraction;

/**
 * Which line of a batch bears how much of a material, as parts of 1. Cloth is borne by where the pieces really lie; everything
 * else by how much of it each line takes.
 *
 * @param ofAmount of what is taken from rolls, spools and boxes, by the line's number
 * @param ofOffcuts of each lot of offcuts and precuts that is cut into, by the lot and the line's number
 */
public record LineShares(Map<Integer, BigFraction> ofAmount, Map<String, Map<Integer, BigFraction>> ofOffcuts) {

    public LineShares {
        ofAmount = Map.copyOf(ofAmount);
        ofOffcuts = Map.copyOf(ofOffcuts);
    }

    /** What a line bears of the amount; zero for one that takes nothing of it. */
    public BigFraction of(int line) {
        return ofAmount.getOrDefault(line, BigFraction.ZERO);
    }

    BigFraction ofOffcut(String lot, int line) {
        return ofOffcuts.getOrDefault(lot, Map.of()).getOrDefault(line, BigFraction.ZERO);
    }

    /** The lines that bear anything, in their order. */
    public List<Integer> lines() {
        return Stream.concat(
                        ofAmount.keySet().stream(), ofOffcuts.values().stream().flatMap(its -> its.keySet().stream()))
                .distinct()
                .sorted()
                .toList();
    }

    /** Something that isn't cut from cloth, by what each line takes of it. */
    static LineShares byAmount(Map<Integer, Long> taken) {
        Map<Integer, BigFraction> weights = new TreeMap<>();
        taken.forEach((line, value) -> weights.put(line, BigFraction.of(value)));
        return new LineShares(parts(weights), Map.of());
    }

    /** Cloth that is cut by a layout. */
    static LineShares of(CuttingLayout layout, List<PieceLine> kinds, WasteSchool waste) {
        Mix mix = Mix.of(kinds);
        Map<Integer, BigFraction> ofRolls = new TreeMap<>();
        Map<String, Map<Integer, BigFraction>> ofOffcuts = new LinkedHashMap<>();
        for (ClothLayout cloth : layout.cloths()) {
            boolean byTheAmount = cloth.isBolt() || cloth.isOfAnySheet();
            Map<Integer, BigFraction> weights =
                    byTheAmount ? ofRolls : ofOffcuts.computeIfAbsent(cloth.lot(), lot -> new TreeMap<>());
            strips(cloth, waste).forEach(strip -> mix.spread(strip, waste, weights));
        }
        ofOffcuts.replaceAll((lot, weights) -> parts(weights));
        return new LineShares(parts(ofRolls), ofOffcuts);
    }

    /** Cloth that is cut by the plan of a pencil: a strip holds pieces of one kind. */
    static LineShares of(ClothNeed need, List<Offcuts.Use> uses, List<PieceLine> kinds) {
        Mix mix = Mix.of(kinds);
        Map<Integer, BigFraction> ofRolls = new TreeMap<>();
        need.strips()
                .forEach(strip -> mix.add(
                        strip.piece().key(), BigFraction.of(strip.length().nanometres()), ofRolls));
        return new LineShares(parts(ofRolls), mix.ofUses(uses));
    }

    /** Sheets that are filled one after another, by what the pieces cover. */
    static LineShares ofSheets(List<Offcuts.Use> uses, List<PieceLine> kinds) {
        Map<Integer, BigFraction> weights = new TreeMap<>();
        uses.forEach(use -> Mix.of(kinds).cover(use.pieces(), weights));
        return new LineShares(parts(weights), Map.of());
    }

    /** A strip across or along a cloth, or all of one that is a piece as it is. */
    private record Strip(Area area, List<Placed> pieces) {}

    private static List<Strip> strips(ClothLayout cloth, WasteSchool waste) {
        if (waste == WasteSchool.BY_AREA) {
            return List.of(new Strip(cloth.area(), cloth.pieces()));
        }
        CutTree tree = CutTree.of(cloth);
        List<CutTree> parts = tree.parts().isEmpty() ? List.of(tree) : tree.parts();
        return parts.stream()
                .filter(part -> !part.isRest())
                .map(part -> new Strip(part.extent().area(), part.pieces().toList()))
                .toList();
    }

    /** Which lines the pieces of each kind are for. */
    private record Mix(Map<PieceKey, Map<Integer, BigFraction>> byKind, Map<PieceKey, Area> areas) {

        static Mix of(List<PieceLine> kinds) {
            Map<PieceKey, Map<Integer, BigFraction>> byKind = new HashMap<>();
            Map<PieceKey, Area> areas = new HashMap<>();
            kinds.forEach(kind -> {
                Map<Integer, BigFraction> counts = new TreeMap<>();
                kind.shares()
                        .forEach(share -> counts.merge(share.line(), BigFraction.of(share.count()), BigFraction::add));
                byKind.put(kind.key(), parts(counts));
                areas.put(kind.key(), kind.piece().extent().area());
            });
            return new Mix(byKind, areas);
        }

        void add(PieceKey kind, BigFraction weight, Map<Integer, BigFraction> weights) {
            byKind.getOrDefault(kind, Map.of())
                    .forEach((line, share) -> weights.merge(line, weight.multiply(share), BigFraction::add));
        }

        /** A strip's whole area, or only what its pieces cover, shared by their areas. */
        void spread(Strip strip, WasteSchool waste, Map<Integer, BigFraction> weights) {
            Map<PieceKey, BigFraction> covered = new HashMap<>();
            strip.pieces()
                    .forEach(piece -> covered.merge(
                            piece.key(), exact(Area.of(piece.width(), piece.height())), BigFraction::add));
            BigFraction all = covered.values().stream().reduce(BigFraction.ZERO, BigFraction::add);
            BigFraction factor =
                    waste == WasteSchool.BY_STRIP ? exact(strip.area()).divide(all) : BigFraction.ONE;
            covered.forEach((kind, area) -> add(kind, area.multiply(factor), weights));
        }

        void cover(Map<PieceKey, Long> pieces, Map<Integer, BigFraction> weights) {
            pieces.forEach((kind, count) -> add(kind, exact(areas.get(kind)).multiply(BigFraction.of(count)), weights));
        }

        Map<String, Map<Integer, BigFraction>> ofUses(List<Offcuts.Use> uses) {
            Map<String, Map<Integer, BigFraction>> ofUses = new LinkedHashMap<>();
            uses.forEach(use -> cover(use.pieces(), ofUses.computeIfAbsent(use.key(), lot -> new TreeMap<>())));
            ofUses.replaceAll((lot, weights) -> parts(weights));
            return ofUses;
        }
    }

    private static BigFraction exact(Area area) {
        return BigFraction.of(area.squareNanometres());
    }

    /** The weights as parts of 1. */
    private static Map<Integer, BigFraction> parts(Map<Integer, BigFraction> weights) {
        BigFraction all = weights.values().stream().reduce(BigFraction.ZERO, BigFraction::add);
        Map<Integer, BigFraction> parts = new TreeMap<>();
        if (all.signum() > 0) {
            weights.forEach((line, weight) -> parts.put(line, weight.divide(all)));
        }
        return parts;
    }
}
