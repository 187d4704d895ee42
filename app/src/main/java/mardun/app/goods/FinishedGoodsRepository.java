package mardun.app.goods;

import jakarta.persistence.LockModeType;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mardun.app.id.BatchId;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface FinishedGoodsRepository extends JpaRepository<FinishedGoods, Long> {

    List<FinishedGoods> findByBatchId(BatchId batchId);

    /** Those that were parted from a lot, because they turned out to be seconds. */
    List<FinishedGoods> findByFromGoodsIdOrderById(long id);

    /** So many good bags came of a batch. */
    record Made(BatchId batchId, long units) {}

    @Query("""
            select new mardun.app.goods.FinishedGoodsRepository$Made(g.batchId, sum(g.units)) from FinishedGoods g
            where g.batchId in :batches and g.quality = mardun.app.goods.Quality.GOOD group by g.batchId""")
    List<Made> madeIn(Collection<BatchId> batches);

    /** What is looked for in a lot. */
    record Worded(
            long id, LocalDate finishedOn, Quality quality, String design, String size, String choice, String cloth) {}

    /** What is looked for in the lots with higher numbers than one, in the order of their numbers. */
    @Query("""
            select new mardun.app.goods.FinishedGoodsRepository$Worded(
                g.id, g.finishedOn, g.quality, g.designName, g.sizeName, g.choiceWords, g.clothName)
            from FinishedGoods g where g.id > :id order by g.id""")
    List<Worded> wordedAfter(long id);

    /** Goods of which any are left, the latest first. */
    @Query("""
            select g from FinishedGoods g where g.id in (select p.goodsId from GoodsPlace p where p.units > 0)
            order by g.finishedOn desc, g.id desc""")
    List<FinishedGoods> findLeftLatestFirst();

    /** Goods of which any are left, the oldest first. */
    @Query("""
            select g from FinishedGoods g where g.id in (select p.goodsId from GoodsPlace p where p.units > 0)
            order by g.id""")
    List<FinishedGoods> findLeft();

    /**
     * A kind of which there ever were bags.
     *
     * @param latest the number of its last lot
     * @param since the day on which the first of them were done
     */
    record OfKind(String key, long latest, LocalDate since) {}

    /** All kinds of which there ever were bags, the oldest first. */
    @Query("""
            select new mardun.app.goods.FinishedGoodsRepository$OfKind(g.bagKind, max(g.id), min(g.finishedOn))
            from FinishedGoods g group by g.bagKind order by min(g.id)""")
    List<OfKind> ofKinds();

    /**
     * Goods of some kinds of which any are at a place, and the latest of each kind; the oldest first.
     *
     * @param place absent for anywhere
     */
    @Query("""
            select g from FinishedGoods g
            where g.bagKind in :keys
              and (exists (select 1 from GoodsPlace p where p.goodsId = g.id and p.units > 0
                      and (:place is null or p.place = :place))
                or not exists (select 1 from FinishedGoods h where h.bagKind = g.bagKind and h.id > g.id))
            order by g.id""")
    List<FinishedGoods> findLeft(Collection<String> keys, @Nullable String place);

    Optional<FinishedGoods> findFirstByBagKindOrderByIdDesc(String key);

    /** The latest bags of each of some kinds. */
    @Query("""
            select g from FinishedGoods g
            where g.id in (select max(h.id) from FinishedGoods h where h.bagKind in :keys group by h.bagKind)""")
    List<FinishedGoods> latest(Collection<String> keys);

    @Query("select distinct g.bagKind from FinishedGoods g where g.bagKind in :keys")
    Set<String> known(Collection<String> keys);

    /** The goods, held for this transaction, so that two who take the last bag wait for one another. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select g from FinishedGoods g where g.id = :id")
    Optional<FinishedGoods> findForMoving(long id);

    /** The same for several, which are held in the order of their ids. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select g from FinishedGoods g where g.id in :ids order by g.id")
    List<FinishedGoods> findForMoving(Collection<Long> ids);
}
