package mardun.app.batch;

import jakarta.persistence.LockModeType;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import mardun.app.id.DesignId;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface BatchRepository extends JpaRepository<Batch, Long> {

    /** At which version each batch is. */
    @Query("select new mardun.app.batch.BatchPasts$BatchVersion(b.id, b.version) from Batch b")
    List<BatchPasts.BatchVersion> versions();

    /**
     * The batch, held for this transaction. Whoever changes a batch, its layouts or what it holds asks for it so, before
     * anything else is read: batches are held before materials, and materials in the order of their ids.
     */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select b from Batch b where b.id = :id")
    Optional<Batch> findForChange(long id);

    /** The numbers of the batches that are for something of a name. */
    @Query("select b.id from Batch b where b.forWhat = :forWhat order by b.id")
    List<Long> idsFor(String forWhat);

    /** The batches with a line of a design that are only planned. */
    @Query("""
            select distinct b from Batch b join b.lines l
            where l.designId = :designId and b.stage = mardun.app.batch.BatchStage.PLANNED""")
    List<Batch> findPlannedOfDesign(DesignId designId);

    @Query("select min(b.id) from Batch b join b.lines l where l.designId = :designId")
    Optional<Long> findFirstOfDesign(DesignId designId);

    /**
     * Batches of these stages, the newest first.
     *
     * @param words as for {@code like}, in small letters: in the number, what it is for, or the name of one of its designs
     * @param designId absent for any design
     * @param forWhat just what they are for; empty for anything
     */
    @Query("""
            select b from Batch b
            where b.stage in :stages
              and (lower(concat(cast(b.id as string), ' ', b.forWhat)) like :words escape '!'
                or exists (select l.id from StoredLine l where l.batch = b and l.designId in :designs))
              and (:forWhat = '' or b.forWhat = :forWhat)
              and (:designId is null or exists (
                select l.id from StoredLine l where l.batch = b and l.designId = :designId))
            order by b.id desc""")
    Page<Batch> search(
            Collection<BatchStage> stages,
            String words,
            Collection<DesignId> designs,
            @Nullable DesignId designId,
            String forWhat,
            Pageable page);

    /** The same where nothing else is asked, which needn't look at each of them. */
    Page<Batch> findByStageInOrderByIdDesc(Collection<BatchStage> stages, Pageable page);

    List<Batch> findByStageInOrderByIdAsc(Collection<BatchStage> stages);

    /** How many units of a design came out well or are planned in its batches that were planned since a moment, but for one of them. */
    @Query("""
            select coalesce(sum(l.started - l.scrap), 0) from StoredLine l
            where l.designId = :designId and l.batch.id <> :except and l.batch.createdAt >= :since
              and l.batch.stage <> mardun.app.batch.BatchStage.DROPPED""")
    long unitsOfDesign(DesignId designId, long except, Instant since);

    /** What was made with a revision of a design. */
    record MadeWith(int revision, long batches, long bags, long lost) {}

    @Query("""
            select new mardun.app.batch.BatchRepository$MadeWith(
                l.designRevision, count(distinct l.batch.id), sum(l.good + l.seconds), sum(l.scrap))
            from StoredLine l
            where l.designId = :designId and l.batch.stage <> mardun.app.batch.BatchStage.DROPPED
            group by l.designRevision""")
    List<MadeWith> madeWith(DesignId designId);

    /** A line of a batch that was planned with a revision. */
    record LineWith(int revision, long batch, int number) {}

    @Query("""
            select new mardun.app.batch.BatchRepository$LineWith(l.designRevision, l.batch.id, l.number)
            from StoredLine l
            where l.designId = :designId and l.batch.stage <> mardun.app.batch.BatchStage.DROPPED""")
    List<LineWith> linesWith(DesignId designId);

    /** How many bags of a design are done, however they came out, and how many of them didn't. */
    record Lost(DesignId designId, long bags, long lost) {}

    @Query("""
            select new mardun.app.batch.BatchRepository$Lost(l.designId, sum(l.good + l.seconds + l.scrap), sum(l.scrap))
            from StoredLine l where l.good + l.seconds + l.scrap > 0 group by l.designId""")
    List<Lost> lost();

    List<Batch> findByStageAndFinishedAtGreaterThanEqual(BatchStage stage, Instant from);

    /** The lines of the batches that were finished from a moment until before another, the first finished first. */
    @Query("""
            select new mardun.app.batch.BatchLife$FinishedLine(
                b.id, b.finishedAt, l.designId, l.started, l.good, l.seconds, l.scrap, b.plannedSeconds, b.tookSeconds)
            from Batch b join b.lines l
            where b.stage = mardun.app.batch.BatchStage.FINISHED and b.finishedAt >= :from and b.finishedAt < :until
            order by b.finishedAt, b.id, l.position, l.number""")
    List<BatchLife.FinishedLine> finished(Instant from, Instant until);
}
