package mardun.core.cutting;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.cutting.SearchProblem.Sheet;
import mardun.core.material.ClothPiece;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;

/**
 * Lays pieces on offcuts, precuts and a bolt so that it costs as little as can be found: strips across the width, columns from
 * the strips, pieces from the columns, all edge to edge. The same job, aim, seed and work give the same layout.
 */
public final class LayoutSearch {

    /** Work for about a second. */
    public static final long USUAL_WORK = 300_000;

    /** The cloth's width in at most so many steps: finer ones find hardly more and take much longer. */
    private static final long FINEST_GRID = 2000;

    /** The part of the work that goes into strips where there are few of each piece. */
    private static final double FEW_STRIPS = 0.1;

    /** The same where blocks may do better, or may not; and with offcuts, which they leave as they are. */
    private static final double HALF = 0.5;

    /** No more offcuts and precuts of one size are looked at. */
    private static final int MOST_OF_ONE_SIZE = 60;

    /** What a layout may cost beside the cuts when few cuts are all that counts. */
    private static final double BESIDE_THE_CUTS = 0.05;

    /** A part of the price that an offcut keeps when the largest one is what counts. */
    private static final double NEARLY = 0.97;

    /** Cloth that costs nothing is saved all the same: a minor unit for ten centimetres. */
    private static final double LEAST_PRICE = 1e-8;

    /** Strips of one height one after another, equal ones together, the highest first. */
    private static final Comparator<StripPattern> AS_CUT =
            Comparator.comparingInt(StripPattern::height).reversed().thenComparingInt(StripPattern::signature);

    private final CuttingJob job;
    private final List<CutPiece> pieces;
    private final long step;
    private final SearchProblem problem;
    private final List<ClothPiece> sheets = new ArrayList<>();

    private LayoutSearch(CuttingJob job) {
        this.job = job;
        this.pieces = job.pieces();
        this.step = step(job);
        List<StripProblem.Kind> kinds = pieces.stream()
                .map(piece -> new StripProblem.Kind(
                        steps(piece.extent().width()),
                        steps(
                                meetsPrint(piece)
                                        ? job.cloth().toTheRepeat(piece.extent().height())
                                        : piece.extent().height()),
                        Math.toIntExact(piece.count()),
                        piece.mayTurn() && !meetsPrint(piece),
                        meetsPrint(piece),
                        job.cloth().selvages().keepAway(piece)))
                .toList();
        List<Sheet> sized = new ArrayList<>();
        for (ClothPiece piece : job.sheets()) {
            for (int i = 0; i < Math.min(piece.count(), job.cloth().bySheet() ? 1 : MOST_OF_ONE_SIZE); i++) {
                sheets.add(piece);
                sized.add(new Sheet(
                        wholeSteps(piece.extent().width()),
                        wholeSteps(piece.extent().height()),
                        job.chosen().contains(piece.key())
                                ? 0
                                : piece.minorEach().doubleValue()));
            }
        }
        this.problem = SearchProblem.of(
                wholeSteps(job.width()),
                steps(job.cloth().selvages().wide()),
                wholeSteps(job.cloth().widthBetween()),
                kinds,
                sized);
        if (job.cloth().bySheet()) {
            refuseLargerThanASheet();
        } else {
            refuseTooWide();
        }
    }

    /**
     * The best layout found for an aim.
     *
     * @param budget how long it may take; the first layout is found before it counts
     * @param better told of each layout that is better than the one before
     * @throws CannotBeCutException if a piece is wider than the bolt or larger than a sheet, turned where it may be; or can't lie
     *     whole where it would show its part of the print
     */
    public static CuttingLayout search(
            CuttingJob job, Aim aim, long seed, Budget budget, Consumer<CuttingLayout> better) {
        Optional<MotifsFirst> motifs = MotifsFirst.of(job);
        if (motifs.isEmpty()) {
            return ofPairs(job, aim, seed, budget, better);
        }
        MotifsFirst first = motifs.get();
        Optional<CuttingJob> others = first.others();
        if (others.isEmpty()) {
            better.accept(first.alone());
            return first.alone();
        }
        return first.with(ofPairs(others.get(), aim, seed, budget, layout -> better.accept(first.with(layout))));
    }

