package mardun.app.selling;

import jakarta.persistence.Converter;
import mardun.app.json.JsonColumn;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** How a fair was settled, as it is stored. */
@Converter
@Immutable
class StoredSettled extends JsonColumn<SettledDocument> {

    StoredSettled() {
        super(new TypeReference<>() {});
    }
}
