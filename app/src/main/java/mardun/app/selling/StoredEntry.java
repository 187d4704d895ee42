package mardun.app.selling;

import jakarta.persistence.Converter;
import mardun.app.json.JsonColumn;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** What a device told, as it is stored. */
@Converter
@Immutable
class StoredEntry extends JsonColumn<StallEntry> {

    StoredEntry() {
        super(new TypeReference<>() {});
    }
}
