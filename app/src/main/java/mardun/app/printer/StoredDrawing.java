package mardun.app.printer;

import jakarta.persistence.Converter;
import mardun.app.json.JsonColumn;
import mardun.app.paper.LabelDrawing;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** What stands on a label, as it is stored. */
@Converter
@Immutable
class StoredDrawing extends JsonColumn<LabelDrawing> {

    StoredDrawing() {
        super(new TypeReference<>() {});
    }
}
