package mardun.app.material;

import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The ledger for many lines of a file, opened when the first of them is entered. */
final class BulkLedger {

    private final StockLedger single;
    private final Set<Long> materialIds;
    private @Nullable StockLedger opened;

    /** @param materialIds of all materials that the lines move */
    BulkLedger(StockLedger single, Set<Long> materialIds) {
        this.single = single;
        this.materialIds = Set.copyOf(materialIds);
    }

    StockLedger ledger() {
        if (opened == null) {
            opened = single.inBulk(materialIds);
        }
        return opened;
    }
}
