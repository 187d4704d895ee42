package mardun.app.design;

import java.util.Optional;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface DesignRepository extends JpaRepository<DesignEntity, Long> {

    /** The designs in whose words the text stands, an empty text for all. */
    @Query("select d from DesignEntity d where locate(:text, d.words) > 0 or :text = '' order by d.name")
    Page<DesignEntity> find(String text, Pageable page);

    Optional<DesignEntity> findByNameIgnoreCase(String name);
}
