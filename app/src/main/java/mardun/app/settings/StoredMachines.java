package mardun.app.settings;

import jakarta.persistence.Converter;
import java.util.List;
import mardun.app.json.JsonColumn;
import mardun.core.making.Machine;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** The maker's machines, as they are stored. */
@Converter
@Immutable
class StoredMachines extends JsonColumn<List<Machine>> {

    StoredMachines() {
        super(new TypeReference<>() {});
    }
}
