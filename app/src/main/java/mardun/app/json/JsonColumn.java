package mardun.app.json;

import jakarta.persistence.AttributeConverter;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Keeps a value of the core as JSON in one column; nothing as nothing. */
public abstract class JsonColumn<T> implements AttributeConverter<T, String> {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final TypeReference<T> type;

    protected JsonColumn(TypeReference<T> type) {
        this.type = type;
    }

    @Override
    public @Nullable String convertToDatabaseColumn(@Nullable T value) {
        return value == null ? null : JSON.writeValueAsString(value);
    }

    @Override
    public @Nullable T convertToEntityAttribute(@Nullable String stored) {
        return stored == null ? null : JSON.readValue(stored, type);
    }
}
