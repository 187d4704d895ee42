package mardun.app.design;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface BlockRepository extends JpaRepository<BlockEntity, Long> {

    List<BlockEntity> findAllByOrderByNameAscVariantAsc();

    boolean existsByNameIgnoreCaseAndVariantIgnoreCase(String name, String variant);
}
