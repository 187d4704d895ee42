package mardun.app.design;

import java.util.Optional;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;

interface DesignRepository extends JpaRepository<DesignEntity, Long> {

    Page<DesignEntity> findAllByOrderByNameAsc(Pageable page);

    Optional<DesignEntity> findByNameIgnoreCase(String name);
}
