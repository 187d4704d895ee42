package mardun.core.cutting;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.core.cutting.ClothLayout.Placed;
import mardun.core.measure.Extent;

/**
 * A job whose shaped pieces are laid two by two, head to tail, as one block each: for the search they are pieces of a kind of their own.
 *
 * @param job with the blocks in the place of the pieces
 * @param kinds the blocks' pieces by the blocks' keys
 */
record PairedJob(CuttingJob job, Map<PieceKey, PieceKey> kinds) {

    /** A letter has none of these in it. */
    private static final String BLOCK = "²";

    /** Empty where no two pieces of a kind lie closer so than side by side. */
    static Optional<PairedJob> of(CuttingJob job) {
        boolean anywhere = job.cloth().selvages().equals(ShelfCloth.Selvages.NONE);
        List<CutPiece> pieces = new ArrayList<>();
        Map<PieceKey, PieceKey> kinds = new HashMap<>();
        for (CutPiece piece : job.pieces()) {
            Optional<PiecePair> pair = piece.pair()
                    .filter(its -> anywhere && piece.count() > 1 && !job.cloth().isMetBy(piece))
                    .filter(its -> fits(its.extent(), job));
            if (pair.isEmpty()) {
                pieces.add(piece);
                continue;
            }
            PieceKey key = new PieceKey(piece.key().line(), piece.key().letter() + BLOCK);
            kinds.put(key, piece.key());
            pieces.add(new CutPiece(key, piece.name(), pair.get().extent(), piece.count() / 2, piece.mayTurn(), false));
            if (piece.count() % 2 == 1) {
                pieces.add(piece.times(1));
            }
        }
        return kinds.isEmpty()
                ? Optional.empty()
                : Optional.of(new PairedJob(
                        new CuttingJob(pieces, job.cloth(), job.terms(), job.bags(), job.chosen()), kinds));
    }

    private static boolean fits(Extent block, CuttingJob job) {
        if (job.cloth().bySheet()) {
            return job.sheets().stream()
                    .anyMatch(sheet ->
                            Offcuts.fits(block, sheet.extent()) || Offcuts.fits(block.turned(), sheet.extent()));
        }
        return block.width().compareTo(job.width()) <= 0 || block.height().compareTo(job.width()) <= 0;
    }

    /** A layout of the blocks as one of the pieces. */
    CuttingLayout ofPieces(CuttingLayout layout) {
        return new CuttingLayout(layout.cloths().stream()
                .map(cloth -> new ClothLayout(
                        cloth.lot(),
                        cloth.ofRoll(),
                        cloth.width(),
                        cloth.length(),
                        cloth.pieces().stream().map(this::ofPieces).toList()))
                .toList());
    }

    private Placed ofPieces(Placed one) {
        PieceKey kind = kinds.get(one.key());
        return kind == null ? one : new Placed(kind, one.x(), one.y(), one.width(), one.height(), one.turned(), true);
    }
}
