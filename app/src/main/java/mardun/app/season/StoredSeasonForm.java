package mardun.app.season;

import jakarta.persistence.Converter;
import mardun.app.json.JsonColumn;
import mardun.app.season.SeasonViews.SeasonForm;
import tools.jackson.core.type.TypeReference;

/** What was asked, as it is stored. */
@Converter
class StoredSeasonForm extends JsonColumn<SeasonForm> {

    StoredSeasonForm() {
        super(new TypeReference<>() {});
    }
}
