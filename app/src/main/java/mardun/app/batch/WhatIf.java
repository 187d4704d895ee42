package mardun.app.batch;

import java.util.List;
import java.util.Optional;
import java.util.function.IntPredicate;
import mardun.app.show.ViewWriter;
import mardun.core.batch.BatchPlanner;
import mardun.core.batch.Supply;
import mardun.core.cutting.Aim;
import mardun.core.cutting.Budget;
import mardun.core.cutting.CannotBeCutException;
import mardun.core.cutting.CutPiece;
import mardun.core.cutting.CuttingJob;
import mardun.core.cutting.CuttingLayout;
import mardun.core.cutting.LayoutSearch;
import mardun.core.measure.Length;
import mardun.core.working.Value;

/** Answers to questions that are asked in passing; each is searched for shortly. */
record WhatIf(Supply cloth, CuttingJob job, int units, ViewWriter writer) {

    /** About a tenth of a second for each question. */
    private static final long WORK = 30_000;

    private static final long SEED = 1;

    private Optional<Length> length(CuttingJob other) {
        try {
            CuttingLayout layout =
                    LayoutSearch.search(other, Aim.LEAST_CLOTH, SEED, Budget.of(WORK, () -> false), better -> {});
            Length cut = layout.boltLength().plus(job.terms().squaring());
            return Optional.of(BatchPlanner.lengthToTake(cloth, cut));
        } catch (CannotBeCutException impossible) {
            return Optional.empty();
        }
    }

    private CuttingJob with(Length width, int bags, boolean turned) {
        List<CutPiece> pieces = job.pieces().stream()
                .map(piece -> new CutPiece(
                        piece.letter(),
                        piece.name(),
                        piece.extent(),
                        piece.count() / units * bags,
                        piece.mayTurn() || turned))
                .toList();
        return new CuttingJob(pieces, width, List.of(), job.terms());
    }

    private String compared(String begin, CuttingJob other) {
        Optional<Length> now = length(with(job.width(), units, false));
        Optional<Length> then = length(other);
        if (then.isEmpty()) {
            return begin + " it can't be cut: a piece is wider than the cloth.";
        }
        String takes = begin + " it takes " + text(then.get());
        if (now.isEmpty()) {
            return takes + ".";
        }
        int difference = then.get().compareTo(now.get());
        if (difference == 0) {
            return takes + ", as much as now.";
        }
        Length by = difference < 0 ? now.get().minus(then.get()) : then.get().minus(now.get());
        return takes + ", " + text(by) + (difference < 0 ? " less." : " more.");
    }

    String onWidth(Length width) {
        return compared("On cloth " + writer.text(Value.of(width)) + " wide", with(width, units, false));
    }

    String fewer(int bags) {
        return compared(
                bags == 1 ? "With one bag fewer" : "With " + bags + " bags fewer",
                with(job.width(), units - bags, false));
    }

    String turned() {
        return compared("With pieces turned wherever that helps", with(job.width(), units, true));
    }

    String from(Length free, Optional<Length> more) {
        int now = bags(free);
        String there = "The " + text(free) + " that is free gives " + words(now) + ".";
        return more.map(length -> {
                    int then = bags(free.plus(length));
                    return there + " With " + text(length) + " more you can cut " + words(then - now) + " more.";
                })
                .orElse(there);
    }

    private static String words(int bags) {
        return bags == 0 ? "none" : bags == 1 ? "one bag" : bags + " bags";
    }

    /** The most bags that a length gives. */
    private int bags(Length there) {
        IntPredicate fits = bags -> length(with(job.width(), bags, false))
                .filter(length -> length.compareTo(there) <= 0)
                .isPresent();
        int enough = 0;
        int tooMany = 1;
        while (tooMany <= BatchService.MOST_UNITS && fits.test(tooMany)) {
            enough = tooMany;
            tooMany *= 2;
        }
        while (tooMany - enough > 1) {
            int next = (enough + tooMany) / 2;
            if (fits.test(next)) {
                enough = next;
            } else {
                tooMany = next;
            }
        }
        return enough;
    }

    private String text(Length length) {
        return writer.text(new Value.OnTheShelf(length));
    }
}
