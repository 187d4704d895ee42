package mardun.app.sale;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.FairId;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface SaleLineRepository extends JpaRepository<SaleLine, Long> {

    List<SaleLine> findBySaleIdOrderById(UUID saleId);

    List<SaleLine> findBySaleIdInOrderById(Collection<UUID> saleIds);

    /** Bags of a fair that were sold though the book had none left. */
    @Query("""
            select l from SaleLine l join Sale s on s.id = l.saleId
            where s.fairId = :fair and s.takenBackAt is null and l.goodsId is null order by l.id""")
    List<SaleLine> unclear(FairId fair);

    /** How many of each kind were sold at each fair. */
    @Query("""
            select new mardun.app.sale.Sales$KindSold(s.fairId, l.bagKind, sum(l.units), sum(l.paidMinor))
            from SaleLine l join Sale s on s.id = l.saleId
            where s.fairId in :fairs and s.takenBackAt is null group by s.fairId, l.bagKind""")
    List<Sales.KindSold> kinds(Collection<FairId> fairs);

    /** What was paid for bags of a size of a design in a channel since a day, sale by sale; of bags that came from a list by their names. */
    @Query("""
            select new mardun.app.sale.SalesBook$PaidFor(l.units, l.paidMinor, s.soldOn)
            from SaleLine l join Sale s on s.id = l.saleId join FinishedGoods g on g.id = l.goodsId
            where (g.designId = :design and g.sizeKey = :size
                or g.designId is null and g.designName = :designName and g.sizeName = :sizeName)
            and s.channelId = :channel and s.takenBackAt is null and s.soldOn >= :from""")
    List<SalesBook.PaidFor> paidFor(
            DesignId design, String size, String designName, String sizeName, ChannelId channel, LocalDate from);

    /** How many of each kind were sold at a place since a day, and when the last one went. */
    @Query("""
            select new mardun.app.sale.SalesBook$SoldAtPlace(l.bagKind, sum(l.units), max(s.soldOn))
            from SaleLine l join Sale s on s.id = l.saleId
            where l.place = :place and s.takenBackAt is null and s.soldOn >= :day group by l.bagKind""")
    List<SalesBook.SoldAtPlace> soldAt(String place, LocalDate day);

    /** How many bags of a design were sold since a day. */
    @Query("""
            select coalesce(sum(l.units), 0)
            from SaleLine l join Sale s on s.id = l.saleId join FinishedGoods g on g.id = l.goodsId
            where g.designId = :design and s.takenBackAt is null and s.soldOn >= :from""")
    long soldOf(DesignId design, LocalDate from);

    /** The sales of a lot that weren't taken back, the first one first. */
    @Query("""
            select new mardun.app.sale.SalesBook$SoldOfLot(
                s.soldOn, s.channelId, s.fairId, l.units, l.paidMinor, s.note)
            from SaleLine l join Sale s on s.id = l.saleId
            where l.goodsId = :lot and s.takenBackAt is null order by s.number, l.id""")
    List<SalesBook.SoldOfLot> ofLot(long lot);

    /** The bags of all sales from a day until before another, those of a sale together. */
    @Query("""
            select new mardun.app.sale.SalesBook$Row(
                s.number, s.channelId, s.fairId, s.soldOn, s.soldAt, s.paidMinor, s.taxMinor, s.feesMinor,
                l.bagKind, l.units, l.paidMinor, l.costMinor, l.labourMinor, l.overheadMinor, l.seconds, l.unknownUnits)
            from SaleLine l join Sale s on s.id = l.saleId
            where s.takenBackAt is null and s.soldOn >= :from and s.soldOn < :until
            order by s.number, l.id""")
    List<SalesBook.Row> between(LocalDate from, LocalDate until);
}
