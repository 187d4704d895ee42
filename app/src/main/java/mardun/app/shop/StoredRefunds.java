package mardun.app.shop;

import jakarta.persistence.Converter;
import java.util.List;
import mardun.app.json.JsonColumn;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** What was paid back to the buyer of an order, as it is stored. */
@Converter
@Immutable
class StoredRefunds extends JsonColumn<List<OrderRefund>> {

    StoredRefunds() {
        super(new TypeReference<>() {});
    }
}
