package mardun.app.shop;

import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface ShopPayoutRepository extends JpaRepository<ShopPayout, Long> {

    boolean existsByName(String name);

    List<ShopPayout> findAllByOrderByIdDesc(Limit most);
}
