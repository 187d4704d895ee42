package mardun.app.material;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import mardun.app.id.MaterialId;
import mardun.app.picture.Pictures;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.RefusedException;
import mardun.core.material.MovementKind;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Removes a material that was entered by mistake: nothing uses it, and nothing was bought or taken of it. What has a history is
 * put away instead.
 */
@Service
class MaterialRemoval {

    /** How what is there already comes in. */
    private static final Set<MovementKind> ENTERED = EnumSet.of(MovementKind.COUNTED, MovementKind.GIVEN);

    private final MaterialRepository materials;
    private final MaterialPriceRepository prices;
    private final StockMovementRepository movements;
    private final KnownMovements known;
    private final LotRepository lots;
    private final ReservationRepository reservations;
    private final Pictures pictures;
    private final List<UsesMaterials> users;
    private final ApplicationEventPublisher events;
    private final TransactionTemplate transaction;

    MaterialRemoval(
            MaterialRepository materials,
            MaterialPriceRepository prices,
            StockMovementRepository movements,
            KnownMovements known,
            LotRepository lots,
            ReservationRepository reservations,
            Pictures pictures,
            List<UsesMaterials> users,
            ApplicationEventPublisher events,
            PlatformTransactionManager transactions) {
        this.materials = materials;
        this.prices = prices;
        this.movements = movements;
        this.known = known;
        this.lots = lots;
        this.reservations = reservations;
        this.pictures = pictures;
        this.users = users;
        this.events = events;
        this.transaction = new TransactionTemplate(transactions);
    }

    void remove(MaterialId id, long version) {
        Material removed = transaction.execute(status -> {
            Material material = materials
                    .findForMoving(id.value())
                    .orElseThrow(() -> RefusedException.missing("There is no such material, or no longer."));
            ChangedMeanwhileException.check("“" + material.name() + "”", version, material.version());
            refuseUsed(material);
            events.publishEvent(new MaterialRemoved(id));
            known.remove(id);
            lots.deleteByMaterialId(id);
            prices.deleteByMaterialId(id);
            materials.delete(material);
            return material;
        });
        removed.photo().ifPresent(pictures::forget);
    }

    private void refuseUsed(Material material) {
        users.stream()
                .flatMap(user -> user.useOfMaterial(material.id()).stream())
                .findFirst()
                .ifPresent(use -> {
                    throw stays(material, use + " uses it");
                });
        boolean moved = movements.existsByMaterialIdAndKindNotIn(material.id(), ENTERED)
                || reservations.existsByMaterialId(material.id());
        if (moved) {
            throw stays(material, "stock of it was moved");
        }
    }

    private static RefusedException stays(Material material, String because) {
        return RefusedException.conflict(
                "“" + material.name() + "” can't be removed: " + because + ". Put it away instead; its history stays.");
    }
}
