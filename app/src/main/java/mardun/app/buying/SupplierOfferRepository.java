package mardun.app.buying;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import mardun.app.id.MaterialId;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface SupplierOfferRepository extends JpaRepository<SupplierOffer, Long> {

    @Query("select o from SupplierOffer o join fetch o.supplier where o.materialId in :materialIds"
            + " order by o.supplier.name, o.contentValue")
    List<SupplierOffer> findOf(Collection<MaterialId> materialIds);

    @Query("select o from SupplierOffer o join fetch o.supplier order by o.materialId, o.supplier.name, o.contentValue")
    List<SupplierOffer> findAllWithSuppliers();

    Optional<SupplierOffer> findByMaterialIdAndSupplierAndContentValue(
            MaterialId materialId, Supplier supplier, long contentValue);

    void deleteByMaterialId(MaterialId materialId);
}
