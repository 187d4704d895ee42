package mardun.app.quote;

import jakarta.persistence.Converter;
import mardun.app.json.JsonColumn;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** A quote as it was given, as it is stored. */
@Converter
@Immutable
class StoredPaper extends JsonColumn<GivenPaper> {

    StoredPaper() {
        super(new TypeReference<>() {});
    }
}
