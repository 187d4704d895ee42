package mardun.app.design;

import java.util.List;
import java.util.Optional;
import mardun.app.id.DesignId;
import org.springframework.data.jpa.repository.JpaRepository;

interface DesignRevisionRepository extends JpaRepository<DesignRevision, Long> {

    List<DesignRevision> findByDesignIdOrderByNumberDesc(DesignId designId);

    Optional<DesignRevision> findByDesignIdAndNumber(DesignId designId, int number);
}
