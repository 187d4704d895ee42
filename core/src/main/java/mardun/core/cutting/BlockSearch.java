package mardun.core.cutting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.Consumer;
import java.util.stream.IntStream;

/**
 * Lays out many different pieces of which there are few each, as for a first one of a design: strips of equal ones don't exist
 * there. Pieces are put together to blocks, beside or above one another, where that wastes least, until no two blocks go side by
 * side on the cloth; then wasteful blocks are taken apart and put together anew, as long as there is time.
 */
final class BlockSearch {

    /** No more pieces are put together one by one. */
    private static final int MOST_PIECES = 300;

    /** Where there are more of a kind on average, strips of equal ones do better. */
    private static final int FEW_OF_A_KIND = 4;

    /** No block is higher than so many times the least height of all. */
    private static final int TOWER = 2;

    /** So many looks at two blocks are a unit of work. */
    private static final int LOOKS_OF_WORK = 100;

    /** So many blocks are put together anew, about. */
    private static final int LEAST_APART = 5;

    private static final int MOST_APART = 60;

    /** At most so many of the stack's blocks are taken apart at first. */
    private static final int MOST_OPENED = 3;

    /** Of two that waste nothing, the smaller. */
    private static final double HARDLY = 1e-4;

    private static final double WARM = 0.01;
    private static final double COLD = 2e-5;
    private static final double COOLING = 0.9997;

    /** Walks take turns after so many steps. */
    private static final int STEPS_IN_TURN = 20;

    /** How often a walk that has cooled down begins from single pieces again, where it began with them. */
    private static final double AGAIN = 1.0 / 3;

    private final StripProblem problem;
    private final Budget budget;
    private final SplittableRandom random;
    private final int width;
    private final int tallest;
    private final long leastHeight;
    private long looks;

    BlockSearch(StripProblem problem, long seed, Budget budget) {
        this.problem = problem;
        this.budget = budget;
        this.random = new SplittableRandom(seed);
        this.width = problem.width();
        long all = 0;
        for (int kind = 0; kind < problem.kinds(); kind++) {
            all += problem.area(kind) * problem.demand()[kind];
        }
        this.leastHeight = (all + width - 1) / width;
        this.tallest = Math.toIntExact(Math.max(problem.tallest(), TOWER * all / width));
    }

    /** Whether there are few enough pieces. */
    static boolean areFew(StripProblem problem) {
        return problem.pieces() <= MOST_PIECES;
    }

    /** Whether there are few of each kind. */
    static boolean areFewOfAKind(StripProblem problem) {
        return problem.pieces() <= FEW_OF_A_KIND * problem.kinds();
    }

    /**
     * A rectangle of pieces that comes apart by cuts from edge to edge.
     *
     * @param item of a single piece; meaningless for two blocks together
     * @param one below or on the left; null for a single piece
     * @param other above or on the right
     * @param beside the two lie side by side
     * @param mayTurn all its pieces may
     * @param waste of its area
     */
    record Block(int width, int height, int item, Block one, Block other, boolean beside, boolean mayTurn, long waste) {

        boolean isPiece() {
            return one == null;
        }
    }

    /** Blocks one above the other, as they are cut off the cloth. */
    record Stack(List<Block> blocks) {

        long height() {
            long height = 0;
            for (Block block : blocks) {
                height += block.height();
            }
            return height;
        }
    }

    /**
     * The lowest stack found until the budget is spent, or none can be lower.
     *
     * @param strips how the pieces may be cut; it begins with them and with single pieces
     */
    Stack solve(List<StripPattern> strips, Consumer<Stack> better) {
        Stack best = new Stack(strips.stream().map(this::asBlock).toList());
        List<Walk> walks = List.of(new Walk(best, false), new Walk(new Stack(together(pieces())), true));
        while (!budget.isSpent() && best.height() > leastHeight) {
            for (Walk walk : walks) {
                for (int i = 0; i < STEPS_IN_TURN && !budget.isSpent(); i++) {
                    Stack next = walk.step();
                    if (next.height() < best.height()) {
                        best = next;
                        better.accept(best);
                    }
                }
            }
        }
        return best;
    }

