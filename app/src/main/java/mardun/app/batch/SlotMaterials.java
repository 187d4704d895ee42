package mardun.app.batch;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import mardun.app.id.MaterialId;
import org.hibernate.annotations.Immutable;
import tools.jackson.databind.json.JsonMapper;

/** Which material fills which slot of a line's design, as it is stored: {@code [{"slot": "outer", "materialId": 4}]}. */
@Converter
@Immutable
class SlotMaterials implements AttributeConverter<Map<String, MaterialId>, String> {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private record Row(String slot, MaterialId materialId) {}

    @Override
    public String convertToDatabaseColumn(Map<String, MaterialId> materials) {
        return JSON.writeValueAsString(materials.entrySet().stream()
                .map(entry -> new Row(entry.getKey(), entry.getValue()))
                .toList());
    }

    @Override
    public Map<String, MaterialId> convertToEntityAttribute(String stored) {
        Map<String, MaterialId> materials = new LinkedHashMap<>();
        Arrays.stream(JSON.readValue(stored, Row[].class))
                .filter(Objects::nonNull)
                .forEach(row -> materials.put(row.slot(), row.materialId()));
        return materials;
    }
}
