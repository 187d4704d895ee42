package mardun.app.material;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import mardun.app.id.MaterialId;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.core.material.Valuing;
import org.springframework.stereotype.Component;

/** Reads what lies on the shelf, of some materials or of all, now or at a past moment, in a handful of queries. */
@Component
class ShelfReader {

    /** Later than anything that was ever entered, with whatever clock. */
    static final Instant EVER = Instant.parse("9999-12-31T00:00:00Z");

    /** From these tables, and from no others, it follows what lies on the shelf and what that is worth. */
    static final String[] TABLES = {
        "material",
        "material_price",
        "lot",
        "stock_movement",
        "reservation",
        "unsewn_piece",
        "unsewn_movement",
        "unsewn_hold",
        "settings"
    };

    private final MaterialRepository materials;
    private final LotRepository lots;
    private final KnownMovements known;
    private final MaterialPriceRepository prices;
    private final ReservationRepository reservations;
    private final SettingsService settings;

    ShelfReader(
            MaterialRepository materials,
            LotRepository lots,
            KnownMovements known,
            MaterialPriceRepository prices,
            ReservationRepository reservations,
            SettingsService settings) {
        this.materials = materials;
        this.lots = lots;
        this.known = known;
        this.prices = prices;
        this.reservations = reservations;
        this.settings = settings;
    }

    /** The shelves of these materials as they are now, by their ids; those that there aren't are left out. */
    Map<MaterialId, MaterialShelf> read(Collection<MaterialId> ids) {
        return read(ids, settings.current().valuing());
    }

    /** The same, valued otherwise than the maker usually does. */
    Map<MaterialId, MaterialShelf> read(Collection<MaterialId> ids, Valuing valuing) {
        if (ids.isEmpty()) {
            return Map.of();
        }
        return shelves(
                materials.findAllById(MaterialId.values(ids)),
                lots.findByMaterialIdInOrderByCameAtAscIdAsc(ids),
                known.of(ids),
                prices.findByMaterialIdInOrderBySinceAscIdAsc(ids),
                reservations.findByMaterialIdInOrderById(ids),
                valuing);
    }

    /** The shelves of all materials as they are now. */
    Map<MaterialId, MaterialShelf> readAll() {
        return readAll(EVER, reservations.findAll());
    }

    /** The shelves of all materials as they were just before a moment, by kind and name. */
    Map<MaterialId, MaterialShelf> readAll(Instant until) {
        return readAll(until, List.of());
    }

    private Map<MaterialId, MaterialShelf> readAll(Instant until, List<Reservation> held) {
        List<Material> all = materials.findAllByOrderByKindAscNameAsc();
        List<MaterialId> ids = all.stream().map(Material::id).toList();
        return shelves(
                all,
                lots.findAll().stream()
                        .filter(lot -> lot.cameAt().isBefore(until))
                        .sorted(Comparator.comparing(Lot::cameAt).thenComparing(Lot::id))
                        .toList(),
                movementsBefore(until, ids),
                prices.findByMaterialIdInOrderBySinceAscIdAsc(ids).stream()
                        .filter(price -> price.since().isBefore(until))
                        .toList(),
                held,
                settings.current().valuing());
    }

    private Map<MaterialId, MaterialShelf> shelves(
            List<Material> found,
            List<Lot> itsLots,
            Map<MaterialId, Movements> movementsOf,
            List<MaterialPrice> itsPrices,
            List<Reservation> itsReservations,
            Valuing valuing) {
        Settings current = settings.current();
        Map<MaterialId, List<Lot>> lotsOf = by(itsLots, Lot::materialId);
        Map<MaterialId, List<MaterialPrice>> pricesOf = by(itsPrices, MaterialPrice::materialId);
        Map<MaterialId, List<Reservation>> reservationsOf = by(itsReservations, Reservation::materialId);
        Map<MaterialId, MaterialShelf> shelves = new LinkedHashMap<>();
        for (Material material : found) {
            shelves.put(
                    material.id(),
                    new MaterialShelf(
                            material,
                            lotsOf.getOrDefault(material.id(), List.of()),
                            movementsOf.getOrDefault(material.id(), Movements.NONE),
                            pricesOf.getOrDefault(material.id(), List.of()),
                            reservationsOf.getOrDefault(material.id(), List.of()),
                            current.currency(),
                            valuing,
                            known));
        }
        return shelves;
    }

    private Map<MaterialId, Movements> movementsBefore(Instant until, List<MaterialId> ids) {
        Map<MaterialId, Movements> its = known.of(ids);
        if (until.isBefore(EVER)) {
            its.replaceAll((id, all) -> all.before(until));
        }
        return its;
    }

    private static <T> Map<MaterialId, List<T>> by(List<T> all, Function<T, MaterialId> materialOf) {
        Map<MaterialId, List<T>> grouped = new HashMap<>();
        all.forEach(one -> grouped.computeIfAbsent(materialOf.apply(one), id -> new ArrayList<>())
                .add(one));
        return grouped;
    }
}
