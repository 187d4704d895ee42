package mardun.app.selling;

import java.time.LocalDate;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface FairRepository extends JpaRepository<Fair, Long> {

    List<Fair> findByHeldOnGreaterThanEqualOrderByHeldOnAsc(LocalDate from);
}
