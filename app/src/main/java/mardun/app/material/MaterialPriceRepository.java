package mardun.app.material;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface MaterialPriceRepository extends JpaRepository<MaterialPrice, Long> {

    void deleteByMaterialId(long materialId);

    List<MaterialPrice> findByMaterialIdInOrderBySinceAscIdAsc(Collection<Long> materialIds);
}
