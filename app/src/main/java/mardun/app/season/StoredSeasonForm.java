package mardun.app.season;

import jakarta.persistence.Converter;
import java.util.List;
import mardun.app.json.JsonColumn;
import mardun.app.season.SeasonViews.SeasonForm;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.type.TypeReference;

/** What was asked, as it is stored. */
@Converter
@Immutable
class StoredSeasonForm extends JsonColumn<SeasonForm> {

    StoredSeasonForm() {
        super(new TypeReference<>() {});
    }

    /** Forms from before there were occasions name none. */
    @Override
    public @Nullable SeasonForm convertToEntityAttribute(@Nullable String stored) {
        SeasonForm form = super.convertToEntityAttribute(stored);
        return form == null || form.occasions() != null ? form : form.with(List.of(), List.of());
    }
}
