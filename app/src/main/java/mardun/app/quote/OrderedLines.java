package mardun.app.quote;

import jakarta.persistence.Converter;
import java.util.List;
import mardun.app.json.JsonColumn;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** What was ordered, a line each, as it is stored. */
@Converter
@Immutable
class OrderedLines extends JsonColumn<List<OrderedLine>> {

    OrderedLines() {
        super(new TypeReference<>() {});
    }
}