    /** Pieces one by one, and two by two where that takes less. */
    private static CuttingLayout ofPairs(
            CuttingJob job, Aim aim, long seed, Budget budget, Consumer<CuttingLayout> better) {
        Optional<PairedJob> paired = PairedJob.of(job);
        if (paired.isEmpty()) {
            return ofThesePieces(job, aim, seed, budget, better);
        }
        // Blocks of two can do worse, as few pieces of other sizes lie beside them, so each way has its share of the
        // work.
        Budget first = budget.part((long) (HALF * budget.work()));
        AtomicReference<CuttingLayout> best = new AtomicReference<>(ofThesePieces(job, aim, seed, first, better));
        ofThesePieces(paired.get().job(), aim, seed, budget, blocks -> {
            CuttingLayout layout = paired.get().ofPieces(blocks);
            if (aim.best(List.of(best.get(), layout), job) == layout) {
                best.set(layout);
                better.accept(layout);
            }
        });
        return best.get();
    }

    private static CuttingLayout ofThesePieces(
            CuttingJob job, Aim aim, long seed, Budget budget, Consumer<CuttingLayout> better) {
        LayoutSearch search = new LayoutSearch(job);
        return job.cloth().bySheet()
                ? search.searchSheets(aim, seed, budget, better)
                : search.search(aim, seed, budget, better);
    }

    /** As few sheets as can be; of layouts on as few, what serves the aim best. */
    private CuttingLayout searchSheets(Aim aim, long seed, Budget budget, Consumer<CuttingLayout> better) {
        Extent sheet = sheets.get(0).extent();
        List<CuttingLayout> best = new ArrayList<>();
        new SheetsSearch(problem, seed, budget).solve(filled -> {
            CuttingLayout layout = new CuttingLayout(filled.stream()
                    .map(one -> ClothLayout.onSheet(sheet, onSheet(one)))
                    .toList());
            boolean isFirst = best.isEmpty();
            if (isFirst || isBetter(layout, best.get(0), aim)) {
                best.clear();
                best.add(layout);
                better.accept(layout);
            }
        });
        return best.get(0);
    }

    private boolean isBetter(CuttingLayout one, CuttingLayout other, Aim aim) {
        return one.sheets() < other.sheets()
                || (one.sheets() == other.sheets() && aim.best(List.of(other, one), job) == one);
    }

    /** Strips at first, then blocks of the roll alone; what serves the aim best. */
    private CuttingLayout search(Aim aim, long seed, Budget budget, Consumer<CuttingLayout> better) {
        double share = shareOfStrips(aim);
        Budget first = share < 1 ? budget.part((long) (share * budget.work())) : budget;
        StripSearch strips = new StripSearch(problem, score(aim), seed, first);
        StripSearch.Draft draft = strips.solve(next -> better.accept(placed(next)));
        CuttingLayout found = placed(draft);
        if (share == 1) {
            return found;
        }
        List<CuttingLayout> best = new ArrayList<>(List.of(found));
        StripProblem onBolt = problem.bolt().with(StripPattern.counts(problem.bolt(), draft.strips()));
        new BlockSearch(onBolt, seed, budget).solve(draft.strips(), stack -> {
            CuttingLayout layout = placed(draft, stack);
            if (aim.best(List.of(best.get(0), layout), job) == layout) {
                best.set(0, layout);
                better.accept(layout);
            }
        });
        return best.get(0);
    }

    /** Where there are few of each piece, blocks do better; where there aren't many in all and cloth is what counts, they may. */
    private double shareOfStrips(Aim aim) {
        boolean few = BlockSearch.areFewOfAKind(problem.bolt());
        boolean maybe = sheets.isEmpty() && aim == Aim.LEAST_CLOTH;
        boolean anywhere = pieces.stream()
                .noneMatch(piece -> meetsPrint(piece) || job.cloth().selvages().keepAway(piece));
        if (!anywhere || !BlockSearch.areFew(problem.bolt()) || !(few || maybe)) {
            return 1;
        }
        return few && sheets.isEmpty() ? FEW_STRIPS : HALF;
    }

    private CuttingLayout placed(StripSearch.Draft draft, BlockSearch.Stack stack) {
        List<ClothLayout> cloths = onSheets(draft);
        List<Placed> laid = new ArrayList<>();
        Length y = Length.ZERO;
        for (BlockSearch.Block block : BlockSearch.inOrder(stack)) {
            y = lay(block, Length.ZERO, y, laid).height().plus(y);
        }
        cloths.add(ClothLayout.onBolt(job.width(), y, laid));
        return new CuttingLayout(cloths);
    }

