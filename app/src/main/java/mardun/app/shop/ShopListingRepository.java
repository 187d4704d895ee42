package mardun.app.shop;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface ShopListingRepository extends JpaRepository<ShopListing, Long> {

    Optional<ShopListing> findByBagKind(String bagKind);

    List<ShopListing> findAllByOrderById();
}
