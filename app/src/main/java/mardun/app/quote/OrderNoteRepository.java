package mardun.app.quote;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface OrderNoteRepository extends JpaRepository<OrderNote, UUID> {

    List<OrderNote> findByOrderIdOrderByWrittenAtDescIdDesc(long orderId);

    void deleteByOrderId(long orderId);
}
