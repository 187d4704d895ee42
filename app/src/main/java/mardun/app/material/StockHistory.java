package mardun.app.material;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.show.SearchWords;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.core.material.Amount;
import mardun.core.material.MaterialKind;
import mardun.core.material.MovementKind;
import mardun.core.measure.Length;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How material came to the shelf and left it, day by day. */
@Service
public class StockHistory {

    private final StockMovementRepository movements;
    private final MaterialService materials;
    private final Remembered<Instant, Length> cutSince;

    StockHistory(StockMovementRepository movements, MaterialService materials, Changes changes) {
        this.movements = movements;
        this.materials = materials;
        cutSince = new Remembered<>(changes, "stock_movement", "material");
    }

    /**
     * Something that came or left.
     *
     * @param amount how much, without a sign
     * @param batchId for which batch; empty for none
     */
    public record Moved(
            MaterialId materialId,
            String material,
            MovementKind kind,
            Amount amount,
            boolean came,
            String reason,
            Optional<BatchId> batchId,
            Instant at) {}

    /**
     * What came and left before a moment, the newest first.
     *
     * @param query what is looked for in the reason and the material's name; empty for all
     */
    @Transactional(readOnly = true)
    public List<Moved> before(Instant until, String query, int most) {
        Map<MaterialId, ColouredMaterial> byId =
                materials.coloured().stream().collect(Collectors.toMap(ColouredMaterial::id, one -> one));
        String words = query.strip().toLowerCase(Locale.ROOT);
        List<StockMovement> found = words.isEmpty()
                ? movements.findByMovedAtLessThanOrderByMovedAtDescIdDesc(until, Limit.of(most))
                : movements.found(until, SearchWords.like(query), named(words, byId), Limit.of(most));
        return found.stream()
                .filter(movement -> byId.containsKey(movement.materialId()))
                .map(movement -> moved(movement, byId.get(movement.materialId())))
                .toList();
    }

    /** How much cloth was cut off rolls since a moment. */
    @Transactional(readOnly = true)
    public Length clothCutSince(Instant from) {
        return cutSince.get(from, this::cutSince);
    }

    private Length cutSince(Instant from) {
        Set<MaterialId> cloths = materials.coloured().stream()
                .filter(one -> one.kind() == MaterialKind.CLOTH)
                .map(ColouredMaterial::id)
                .collect(Collectors.toSet());
        return cloths.isEmpty() ? Length.ZERO : new Length(movements.cutSince(from, cloths));
    }

    private static Set<MaterialId> named(String words, Map<MaterialId, ColouredMaterial> byId) {
        Set<MaterialId> named = byId.values().stream()
                .filter(one -> one.name().toLowerCase(Locale.ROOT).contains(words))
                .map(ColouredMaterial::id)
                .collect(Collectors.toSet());
        // A query can't look for one of none.
        return named.isEmpty() ? Set.of(new MaterialId(0)) : named;
    }

    private static Moved moved(StockMovement movement, ColouredMaterial material) {
        Amount change = movement.isOfPieces()
                ? Amount.pieces(movement.changeValue())
                : new Amount(material.kind().counting(), movement.changeValue());
        return new Moved(
                movement.materialId(),
                material.name(),
                movement.kind(),
                change.isNegative() ? change.negated() : change,
                !change.isNegative(),
                movement.reason(),
                movement.batchId(),
                movement.movedAt());
    }
}
