package mardun.app.log;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SlipRecutRepository extends JpaRepository<SlipRecut, SlipRecut.Key> {

    List<SlipRecut> findByKeyEventIdInOrderByKeyMaterialId(Collection<UUID> eventIds);
}
