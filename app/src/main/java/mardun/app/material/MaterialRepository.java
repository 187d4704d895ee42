package mardun.app.material;

import jakarta.persistence.LockModeType;
import java.util.Optional;
import mardun.core.material.MaterialKind;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface MaterialRepository extends JpaRepository<Material, Long> {

    Page<Material> findAllByOrderByKindAscNameAsc(Pageable page);

    Page<Material> findByKindOrderByNameAsc(MaterialKind kind, Pageable page);

    Optional<Material> findByNameIgnoreCase(String name);

    /** The material, held for this transaction, so that two who take the last metre wait for one another. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select m from Material m where m.id = :id")
    Optional<Material> findForMoving(long id);
}