    /** A way from one stack to lower ones. */
    private final class Walk {

        private final boolean fromPieces;
        private Stack current;
        private Stack own;
        private double heat;

        Walk(Stack start, boolean fromPieces) {
            this.fromPieces = fromPieces;
            begin(start);
        }

        private void begin(Stack start) {
            current = start;
            own = start;
            heat = WARM * start.height();
        }

        /** The next stack, taken or not. */
        Stack step() {
            Stack next = changed(current);
            boolean taken = next.height() <= current.height() + heat * random.nextDouble();
            current = taken ? next : current;
            own = next.height() < own.height() ? next : own;
            heat *= COOLING;
            if (heat < COLD * own.height()) {
                boolean again = fromPieces && random.nextDouble() < AGAIN;
                begin(again ? new Stack(together(pieces())) : own);
            }
            spend();
            return next;
        }
    }

    private Block asBlock(StripPattern strip) {
        Block row = null;
        for (StripPattern.Column column : strip.columns()) {
            Block stacked = null;
            for (int item : column.items()) {
                Block piece = piece(problem.kindOf()[item], single(item));
                Block beside = piece;
                for (int i = 1; i < problem.timesOf()[item]; i++) {
                    beside = joined(beside, piece, true);
                }
                stacked = stacked == null ? beside : joined(stacked, beside, false);
            }
            row = row == null ? stacked : joined(row, stacked, true);
        }
        return row;
    }

    /** The item of one piece that lies as those of an item do. */
    private int single(int item) {
        int kind = problem.kindOf()[item];
        return IntStream.of(waysOf(kind))
                .filter(one -> problem.turned()[one] == problem.turned()[item])
                .findFirst()
                .orElseThrow();
    }

    private void spend() {
        budget.spend(1 + looks / LOOKS_OF_WORK);
        looks %= LOOKS_OF_WORK;
    }

    /** All pieces, each a block of its own, upright unless it fits the cloth only if it is turned. */
    private List<Block> pieces() {
        List<Block> pieces = new ArrayList<>();
        for (int kind = 0; kind < problem.kinds(); kind++) {
            if (problem.demand()[kind] > 0) {
                pieces.addAll(Collections.nCopies(problem.demand()[kind], piece(kind, waysOf(kind)[0])));
            }
        }
        return pieces;
    }

    private Block piece(int kind, int item) {
        boolean mayTurn = waysOf(kind).length > 1;
        return new Block(problem.widthOf()[item], problem.heightOf()[item], item, null, null, false, mayTurn, 0);
    }

    /** The items in which a single piece of a kind lies on the cloth: upright, turned or both. */
    private int[] waysOf(int kind) {
        return IntStream.range(0, problem.items())
                .filter(item -> problem.kindOf()[item] == kind && problem.timesOf()[item] == 1)
                .toArray();
    }

    /** Takes some of the stack's blocks apart, the wasteful ones rather, and puts them together anew. */
    private Stack changed(Stack current) {
        List<Block> kept = new ArrayList<>(current.blocks());
        List<Block> open = new ArrayList<>();
        int most = LEAST_APART + random.nextInt(MOST_APART - LEAST_APART);
        int taken = Math.min(kept.size(), 1 + random.nextInt(MOST_OPENED));
        for (int i = 0; i < taken; i++) {
            open.add(kept.remove(wasteful(kept)));
        }
        while (open.size() < most) {
            int which = divisible(open);
            if (which < 0) {
                if (kept.isEmpty()) {
                    break;
                }
                open.add(kept.remove(wasteful(kept)));
            } else {
                Block block = open.remove(which);
                open.add(block.one());
                open.add(block.other());
            }
        }
        kept.addAll(together(open));
        return new Stack(kept);
    }

