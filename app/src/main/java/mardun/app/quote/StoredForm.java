package mardun.app.quote;

import jakarta.persistence.Converter;
import mardun.app.json.JsonColumn;
import tools.jackson.core.type.TypeReference;

/** A quote as it is typed, as it is stored. */
@Converter
class StoredForm extends JsonColumn<QuoteViews.QuoteForm> {

    StoredForm() {
        super(new TypeReference<>() {});
    }
}