    /** Lays a block's pieces in their true sizes; answers its own. */
    private Extent lay(BlockSearch.Block block, Length x, Length y, List<Placed> laid) {
        if (block.isPiece()) {
            boolean isTurnedOver = block.item() < 0;
            int item = isTurnedOver ? -1 - block.item() : block.item();
            CutPiece piece = pieces.get(problem.bolt().kindOf()[item]);
            boolean turned = problem.bolt().turned()[item] != isTurnedOver;
            Extent lies = turned ? piece.extent().turned() : piece.extent();
            laid.add(new Placed(piece.key(), x, y, lies.width(), lies.height(), turned));
            return lies;
        }
        Extent one = lay(block.one(), x, y, laid);
        if (block.beside()) {
            Extent other = lay(block.other(), x.plus(one.width()), y, laid);
            return new Extent(one.width().plus(other.width()), one.height().max(other.height()));
        }
        Extent other = lay(block.other(), x, y.plus(one.height()), laid);
        return new Extent(one.width().max(other.width()), one.height().plus(other.height()));
    }

    private Score score(Aim aim) {
        CuttingTerms terms = job.terms();
        double perStep = Math.max(terms.minorPerNanometre().doubleValue(), LEAST_PRICE) * step;
        double perSecond = terms.minorPerSecond().doubleValue();
        double perArea = perStep / problem.bolt().width();
        int keepShort = steps(terms.keepShort());
        int keepLong = steps(terms.keepLong());
        return switch (aim) {
            case MONEY ->
                new Score(
                        perStep,
                        terms.setting().toSeconds() * perSecond,
                        terms.cut().toSeconds() * perSecond,
                        terms.layers(),
                        terms.offcutsCarryTheirShare() ? perArea : 0,
                        keepShort,
                        keepLong,
                        false,
                        terms.use(),
                        largeInSteps());
            case LEAST_CLOTH -> Score.ofCloth(perStep);
            case FEWEST_CUTS ->
                new Score(
                        perStep * BESIDE_THE_CUTS,
                        terms.setting().toSeconds() * Math.max(perSecond, 1),
                        terms.cut().toSeconds() * Math.max(perSecond, 1),
                        terms.layers(),
                        0,
                        keepShort,
                        keepLong,
                        false);
            case BEST_OFFCUT -> new Score(perStep, 0, 0, 1, perArea * NEARLY, keepShort, keepLong, true);
        };
    }

    /** The area from which an offcut counts as large, in steps. */
    private double largeInSteps() {
        return OffcutUse.largeArea().squareNanometres().doubleValue() / ((double) step * step);
    }

    /** The largest step in which all pieces are whole, or a coarser one on which they are rounded up. */
    private static long step(CuttingJob job) {
        BigInteger common = BigInteger.valueOf(job.cloth().selvages().wide().nanometres());
        for (CutPiece piece : job.pieces()) {
            common = common.gcd(BigInteger.valueOf(piece.extent().width().nanometres()))
                    .gcd(BigInteger.valueOf(piece.extent().height().nanometres()));
        }
        return Math.max(common.longValueExact(), Math.max(1, job.width().nanometres() / FINEST_GRID));
    }

    private boolean meetsPrint(CutPiece piece) {
        return job.cloth().isMetBy(piece);
    }

    private boolean meetsPrint(StripPattern strip) {
        for (int kind = 0; kind < pieces.size(); kind++) {
            if (strip.counts()[kind] > 0 && meetsPrint(pieces.get(kind))) {
                return true;
            }
        }
        return false;
    }

    private int steps(Length length) {
        return Math.toIntExact((length.nanometres() + step - 1) / step);
    }

    private int wholeSteps(Length length) {
        return Math.toIntExact(length.nanometres() / step);
    }

    private void refuseTooWide() {
        for (int kind = 0; kind < pieces.size(); kind++) {
            if (!problem.bolt().fits(kind)) {
                throw CannotBeCutException.tooWide(pieces.get(kind), job.cloth().widthFor(pieces.get(kind)));
            }
        }
    }

