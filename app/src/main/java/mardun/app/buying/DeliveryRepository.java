package mardun.app.buying;

import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;

interface DeliveryRepository extends JpaRepository<Delivery, Long> {

    Page<Delivery> findAllByOrderByCameOnDescIdDesc(Pageable page);

    boolean existsBySupplierIdAndPaperNumber(long supplierId, String paperNumber);
}
