package mardun.app.settings;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.List;
import mardun.core.making.Machine;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The maker's machines, as they are stored. */
@Converter
class StoredMachines implements AttributeConverter<List<Machine>, String> {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Override
    public String convertToDatabaseColumn(List<Machine> machines) {
        return JSON.writeValueAsString(machines);
    }

    @Override
    public List<Machine> convertToEntityAttribute(String stored) {
        return JSON.readValue(stored, new TypeReference<List<Machine>>() {});
    }
}
