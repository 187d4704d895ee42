package mardun.app.material;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface LotRepository extends JpaRepository<Lot, Long> {

    List<Lot> findByMaterialIdInOrderByCameAtAscIdAsc(Collection<Long> materialIds);

    List<Lot> findByDeliveryIdOrderById(long deliveryId);

    void deleteByMaterialId(long materialId);
}
