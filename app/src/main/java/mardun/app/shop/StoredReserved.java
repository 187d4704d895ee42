package mardun.app.shop;

import jakarta.persistence.Converter;
import java.util.Map;
import mardun.app.json.JsonColumn;
import tools.jackson.core.type.TypeReference;

/** How many of which kinds are put aside, as it is stored. */
@Converter
class StoredReserved extends JsonColumn<Map<String, Integer>> {

    StoredReserved() {
        super(new TypeReference<>() {});
    }
}
