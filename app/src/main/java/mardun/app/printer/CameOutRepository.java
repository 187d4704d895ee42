package mardun.app.printer;

import java.util.List;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;

interface CameOutRepository extends JpaRepository<CameOut, Long> {

    boolean existsByLabelKeyAndCrumpledFalse(String labelKey);

    List<CameOut> findAllByOrderByIdDesc(Pageable page);
}
