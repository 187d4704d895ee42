package mardun.app.goods;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface GoodsMovementRepository extends JpaRepository<GoodsMovement, Long> {

    List<GoodsMovement> findByGoodsIdOrderByMovedAtDescIdDesc(long goodsId);

    @Query("""
            select new mardun.app.goods.GoodsHistory$Moved(
                g.designName, g.sizeName, m.kind, m.changeUnits, m.place, m.reason, m.movedAt)
            from GoodsMovement m join FinishedGoods g on g.id = m.goodsId
            where m.movedAt < :until and m.kind <> MADE order by m.movedAt desc, m.id desc""")
    List<GoodsHistory.Moved> before(Instant until, Limit most);

    /** What is looked for in a movement. */
    record Worded(long id, Instant at, String design, String size, GoodsKind kind, String place, String reason) {}

    /** What came and went after one, beside what was made, in its order. */
    @Query("""
            select new mardun.app.goods.GoodsMovementRepository$Worded(
                m.id, m.movedAt, g.designName, g.sizeName, m.kind, m.place, m.reason)
            from GoodsMovement m join FinishedGoods g on g.id = m.goodsId
            where m.id > :id and m.kind <> MADE order by m.id""")
    List<Worded> wordedAfter(long id);

    /** Some movements, the newest first. */
    @Query("""
            select new mardun.app.goods.GoodsHistory$Moved(
                g.designName, g.sizeName, m.kind, m.changeUnits, m.place, m.reason, m.movedAt)
            from GoodsMovement m join FinishedGoods g on g.id = m.goodsId
            where m.id in :ids order by m.movedAt desc, m.id desc""")
    List<GoodsHistory.Moved> told(Collection<Long> ids);

    @Query("""
            select new mardun.app.goods.GoodsLedger$Change(g.bagKind, m.movedAt, m.changeUnits)
            from GoodsMovement m join FinishedGoods g on g.id = m.goodsId
            where m.movedAt >= :moment and m.kind <> MOVED order by m.movedAt""")
    List<GoodsLedger.Change> changesSince(Instant moment);

    @Query("""
            select new mardun.app.goods.GoodsLedger$Change(g.bagKind, m.movedAt, m.changeUnits)
            from GoodsMovement m join FinishedGoods g on g.id = m.goodsId
            where m.place = :place order by m.movedAt, m.id""")
    List<GoodsLedger.Change> changesAt(String place);

    /** So many of a lot. */
    record Units(long goodsId, long units) {}

    /** How many of a lot there were at a place. */
    record AtPlace(long goodsId, String place, long units) {}

    /** How many of each lot there were at each place just before a moment. */
    @Query("""
            select new mardun.app.goods.GoodsMovementRepository$AtPlace(m.goodsId, m.place, sum(m.changeUnits))
            from GoodsMovement m where m.movedAt < :moment group by m.goodsId, m.place
            having sum(m.changeUnits) > 0 order by m.place""")
    List<AtPlace> placesAt(Instant moment);

    /** How many of each lot came since a moment, less those that went. */
    @Query("""
            select new mardun.app.goods.GoodsMovementRepository$Units(m.goodsId, sum(m.changeUnits))
            from GoodsMovement m where m.movedAt >= :moment group by m.goodsId having sum(m.changeUnits) <> 0""")
    List<Units> unitsSince(Instant moment);
}
