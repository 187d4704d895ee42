package mardun.app.posting;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface StoredRateRepository extends JpaRepository<StoredRate, Long> {

    List<StoredRate> findAllByOrderByPosition();
}
