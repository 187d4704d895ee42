package mardun.app.goods;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface GoodsMovementRepository extends JpaRepository<GoodsMovement, Long> {

    @Query("select m.goodsId as goodsId, m.place as place, sum(m.changeUnits) as units from GoodsMovement m"
            + " where m.goodsId in :goodsIds group by m.goodsId, m.place order by m.place")
    List<AtPlace> places(Collection<Long> goodsIds);

    @Query("select coalesce(sum(m.changeUnits), 0) from GoodsMovement m"
            + " where m.goodsId = :goodsId and m.place = :place")
    int units(long goodsId, String place);

    List<GoodsMovement> findByGoodsIdOrderByMovedAtDescIdDesc(long goodsId);

    @Query("select distinct m.place from GoodsMovement m order by m.place")
    List<String> allPlaces();

    /** How many of some goods are at a place. */
    interface AtPlace {
        long getGoodsId();

        String getPlace();

        int getUnits();
    }

    @Query("""
            select new mardun.app.goods.GoodsHistory$Moved(
                g.designName, g.sizeName, m.kind, m.changeUnits, m.place, m.reason, m.movedAt)
            from GoodsMovement m join FinishedGoods g on g.id = m.goodsId
            where m.movedAt < :until and m.kind <> MADE order by m.movedAt desc, m.id desc""")
    List<GoodsHistory.Moved> before(Instant until, Limit most);

    @Query("""
            select new mardun.app.goods.GoodsLedger$Change(g.bagKind, m.movedAt, m.changeUnits)
            from GoodsMovement m join FinishedGoods g on g.id = m.goodsId
            where m.movedAt >= :moment and m.kind <> MOVED order by m.movedAt""")
    List<GoodsLedger.Change> changesSince(Instant moment);
}
