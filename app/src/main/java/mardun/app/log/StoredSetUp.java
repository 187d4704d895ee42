package mardun.app.log;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.Map;
import mardun.core.making.SetUp;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** What is on a machine, as it is stored. */
@Converter
class StoredSetUp implements AttributeConverter<Map<SetUp.Part, String>, String> {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Override
    public @Nullable String convertToDatabaseColumn(@Nullable Map<SetUp.Part, String> on) {
        return on == null ? null : JSON.writeValueAsString(on);
    }

    @Override
    public @Nullable Map<SetUp.Part, String> convertToEntityAttribute(@Nullable String stored) {
        return stored == null ? null : JSON.readValue(stored, new TypeReference<Map<SetUp.Part, String>>() {});
    }
}
