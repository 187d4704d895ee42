package mardun.app.shop;

import org.springframework.data.jpa.repository.JpaRepository;

interface ShopLinkRepository extends JpaRepository<ShopLink, Integer> {}
