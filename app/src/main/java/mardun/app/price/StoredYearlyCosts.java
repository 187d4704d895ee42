package mardun.app.price;

import jakarta.persistence.Converter;
import java.util.List;
import mardun.app.json.JsonColumn;
import mardun.app.price.PriceViews.YearlyCost;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** What a year costs, as it is stored. */
@Converter
@Immutable
class StoredYearlyCosts extends JsonColumn<List<YearlyCost>> {

    StoredYearlyCosts() {
        super(new TypeReference<>() {});
    }
}
