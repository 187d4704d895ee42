package mardun.app.batch;

import java.util.List;
import mardun.app.id.MaterialId;
import org.jspecify.annotations.Nullable;

/** What is cut once more after the cloth of a batch was cut. */
public final class CutAgainViews {

    private CutAgainViews() {}

    /**
     * The pieces of a line, and from what those that were asked for can be cut once more.
     *
     * @param refusal why none can; absent where they can
     */
    public record CutAgainView(
            List<AgainPiece> pieces,
            List<AgainCloth> cloths,
            @Nullable String refusal) {}

    /**
     * A piece of a bag.
     *
     * @param count how many of it a bag has
     */
    public record AgainPiece(String letter, String name, String cloth, long count) {}

    /**
     * A cloth from which pieces are cut once more.
     *
     * @param pieces how many of which
     * @param choices a dye each, the best first; none where the shelf doesn't give the pieces
     * @param nothing what to say then; empty otherwise
     */
    public record AgainCloth(
            MaterialId materialId, String name, String pieces, List<AgainChoice> choices, String nothing) {}

    /**
     * Cloth of one dye.
     *
     * @param dye the dyer's mark; empty for none
     * @param ofTheBatch the batch was cut from that dye
     * @param says from what the pieces are cut, and what of it is kept
     */
    public record AgainChoice(String dye, boolean ofTheBatch, String says) {}
}
