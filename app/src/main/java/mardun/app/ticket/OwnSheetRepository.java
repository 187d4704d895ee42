package mardun.app.ticket;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface OwnSheetRepository extends JpaRepository<OwnSheet, Long> {

    List<OwnSheet> findByPutAwayFalseOrderById();
}
