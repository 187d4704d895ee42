package mardun.app.batch;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import tools.jackson.databind.json.JsonMapper;

/** Lots of offcuts and precuts, as they are stored: {@code [4, 17]}. */
@Converter
class LotNumbers implements AttributeConverter<List<Long>, String> {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Override
    public String convertToDatabaseColumn(List<Long> lots) {
        return JSON.writeValueAsString(lots);
    }

    @Override
    public List<Long> convertToEntityAttribute(String stored) {
        return Arrays.stream(JSON.readValue(stored, Long[].class))
                .filter(Objects::nonNull)
                .toList();
    }
}
