package mardun.app.note;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface NoteRepository extends JpaRepository<Note, UUID> {

    /** The notes about some things that aren't put away, the newest first. */
    @Query("""
            select n from Note n where n.putAwayAt is null
            and (n.designId in :designs or n.materialId in :materials or n.about = MACHINE)
            order by n.notedAt desc""")
    List<Note> about(Collection<DesignId> designs, Collection<MaterialId> materials);

    List<Note> findByDesignIdOrderByNotedAt(DesignId designId);

    /** All notes, those that aren't put away before the others, the newest first. */
    @Query("""
            select n from Note n
            order by case when n.putAwayAt is null then 0 else 1 end, n.notedAt desc""")
    List<Note> all(Limit most);

    List<Note> findByNotedAtLessThanOrderByNotedAtDesc(Instant until, Limit most);

    /** The same as far as some words are found in them, in small letters as for {@code like}. */
    @Query("""
            select n from Note n where n.notedAt < :until and lower(n.text) like :words escape '!'
            order by n.notedAt desc""")
    List<Note> found(Instant until, String words, Limit most);
}
