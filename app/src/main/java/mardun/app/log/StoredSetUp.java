package mardun.app.log;

import jakarta.persistence.Converter;
import java.util.Map;
import mardun.app.json.JsonColumn;
import mardun.core.making.SetUp;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** What is on a machine, as it is stored. */
@Converter
@Immutable
class StoredSetUp extends JsonColumn<Map<SetUp.Part, String>> {

    StoredSetUp() {
        super(new TypeReference<>() {});
    }
}
