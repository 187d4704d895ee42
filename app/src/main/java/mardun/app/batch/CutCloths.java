package mardun.app.batch;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import mardun.app.id.MaterialId;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.problem.RefusedException;
import mardun.core.batch.PiecesMoved;
import mardun.core.batch.Supply;
import mardun.core.design.SizedPiece;

/** The cloths of a line whose pieces lie there cut. */
final class CutCloths {

    private CutCloths() {}

    /**
     * The pieces of one bag, by the key of the cloth that they are cut from.
     *
     * @throws RefusedException if some pieces of a cloth were brought, and the others are still to be cut: nobody could tell which
     *     bags those are for
     */
    static Map<String, List<SizedPiece>> of(Planned planned, PlannedLine line) {
        PiecesMoved moved = line.chosen().moved();
        Map<String, List<SizedPiece>> cut = new TreeMap<>();
        for (SizedPiece piece : line.plan().sized().pieces()) {
            Supply cloth = planned.supply(line, piece.piece().slot()).orElseThrow();
            boolean isCut = planned.batch().isCut(MaterialId.valueOf(cloth.key()));
            boolean anyCame = moved.of(cloth.key()).came() > 0;
            if (isCut || anyCame && moved.cutHere(cloth.key(), line.chosen().started()) == 0) {
                cut.computeIfAbsent(cloth.key(), key -> new ArrayList<>()).add(piece);
            } else if (anyCame) {
                throw RefusedException.conflict("Of “" + cloth.name()
                        + "” some pieces were cut before and the others aren't cut yet. Cut that cloth first.");
            }
        }
        return cut;
    }
}
