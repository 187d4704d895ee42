package mardun.app.batch;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.Arrays;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import mardun.core.batch.PiecesMoved.OfCloth;
import org.hibernate.annotations.Immutable;
import tools.jackson.databind.json.JsonMapper;

/** Cut pieces that came to a line and went from it, as it is stored: {@code [{"cloth": "4", "came": 0, "went": 6, "minor": -512}]}. */
@Converter
@Immutable
class MovedPieces implements AttributeConverter<Map<String, OfCloth>, String> {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private record Row(String cloth, int came, int went, long minor) {}

    @Override
    public String convertToDatabaseColumn(Map<String, OfCloth> moved) {
        return JSON.writeValueAsString(moved.entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(entry -> new Row(
                        entry.getKey(),
                        entry.getValue().came(),
                        entry.getValue().went(),
                        entry.getValue().minor()))
                .toList());
    }

    @Override
    public Map<String, OfCloth> convertToEntityAttribute(String stored) {
        return Arrays.stream(JSON.readValue(stored, Row[].class))
                .filter(Objects::nonNull)
                .collect(Collectors.toMap(Row::cloth, row -> new OfCloth(row.came(), row.went(), row.minor())));
    }
}
