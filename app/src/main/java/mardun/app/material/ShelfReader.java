package mardun.app.material;

import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import mardun.app.id.MaterialId;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.core.material.Valuing;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;

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
        "settings",
        "channel"
    };

    private final MaterialRepository materials;
    private final MaterialList list;
    private final ShelfRows rows;
    private final KnownMovements known;
    private final SettingsService settings;

    ShelfReader(
            MaterialRepository materials,
            MaterialList list,
            ShelfRows rows,
            KnownMovements known,
            SettingsService settings) {
        this.materials = materials;
        this.list = list;
        this.rows = rows;
        this.known = known;
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
        return shelves(found(ids), rows.lots(ids), known.of(ids), rows.prices(ids), rows.reservations(ids), valuing);
    }

    /** Who may change a material reads it anew. */
    private List<Material> found(Collection<MaterialId> ids) {
        if (!TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            return materials.findAllById(MaterialId.values(ids));
        }
        Set<MaterialId> asked = Set.copyOf(ids);
        return list.all().stream().filter(one -> asked.contains(one.id())).toList();
    }

    /** The shelves of all materials as they are now. */
    Map<MaterialId, MaterialShelf> readAll() {
        return readAll(EVER, true);
    }

    /** The shelves of all materials as they were just before a moment, by kind and name. */
    Map<MaterialId, MaterialShelf> readAll(Instant until) {
        return readAll(until, false);
    }

    private Map<MaterialId, MaterialShelf> readAll(Instant until, boolean withReservations) {
        List<Material> all = list.all();
        List<MaterialId> ids = all.stream().map(Material::id).toList();
        return shelves(
                all,
                before(until, rows.lots(ids), Lot::cameAt),
                movementsBefore(until, ids),
                before(until, rows.prices(ids), MaterialPrice::since),
                withReservations ? rows.reservations(ids) : Map.of(),
                settings.current().valuing());
    }

    private static <T> Map<MaterialId, List<T>> before(
            Instant until, Map<MaterialId, List<T>> rows, Function<T, Instant> moment) {
        Map<MaterialId, List<T>> some = new HashMap<>(rows);
        if (until.isBefore(EVER)) {
            some.replaceAll((id, all) -> all.stream()
                    .filter(one -> moment.apply(one).isBefore(until))
                    .toList());
        }
        return some;
    }

    private Map<MaterialId, MaterialShelf> shelves(
            List<Material> found,
            Map<MaterialId, List<Lot>> lotsOf,
            Map<MaterialId, Movements> movementsOf,
            Map<MaterialId, List<MaterialPrice>> pricesOf,
            Map<MaterialId, List<Reservation>> reservationsOf,
            Valuing valuing) {
        Settings current = settings.current();
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
}
