package mardun.app.selling;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import mardun.app.id.FairId;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface StallEventRepository extends JpaRepository<StallEvent, UUID> {

    @Query("select e.id from StallEvent e where e.id in :ids")
    Set<UUID> known(Collection<UUID> ids);

    /** Bags that are put aside: promised, and neither released, undone nor sold. */
    @Query("""
            select e from StallEvent e where e.fairId = :fair and e.kind = PROMISED and e.refused is null
              and not exists (select o.id from StallEvent o where o.ofEvent = e.id and o.refused is null
                and not (o.kind = SOLD and exists (
                  select u.id from StallEvent u where u.ofEvent = o.id and u.kind = UNDONE and u.refused is null)))
            order by e.number""")
    List<StallEvent> promises(FairId fair);

    @Query("select e from StallEvent e where e.fairId = :fair and e.refused is not null order by e.number")
    List<StallEvent> refused(FairId fair);

    /** What was given away, broken or stolen, and not taken back; where not all of it was there any more, it took some. */
    @Query("""
            select e from StallEvent e where e.fairId = :fair and e.took is not null
              and e.kind in (GIVEN_AWAY, BROKEN, STOLEN)
              and not exists (select u.id from StallEvent u where u.ofEvent = e.id and u.kind = UNDONE and u.refused is null)
            order by e.number""")
    List<StallEvent> gone(FairId fair);

    @Query("select coalesce(max(e.number), 0) from StallEvent e where e.fairId = :fair")
    long lastNumber(FairId fair);

    @Query("select count(e) from StallEvent e where e.fairId = :fair and e.number > :after")
    long countAfter(FairId fair, long after);

    boolean existsByFairId(FairId fair);

    boolean existsByOfEventAndKindAndRefusedIsNull(UUID ofEvent, StallEventKind kind);
}
