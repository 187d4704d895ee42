package mardun.app.selling;

import jakarta.persistence.Converter;
import mardun.app.json.JsonColumn;
import mardun.app.selling.FairViews.FairForm;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** What was typed of a fair, as it is stored. */
@Converter
@Immutable
class StoredFairForm extends JsonColumn<FairForm> {

    StoredFairForm() {
        super(new TypeReference<>() {});
    }
}
