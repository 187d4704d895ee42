package mardun.app.batch;

import jakarta.persistence.Converter;
import mardun.app.json.JsonColumn;
import mardun.core.making.OrderWishes;
import org.hibernate.annotations.Immutable;
import tools.jackson.core.type.TypeReference;

/** What is wanted of a batch's order, as it is stored; an empty text for nothing. */
@Converter
@Immutable
class StoredWishes extends JsonColumn<OrderWishes> {

    StoredWishes() {
        super(new TypeReference<>() {});
    }

    @Override
    public String convertToDatabaseColumn(OrderWishes wishes) {
        return wishes.equals(OrderWishes.NONE) ? "" : super.convertToDatabaseColumn(wishes);
    }

    @Override
    public OrderWishes convertToEntityAttribute(String stored) {
        return stored.isEmpty() ? OrderWishes.NONE : super.convertToEntityAttribute(stored);
    }
}
