package mardun.app.batch;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import mardun.core.making.OrderWishes;
import tools.jackson.databind.json.JsonMapper;

/** What is wanted of a batch's order, as it is stored; an empty text for nothing. */
@Converter
class StoredWishes implements AttributeConverter<OrderWishes, String> {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Override
    public String convertToDatabaseColumn(OrderWishes wishes) {
        return wishes.equals(OrderWishes.NONE) ? "" : JSON.writeValueAsString(wishes);
    }

    @Override
    public OrderWishes convertToEntityAttribute(String stored) {
        return stored.isEmpty() ? OrderWishes.NONE : JSON.readValue(stored, OrderWishes.class);
    }
}
