package mardun.app.selling;

import jakarta.persistence.Converter;
import java.util.Map;
import mardun.app.json.JsonColumn;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** How many of which lots, as it is stored. */
@Converter
@Immutable
class StoredLots extends JsonColumn<Map<Long, Integer>> {

    StoredLots() {
        super(new TypeReference<>() {});
    }
}
