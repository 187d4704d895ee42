package mardun.core.batch;

import java.util.List;
import java.util.Optional;
import mardun.core.batch.BatchPlan.PieceLine;
import mardun.core.cutting.Aim;
import mardun.core.cutting.Budget;
import mardun.core.cutting.CannotBeCutException;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.CuttingJob;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.LayoutSearch;
import mardun.core.cutting.ShelfCloth;
import mardun.core.measure.Length;

/**
 * What a batch would take of a cloth if something were different. Each question is searched for shortly, for the least cloth, so
 * that the answers compare with one another; offcuts and precuts are left out.
 *
 * @param cloth what is cut
 * @param job the batch's pieces on that cloth
 * @param units how many bags the pieces are for; one or more
 */
public record WhatIf(Supply cloth, CuttingJob job, int units) {

    /** About a tenth of a second for each question. */
    private static final long WORK = 10_000;

    private static final long SEED = 1;

    /** What the batch takes of the roll as it is; empty if a piece is wider than the cloth. */
    public Optional<Length> asItIs() {
        return length(job.width(), units, false);
    }

    /** What it would take of a cloth of another usable width. */
    public Optional<Length> onWidth(Length width) {
        return length(width, units, false);
    }

    /** What it would take for another number of bags. */
    public Optional<Length> forBags(int bags) {
        return length(job.width(), bags, false);
    }

    /** What it would take if pieces with a top were turned too. */
    public Optional<Length> turned() {
        return length(job.width(), units, true);
    }

    /**
     * What it would take of another cloth.
     *
     * @param lines the pieces that are cut
     */
    public Optional<Length> from(Supply other, List<PieceLine> lines) {
        ShelfCloth lying = BatchPlanner.shelfCloth(
                other, lines.stream().map(line -> line.piece().piece()).toList(), List.of());
        return length(other, BatchPlanner.cutPieces(other, lines), lying.whole(lying.width()), units);
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
        List<CutPiece> pieces = job.pieces().stream()
                .map(piece -> piece.times(piece.count() / units * bags).turning(turned))
                .toList();
        return length(cloth, pieces, job.cloth().whole(width), bags);
    }

    private Optional<Length> length(Supply taken, List<CutPiece> pieces, ShelfCloth from, int bags) {
        try {
            CuttingLayout layout = LayoutSearch.search(
                    new CuttingJob(pieces, from, job.terms(), bags),
                    Aim.LEAST_CLOTH,
                    SEED,
                    Budget.of(WORK, () -> false),
                    better -> {});
            Length cut = layout.boltLength().plus(job.terms().squaring());
            return Optional.of(taken.shrinkage().toTake(cut));
        } catch (CannotBeCutException tooWide) {
            return Optional.empty();
        }
    }
}
