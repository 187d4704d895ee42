package mardun.app.material;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import mardun.app.id.MaterialId;
import mardun.core.material.MovementKind;
import org.springframework.data.jpa.repository.JpaRepository;

interface LotRepository extends JpaRepository<Lot, Long> {

    List<Lot> findByMaterialIdInOrderByCameAtAscIdAsc(Collection<MaterialId> materialIds);

    List<Lot> findByDeliveryIdOrderById(long deliveryId);

    void deleteByMaterialId(MaterialId materialId);

    List<Lot> findByOriginAndCameAtGreaterThanEqualAndCameAtLessThanOrderByCameAtAscIdAsc(
            MovementKind origin, Instant from, Instant until);
}
