package mardun.app.shop;

import jakarta.persistence.Converter;
import mardun.app.json.JsonColumn;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** Who bought, as it is stored. */
@Converter
@Immutable
class StoredBuyer extends JsonColumn<OnlineShop.Buyer> {

    StoredBuyer() {
        super(new TypeReference<>() {});
    }
}
