package mardun.app.settings;

import jakarta.persistence.Converter;
import java.util.Map;
import mardun.app.json.JsonColumn;
import mardun.core.pricing.PriceSchool;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** By which school some sorts of bags are usually priced, as it is stored. */
@Converter
@Immutable
class StoredSchools extends JsonColumn<Map<String, PriceSchool>> {

    StoredSchools() {
        super(new TypeReference<>() {});
    }
}
