package mardun.app.shop;

import jakarta.persistence.Converter;
import java.util.List;
import mardun.app.json.JsonColumn;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** The lines of a payout with what was found, as they are stored. */
@Converter
@Immutable
class StoredPayoutLines extends JsonColumn<List<ShopPayout.Row>> {

    StoredPayoutLines() {
        super(new TypeReference<>() {});
    }
}
