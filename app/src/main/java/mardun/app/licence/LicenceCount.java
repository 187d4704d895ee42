package mardun.app.licence;

import java.time.Clock;
import java.time.LocalDate;
import mardun.app.batch.BatchReading;
import mardun.app.design.DesignService;
import mardun.app.id.DesignId;
import mardun.app.sale.SalesBook;
import mardun.core.design.Source;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How much of what the licence of a pattern allows is used: by batches and by sales. */
@Service
class LicenceCount {

    private static final LocalDate EVER = LocalDate.of(1900, 1, 1);

    private final DesignService designs;
    private final BatchReading batches;
    private final SalesBook sales;
    private final Clock clock;

    LicenceCount(DesignService designs, BatchReading batches, SalesBook sales, Clock clock) {
        this.designs = designs;
        this.batches = batches;
        this.sales = sales;
        this.clock = clock;
    }

    /**
     * What counts against a design's licence.
     *
     * @param byYear only this year counts
     * @param most how many it allows; 0 where it allows any number, or none
     * @param made how many bags were made or are planned
     * @param sold how many were sold
     */
    record LicenceView(boolean byYear, int most, long made, long sold) {}

    @Transactional(readOnly = true)
    public LicenceView of(DesignId id) {
        Source source = designs.source(id);
        boolean byYear = source.licence().isByYear();
        LocalDate from = byYear ? LocalDate.now(clock).withDayOfYear(1) : EVER;
        return new LicenceView(
                byYear,
                source.licence().isLimited() ? source.most() : 0,
                batches.licensedUnitsOf(id, source),
                sales.soldOf(id, from));
    }
}
