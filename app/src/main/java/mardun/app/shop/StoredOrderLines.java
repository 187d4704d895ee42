package mardun.app.shop;

import jakarta.persistence.Converter;
import java.util.List;
import mardun.app.json.JsonColumn;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** What was ordered, as it is stored. */
@Converter
@Immutable
class StoredOrderLines extends JsonColumn<List<OnlineShop.Line>> {

    StoredOrderLines() {
        super(new TypeReference<>() {});
    }
}