    private void refuseLargerThanASheet() {
        Extent sheet = sheets.get(0).extent();
        for (CutPiece piece : pieces) {
            boolean fits = Offcuts.fits(piece.extent(), sheet)
                    || (piece.mayTurn() && Offcuts.fits(piece.extent().turned(), sheet));
            if (!fits) {
                throw CannotBeCutException.largerThanASheet(piece, sheet);
            }
        }
    }

    private CuttingLayout placed(StripSearch.Draft draft) {
        List<ClothLayout> cloths = onSheets(draft);
        if (!draft.strips().isEmpty()) {
            cloths.add(onBolt(draft.strips()));
        }
        return new CuttingLayout(cloths);
    }

    private List<ClothLayout> onSheets(StripSearch.Draft draft) {
        List<ClothLayout> cloths = new ArrayList<>();
        for (int i = 0; i < draft.sheets().length; i++) {
            if (draft.sheets()[i] != null && !draft.sheets()[i].strips().isEmpty()) {
                ClothPiece sheet = sheets.get(i);
                cloths.add(new ClothLayout(
                        sheet.key(),
                        false,
                        sheet.extent().width(),
                        sheet.extent().height(),
                        onSheet(draft.sheets()[i])));
            }
        }
        return cloths;
    }

    /** Strips that meet the print come first, so that no others lie in the gaps which that may leave between them. */
    private ClothLayout onBolt(List<StripPattern> strips) {
        List<StripPattern> inOrder = strips.stream()
                .sorted(Comparator.comparing((StripPattern strip) -> !meetsPrint(strip))
                        .thenComparing(AS_CUT))
                .toList();
        List<Placed> laid = new ArrayList<>();
        Length y = Length.ZERO;
        for (StripPattern strip : inOrder) {
            boolean between = strip.beginsBetweenEdges(problem.bolt());
            Length left = between ? job.cloth().selvages().wide() : Length.ZERO;
            y = lay(strip, false, left, meetsPrint(strip) ? job.cloth().toTheRepeat(y) : y, laid);
        }
        return ClothLayout.onBolt(job.width(), y, laid);
    }

    private List<Placed> onSheet(SheetFill.Filled filled) {
        List<Placed> pieces = new ArrayList<>();
        Length x = Length.ZERO;
        Length y = Length.ZERO;
        for (SheetFill.Strip strip : filled.strips()) {
            if (strip.along()) {
                x = lay(strip.pattern(), true, y, x, pieces);
            } else {
                y = lay(strip.pattern(), false, x, y, pieces);
            }
        }
        return pieces;
    }

    /**
     * Lays a strip's pieces in their true sizes: what was rounded up for the grid closes up again.
     *
     * @param along the strip lies along the cloth, so that what is across for it is along for the cloth
     * @param side where its first column begins
     * @param begin where the strip begins
     * @return where it ends
     */
    private Length lay(StripPattern strip, boolean along, Length side, Length begin, List<Placed> laid) {
        StripProblem items = along ? problem.along() : problem.bolt();
        Length x = side;
        Length highest = begin;
        for (StripPattern.Column column : along ? strip.columns() : strip.fromTheLeft(items)) {
            Length up = begin;
            Length widest = Length.ZERO;
            for (int item : fromBelow(column, items)) {
                CutPiece piece = pieces.get(items.kindOf()[item]);
                up = meetsPrint(piece) ? job.cloth().toTheRepeat(up) : up;
                boolean turned = items.turned()[item];
                Extent lies = turned ? piece.extent().turned() : piece.extent();
                Extent inStrip = along ? lies.turned() : lies;
                Length beside = x;
                for (int i = 0; i < items.timesOf()[item]; i++) {
                    laid.add(new Placed(
                            piece.key(),
                            along ? up : beside,
                            along ? beside : up,
                            lies.width(),
                            lies.height(),
                            turned));
                    beside = beside.plus(inStrip.width());
                }
                up = up.plus(inStrip.height());
                widest = widest.max(beside.minus(x));
            }
            x = x.plus(widest);
            highest = highest.max(up);
        }
        return highest;
    }

    /** What meets the print lies below, at whole repeats from the strip's beginning. */
    private int[] fromBelow(StripPattern.Column column, StripProblem items) {
        return Arrays.stream(column.items())
                .boxed()
                .sorted(Comparator.comparing(item -> !meetsPrint(pieces.get(items.kindOf()[item]))))
                .mapToInt(Integer::intValue)
                .toArray();
    }
}
