package mardun.app.material;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import mardun.app.id.MaterialId;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * The lots, prices and reservations of materials: nearly every screen asks for those of what is in its bags. Who only looks gets them as
 * they were read, until one changes; who may change one reads it anew.
 */
@Component
class ShelfRows {

    private final LotRepository lots;
    private final MaterialPriceRepository prices;
    private final ReservationRepository reservations;
    private final Remembered<MaterialId, List<Lot>> knownLots;
    private final Remembered<MaterialId, List<MaterialPrice>> knownPrices;
    private final Remembered<MaterialId, List<Reservation>> knownReservations;

    ShelfRows(LotRepository lots, MaterialPriceRepository prices, ReservationRepository reservations, Changes changes) {
        this.lots = lots;
        this.prices = prices;
        this.reservations = reservations;
        this.knownLots = new Remembered<>(changes, "lot");
        this.knownPrices = new Remembered<>(changes, "material_price");
        this.knownReservations = new Remembered<>(changes, "reservation");
    }

    /** The lots of each of some materials, the oldest first. */
    Map<MaterialId, List<Lot>> lots(Collection<MaterialId> ids) {
        return of(
                ids, knownLots, some -> by(some, lots.findByMaterialIdInOrderByCameAtAscIdAsc(some), Lot::materialId));
    }

    /** What each of some materials cost to buy, the oldest price first. */
    Map<MaterialId, List<MaterialPrice>> prices(Collection<MaterialId> ids) {
        return of(
                ids,
                knownPrices,
                some -> by(some, prices.findByMaterialIdInOrderBySinceAscIdAsc(some), MaterialPrice::materialId));
    }

    /** What batches have reserved of each of some materials. */
    Map<MaterialId, List<Reservation>> reservations(Collection<MaterialId> ids) {
        return of(
                ids,
                knownReservations,
                some -> by(some, reservations.findByMaterialIdInOrderById(some), Reservation::materialId));
    }

    private static <T> Map<MaterialId, List<T>> of(
            Collection<MaterialId> ids,
            Remembered<MaterialId, List<T>> known,
            Function<List<MaterialId>, Map<MaterialId, List<T>>> read) {
        return TransactionSynchronizationManager.isCurrentTransactionReadOnly()
                ? known.get(ids, read)
                : read.apply(List.copyOf(ids));
    }

    private static <T> Map<MaterialId, List<T>> by(
            List<MaterialId> ids, List<T> all, Function<T, MaterialId> materialOf) {
        Map<MaterialId, List<T>> grouped = new HashMap<>();
        ids.forEach(id -> grouped.put(id, new ArrayList<>()));
        all.forEach(one -> grouped.get(materialOf.apply(one)).add(one));
        return grouped;
    }
}
