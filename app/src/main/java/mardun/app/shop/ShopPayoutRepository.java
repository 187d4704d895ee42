package mardun.app.shop;

import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;

interface ShopPayoutRepository extends JpaRepository<ShopPayout, Long> {

    boolean existsByName(String name);

    Page<ShopPayout> findAllByOrderByIdDesc(Pageable page);
}