    /** Of two blocks, the one that wastes more of the cloth. */
    private int wasteful(List<Block> blocks) {
        int one = random.nextInt(blocks.size());
        int other = random.nextInt(blocks.size());
        return wasteOnCloth(blocks.get(other)) > wasteOnCloth(blocks.get(one)) ? other : one;
    }

    private double wasteOnCloth(Block block) {
        long beside = (long) (width - block.width()) * block.height();
        return (double) (block.waste() + beside) / ((long) width * block.height());
    }

    /** One of the blocks that aren't single pieces: a wasteful one, or a large one, or any; -1 if there is none. */
    private int divisible(List<Block> open) {
        int chosen = -1;
        double most = -1;
        boolean byWaste = random.nextInt(3) > 0;
        for (int i = 0; i < open.size(); i++) {
            Block block = open.get(i);
            if (!block.isPiece()) {
                double weight = byWaste
                        ? (block.waste() + 1) * random.nextDouble()
                        : (double) block.width() * block.height() * random.nextDouble();
                if (weight > most) {
                    most = weight;
                    chosen = i;
                }
            }
        }
        return chosen;
    }

    /** Puts blocks together two by two, those first that waste least, until none go side by side any more. */
    private List<Block> together(List<Block> blocks) {
        Pairing pairing = new Pairing(blocks);
        while (pairing.joinBest()) {
            looks += blocks.size();
        }
        return pairing.open();
    }

    /**
     * Blocks that are put together. Of each one is known with which of those before it it goes best, so that only what changes is
     * looked at again.
     */
    private final class Pairing {

        private final Block[] blocks;
        private final int[] partner;
        private final double[] cost;
        private final int[] how;
        private final double noise;
        private final int large;
        private int count;
        private int narrowest;

        Pairing(List<Block> open) {
            blocks = open.toArray(Block[]::new);
            count = blocks.length;
            partner = new int[count];
            cost = new double[count];
            how = new int[count];
            noise = random.nextInt(3) == 0 ? 0.02 : random.nextDouble() * 0.6;
            large = random.nextInt(3);
            lookAtAll();
        }

        List<Block> open() {
            return Arrays.asList(blocks).subList(0, count);
        }

        private void lookAtAll() {
            narrowest = narrowest();
            for (int i = 0; i < count; i++) {
                lookAt(i);
            }
        }

        private int narrowest() {
            int least = width;
            for (int i = 0; i < count; i++) {
                Block block = blocks[i];
                least = Math.min(least, block.mayTurn() ? Math.min(block.width(), block.height()) : block.width());
            }
            return least;
        }

        /** Puts the two together that go best; answers whether any still go side by side. */
        boolean joinBest() {
            if (!isAnyBeside()) {
                return false;
            }
            int one = -1;
            for (int i = 1; i < count; i++) {
                if (partner[i] >= 0 && (one < 0 || cost[i] < cost[one])) {
                    one = i;
                }
            }
            if (one < 0) {
                return false;
            }
            int other = partner[one];
            Block joined = joined(
                    turned(blocks[one], (how[one] & 1) != 0),
                    turned(blocks[other], (how[one] & 2) != 0),
                    (how[one] & 4) != 0);
            replace(other, one, joined);
            return true;
        }

        /** The joined block takes the place of one of the two, and the last one that of the other. */
        private void replace(int place, int gone, Block joined) {
            int last = --count;
            blocks[place] = joined;
            blocks[gone] = blocks[last];
            blocks[last] = null;
            if (narrowest() != narrowest) {
                lookAtAll();
                return;
            }
            for (int i = 0; i < count; i++) {
                boolean isNew = i == place || i == gone;
                boolean lostIts = partner[i] == place || partner[i] == gone || partner[i] == last;
                if (isNew || lostIts) {
                    lookAt(i);
                } else {
                    if (place < i) {
                        lookAt(i, place);
                    }
                    if (gone < i && gone < count) {
                        lookAt(i, gone);
                    }
                }
            }
        }

