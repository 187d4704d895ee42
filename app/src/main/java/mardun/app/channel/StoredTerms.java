package mardun.app.channel;

import jakarta.persistence.Converter;
import mardun.app.json.JsonColumn;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** The terms of a channel, as they are stored. */
@Converter
@Immutable
class StoredTerms extends JsonColumn<TermsDocument> {

    StoredTerms() {
        super(new TypeReference<>() {});
    }
}
