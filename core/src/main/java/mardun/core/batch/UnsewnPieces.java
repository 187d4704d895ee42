package mardun.core.batch;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import mardun.core.design.SizedPiece;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.money.Apportionment;

/**
 * Pieces on the shelf that are cut and not sewn, as the lines of a batch find them one after another. Those that fit a line needn't be
 * cut again: pieces of the same design and letter, from the same cloth, of the same size and outline.
 */
public final class UnsewnPieces {

    /**
     * What makes two pieces the same.
     *
     * @param design the design's key
     * @param cloth the key of the cloth that they are cut from
     * @param outline as {@link mardun.core.design.Outline#path()} writes it
     */
    public record Kind(String design, String cloth, String letter, Extent extent, String outline) {

        public static Kind of(String design, String cloth, SizedPiece piece) {
            return new Kind(
                    design,
                    cloth,
                    piece.piece().letter(),
                    piece.extent(),
                    piece.outline().path());
        }
    }

    /**
     * Pieces of a kind that were put by together.
     *
     * @param count how many are there
     * @param minor what they are worth together, in minor units
     */
    public record Pile(String key, Kind kind, long count, long minor) {

        /** What so many of them are worth; the last ones take the rest along. */
        public long worth(long some) {
            return some == count ? minor : Apportionment.share(minor, some, count);
        }
    }

    /** So many pieces of a pile, with what they cost. */
    public record Taken(String pile, long count, long minor) {}

    /**
     * For how many bags of a line all pieces of one cloth are there.
     *
     * @param bags one or more, and no more than the line makes
     */
    public record Offer(String cloth, List<SizedPiece> pieces, int bags, long minor) {}

    /** What a line takes of it. */
    public record Brought(PiecesMoved moved, List<Taken> taken) {}

    private final List<Pile> piles;

    /**
     * The pieces that are free for a batch.
     *
     * @param piles those that were put by first first
     */
    public UnsewnPieces(List<Pile> piles) {
        this.piles = new ArrayList<>(piles);
    }

    public boolean isEmpty() {
        return piles.isEmpty();
    }

    /** What is there for a line. */
    public List<Offer> offers(BatchLine line, String design, Length thickestSeam) {
        List<Offer> offers = new ArrayList<>();
        pieces(line, design, thickestSeam).forEach((cloth, pieces) -> {
            int bags = bags(design, cloth, pieces, line.units());
            if (bags > 0) {
                long minor = find(design, cloth, pieces, bags).stream()
                        .mapToLong(Taken::minor)
                        .sum();
                offers.add(new Offer(cloth, pieces, bags, minor));
            }
        });
        return offers;
    }

    /**
     * Takes pieces for some bags of a line out of what is there for the lines that come after it. Where fewer are there than were
     * chosen, as many as there are.
     *
     * @param chosen for how many bags, by the cloth's key
     */
    public Brought bring(BatchLine line, String design, Length thickestSeam, Map<String, Integer> chosen) {
        PiecesMoved moved = PiecesMoved.NONE;
        List<Taken> all = new ArrayList<>();
        Map<String, List<SizedPiece>> byCloth = pieces(line, design, thickestSeam);
        int cutElsewhere = line.units();
        for (Map.Entry<String, List<SizedPiece>> cloth : byCloth.entrySet()) {
            int wanted = Math.min(chosen.getOrDefault(cloth.getKey(), 0), line.units());
            int bags = bags(design, cloth.getKey(), cloth.getValue(), wanted);
            cutElsewhere = Math.min(cutElsewhere, bags);
            if (bags > 0) {
                List<Taken> taken = find(design, cloth.getKey(), cloth.getValue(), bags);
                takeOut(taken);
                all.addAll(taken);
                long minor = taken.stream().mapToLong(Taken::minor).sum();
                moved = moved.with(cloth.getKey(), PiecesMoved.OfCloth.NONE.comes(bags, minor));
            }
        }
        return new Brought(moved.working(byCloth.isEmpty() ? 0 : -cutElsewhere, Duration.ZERO), all);
    }

    private static Map<String, List<SizedPiece>> pieces(BatchLine line, String design, Length thickestSeam) {
        Map<String, List<SizedPiece>> byCloth = new TreeMap<>();
        for (SizedPiece piece : line.sized(thickestSeam).pieces()) {
            line.supply(piece.piece().slot())
                    .filter(supply -> supply.kind().isCloth())
                    .ifPresent(supply -> byCloth.computeIfAbsent(supply.key(), key -> new ArrayList<>())
                            .add(piece));
        }
        return byCloth;
    }

    private int bags(String design, String cloth, List<SizedPiece> pieces, int atMost) {
        Map<Kind, Long> perBag = perBag(design, cloth, pieces);
        long bags = atMost;
        for (Map.Entry<Kind, Long> kind : perBag.entrySet()) {
            long there = piles.stream()
                    .filter(pile -> pile.kind().equals(kind.getKey()))
                    .mapToLong(Pile::count)
                    .sum();
            bags = Math.min(bags, there / kind.getValue());
        }
        return (int) bags;
    }

    private static Map<Kind, Long> perBag(String design, String cloth, List<SizedPiece> pieces) {
        Map<Kind, Long> perBag = new LinkedHashMap<>();
        pieces.forEach(piece -> perBag.merge(Kind.of(design, cloth, piece), piece.count(), Long::sum));
        return perBag;
    }

    private List<Taken> find(String design, String cloth, List<SizedPiece> pieces, int bags) {
        List<Taken> taken = new ArrayList<>();
        perBag(design, cloth, pieces).forEach((kind, each) -> {
            long open = each * bags;
            for (Pile pile : piles) {
                long some = pile.kind().equals(kind) ? Math.min(open, pile.count()) : 0;
                if (some > 0) {
                    taken.add(new Taken(pile.key(), some, pile.worth(some)));
                    open -= some;
                }
            }
        });
        return taken;
    }

    private void takeOut(List<Taken> taken) {
        for (Taken one : taken) {
            piles.replaceAll(pile -> pile.key().equals(one.pile())
                    ? new Pile(pile.key(), pile.kind(), pile.count() - one.count(), pile.minor() - one.minor())
                    : pile);
        }
    }
}
