package mardun.app.material;

import org.jspecify.annotations.Nullable;

/** The ledger for a whole file, opened when its first line is entered. */
final class BulkLedger {

    private final StockLedger single;
    private @Nullable StockLedger opened;

    BulkLedger(StockLedger single) {
        this.single = single;
    }

    StockLedger ledger() {
        if (opened == null) {
            opened = single.inBulk();
        }
        return opened;
    }
}
