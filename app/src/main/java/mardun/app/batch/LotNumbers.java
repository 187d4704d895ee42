package mardun.app.batch;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import mardun.app.id.LotId;
import org.hibernate.annotations.Immutable;
import tools.jackson.databind.json.JsonMapper;

/** Lots of offcuts and precuts, as they are stored: {@code [4, 17]}. */
@Converter
@Immutable
class LotNumbers implements AttributeConverter<List<LotId>, String> {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Override
    public String convertToDatabaseColumn(List<LotId> lots) {
        return JSON.writeValueAsString(lots);
    }

    @Override
    public List<LotId> convertToEntityAttribute(String stored) {
        return Arrays.stream(JSON.readValue(stored, LotId[].class))
                .filter(Objects::nonNull)
                .toList();
    }
}
