package mardun.app.year;

import java.time.Instant;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface RemarkAwayRepository extends JpaRepository<RemarkAway, String> {

    List<RemarkAway> findByPutAwayAtGreaterThan(Instant moment);
}
