package mardun.app.resell;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ResellerSettlementRepository extends JpaRepository<ResellerSettlement, UUID> {

    List<ResellerSettlement> findByResellerIdOrderByNumberDesc(long resellerId, Limit most);

    /** When it was settled last with a reseller. */
    record Last(long resellerId, LocalDate day) {}

    @Query("""
            select new mardun.app.resell.ResellerSettlementRepository$Last(s.resellerId, max(s.settledOn))
            from ResellerSettlement s where s.takenBack = false group by s.resellerId""")
    List<Last> last();
}
