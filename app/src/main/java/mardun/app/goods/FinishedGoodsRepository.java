package mardun.app.goods;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import mardun.app.id.BatchId;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
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

    /**
     * Goods whose design, size or cloth holds what was typed, of which any are left, the latest first.
     *
     * @param words as for {@code like}, in small letters
     * @param place where some of them are; empty for anywhere
     * @param quality absent for either
     * @param all also those of which none are left
     */
    @Query("""
            select g from FinishedGoods g
            where lower(concat(g.designName, ' ', g.sizeName, ' ', g.clothName)) like :words escape '!'
              and (:all = true or g.id in (select p.goodsId from GoodsPlace p where p.units > 0))
              and (:place = '' or g.id in (select p.goodsId from GoodsPlace p where p.units > 0 and p.place = :place))
              and (:quality is null or g.quality = :quality)
            order by g.finishedOn desc, g.id desc""")
    Page<FinishedGoods> search(String words, String place, @Nullable Quality quality, boolean all, Pageable page);

    /** Goods of which any are left, the oldest first. */
    @Query("""
            select g from FinishedGoods g where g.id in (select p.goodsId from GoodsPlace p where p.units > 0)
            order by g.id""")
    List<FinishedGoods> findLeft();

    List<FinishedGoods> findByBagKindInOrderById(Collection<String> keys);

    /** The goods, held for this transaction, so that two who take the last bag wait for one another. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select g from FinishedGoods g where g.id = :id")
    Optional<FinishedGoods> findForMoving(long id);
}
