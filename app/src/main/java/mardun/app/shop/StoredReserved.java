package mardun.app.shop;

import jakarta.persistence.Converter;
import java.util.Map;
import mardun.app.json.JsonColumn;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** How many of which kinds are put aside, as it is stored. */
@Converter
@Immutable
class StoredReserved extends JsonColumn<Map<String, Integer>> {

    StoredReserved() {
        super(new TypeReference<>() {});
    }
}
