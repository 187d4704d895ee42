package mardun.app.log;

import jakarta.persistence.Converter;
import java.util.List;
import mardun.app.json.JsonColumn;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** Some texts, as they are stored. */
@Converter
@Immutable
class StoredTexts extends JsonColumn<List<String>> {

    StoredTexts() {
        super(new TypeReference<>() {});
    }
}
