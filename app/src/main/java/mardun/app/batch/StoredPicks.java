package mardun.app.batch;

import jakarta.persistence.Converter;
import java.util.Map;
import mardun.app.json.JsonColumn;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** What was chosen for a line where its design leaves something open, as it is stored: keys of alternatives by those of their choices. */
@Converter
@Immutable
class StoredPicks extends JsonColumn<Map<String, String>> {

    StoredPicks() {
        super(new TypeReference<>() {});
    }
}
