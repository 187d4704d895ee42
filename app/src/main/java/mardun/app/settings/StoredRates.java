package mardun.app.settings;

import jakarta.persistence.Converter;
import java.util.Map;
import mardun.app.json.JsonColumn;
import mardun.core.making.WorkKind;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** What an hour of some kinds of work is worth, in minor units, as it is stored. */
@Converter
@Immutable
class StoredRates extends JsonColumn<Map<WorkKind, Long>> {

    StoredRates() {
        super(new TypeReference<>() {});
    }
}
