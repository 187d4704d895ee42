package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import mardun.core.material.ClothPiece;
import mardun.core.material.Roll;
import mardun.core.measure.Length;

/**
 * Lays a job out on the rolls that are on the shelf. All of it comes from one dye lot where one has enough. Else the bags are
 * shared out, so that all pieces of a bag come from one dye lot, unless the whole batch has to.
 */
public final class ShelfSearch {

    /** If so many bags don't fit, a fortieth fewer are tried. */
    private static final int FEWER = 40;

    /** A dye lot is tried more than once, each time with a part of the work. */
    private static final int TRIES = 3;

    private final CuttingJob job;
    private final Aim aim;
    private final long seed;
    private final long work;
    private final Budget budget;

    private ShelfSearch(CuttingJob job, Aim aim, long seed, long work, Budget budget) {
        this.job = job;
        this.aim = aim;
        this.seed = seed;
        this.work = work;
        this.budget = budget;
    }

    /**
     * The best layout found for an aim; pieces that the shelf doesn't give lie on any roll, which has to be bought.
     *
     * @param budget how long it may take; where bags are shared out among dye lots, a third of it again for each try
     * @param better told of each layout that is better than the one before, without regard to the rolls
     * @throws CannotBeCutException if a piece is wider than the cloth, turned where it may be
     */
    public static CuttingLayout search(
            CuttingJob job, Aim aim, long seed, Budget budget, Consumer<CuttingLayout> better) {
        if (job.cloth().bySheet()) {
            return LayoutSearch.search(job, aim, seed, budget, better);
        }
        if (job.chosen().isEmpty() || aim == Aim.LEAST_CLOTH) {
            return searchFor(job, aim, seed, budget, better);
        }
        // What the maker chose costs nothing more, so the least cloth is what uses it best; that counts for every aim.
        Budget half = budget.part(budget.work() / 2);
        CuttingLayout ofChosen = searchFor(job, Aim.LEAST_CLOTH, seed, half, better);
        return aim.best(List.of(ofChosen, searchFor(job, aim, seed, budget, better)), job);
    }

    private static CuttingLayout searchFor(
            CuttingJob job, Aim aim, long seed, Budget budget, Consumer<CuttingLayout> better) {
        Map<String, List<Roll>> byDye = new TreeMap<>(job.cloth().rolls().stream()
                .collect(Collectors.groupingBy(job.cloth().oneDye() ? Roll::provenDyeLot : Roll::dyeLot)));
        CuttingJob ofOneDye = job.from(job.cloth().withSheets(sheetsLike(byDye, job.sheets())));
        CuttingLayout layout = LayoutSearch.search(ofOneDye, aim, seed, budget, better);
        if (byDye.size() <= 1) {
            return StripsOnRolls.of(layout, ofOneDye);
        }
        ShelfSearch search = new ShelfSearch(ofOneDye, aim, seed, budget.work(), budget);
        return search.ofDyes(layout, List.copyOf(byDye.values()));
    }

    /** The offcuts and precuts without a mark, and those of the dye of which there is most on rolls, or else of the first. */
    private static List<ClothPiece> sheetsLike(Map<String, List<Roll>> byDye, List<ClothPiece> sheets) {
        String dye = byDye.entrySet().stream()
                .max(Comparator.comparing(entry -> together(entry.getValue())))
                .map(entry -> entry.getValue().get(0).dyeLot())
                .filter(mark -> !mark.isEmpty())
                .or(() -> sheets.stream()
                        .map(ClothPiece::dyeLot)
                        .filter(mark -> !mark.isEmpty())
                        .findFirst())
                .orElse("");
        return sheets.stream()
                .filter(sheet -> sheet.dyeLot().isEmpty() || sheet.dyeLot().equals(dye))
                .toList();
    }

    private CuttingLayout ofDyes(CuttingLayout whole, List<List<Roll>> dyes) {
        Set<String> marks = marksOfSheets(whole);
        List<List<Roll>> smallestFirst = dyes.stream()
                .filter(rolls -> marks.isEmpty() || marks.contains(rolls.get(0).dyeLot()))
                .sorted(Comparator.comparing(ShelfSearch::together))
                .toList();
        for (List<Roll> dye : smallestFirst) {
            CuttingLayout onOne = StripsOnRolls.of(whole, job.from(job.cloth().with(dye)));
            if (onOne.bolts().stream().noneMatch(ClothLayout::isOfAnyRoll)) {
                return onOne;
            }
        }
        return job.cloth().oneDye() ? StripsOnRolls.of(whole, job) : shared(whole, dyes);
    }

    /** The dye lots of the offcuts and precuts that a layout lies on. */
    private Set<String> marksOfSheets(CuttingLayout layout) {
        Map<String, String> marks = job.sheets().stream()
                .collect(Collectors.toMap(ClothPiece::key, ClothPiece::dyeLot, (one, same) -> one));
        return layout.cloths().stream()
                .filter(cloth -> !cloth.isBolt())
                .map(cloth -> marks.get(cloth.lot()))
                .filter(mark -> !mark.isEmpty())
                .collect(Collectors.toSet());
    }

    /** The dye lot that has most gives as many bags as it can, then the next one; the rest has to be bought. */
    private CuttingLayout shared(CuttingLayout whole, List<List<Roll>> dyes) {
        List<ClothLayout> cloths = new ArrayList<>();
        List<Bags> open = job.bags();
        for (List<Roll> dye : dyes.stream()
                .sorted(Comparator.comparing(ShelfSearch::together).reversed())
                .toList()) {
            ShelfCloth its = job.cloth().whole(job.width()).with(dye);
            int most = Math.min(Bags.together(open), atMost(whole, dye));
            CuttingLayout layout = null;
            while (layout == null && most > 0) {
                CuttingJob part = job.forBags(Bags.first(open, most), its);
                CuttingLayout tried = StripsOnRolls.of(search(part), part);
                boolean fits = tried.bolts().stream().noneMatch(ClothLayout::isOfAnyRoll);
                layout = fits ? tried : null;
                most -= fits ? 0 : Math.max(1, most / FEWER);
            }
            if (layout != null) {
                cloths.addAll(layout.cloths());
                open = Bags.without(open, most);
            }
        }
        if (!open.isEmpty()) {
            cloths.addAll(
                    search(job.forBags(open, job.cloth().whole(job.width()))).cloths());
        }
        return new CuttingLayout(cloths);
    }

    private CuttingLayout search(CuttingJob part) {
        return LayoutSearch.search(part, aim, seed, Budget.of(work / TRIES, budget::isStopped), better -> {});
    }

    /** By the area alone, and one more; no more are tried. */
    private int atMost(CuttingLayout whole, List<Roll> dye) {
        long each = Math.max(1, whole.leastLength().nanometres() / job.units());
        return Math.toIntExact(Math.min(job.units(), together(dye).nanometres() / each + 1));
    }

    private static Length together(List<Roll> rolls) {
        return rolls.stream().map(Roll::length).reduce(Length.ZERO, Length::plus);
    }
}
