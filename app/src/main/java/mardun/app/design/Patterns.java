package mardun.app.design;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.core.design.Measurement;
import mardun.core.measure.LengthWriter;
import mardun.core.measure.UnitSystem;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** The patterns that ship with the application, for a design to begin from. */
@Component
class Patterns {

    static final String POUCH = "pouch";
    private static final Map<String, String> RESOURCES =
            Map.of(POUCH, "/designs/boxed-zip-pouch", "blank", "/designs/blank");
    private static final String SEAM = "seam";

    private final JsonMapper json;

    Patterns(JsonMapper json) {
        this.json = json;
    }

    /** A pattern in the maker's units and with the maker's usual seam. */
    DesignDocument begin(String key, Settings current) {
        String resource = RESOURCES.get(key);
        if (resource == null) {
            throw RefusedException.missing("There is no pattern “" + key + "”.");
        }
        DesignDocument pattern = read(resource + ".json", DesignDocument.class);
        Map<?, ?> own = current.unitSystem() == UnitSystem.INCH ? read(resource + "-inches.json", Map.class) : Map.of();
        String seam = LengthWriter.exactly(current.usualSeam(), current.unitSystem());
        return DocumentDecimals.in(
                pattern.measured(pattern.measurements().stream()
                        .map(m -> inUnits(m, own, seam))
                        .toList()),
                current.decimalMark());
    }

    private static Measurement inUnits(Measurement m, Map<?, ?> own, String seam) {
        if (m.symbol().equals(SEAM)) {
            return new Measurement(m.symbol(), m.label(), m.kind(), List.of(seam), m.options());
        }
        return own.get(m.symbol()) instanceof List<?> values
                ? new Measurement(
                        m.symbol(),
                        m.label(),
                        m.kind(),
                        values.stream().map(String::valueOf).toList(),
                        m.options())
                : m;
    }

    private <T> T read(String path, Class<T> type) {
        try (InputStream in = Patterns.class.getResourceAsStream(path)) {
            return json.readValue(in, type);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
