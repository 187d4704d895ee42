package mardun.app.ticket;

import jakarta.persistence.Converter;
import mardun.app.json.JsonColumn;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** The measures of a sheet, as they are stored. */
@Converter
@Immutable
class StoredMeasures extends JsonColumn<SheetMeasures> {

    StoredMeasures() {
        super(new TypeReference<>() {});
    }
}
