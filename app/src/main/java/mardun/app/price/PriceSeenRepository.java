package mardun.app.price;

import java.util.List;
import java.util.UUID;
import mardun.app.id.DesignId;
import org.springframework.data.jpa.repository.JpaRepository;

interface PriceSeenRepository extends JpaRepository<PriceSeen, UUID> {

    List<PriceSeen> findByDesignIdOrderBySeenOnDesc(DesignId designId);
}
