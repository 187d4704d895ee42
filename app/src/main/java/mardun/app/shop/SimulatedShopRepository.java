package mardun.app.shop;

import jakarta.persistence.LockModeType;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface SimulatedShopRepository extends JpaRepository<SimulatedShop, Integer> {

    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s from SimulatedShop s where s.id = 1")
    Optional<SimulatedShop> held();
}
