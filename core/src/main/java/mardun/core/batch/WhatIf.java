package mardun.core.batch;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.stream.Stream;
import mardun.core.batch.CutList.PieceLine;
import mardun.core.cutting.Aim;
import mardun.core.cutting.Bags;
import mardun.core.cutting.Budget;
import mardun.core.cutting.CannotBeCutException;
import mardun.core.cutting.CuttingJob;
import mardun.core.cutting.LayoutSearch;
import mardun.core.cutting.ShelfCloth;
import mardun.core.measure.Length;

/**
 * What a batch would take of a cloth if something were different. Each question is searched for shortly, for the least cloth, so
 * that the answers compare with one another; offcuts and precuts are left out.
 *
 * @param cloth what is cut
 * @param job the batch's pieces on that cloth
 */
public record WhatIf(Supply cloth, CuttingJob job) {

    /** About a tenth of a second for each question. */
    private static final long WORK = 10_000;

    private static final long SEED = 1;

    /** A larger batch is laid out in parts of so many bags: it takes hardly more cloth, and is answered as fast. */
    private static final int PART = 100;

    /** What the batch takes of the roll as it is; empty if a piece is wider than the cloth. */
    public Optional<Length> asItIs() {
        return length(job.width(), job.units(), false);
    }

    /** What it would take of a cloth of another usable width. */
    public Optional<Length> onWidth(Length width) {
        return length(width, job.units(), false);
    }

    /** What it would take for another number of bags: the first of them, line by line. */
    public Optional<Length> forBags(int bags) {
        return length(job.width(), bags, false);
    }

    /** What it would take if pieces with a top were turned wherever that helps; never more than as it is. */
    public Optional<Length> turned() {
        return Stream.of(length(job.width(), job.units(), true), asItIs())
                .flatMap(Optional::stream)
                .min(Comparator.naturalOrder());
    }

    /**
     * What it would take of another cloth.
     *
     * @param lines the pieces that are cut
     */
    public Optional<Length> from(Supply other, List<PieceLine> lines) {
        ShelfCloth lying = ClothNeeds.shelfCloth(other, lines, List.of());
        CuttingJob there =
                new CuttingJob(ClothNeeds.cutPieces(other, lines), lying.whole(lying.width()), job.terms(), job.bags());
        return taken(other, job.units(), part -> cut(there, part, false));
    }

    /**
     * The most bags that a length of the roll gives.
     *
     * @param most no more are asked for
     */
    public int bagsFrom(Length there, int most) {
        return LargestThatFits.upTo(
                most,
                bags -> forBags(bags)
                        .filter(length -> length.compareTo(there) <= 0)
                        .isPresent());
    }

    private Optional<Length> length(Length width, int bags, boolean turned) {
        CuttingJob onWidth = job.from(job.cloth().whole(width));
        return taken(cloth, bags, part -> cut(onWidth, part, turned));
    }

    /** What leaves the shelf for so many bags, cut in parts; squared once. */
    private Optional<Length> taken(Supply of, int bags, IntFunction<Optional<Length>> cut) {
        return inParts(bags, cut)
                .map(length -> of.shrinkage().toTake(length.plus(job.terms().squaring())));
    }

    private static Optional<Length> inParts(int bags, IntFunction<Optional<Length>> cut) {
        if (bags <= PART) {
            return cut.apply(bags);
        }
        Optional<Length> whole = cut.apply(PART).map(length -> length.times(bags / PART));
        int rest = bags % PART;
        return rest == 0 ? whole : whole.flatMap(length -> cut.apply(rest).map(length::plus));
    }

    /** How much is cut of the roll for the first so many bags, without squaring its end. */
    private static Optional<Length> cut(CuttingJob all, int bags, boolean turned) {
        CuttingJob part = all.forBags(Bags.first(all.bags(), bags), all.cloth());
        CuttingJob laid = new CuttingJob(
                part.pieces().stream().map(piece -> piece.turning(turned)).toList(),
                part.cloth(),
                part.terms(),
                part.bags());
        try {
            return Optional.of(
                    LayoutSearch.search(laid, Aim.LEAST_CLOTH, SEED, Budget.of(WORK, () -> false), better -> {})
                            .boltLength());
        } catch (CannotBeCutException tooWide) {
            return Optional.empty();
        }
    }
}
