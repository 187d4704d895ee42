package mardun.app.design;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import mardun.app.design.DesignViews.DesignName;
import mardun.app.design.DesignViews.NumberedDesign;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface DesignRepository extends JpaRepository<DesignEntity, Long> {

    /** The designs that are put away, or those that aren't, in whose words the text stands, an empty text for all. */
    @Query("""
            select d from DesignEntity d
            where (locate(:text, d.words) > 0 or :text = '') and d.putAway = :putAway
            order by d.name""")
    Page<DesignEntity> find(String text, boolean putAway, Pageable page);

    /** The designs that aren't put away, by their names. */
    @Query("""
            select new mardun.app.design.DesignViews$DesignName(d.id, d.name) from DesignEntity d
            where d.putAway = false order by d.name""")
    List<DesignName> names();

    /** The designs that are asked for, each with its revision. */
    @Query(
            "select new mardun.app.design.DesignViews$NumberedDesign(d.id, d.revision) from DesignEntity d where d.id in :ids")
    List<NumberedDesign> numbered(Collection<Long> ids);

    Optional<DesignEntity> findByNameIgnoreCase(String name);
}
