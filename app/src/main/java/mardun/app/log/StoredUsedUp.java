package mardun.app.log;

import jakarta.persistence.Converter;
import java.util.List;
import mardun.app.json.JsonColumn;
import mardun.app.log.LoggedSlip.UsedUp;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** What a slip used up, as it is stored. */
@Converter
@Immutable
class StoredUsedUp extends JsonColumn<List<UsedUp>> {

    StoredUsedUp() {
        super(new TypeReference<>() {});
    }
}
