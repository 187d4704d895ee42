package mardun.app.quote;

import jakarta.persistence.Converter;
import mardun.app.json.JsonColumn;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** A quote as it is typed, as it is stored. */
@Converter
@Immutable
class StoredForm extends JsonColumn<QuoteViews.QuoteForm> {

    StoredForm() {
        super(new TypeReference<>() {});
    }
}
