package mardun.app.batch;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.Arrays;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import mardun.app.id.MaterialId;
import org.hibernate.annotations.Immutable;
import tools.jackson.databind.json.JsonMapper;

/** For how many bags a line takes cut pieces of each cloth, as it is stored: {@code [{"materialId": 4, "bags": 6}]}. */
@Converter
@Immutable
class BroughtPieces implements AttributeConverter<Map<MaterialId, Integer>, String> {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private record Row(MaterialId materialId, int bags) {}

    @Override
    public String convertToDatabaseColumn(Map<MaterialId, Integer> brought) {
        return JSON.writeValueAsString(brought.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(entry -> new Row(entry.getKey(), entry.getValue()))
                .toList());
    }

    @Override
    public Map<MaterialId, Integer> convertToEntityAttribute(String stored) {
        return Arrays.stream(JSON.readValue(stored, Row[].class))
                .filter(Objects::nonNull)
                .collect(Collectors.toMap(Row::materialId, Row::bags));
    }
}
