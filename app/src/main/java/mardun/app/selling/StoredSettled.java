package mardun.app.selling;

import jakarta.persistence.Converter;
import mardun.app.json.JsonColumn;
import tools.jackson.core.type.TypeReference;

/** How a fair was settled, as it is stored. */
@Converter
class StoredSettled extends JsonColumn<SettledDocument> {

    StoredSettled() {
        super(new TypeReference<>() {});
    }
}
