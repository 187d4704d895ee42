package mardun.app.material;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import mardun.app.id.MaterialId;
import mardun.core.material.Amount;
import mardun.core.material.MovementKind;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was bought for the shelf, day by day. What was given or found isn't in it. */
@Service
public class Purchases {

    private final LotRepository lots;
    private final MaterialService materials;
    private final Clock clock;

    Purchases(LotRepository lots, MaterialService materials, Clock clock) {
        this.lots = lots;
        this.materials = materials;
        this.clock = clock;
    }

    /**
     * Something that was bought.
     *
     * @param from the shop; empty where nobody said
     * @param paidMinor what was paid for it, postage and duty included
     * @param extraMinor the share of postage and duty in that
     */
    public record Purchase(
            LocalDate day, String material, Amount amount, String from, long paidMinor, long extraMinor) {}

    /** What was bought from a day until before another, the oldest first. */
    @Transactional(readOnly = true)
    public List<Purchase> between(LocalDate from, LocalDate until) {
        Map<MaterialId, ColouredMaterial> byId =
                materials.coloured().stream().collect(Collectors.toMap(ColouredMaterial::id, one -> one));
        return lots
                .findByOriginAndCameAtGreaterThanEqualAndCameAtLessThanOrderByCameAtAscIdAsc(
                        MovementKind.BOUGHT,
                        from.atStartOfDay(clock.getZone()).toInstant(),
                        until.atStartOfDay(clock.getZone()).toInstant())
                .stream()
                .map(lot -> purchase(lot, byId.get(lot.materialId())))
                .toList();
    }

    private Purchase purchase(Lot lot, ColouredMaterial material) {
        return new Purchase(
                LocalDate.ofInstant(lot.cameAt(), clock.getZone()),
                material.name(),
                lot.isOfPieces()
                        ? Amount.pieces(lot.quantityValue())
                        : new Amount(material.kind().counting(), lot.quantityValue()),
                lot.cameFrom(),
                lot.worthMinor(),
                lot.extraMinor());
    }
}
