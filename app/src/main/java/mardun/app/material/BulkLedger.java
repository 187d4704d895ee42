package mardun.app.material;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.files.SheetLine;
import mardun.app.id.MaterialId;
import org.jspecify.annotations.Nullable;

/** The ledger for many lines of a file, opened when the first of them is entered. */
final class BulkLedger {

    private final StockLedger single;
    private final Set<MaterialId> materialIds;
    private @Nullable StockLedger opened;

    /**
     * For the materials that some lines name.
     *
     * @param column in which their names stand
     * @param known all materials by their names in small letters
     */
    BulkLedger(StockLedger single, List<SheetLine> lines, String column, Map<String, ShelfMaterial> known) {
        this.single = single;
        this.materialIds = lines.stream()
                .map(line -> known.get(line.get(column).toLowerCase(Locale.ROOT)))
                .filter(Objects::nonNull)
                .map(ShelfMaterial::id)
                .collect(Collectors.toSet());
    }

    StockLedger ledger() {
        if (opened == null) {
            opened = single.inBulk(materialIds);
        }
        return opened;
    }
}
