package mardun.app.material;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import mardun.core.material.MaterialKind;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface MaterialRepository extends JpaRepository<Material, Long> {

    List<Material> findAllByOrderByKindAscNameAsc();

    /**
     * Materials whose words hold what was typed.
     *
     * @param words as for {@code like}, in small letters
     * @param low only those with less than the maker wants to have
     * @param putAway only those that are put away, or only those that aren't; absent for both
     */
    @Query("""
            select m from Material m
            where (:kind is null or m.kind = :kind)
              and m.words like :words escape '!'
              and (:low = false or m.id in :lowIds)
              and (:putAway is null or m.putAway = :putAway)
            order by m.kind, m.name""")
    Page<Material> search(
            @Nullable MaterialKind kind,
            String words,
            boolean low,
            Collection<Long> lowIds,
            @Nullable Boolean putAway,
            Pageable page);

    List<Material> findByNameIgnoreCaseIn(Collection<String> names);

    Optional<Material> findByNameIgnoreCase(String name);

    /** The material, held for this transaction, so that two who take the last metre wait for one another. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select m from Material m where m.id = :id")
    Optional<Material> findForMoving(long id);

    /** Several materials, held for this transaction in the order of their ids. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select m from Material m where m.id in :ids order by m.id")
    List<Material> findAllForMoving(Collection<Long> ids);
}
