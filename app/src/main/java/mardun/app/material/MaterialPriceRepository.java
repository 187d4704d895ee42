package mardun.app.material;

import java.util.Collection;
import java.util.List;
import mardun.app.id.MaterialId;
import org.springframework.data.jpa.repository.JpaRepository;

interface MaterialPriceRepository extends JpaRepository<MaterialPrice, Long> {

    void deleteByMaterialId(MaterialId materialId);

    List<MaterialPrice> findByMaterialIdInOrderBySinceAscIdAsc(Collection<MaterialId> materialIds);
}
