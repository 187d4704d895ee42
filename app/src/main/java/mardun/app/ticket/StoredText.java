package mardun.app.ticket;

import jakarta.persistence.Converter;
import mardun.app.json.JsonColumn;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** What stands on a ticket, as it is stored. */
@Converter
@Immutable
class StoredText extends JsonColumn<TicketText> {

    StoredText() {
        super(new TypeReference<>() {});
    }
}