        /** With which of the blocks before it one goes best. */
        private void lookAt(int i) {
            partner[i] = -1;
            cost[i] = Double.MAX_VALUE;
            for (int j = 0; j < i; j++) {
                lookAt(i, j);
            }
        }

        private void lookAt(int i, int j) {
            Block one = blocks[i];
            Block other = blocks[j];
            looks++;
            for (int turn = 0; turn < 4; turn++) {
                boolean turnOne = (turn & 1) != 0;
                boolean turnOther = (turn & 2) != 0;
                if ((turnOne && !one.mayTurn()) || (turnOther && !other.mayTurn())) {
                    continue;
                }
                int w1 = turnOne ? one.height() : one.width();
                int h1 = turnOne ? one.width() : one.height();
                int w2 = turnOther ? other.height() : other.width();
                int h2 = turnOther ? other.width() : other.height();
                double sized = 1 + noise * random.nextDouble();
                if (w1 + w2 <= width) {
                    take(i, j, turn | 4, sized * cost(w1 + w2, Math.max(h1, h2), w1, h1, w2, h2));
                }
                if (w1 <= width && w2 <= width && h1 + h2 <= tallest) {
                    take(i, j, turn, sized * cost(Math.max(w1, w2), h1 + h2, w1, h1, w2, h2));
                }
            }
        }

        private void take(int i, int j, int way, double its) {
            if (its < cost[i]) {
                cost[i] = its;
                partner[i] = j;
                how[i] = way;
            }
        }

        /** Whether two blocks still go side by side: the two narrowest, as they lie best. */
        private boolean isAnyBeside() {
            int first = Integer.MAX_VALUE;
            int second = Integer.MAX_VALUE;
            for (int i = 0; i < count; i++) {
                Block block = blocks[i];
                int wide = block.mayTurn() ? Math.min(block.width(), block.height()) : block.width();
                if (wide < first) {
                    second = first;
                    first = wide;
                } else if (wide < second) {
                    second = wide;
                }
            }
            return second < Integer.MAX_VALUE && (long) first + second <= width;
        }

        /** What putting two together wastes, for their size; what is too narrow beside them for any other is wasted too. */
        private double cost(int w, int h, int w1, int h1, int w2, int h2) {
            double size = used(w, h);
            double waste = size - used(w1, h1) - used(w2, h2) + HARDLY * size;
            return switch (large) {
                case 0 -> waste;
                case 1 -> waste / Math.sqrt(size);
                default -> waste / size;
            };
        }

        private double used(int w, int h) {
            return (double) (w > width - narrowest ? width : w) * h;
        }
    }

    private static Block turned(Block block, boolean turn) {
        if (!turn) {
            return block;
        }
        return block.isPiece()
                ? new Block(block.height(), block.width(), -1 - block.item(), null, null, false, true, 0)
                : new Block(
                        block.height(),
                        block.width(),
                        block.item(),
                        turned(block.one(), true),
                        turned(block.other(), true),
                        !block.beside(),
                        true,
                        block.waste());
    }

    private static Block joined(Block one, Block other, boolean beside) {
        int w = beside ? one.width() + other.width() : Math.max(one.width(), other.width());
        int h = beside ? Math.max(one.height(), other.height()) : one.height() + other.height();
        long waste = (long) w * h - area(one) - area(other);
        return new Block(w, h, 0, one, other, beside, one.mayTurn() && other.mayTurn(), waste);
    }

    private static long area(Block block) {
        return (long) block.width() * block.height() - block.waste();
    }

    /** The highest first, as strips are cut. */
    static List<Block> inOrder(Stack stack) {
        return stack.blocks().stream()
                .sorted(Comparator.comparingInt(Block::height).reversed())
                .toList();
    }
}
