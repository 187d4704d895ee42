package mardun.app.sale;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import mardun.app.id.FairId;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface SaleRepository extends JpaRepository<Sale, UUID> {

    /** What was sold at some fairs, by how it was paid. */
    @Query("""
            select new mardun.app.sale.Sales$Sum(
                s.fairId, s.tender, count(s), sum(s.units), sum(s.paidMinor), sum(s.taxMinor), sum(s.feesMinor),
                sum(s.costMinor), sum(s.labourMinor), sum(s.seconds), sum(s.unknownUnits))
            from Sale s where s.fairId in :fairs and s.takenBackAt is null group by s.fairId, s.tender""")
    List<Sales.Sum> sums(Collection<FairId> fairs);

    @Query("select s from Sale s where s.fairId = :fair order by s.number desc")
    List<Sale> latest(FairId fair, Limit most);

    @Query("""
            select new mardun.app.sale.KnownSales$Numbered(s.number, new mardun.app.sale.SalesBook$Entry(
                s.id, s.soldAt, s.soldOn, s.channelId, s.fairId, s.tender, s.units, s.paidMinor, s.taxMinor, s.feesMinor, s.note))
            from Sale s where s.takenBackAt is null and s.soldOn >= :from and s.soldOn < :until order by s.number""")
    List<KnownSales.Numbered<SalesBook.Entry>> between(LocalDate from, LocalDate until);

    /** The days on which something was sold, once for each sale, the first one first. */
    @Query("select s.soldOn from Sale s where s.takenBackAt is null order by s.soldOn")
    List<LocalDate> days(Limit most);
}
