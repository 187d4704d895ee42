package mardun.app.shop;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ShopEventRepository extends JpaRepository<ShopEvent, UUID> {}
